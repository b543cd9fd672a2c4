package mussel.desktop.desk;

import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.desktop.kit.AnsweredByKey;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.TextLines;
import mussel.desktop.kit.Words;
import mussel.work.desk.Desk;

/** Something written down in words; it becomes an entry when it is left, or on Enter where it is one line. */
public final class JobNote extends Column {
    private final Desk desk;
    private final Address topic;
    private final TextInputControl text;

    private JobNote(Desk desk, String label, Address topic, TextInputControl text) {
        super(2);
        this.desk = desk;
        this.topic = topic;
        this.text = text;
        Label caption = new Words(label);
        caption.getStyleClass().add("caption");
        caption.setLabelFor(text);
        text.setId("note-" + topic.name() + (topic.of().isEmpty() ? "" : "-" + topic.of()));
        text.setAccessibleText(label);
        text.setText(desk.job().note(topic).orElse(""));
        text.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                enter();
            }
        });
        text.textProperty().addListener((o, was, is) -> {
            if (text.isFocused()) {
                desk.typing(this::settle);
            }
        });
        getChildren().addAll(caption, text);
    }

    /** A note of one line. */
    public static JobNote line(Desk desk, String label, Address topic) {
        TextField field = new TextField();
        JobNote note = new JobNote(desk, label, topic, field);
        field.setOnAction(e -> {
            note.enter();
            note.fireEvent(new AnsweredByKey());
        });
        return note;
    }

    /** A note of several lines. */
    public static JobNote lines(Desk desk, String label, Address topic, int rows) {
        TextArea area = new TextLines();
        area.setPrefRowCount(rows);
        area.setWrapText(true);
        return new JobNote(desk, label, topic, area);
    }

    /** The same under an id of its own, where another station writes the same note. */
    public JobNote called(String id) {
        text.setId(id);
        return this;
    }

    /** Puts the caret where writing begins. */
    public void begin() {
        text.requestFocus();
        text.fireEvent(new ScrollIntoView());
    }

    /** What was left is entered already; on a page out of sight the text may be older than the job. */
    private void settle() {
        if (text.isFocused()) {
            enter();
        }
    }

    private void enter() {
        String typed = text.getText().strip();
        if (!typed.equals(desk.job().note(topic).orElse(""))) {
            desk.note(typed.isEmpty() ? new Fact.Cleared(topic) : new Fact.Noted(topic, typed));
        }
    }

    /** Shows what the job holds, unless it is being written. */
    public void show(Assessment now) {
        if (!text.isFocused()) {
            text.setText(now.job().note(topic).orElse(""));
        }
    }
}
