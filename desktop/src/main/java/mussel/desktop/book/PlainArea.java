package mussel.desktop.book;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import mussel.desktop.kit.TextLines;

/** Room for several lines in which a Tab leads on, as anywhere else; those of a spreadsheet come by pasting. */
final class PlainArea extends TextLines {
    PlainArea() {
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.TAB && !e.isControlDown()) {
                e.consume();
                fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.TAB, e.isShiftDown(), true, false, false));
            }
        });
    }
}
