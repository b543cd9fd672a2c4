package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** Pages of which one is shown. The others stay where they are, so that turning back to one does not style it anew. */
public final class Pages extends StackPane {
    /** Pages that may be made as narrow as there is room: what does not fit is scrolled or shortened, never pushed out of sight. */
    public Pages() {
        setMinWidth(0);
    }

    /** Takes a page in without showing it, styled and laid out, so that turning to it is quick. */
    public void keep(Region page) {
        page.setVisible(false);
        page.setManaged(false);
        take(page);
        page.applyCss();
        page.resize(getWidth(), Math.max(getHeight(), page.prefHeight(getWidth())));
        page.layout();
    }

    /** Lets go of every page that is not shown; they are made anew when they are wanted. */
    public void keepOnlyShown() {
        getChildren().removeIf(page -> !page.isVisible());
    }

    private void take(Node page) {
        if (!getChildren().contains(page)) {
            if (page instanceof Region region) {
                region.setMinWidth(0);
            }
            getChildren().add(page);
        }
    }

    /** Shows a page, taking it in if it is new. */
    public void show(Node page) {
        take(page);
        for (Node child : getChildren()) {
            child.setManaged(child == page);
            child.setVisible(child == page);
        }
    }
}
