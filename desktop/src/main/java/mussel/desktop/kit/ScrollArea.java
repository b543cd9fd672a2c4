package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;

/**
 * A scroll pane that keeps no picture of what it shows. The library's own draws its content into a picture of the viewport's size first, anew at each
 * change: three megabytes a station, and each frame drawn twice.
 */
public class ScrollArea extends ScrollPane {
    private static final String VIEWPORT = "viewport";

    /** A pane that scrolls that content. */
    public ScrollArea(Node content) {
        super(content);
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        Skin<?> skin = super.createDefaultSkin();
        keepNoPicture(this);
        return skin;
    }

    /** Has a pane that has its skin keep no picture of its content. */
    static void keepNoPicture(ScrollPane pane) {
        pane.getChildrenUnmodifiable().stream()
                .filter(child -> child.getStyleClass().contains(VIEWPORT))
                .forEach(viewport -> viewport.setCache(false));
    }
}
