package mussel.desktop;

import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ToggleButton;
import mussel.desktop.kit.QuantityField;

/** Hands on a page that stands in no window. */
public final class Pressing {
    private Pressing() {}

    /** Picks a tile or presses a button. */
    public static void press(Node page, String id) {
        if (page.lookup(id) instanceof ToggleButton toggle) {
            toggle.setSelected(true);
        } else {
            ((ButtonBase) page.lookup(id)).fire();
        }
    }

    /** Types into a field and finishes the entry. */
    public static void type(Node page, String id, String text) {
        QuantityField field = (QuantityField) page.lookup(id);
        field.text().setText(text);
        field.text().fireEvent(new ActionEvent());
    }

    /** Every word of a page. */
    public static String words(Node page) {
        return java.util.stream.Stream.concat(page.lookupAll(".label").stream(), page.lookupAll(".tile").stream())
                .map(n -> ((javafx.scene.control.Labeled) n).getText())
                .reduce("", (a, b) -> a + "\n" + b);
    }
}
