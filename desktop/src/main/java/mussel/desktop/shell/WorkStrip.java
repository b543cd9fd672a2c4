package mussel.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** What is being worked out beside the work, and the button that stops it; nothing where nothing is. */
final class WorkStrip extends Row {
    private final Label label = Texts.wrapped("", "small");
    private final Button stop = new Button("Stop");

    WorkStrip() {
        super(12);
        getStyleClass().add("filing");
        setId("work-strip");
        setAlignment(Pos.CENTER_LEFT);
        managedProperty().bind(label.textProperty().isNotEmpty());
        visibleProperty().bind(label.textProperty().isNotEmpty());
        label.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(label, Priority.ALWAYS);
        stop.setId("work-stop");
        getChildren().addAll(label, stop);
    }

    /** Begins to tell of work that can be stopped. */
    void say(String sentence, Runnable onStop) {
        stop.setOnAction(e -> onStop.run());
        say(sentence);
    }

    /** Goes on telling; an empty sentence ends it. */
    void say(String sentence) {
        label.setText(sentence);
    }
}
