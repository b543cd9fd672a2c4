package mussel.desktop.kit;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/**
 * Heights measured for the widths asked last. What wraps is measured anew each time it is asked how high it is at a width, at every level it stands in, and
 * a page's words are asked many times over in one layout. Whoever keeps heights forgets them with each request for layout.
 */
final class Heights {
    private static final int KEPT = 3;

    private final double[] widths = new double[KEPT];
    private final double[] heights = new double[KEPT];
    private int next;

    Heights() {
        forget();
    }

    /** The height at a width (px), measured where it is not known. */
    double at(double width, DoubleUnaryOperator measure) {
        for (int i = 0; i < KEPT; i++) {
            if (widths[i] == width) {
                return heights[i];
            }
        }
        double height = measure.applyAsDouble(width);
        widths[next] = width;
        heights[next] = height;
        next = (next + 1) % KEPT;
        return height;
    }

    /** What was measured may have changed. */
    void forget() {
        Arrays.fill(widths, Double.NaN);
    }
}
