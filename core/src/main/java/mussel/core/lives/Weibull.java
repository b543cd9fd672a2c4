package mussel.core.lives;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import mussel.core.lives.LivesInput.Life;
import mussel.core.lives.LivesResult.Bounded;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;

/**
 * Weibull lives by maximum likelihood, right-censored ones among them, with profile-likelihood bounds (Meeker and Escobar, Statistical
 * Methods for Reliability Data, 1998, chapter 8). Needs two failures at least, and lives that differ. Times are held as shares of the
 * longest, so that no power overflows.
 */
final class Weibull {
    private static final double LEAST_SHAPE = 0.02;
    private static final double MOST_SHAPE = 200;
    private static final int MOST_STEPS = 500;
    private static final double AS_NEAR = 1e-11;
    /** The share that has failed by the scale: 1 - 1/e. */
    private static final double AT_SCALE = -Math.expm1(-1);

    private final double[] shares;
    private final boolean[] failed;
    private final int failures;
    private final double longest;
    private final double sumLogFailed;
    private final double shape;
    private final double scale;
    private final double most;
    private final double drop;

    Weibull(List<Life> lives, double confidence) {
        this.longest = lives.stream().mapToDouble(Life::hours).max().orElseThrow();
        this.shares = lives.stream().mapToDouble(l -> l.hours() / longest).toArray();
        this.failed = new boolean[shares.length];
        double sum = 0;
        int count = 0;
        for (int i = 0; i < shares.length; i++) {
            failed[i] = lives.get(i).failed();
            if (failed[i]) {
                sum += Math.log(shares[i]);
                count++;
            }
        }
        this.failures = count;
        this.sumLogFailed = sum;
        this.shape = new BrentSolver(AS_NEAR).solve(MOST_STEPS, this::score, LEAST_SHAPE, MOST_SHAPE);
        this.scale = Math.pow(powers(shape) / failures, 1 / shape);
        this.most = logLikelihood(shape, scale);
        this.drop = new ChiSquaredDistribution(1).inverseCumulativeProbability(confidence) / 2;
    }

    /** Whether the likelihood has a maximum inside: two failures, not all lives the same. */
    static boolean fits(List<Life> lives) {
        List<Life> dead = lives.stream().filter(Life::failed).toList();
        double longest = lives.stream().mapToDouble(Life::hours).max().orElse(0);
        return dead.size() >= 2 && dead.stream().anyMatch(l -> l.hours() < longest * (1 - 1e-9));
    }

    /** The shape's likelihood equation, rising in the shape. */
    private double score(double b) {
        double weighted = 0;
        double all = 0;
        for (double share : shares) {
            double power = Math.pow(share, b);
            weighted += power * Math.log(share);
            all += power;
        }
        return weighted / all - 1 / b - sumLogFailed / failures;
    }

    private double powers(double b) {
        double sum = 0;
        for (double share : shares) {
            sum += Math.pow(share, b);
        }
        return sum;
    }

    private double logLikelihood(double b, double eta) {
        return failures * (Math.log(b) - b * Math.log(eta)) + (b - 1) * sumLogFailed - powers(b) / Math.pow(eta, b);
    }

    double logLikelihood() {
        return most - failures * Math.log(longest);
    }

    Bounded shape() {
        DoubleUnaryOperator profile = b -> logLikelihood(b, Math.pow(powers(b) / failures, 1 / b));
        return new Bounded(
                shape,
                bound(profile, shape, LEAST_SHAPE / shape, 0.8),
                bound(profile, shape, MOST_SHAPE / shape, 1.25));
    }

    Bounded scale() {
        return quantile(AT_SCALE);
    }

    /** The age by which that share has failed. */
    Bounded quantile(double share) {
        double at = scale * Math.pow(-Math.log1p(-share), 1 / shape);
        DoubleUnaryOperator profile = t -> bestShape(b -> logLikelihood(b, etaFrom(t, share, b)));
        return new Bounded(
                at * longest, bound(profile, at, 1e-9, 0.8) * longest, bound(profile, at, 1e9, 1.25) * longest);
    }

    /** The share that has failed by an age. */
    Bounded failedBy(double hours) {
        double t = hours / longest;
        double exponent = Math.pow(t / scale, shape);
        DoubleUnaryOperator profile = h -> bestShape(b -> logLikelihood(b, t / Math.pow(h, 1 / b)));
        return new Bounded(
                -Math.expm1(-exponent),
                -Math.expm1(-bound(profile, exponent, 1e-12, 0.5)),
                -Math.expm1(-bound(profile, exponent, 1e12, 2)));
    }

    private static double etaFrom(double t, double share, double b) {
        return t / Math.pow(-Math.log1p(-share), 1 / b);
    }

    /** The likelihood at its best over the shape, searched over the shape's logarithm. */
    private double bestShape(DoubleUnaryOperator ofShape) {
        UnivariatePointValuePair best = new BrentOptimizer(1e-9, 1e-12)
                .optimize(
                        new MaxEval(MOST_STEPS),
                        GoalType.MAXIMIZE,
                        new UnivariateObjectiveFunction(log -> finite(ofShape.applyAsDouble(Math.exp(log)))),
                        new SearchInterval(
                                Math.log(LEAST_SHAPE), Math.log(MOST_SHAPE), Math.log(Math.min(shape, MOST_SHAPE))));
        return best.getValue();
    }

    private static double finite(double value) {
        return Double.isFinite(value) ? value : -1e300;
    }

    /** Where the profile has fallen by the drop, stepping away from its best by a factor until it is passed, no further than the end. */
    private double bound(DoubleUnaryOperator profile, double best, double end, double factor) {
        double near = best;
        double far = best * factor;
        double last = best * end;
        while (profile.applyAsDouble(far) > most - drop) {
            near = far;
            far *= factor;
            if (factor < 1 ? far < last : far > last) {
                return last;
            }
        }
        return new BrentSolver(1e-10, AS_NEAR)
                .solve(
                        MOST_STEPS,
                        x -> finite(profile.applyAsDouble(x)) - (most - drop),
                        Math.min(near, far),
                        Math.max(near, far));
    }
}
