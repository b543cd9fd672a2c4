package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.GridPane;
import mussel.core.language.Messages;
import mussel.desktop.desk.StationView.Key;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;

/** The list of keys on F1: those that work where it was called. */
final class KeysPage extends Column {
    private static final Messages TEXT = Messages.of(KeysPage.class);

    private static final List<Key> ON_A_PAGE = List.of(
            new Key("Tab, Shift Tab", "next field, previous field"),
            new Key("Enter", "enter and go to the next open field"),
            new Key("1 to 9", "choose on the focused scale and go on"),
            new Key("Delete", "clear a choice"),
            new Key("a figure", "typing goes into the next open field"),
            new Key("Esc", "cancel editing; close this list"));

    /**
     * The list.
     *
     * @param where what it is a list for, as it stands in its title
     * @param own the keys of the station shown
     * @param around the keys of the window
     */
    KeysPage(String where, List<Key> own, List<Key> around) {
        super(12);
        getStyleClass().addAll("station", "sheet-over");
        setId("keys");
        getChildren().add(Texts.title(TEXT.get("keys_page.keys", where)));
        List<Key> page = new ArrayList<>(own);
        page.addAll(ON_A_PAGE);
        getChildren().addAll(grid(page), Texts.heading(TEXT.get("keys_page.everywhere_here")), grid(around));
        getChildren().add(Texts.dim(TEXT.get("keys_page.figures_take_any_unit_9_psi")));
    }

    private static GridPane grid(List<Key> keys) {
        GridPane grid = new GridPane(26, 4);
        for (int i = 0; i < keys.size(); i++) {
            grid.addRow(
                    i,
                    Texts.wrapped(keys.get(i).stroke(), "strong"),
                    Texts.sentence(keys.get(i).does()));
        }
        return grid;
    }
}
