package mussel.core.plan;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import mussel.core.plan.PlanResult.Minutes;
import mussel.core.sheet.Step;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How long steps take together: each a Beta-PERT with lambda 4 (Malcolm, Roseboom, Clark and Fazar 1959), and where something may have
 * seized, its extra minutes with that probability; the leg as a whole is quick or slow to work on. The mean is exact; the percentiles are those of seeded draws.
 */
final class Durations {
    /** Draws for the percentiles: enough that they hold to well under one percent between seeds. */
    static final int DRAWS = 20_000;

    private static final int GRID = 1_024;
    private static final double LAMBDA = 4;
    /**
     * How far a whole leg is quicker or slower to work on than its steps say (standard deviation of the logarithm): its screws, corrosion and
     * access touch every step alike, so the steps do not average it out. An estimate of the bench; 0.2 puts the nine-in-ten time some 30 % over
     * the middle one.
     */
    private static final double LEG_ALIKE = 0.2;

    /** The quantiles by mode: the steps of all sheets share a few dozen. */
    private static final Map<Double, double[]> SHAPES = new HashMap<>();

    private static final int MOST_SHAPES = 256;

    private Durations() {}

    /**
     * How quick or slow the whole leg is, one factor a draw: the middles of equally likely parts of the lognormal, so that percentiles hardly depend
     * on the seed. Its mean is one, so that the mean of the whole stays exact.
     */
    private static final class Leg {
        private static final double[] ALIKE = new double[DRAWS];

        static {
            NormalDistribution normal = new NormalDistribution();
            for (int i = 0; i < DRAWS; i++) {
                double z = normal.inverseCumulativeProbability((i + 0.5) / DRAWS);
                ALIKE[i] = Math.exp(LEG_ALIKE * z - LEG_ALIKE * LEG_ALIKE / 2);
            }
        }
    }

    static double mean(List<Step> steps, double saltYears) {
        return steps.stream().mapToDouble(s -> s.meanMinutes(saltYears)).sum();
    }

    /**
     * Steps of one leg.
     *
     * @param steps the steps
     * @param saltYears years the leg has been in salt
     */
    record OnLeg(List<Step> steps, double saltYears) {}

    static Minutes of(List<Step> steps, double saltYears, int seed) {
        return of(List.of(new OnLeg(steps, saltYears)), seed);
    }

    /** The same for legs in one go: those of a boat have been in the same water, so that one quick to work on has a quick sister. */
    static Minutes of(List<OnLeg> legs, int seed) {
        double[] total = new double[DRAWS];
        SplittableRandom random = new SplittableRandom(seed);
        double mean = 0;
        for (OnLeg leg : legs) {
            mean += mean(leg.steps(), leg.saltYears());
            for (Step step : leg.steps()) {
                add(total, step.minutes(), random);
                step.seizes().ifPresent(s -> {
                    double p = s.probability(leg.saltYears());
                    for (int i = 0; p > 0 && i < DRAWS; i++) {
                        total[i] += random.nextDouble() < p ? s.extraMin() : 0;
                    }
                });
            }
        }
        for (int i = 0; i < DRAWS; i++) {
            total[i] *= Leg.ALIKE[i];
        }
        Arrays.sort(total);
        return new Minutes(mean, total[DRAWS / 2], total[DRAWS * 9 / 10]);
    }

    private static void add(double[] total, Step.Minutes minutes, SplittableRandom random) {
        double width = minutes.high() - minutes.low();
        if (width <= 0) {
            for (int i = 0; i < DRAWS; i++) {
                total[i] += minutes.low();
            }
            return;
        }
        double[] quantile = shape((minutes.likely() - minutes.low()) / width);
        for (int i = 0; i < DRAWS; i++) {
            double at = random.nextDouble() * GRID;
            int below = (int) at;
            double share = quantile[below] + (at - below) * (quantile[below + 1] - quantile[below]);
            total[i] += minutes.low() + width * share;
        }
    }

    private static double[] shape(double mode) {
        synchronized (SHAPES) {
            if (SHAPES.size() > MOST_SHAPES) {
                SHAPES.clear();
            }
            return SHAPES.computeIfAbsent(mode, Durations::quantiles);
        }
    }

    /** Quantiles of the Beta-PERT on 0..1 with its mode there, at equal steps of probability from 0 to 1. */
    static double[] quantiles(double mode) {
        double a = LAMBDA * mode;
        double b = LAMBDA * (1 - mode);
        double[] below = new double[GRID + 1];
        for (int i = 0; i < GRID; i++) {
            double x = (i + 0.5) / GRID;
            below[i + 1] = below[i] + Math.pow(x, a) * Math.pow(1 - x, b);
        }
        double[] quantile = new double[GRID + 1];
        quantile[GRID] = 1;
        int cell = 0;
        for (int i = 1; i < GRID; i++) {
            double wanted = below[GRID] * i / GRID;
            while (below[cell + 1] < wanted) {
                cell++;
            }
            quantile[i] = (cell + (wanted - below[cell]) / (below[cell + 1] - below[cell])) / GRID;
        }
        return quantile;
    }
}
