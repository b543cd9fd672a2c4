package mussel.desktop.verdict;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** Evidence as a bar: to the right it speaks for, to the left against; a full side is six bits. */
final class EvidenceBar extends Pane {
    static final double FULL_BITS = 6;
    private static final double HEIGHT = 14;

    private final double width;
    private final Rectangle bar = new Rectangle(0, 3, 1, HEIGHT - 6);

    EvidenceBar(double width) {
        this.width = width;
        setMinSize(width, HEIGHT);
        setPrefSize(width, HEIGHT);
        setMaxSize(width, HEIGHT);
        Line axis = new Line(width / 2, 0, width / 2, HEIGHT);
        axis.getStyleClass().add("axis");
        getChildren().addAll(bar, axis);
    }

    void show(double bits) {
        double middle = width / 2;
        double reach = Math.min(1, Math.abs(bits) / FULL_BITS) * (middle - 2);
        bar.setX(bits < 0 ? middle - reach : middle);
        bar.setWidth(Math.max(1, reach));
        bar.getStyleClass().setAll(bits < 0 ? "evidence-against" : "evidence-for");
    }
}
