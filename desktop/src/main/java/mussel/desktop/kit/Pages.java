package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** Pages of which one is shown. The others stay where they are, so that turning back to one does not style it anew. */
public final class Pages extends StackPane {
    /** Shows a page, taking it in if it is new. */
    public void show(Node page) {
        if (!getChildren().contains(page)) {
            getChildren().add(page);
        }
        for (Node child : getChildren()) {
            child.setManaged(child == page);
            child.setVisible(child == page);
        }
    }
}
