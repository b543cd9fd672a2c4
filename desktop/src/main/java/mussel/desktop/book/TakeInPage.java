package mussel.desktop.book;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.work.shop.ImportPreview;

/** What a file would change, before it is taken in; then how far that is. */
public final class TakeInPage extends Column {
    private static final Messages TEXT = Messages.of(TakeInPage.class);

    private static final int MOST_LINES = 200;

    private final Button take = new Button("Import");
    private final Button leave = new Button("Cancel");

    /** A file, with what to do when it is taken or left. */
    public TakeInPage(ImportPreview incoming, Runnable onTake, Runnable onLeave) {
        super(10);
        getStyleClass().addAll("station", "sheet-over");
        setId("take-in-file-page");
        List<String> says = incoming.sound() ? incoming.says() : incoming.refused();
        VBox lines = new Column(4);
        says.stream().limit(MOST_LINES).forEach(l -> lines.getChildren().add(Texts.sentence(l)));
        if (says.size() > MOST_LINES) {
            lines.getChildren().add(Texts.dim(TEXT.get("take_in_page.and_more", (says.size() - MOST_LINES))));
        }
        ScrollPane scroll = new ScrollArea(lines);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(320);
        take.setId("take-in-file-do");
        take.getStyleClass().add("act");
        take.setDisable(!incoming.sound() || !incoming.changes());
        take.setOnAction(e -> onTake.run());
        leave.setId("take-in-file-leave");
        leave.setOnAction(e -> onLeave.run());
        String verdict = !incoming.sound()
                ? TEXT.get("take_in_page.nothing_of_it_was_taken_in")
                : incoming.changes()
                        ? TEXT.get("take_in_page.this_would_change")
                        : TEXT.get("take_in_page.everything_in_it_is_here_already");
        HBox actions = new Row(10, take, leave);
        actions.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        getChildren()
                .addAll(Texts.title(incoming.file().getFileName().toString()), Texts.heading(verdict), scroll, actions);
    }
}
