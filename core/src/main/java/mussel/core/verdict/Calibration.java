package mussel.core.verdict;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;

/**
 * How often the tables were right: what was expected of causes against what was found when the case was open.
 *
 * @param judged how many causes were looked at
 * @param brier the mean squared error of the probabilities (Brier 1950); 0 is perfect
 * @param brierOfPriors the same for the priors alone: what the findings were worth
 * @param bins expected against found
 */
public record Calibration(int judged, double brier, double brierOfPriors, List<Bin> bins) {
    /** Fewer than this many say nothing of the tables. */
    public static final int ENOUGH = 20;

    private static final int BINS = 5;
    private static final double CONFIDENCE = 0.95;

    /** Keeps its own copy. */
    public Calibration {
        bins = List.copyOf(bins);
    }

    /**
     * One cause that was looked at.
     *
     * @param cause which
     * @param expected its probability before the case was open
     * @param prior its probability before anything was known
     * @param found whether it was there
     */
    public record Judged(String cause, double expected, double prior, boolean found) {}

    /**
     * Causes expected about alike.
     *
     * @param count how many
     * @param expected their mean probability
     * @param found the share that was there
     * @param low lower 95 % bound of that share (Wilson 1927)
     * @param high upper bound
     */
    public record Bin(int count, double expected, double found, double low, double high) {}

    /** Compares; without any judged cause both scores are NaN. */
    public static Calibration of(List<Judged> all) {
        List<Bin> bins = new ArrayList<>();
        for (int b = 0; b < BINS; b++) {
            double from = b / (double) BINS;
            double to = (b + 1) / (double) BINS;
            boolean last = b == BINS - 1;
            List<Judged> in = all.stream()
                    .filter(j -> j.expected() >= from && (j.expected() < to || last))
                    .toList();
            if (!in.isEmpty()) {
                bins.add(bin(in));
            }
        }
        return new Calibration(
                all.size(),
                all.stream()
                        .mapToDouble(j -> squared(j.expected(), j.found()))
                        .average()
                        .orElse(Double.NaN),
                all.stream()
                        .mapToDouble(j -> squared(j.prior(), j.found()))
                        .average()
                        .orElse(Double.NaN),
                bins);
    }

    private static double squared(double p, boolean found) {
        double off = p - (found ? 1 : 0);
        return off * off;
    }

    private static Bin bin(List<Judged> in) {
        int found = (int) in.stream().filter(Judged::found).count();
        ConfidenceInterval wilson =
                BinomialProportion.getWilsonScoreInterval(in.size(), found / (double) in.size(), CONFIDENCE);
        return new Bin(
                in.size(),
                in.stream().mapToDouble(Judged::expected).average().orElseThrow(),
                found / (double) in.size(),
                wilson.getLowerBound(),
                wilson.getUpperBound());
    }
}
