package mussel.core.log;

import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;

/**
 * How many of so many.
 *
 * @param of how many there were
 * @param were how many of them
 */
public record Share(int of, int were) {
    private static final double CONFIDENCE = 0.95;

    /** The bounds of the share, 95 % (Wilson 1927); of nothing, everything is possible. */
    public double[] bounds() {
        if (of == 0) {
            return new double[] {0, 1};
        }
        ConfidenceInterval wilson = BinomialProportion.getWilsonScoreInterval(of, were / (double) of, CONFIDENCE);
        return new double[] {Math.max(0, wilson.getLowerBound()), Math.min(1, wilson.getUpperBound())};
    }
}
