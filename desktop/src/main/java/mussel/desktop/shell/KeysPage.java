package mussel.desktop.shell;

import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import mussel.desktop.kit.Texts;

/** The list of keys on F1. */
final class KeysPage extends VBox {
    private static final String[][] KEYS = {
        {"F1", "this list"},
        {"F3", "why is the figure at hand what it is"},
        {"F6", "larger for gloves, and back"},
        {"F7", "light or dark"},
        {"F8", "metric (ml, mm, N·m, kPa, °C, g) or US units (fl oz, in, lbf·in, psi, °F, oz)"},
        {"Ctrl Z", "take the last entry back"},
        {"Ctrl Y", "do it again"},
        {"Ctrl B", "the bench"},
        {"Ctrl L", "the book: logbook, due, lives, plan, data"},
        {"Ctrl N", "take in a leg"},
        {"Ctrl F", "find a leg"},
        {"Ctrl 1 to 9", "the stations in working order"},
        {"1 to 9", "pick on the scale that has the focus"},
        {"Enter", "finish a figure"},
        {"Esc", "leave a figure as it was; close this list"},
    };

    KeysPage() {
        super(12);
        getStyleClass().addAll("station", "sheet-over");
        setId("keys");
        GridPane grid = new GridPane(26, 6);
        for (int i = 0; i < KEYS.length; i++) {
            grid.addRow(i, Texts.wrapped(KEYS[i][0], "strong"), Texts.sentence(KEYS[i][1]));
        }
        getChildren()
                .addAll(
                        Texts.title("Keys"),
                        grid,
                        Texts.dim(
                                "Figures take any unit: 9 psi, 1,2 l, 70 in-lb, 14 thou, 1 h 20 min. Blank means not measured."));
    }
}
