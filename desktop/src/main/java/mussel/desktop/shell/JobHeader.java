package mussel.desktop.shell;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.Assessment;
import mussel.core.job.FactWords;
import mussel.core.job.Field;
import mussel.core.job.UndoLine;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Words;
import mussel.work.desk.Desk;
import org.kordamp.ikonli.feather.Feather;

/** What stands over a job: the tag of its leg, the longline, undo and redo. */
final class JobHeader extends Row {
    private static final Messages TEXT = Messages.of(JobHeader.class);

    /** From here on a name takes two lines. */
    private static final int LONG = 24;

    private final Label boat = new Words();
    private final Label about = new Words();
    private final StationLine spine;
    private final Button undo;
    private final Button redo;

    JobHeader(StationLine spine, Runnable onBack, Runnable onUndo, Runnable onRedo, Node looks) {
        super(14);
        this.spine = spine;
        undo = new IconButton(Feather.ROTATE_CCW, "undo", TEXT.get("job_header.take_the_last_entry_back_ctrl"), onUndo);
        redo = new IconButton(Feather.ROTATE_CW, "redo", TEXT.get("job_header.do_it_again_ctrl_y"), onRedo);
        getStyleClass().add("header");
        HBox.setHgrow(spine, Priority.ALWAYS);
        getChildren().addAll(back(onBack), spine, undo, redo, looks);
    }

    private Node back(Runnable onBack) {
        boat.getStyleClass().add("tag-boat");
        about.getStyleClass().add("tag-about");
        Button back = new Button("", new Column(1, boat, about));
        back.setId("to-bench");
        back.getStyleClass().add("leg-tag");
        back.accessibleTextProperty().bind(boat.textProperty().concat(TEXT.get("job_header.back_to_the_bench")));
        back.setOnAction(e -> onBack.run());
        back.setMinWidth(USE_PREF_SIZE);
        return back;
    }

    StationLine spine() {
        return spine;
    }

    /** A long name in two lines, broken at a space. */
    private static String lines(String title) {
        int space = title.length() <= LONG ? -1 : title.lastIndexOf(' ', Math.max(LONG, title.length() / 2 + 2));
        return space < 0 ? title : title.substring(0, space) + "\n" + title.substring(space + 1);
    }

    /** Shows which leg is on the desk and what undo would do. */
    void show(Desk desk) {
        Assessment now = desk.now();
        boat.setText(lines(now.job().leg().title()));
        String hours = now.job().reading(Field.ENGINE_HOURS).isPresent()
                ? " · "
                        + Display.exact(
                                Kind.RUNNING,
                                now.job().reading(Field.ENGINE_HOURS).getAsDouble(),
                                now.yard().reads())
                : "";
        about.setText(
                TEXT.get("job_header.job", now.sheet().title(), hours, now.job().id()));
        UndoLine line = desk.job().undoLine();
        undo.setDisable(line.undoable().isEmpty());
        redo.setDisable(line.redoable().isEmpty());
        line.undoable().ifPresent(e -> undo.getTooltip()
                .setText(TEXT.get("job_header.take_back_ctrl_z", FactWords.of(e.fact()))));
    }
}
