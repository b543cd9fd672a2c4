package mussel.core.estimate;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The cost of a repair as a distribution: what is certain, labour lognormal through its median and its 90th percentile, and every set of
 * doubtful parts with its probability. Exact but for the root finding of a percentile.
 */
final class RepairCost {
    private static final NormalDistribution NORMAL = new NormalDistribution();
    private static final double Z90 = NORMAL.inverseCumulativeProbability(0.9);
    private static final double SAME_SUM = 1e-9;
    private static final double NARROW = 1e-9;
    private static final int MOST_TURNS = 200;

    private final double certain;
    private final double logMedian;
    private final double sigma;
    private final double medianLabour;
    private final double[] sums;
    private final double[] weights;

    RepairCost(EstimateInput in) {
        this.certain = in.certain();
        this.medianLabour = in.labourPerH() * in.minutes().p50() / 60;
        this.logMedian = Math.log(medianLabour);
        this.sigma = Math.log(in.minutes().p90() / in.minutes().p50()) / Z90;
        List<double[]> sets = new ArrayList<>(List.of(new double[] {0, 1}));
        for (EstimateInput.Doubtful part : in.doubtful()) {
            sets = with(sets, part.price(), part.probability());
        }
        this.sums = sets.stream().mapToDouble(s -> s[0]).toArray();
        this.weights = sets.stream().mapToDouble(s -> s[1]).toArray();
    }

    /** Every set with and without one more part, in rising order; sets of the same sum together. */
    private static List<double[]> with(List<double[]> sets, double price, double p) {
        List<double[]> more = new ArrayList<>(2 * sets.size());
        int without = 0;
        int with = 0;
        while (without < sets.size() || with < sets.size()) {
            boolean first =
                    with >= sets.size() || (without < sets.size() && sets.get(without)[0] <= sets.get(with)[0] + price);
            double sum = first ? sets.get(without)[0] : sets.get(with)[0] + price;
            double weight = first ? sets.get(without++)[1] * (1 - p) : sets.get(with++)[1] * p;
            if (!more.isEmpty() && sum - more.get(more.size() - 1)[0] < SAME_SUM) {
                more.get(more.size() - 1)[1] += weight;
            } else if (weight > 0) {
                more.add(new double[] {sum, weight});
            }
        }
        return more;
    }

    /** Whether labour has no spread, or comes to less than the smallest sum told apart, so that the cost moves in steps. */
    private boolean stepped() {
        return sigma < NARROW || medianLabour < SAME_SUM;
    }

    /** The probability that it costs at most so much. */
    double atMost(double cost) {
        double p = 0;
        for (int i = 0; i < sums.length; i++) {
            p += weights[i] * labourAtMost(cost - certain - sums[i]);
        }
        return Math.min(1, p);
    }

    private double labourAtMost(double cost) {
        if (stepped()) {
            return cost >= medianLabour - SAME_SUM ? 1 : 0;
        }
        return cost <= 0 ? 0 : NORMAL.cumulativeProbability((Math.log(cost) - logMedian) / sigma);
    }

    /** The cost it stays at or below with that probability, between 0 and 1. */
    double quantile(double p) {
        if (stepped()) {
            double below = 0;
            for (int i = 0; i < sums.length; i++) {
                below += weights[i];
                if (below >= p - 1e-12) {
                    return certain + medianLabour + sums[i];
                }
            }
        }
        double low = certain + labourQuantile(p * 1e-3);
        double high = certain + sums[sums.length - 1] + labourQuantile(1 - (1 - p) * 1e-3);
        UnivariateFunction missing = cost -> atMost(cost) - p;
        return new BracketingNthOrderBrentSolver(1e-9, 1e-6, 1e-12, 5).solve(MOST_TURNS, missing, low, high);
    }

    private double labourQuantile(double p) {
        return Math.exp(logMedian + sigma * NORMAL.inverseCumulativeProbability(p));
    }
}
