package mussel.desktop.cutaway;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.geometry.Bounds;
import javafx.scene.shape.SVGPath;

/** How the room for the oil fills: the share of its area below each height, sampled once from its outline. */
final class Cavity {
    private static final double GRID = 3;
    /** Sampled once for each outline there is; a handful of families. */
    private static final Map<String, Cavity> SAMPLED = new ConcurrentHashMap<>();

    private final double top;
    private final double[] below;

    /** How the room of this outline fills; {@code vent} is the height the oil stands to when the case is full. */
    static Cavity of(SVGPath outline, double vent) {
        return SAMPLED.computeIfAbsent(outline.getContent(), path -> new Cavity(outline, vent));
    }

    private Cavity(SVGPath outline, double vent) {
        Bounds b = outline.getBoundsInLocal();
        int rows = (int) Math.ceil((b.getMaxY() - vent) / GRID);
        double[] area = new double[rows + 1];
        double sum = 0;
        for (int row = rows - 1; row >= 0; row--) {
            double y = vent + (row + 0.5) * GRID;
            for (double x = b.getMinX() + GRID / 2; x < b.getMaxX(); x += GRID) {
                if (outline.contains(x, y)) {
                    sum++;
                }
            }
            area[row] = sum;
        }
        for (int row = 0; row <= rows; row++) {
            area[row] = sum == 0 ? 0 : area[row] / sum;
        }
        this.top = vent;
        this.below = area;
    }

    /** The height at which the lowest {@code share} of the room ends, in the drawing's coordinates. */
    double level(double share) {
        if (share > 1) {
            return top - 6;
        }
        for (int row = below.length - 1; row >= 0; row--) {
            if (below[row] >= share) {
                return top + row * GRID;
            }
        }
        return top;
    }

    double bottom() {
        return top + below.length * GRID;
    }
}
