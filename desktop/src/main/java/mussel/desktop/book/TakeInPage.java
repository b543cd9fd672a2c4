package mussel.desktop.book;

import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mussel.desktop.desk.Incoming;
import mussel.desktop.kit.Texts;

/** What a file would change, before it is taken in. */
public final class TakeInPage extends VBox {
    private static final int MOST_LINES = 200;

    /** A file, with what to do when it is taken or left. */
    public TakeInPage(Incoming incoming, Runnable onTake, Runnable onLeave) {
        super(10);
        getStyleClass().addAll("station", "sheet-over");
        setId("take-in-file-page");
        VBox lines = new VBox(4);
        (incoming.sound() ? incoming.says() : incoming.refused())
                .stream().limit(MOST_LINES).forEach(l -> lines.getChildren().add(Texts.sentence(l)));
        ScrollPane scroll = new ScrollPane(lines);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(320);
        Button take = new Button("Take it in");
        take.setId("take-in-file-do");
        take.getStyleClass().add("act");
        take.setDisable(!incoming.sound() || !incoming.changes());
        take.setOnAction(e -> onTake.run());
        Button leave = new Button("Leave it");
        leave.setId("take-in-file-leave");
        leave.setOnAction(e -> onLeave.run());
        String verdict = !incoming.sound()
                ? "Nothing of it was taken in:"
                : incoming.changes() ? "This would change:" : "Everything in it is here already.";
        getChildren()
                .addAll(
                        Texts.title(incoming.file().getFileName().toString()),
                        Texts.heading(verdict),
                        scroll,
                        new HBox(10, take, leave));
    }
}
