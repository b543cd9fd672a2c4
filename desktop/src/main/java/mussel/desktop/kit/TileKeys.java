package mussel.desktop.kit;

import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;

/** The figures pick among tiles: 1 the first, 2 the second. */
final class TileKeys {
    private TileKeys() {}

    /** With a tile of the row focused, a figure picks its tile. */
    static void on(Pane tiles) {
        tiles.addEventHandler(KeyEvent.KEY_TYPED, e -> pick(tiles, e));
    }

    private static void pick(Pane tiles, KeyEvent e) {
        if (e.getCharacter().length() != 1) {
            return;
        }
        int index = e.getCharacter().charAt(0) - '1';
        if (index >= 0 && index < tiles.getChildren().size()) {
            ToggleButton tile = (ToggleButton) tiles.getChildren().get(index);
            tile.requestFocus();
            tile.fire();
            e.consume();
        }
    }
}
