package mussel.desktop.cutaway;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.Shape;

/**
 * What fills a hollow, cut to its outline once. JavaFX draws a clip that is no rectangle over an image of its own at every frame, and keeps an image for
 * each size there was.
 */
public final class Inside {
    private Inside() {}

    /** Nodes cut to an outline: rectangles to its edge, anything smaller left out where its middle is beyond. All in the same coordinates. */
    public static List<Node> of(Shape outline, List<Node> nodes) {
        return nodes.stream()
                .filter(n -> n instanceof Rectangle || outline.contains(middle(n)))
                .map(n -> n instanceof Rectangle filled ? cut(outline, filled) : n)
                .toList();
    }

    private static Point2D middle(Node node) {
        return new Point2D(
                node.getBoundsInParent().getCenterX(), node.getBoundsInParent().getCenterY());
    }

    private static Node cut(Shape outline, Rectangle filled) {
        Shape cut = Shape.intersect(outline, filled);
        cut.setFill(filled.getFill());
        cut.setStroke(null);
        cut.getStyleClass().setAll(filled.getStyleClass());
        cut.setId(filled.getId());
        return cut;
    }
}
