package mussel.desktop.verdict;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** Evidence as a bar: to the right it speaks for, to the left against; a full side is six bits. */
public final class EvidenceBar extends Pane {
    private static final double FULL_BITS = 6;
    private static final double HEIGHT = 14;

    private final double bits;

    /** A bar of so many bits. */
    public EvidenceBar(double bits, double width) {
        this.bits = bits;
        setMinSize(width, HEIGHT);
        setPrefSize(width, HEIGHT);
        setMaxSize(width, HEIGHT);
        double middle = width / 2;
        double reach = Math.min(1, Math.abs(bits) / FULL_BITS) * (middle - 2);
        Rectangle bar = new Rectangle(bits < 0 ? middle - reach : middle, 3, Math.max(1, reach), HEIGHT - 6);
        bar.getStyleClass().add(bits < 0 ? "evidence-against" : "evidence-for");
        Line axis = new Line(middle, 0, middle, HEIGHT);
        axis.getStyleClass().add("axis");
        getChildren().addAll(bar, axis);
    }

    /** How many bits it shows. */
    public double bits() {
        return bits;
    }
}
