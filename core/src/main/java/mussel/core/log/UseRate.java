package mussel.core.log;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How much an engine runs, estimated from its meter between readings: hours grow as a Wiener process with drift, so that hours in d days have
 * the mean {@code r d} and the variance {@code s^2 d}, and the rate itself is known to {@code s^2 / D} over all D days seen (Cox and Miller, The
 * Theory of Stochastic Processes, 1965, chapter 5). Bounds are 90 %, Student's t. With a single interval the spread is unknown: half to double
 * the rate is taken and said. A meter that went back was replaced: that interval does not count.
 *
 * @param perDay the mean (h a day)
 * @param spread s, the standard deviation of the hours of one day (h); empty with a single interval
 * @param intervals how many intervals it rests on
 * @param days over how many days
 * @param last the last reading
 */
public record UseRate(double perDay, Optional<Double> spread, int intervals, long days, MeterReading last) {
    private static final double CONFIDENCE = 0.9;
    private static final int MOST_DAYS = 366 * 20;

    /** The rate of an engine; empty with fewer than two readings on different days, or one that never ran. */
    public static Optional<UseRate> of(List<MeterReading> readings) {
        List<MeterReading> sorted = readings.stream()
                .sorted(Comparator.comparing(MeterReading::on).thenComparing(MeterReading::hours))
                .toList();
        List<double[]> steps = new ArrayList<>();
        for (int i = 1; i < sorted.size(); i++) {
            long days = ChronoUnit.DAYS.between(
                    sorted.get(i - 1).on(), sorted.get(i).on());
            double hours = sorted.get(i).hours() - sorted.get(i - 1).hours();
            if (days > 0 && hours >= 0 && hours <= 24.0 * days) {
                steps.add(new double[] {days, hours});
            }
        }
        double days = steps.stream().mapToDouble(s -> s[0]).sum();
        double hours = steps.stream().mapToDouble(s -> s[1]).sum();
        if (days == 0 || hours == 0) {
            return Optional.empty();
        }
        double rate = hours / days;
        double scatter = steps.stream()
                .mapToDouble(s -> (s[1] - rate * s[0]) * (s[1] - rate * s[0]) / s[0])
                .sum();
        Optional<Double> spread =
                steps.size() < 2 ? Optional.empty() : Optional.of(Math.sqrt(scatter / (steps.size() - 1)));
        return Optional.of(new UseRate(rate, spread, steps.size(), Math.round(days), sorted.get(sorted.size() - 1)));
    }

    /**
     * The hours on a day.
     *
     * @param hours the mean (h)
     * @param low lower bound (h)
     * @param high upper bound (h)
     */
    public record Hours(double hours, double low, double high) {}

    /** What the meter shows on a day; before the last reading, that reading. */
    public Hours on(LocalDate day) {
        return after(Math.max(0, ChronoUnit.DAYS.between(last.on(), day)), quantile());
    }

    /** Student's t for the bounds; worked out once for all the days one looks at. */
    private double quantile() {
        return spread.isEmpty()
                ? 0
                : new TDistribution(intervals - 1.0).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
    }

    private Hours after(double ahead, double t) {
        double mean = last.hours() + perDay * ahead;
        if (spread.isEmpty()) {
            return new Hours(mean, last.hours() + perDay * ahead / 2, last.hours() + perDay * ahead * 2);
        }
        double u = t * spread.get() * Math.sqrt(ahead + ahead * ahead / days);
        return new Hours(mean, Math.max(last.hours(), mean - u), Math.min(last.hours() + 24 * ahead, mean + u));
    }

    /**
     * When the meter reaches a figure.
     *
     * @param likely the day the mean reaches it
     * @param earliest the day the upper bound does
     * @param latest the day the lower bound does; empty where it may never
     */
    public record Reached(LocalDate likely, LocalDate earliest, Optional<LocalDate> latest) {}

    /** When the meter reaches a figure; empty within twenty years. */
    public Optional<Reached> reaches(double hours) {
        double t = quantile();
        return likely(hours)
                .map(day -> new Reached(
                        day,
                        first(d -> after(d, t).high() >= hours).orElse(day),
                        first(d -> after(d, t).low() >= hours)));
    }

    /** The day the mean reaches a figure; empty within twenty years. */
    Optional<LocalDate> likely(double hours) {
        double ahead = Math.ceil((hours - last.hours()) / perDay);
        return ahead > MOST_DAYS ? Optional.empty() : Optional.of(last.on().plusDays((long) Math.max(0, ahead)));
    }

    /** Bounds need not rise with every day, so the days are gone through in strides, and the stride then day by day. */
    private Optional<LocalDate> first(java.util.function.LongPredicate there) {
        int stride = 32;
        for (long to = 0; to <= MOST_DAYS; to += stride) {
            if (there.test(to)) {
                long day = Math.max(0, to - stride + 1);
                while (!there.test(day)) {
                    day++;
                }
                return Optional.of(last.on().plusDays(day));
            }
        }
        return Optional.empty();
    }
}
