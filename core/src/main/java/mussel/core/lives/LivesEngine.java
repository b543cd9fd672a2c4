package mussel.core.lives;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.lives.LivesResult.CostPoint;
import mussel.core.lives.LivesResult.Fit;
import org.hipparchus.special.Gamma;

/**
 * Fits lives and judges intervals. Cost per hour of replacing at age T (Barlow and Proschan, Mathematical Theory of Reliability, 1965,
 * chapter 4): {@code (planned * R(T) + failure * F(T)) / integral of R from 0 to T}.
 */
public final class LivesEngine {
    /** Fewer failures than this fit nothing. */
    public static final int LEAST_FAILURES = 3;

    private static final int POINTS = 60;
    /** Intervals are looked at up to this multiple of the scale. */
    private static final double FURTHEST = 2.5;

    private LivesEngine() {}

    /** What the lives come to. With fewer than {@link #LEAST_FAILURES} failures there is no fit. */
    public static LivesResult run(LivesInput in) {
        double hours = in.lives().stream().mapToDouble(LivesInput.Life::hours).sum();
        if (in.failures() < LEAST_FAILURES || !Weibull.fits(in.lives())) {
            return new LivesResult(
                    in.lives().size(),
                    in.failures(),
                    hours,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    Optional.empty());
        }
        Weibull weibull = new Weibull(in.lives(), in.confidence());
        Fit fit = new Fit(weibull.scale(), weibull.shape(), weibull.logLikelihood());
        List<CostPoint> costs = costs(in, fit);
        Optional<LivesResult.Calendar> calendar = Optional.empty();
        if (in.calendarMonths().isPresent() && in.hoursPerMonth().isPresent()) {
            double at = in.calendarMonths().getAsDouble() * in.hoursPerMonth().getAsDouble();
            calendar = Optional.of(new LivesResult.Calendar(at, weibull.failedBy(at), cost(in, fit, at)));
        }
        return new LivesResult(
                in.lives().size(),
                in.failures(),
                hours,
                Optional.of(fit),
                Optional.of(weibull.quantile(in.risk())),
                calendar,
                costs,
                cheapest(in, fit, costs));
    }

    private static List<CostPoint> costs(LivesInput in, Fit fit) {
        List<CostPoint> costs = new ArrayList<>();
        for (int i = 1; i <= POINTS; i++) {
            double at = fit.scale().value() * FURTHEST * i / POINTS;
            OptionalDouble cost = cost(in, fit, at);
            if (cost.isPresent()) {
                costs.add(new CostPoint(at, fit.failedBy(at), cost.getAsDouble()));
            }
        }
        return costs;
    }

    /** The cost per hour of replacing at an age; empty without both costs. */
    static OptionalDouble cost(LivesInput in, Fit fit, double at) {
        if (in.plannedCost().isEmpty() || in.failureCost().isEmpty()) {
            return OptionalDouble.empty();
        }
        double failed = fit.failedBy(at);
        double spent =
                in.plannedCost().getAsDouble() * (1 - failed) + in.failureCost().getAsDouble() * failed;
        return OptionalDouble.of(spent / meanAge(fit, at));
    }

    /** The mean age at which a part goes, by failure or by plan: the integral of R, by the incomplete gamma function. */
    static double meanAge(Fit fit, double at) {
        double inverse = 1 / fit.shape().value();
        double exponent = Math.pow(at / fit.scale().value(), fit.shape().value());
        return fit.scale().value() * inverse * Gamma.gamma(inverse) * Gamma.regularizedGammaP(inverse, exponent);
    }

    /** The cheapest interval by a finer search around the best point; none where waiting for the failure is as cheap. */
    private static Optional<CostPoint> cheapest(LivesInput in, Fit fit, List<CostPoint> costs) {
        Optional<CostPoint> best = costs.stream().min(Comparator.comparingDouble(CostPoint::costPerHour));
        if (best.isEmpty() || best.get().hours() >= fit.scale().value() * FURTHEST * (1 - 1e-9)) {
            return Optional.empty();
        }
        double step = fit.scale().value() * FURTHEST / POINTS;
        double from = Math.max(step / POINTS, best.get().hours() - step);
        CostPoint finest = best.get();
        for (int i = 0; i <= 2 * POINTS; i++) {
            double at = from + (best.get().hours() + step - from) * i / (2 * POINTS);
            double cost = cost(in, fit, at).orElseThrow();
            if (cost < finest.costPerHour()) {
                finest = new CostPoint(at, fit.failedBy(at), cost);
            }
        }
        double never = in.failureCost().orElseThrow() / meanAge(fit, fit.scale().value() * 100);
        return finest.costPerHour() < never * (1 - 1e-6) ? Optional.of(finest) : Optional.empty();
    }
}
