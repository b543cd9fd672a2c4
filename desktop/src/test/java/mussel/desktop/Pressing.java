package mussel.desktop;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;

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

    /** Every word of a page. */
    public static String words(Node page) {
        return page.lookupAll(".label").stream().map(n -> ((Label) n).getText()).reduce("", (a, b) -> a + "\n" + b);
    }
}
