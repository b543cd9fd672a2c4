package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Says over every station that the sheet of the leg has been changed since the job went by it last, and what is different. */
final class SheetNotice extends Column {
    private static final Messages TEXT = Messages.of(SheetNotice.class);

    private static final int MOST = 4;

    private final Desk desk;
    private final Column lines = new Column(1);

    SheetNotice(Desk desk) {
        super(4);
        this.desk = desk;
        setId("sheet-changed");
        getStyleClass().addAll("card", "card-info");
        managedProperty().bind(visibleProperty());
        setVisible(false);
        Button seen = new Button(TEXT.get("sheet_notice.seen_ctrl_k"));
        seen.setId("sheet-seen");
        seen.setAccessibleText(TEXT.get("sheet_notice.seen_the_job_goes_by_the"));
        seen.setMinWidth(USE_PREF_SIZE);
        seen.setOnAction(e -> desk.goByNewSheet());
        HBox.setHgrow(lines, Priority.ALWAYS);
        getChildren().add(new Row(10, lines, seen));
    }

    /** It was seen; says whether there was anything to see. */
    boolean seen() {
        boolean shown = isVisible();
        if (shown) {
            desk.goByNewSheet();
        }
        return shown;
    }

    /** Shows what is different now; nothing where nothing is. */
    void show() {
        List<String> changed = desk.sheetChanges();
        setVisible(!changed.isEmpty());
        if (changed.isEmpty()) {
            return;
        }
        List<Node> shown = new ArrayList<>();
        shown.add(Texts.wrapped(TEXT.get("sheet_notice.the_sheet_of_this_leg_was"), "strong"));
        changed.stream().limit(MOST).map(Texts::sentence).forEach(shown::add);
        if (changed.size() > MOST) {
            shown.add(Texts.dim(TEXT.get("sheet_notice.and_more_the_book_sheets_has", (changed.size() - MOST))));
        }
        lines.getChildren().setAll(shown);
    }
}
