package mussel.desktop.shell;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.PageKeys;

/** A page that lies over the window: it has the focus and its own keys while it does, and gives the focus back. */
final class Overlay {
    private static final double WIDEST = 660;

    private final StackPane window;
    private final Node below;
    /** What had the focus before something lay over it. */
    private Optional<Node> focused = Optional.empty();

    /**
     * Room for a page over a window.
     *
     * @param below what it lies over
     */
    Overlay(StackPane window, Node below) {
        this.window = window;
        this.below = below;
    }

    void show(Region page) {
        if (!shown()) {
            focused = Optional.ofNullable(window.getScene()).map(scene -> scene.getFocusOwner());
        }
        window.getChildren().setAll(below);
        StackPane veil = new StackPane(page);
        veil.getStyleClass().add("veil");
        page.setMaxSize(WIDEST, Region.USE_PREF_SIZE);
        veil.setOnMouseClicked(e -> {
            if (e.getTarget() == veil) {
                close();
            }
        });
        PageKeys.on(veil, () -> page);
        window.getChildren().add(veil);
        // What is scrolled stands in the window once it is styled, and cannot be focused before.
        veil.applyCss();
        page.requestFocus();
        FocusStops.of(page).first().ifPresent(Node::requestFocus);
    }

    void close() {
        if (shown()) {
            window.getChildren().setAll(below);
            focused.filter(n -> n.getScene() != null).ifPresent(Node::requestFocus);
            focused = Optional.empty();
        }
    }

    boolean shown() {
        return window.getChildren().size() > 1;
    }
}
