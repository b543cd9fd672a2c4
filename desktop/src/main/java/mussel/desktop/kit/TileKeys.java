package mussel.desktop.kit;

import javafx.event.EventTarget;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;

/** Keys among tiles: 1 picks the first and 2 the second, arrows move, Enter answers, Delete takes the answer back. */
final class TileKeys {
    private final Pane tiles;
    private final boolean one;

    private TileKeys(Pane tiles, boolean one) {
        this.tiles = tiles;
        this.one = one;
    }

    /** Gives a row of tiles its keys; where one answer is all there is, a figure goes on to the next question. */
    static void on(Pane tiles, boolean one) {
        TileKeys keys = new TileKeys(tiles, one);
        tiles.addEventHandler(KeyEvent.KEY_TYPED, keys::typed);
        tiles.addEventFilter(KeyEvent.KEY_PRESSED, keys::pressed);
    }

    private void typed(KeyEvent e) {
        if (e.getCharacter().length() != 1 || e.isShortcutDown()) {
            return;
        }
        int index = e.getCharacter().charAt(0) - '1';
        if (index < 0 || index >= tiles.getChildren().size()) {
            return;
        }
        ToggleButton tile = (ToggleButton) tiles.getChildren().get(index);
        tile.requestFocus();
        if (!one || !tile.isSelected()) {
            tile.fire();
        }
        e.consume();
        if (one) {
            tile.fireEvent(new AnsweredByKey());
        }
    }

    private void pressed(KeyEvent e) {
        int at = index(e.getTarget());
        if (at < 0 || e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        int there =
                switch (e.getCode()) {
                    case LEFT, KP_LEFT -> at - 1;
                    case RIGHT, KP_RIGHT -> at + 1;
                    default -> at;
                };
        if (there != at) {
            tiles.getChildren()
                    .get(Math.floorMod(there, tiles.getChildren().size()))
                    .requestFocus();
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER) {
            ToggleButton tile = (ToggleButton) tiles.getChildren().get(at);
            if (one && !tile.isSelected()) {
                tile.fire();
            }
            e.consume();
            tile.fireEvent(new AnsweredByKey());
        } else if (e.getCode() == KeyCode.DELETE || e.getCode() == KeyCode.BACK_SPACE) {
            clear();
            e.consume();
        }
    }

    /** What was picked is taken back: not answered. */
    private void clear() {
        tiles.getChildren().stream()
                .map(ToggleButton.class::cast)
                .filter(ToggleButton::isSelected)
                .forEach(ToggleButton::fire);
    }

    private int index(EventTarget target) {
        return tiles.getChildren().indexOf(target);
    }
}
