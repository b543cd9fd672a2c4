package mussel.bench;

import java.util.Arrays;

/**
 * One measured figure.
 *
 * @param name what
 * @param value how much
 * @param unit of what
 * @param wanted what was asked for, in words; empty where nothing was
 */
record Measured(String name, double value, String unit, String wanted) {
    /** The value below which the share of the samples lies. */
    static double quantile(double[] samples, double share) {
        double[] sorted = samples.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.min(sorted.length - 1L, Math.max(0, Math.ceil(share * sorted.length) - 1))];
    }
}
