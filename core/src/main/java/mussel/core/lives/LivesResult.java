package mussel.core.lives;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What the lives come to.
 *
 * @param count how many lives
 * @param failures how many of them ended by failure
 * @param hours all hours seen (h)
 * @param fit the Weibull fit; empty where too few have failed
 * @param interval the age by which the chosen share has failed (h); empty without a fit
 * @param calendar the yard's present interval judged; empty without it or without a fit
 * @param costs what each interval costs; empty without costs or a fit
 * @param cheapest the cheapest interval; empty where none is cheaper than running to failure
 */
public record LivesResult(
        int count,
        int failures,
        double hours,
        Optional<Fit> fit,
        Optional<Bounded> interval,
        Optional<Calendar> calendar,
        List<CostPoint> costs,
        Optional<CostPoint> cheapest) {
    /** Keeps its own copy. */
    public LivesResult {
        costs = List.copyOf(costs);
    }

    /**
     * A figure with its bounds.
     *
     * @param value the estimate
     * @param low lower bound
     * @param high upper bound
     */
    public record Bounded(double value, double low, double high) {}

    /**
     * A Weibull distribution fitted by maximum likelihood.
     *
     * @param scale the age by which 63.2 % have failed (h)
     * @param shape above one they wear out, at one they fail by chance, below one they fail young
     * @param logLikelihood at the maximum
     */
    public record Fit(Bounded scale, Bounded shape, double logLikelihood) {
        /** The share that has failed by an age. */
        public double failedBy(double hours) {
            return -Math.expm1(-Math.pow(hours / scale.value(), shape.value()));
        }
    }

    /**
     * The yard's present interval.
     *
     * @param hours the hours run in it (h)
     * @param risk the share that has failed by then
     * @param costPerHour what it costs; empty without costs
     */
    public record Calendar(double hours, Bounded risk, OptionalDouble costPerHour) {}

    /**
     * What an interval costs.
     *
     * @param hours the age at which a part is replaced (h)
     * @param failedBefore the share that fails before it
     * @param costPerHour on the mean (money per hour)
     */
    public record CostPoint(double hours, double failedBefore, double costPerHour) {}
}
