package mussel.core.log;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * One quantity over a leg's years.
 *
 * @param quantity what
 * @param points its figures, the oldest first
 * @param slopePerYear a straight line's slope, in the unit shown, a year; empty with fewer than three points
 * @param slopeHalfWidth half the width of its 95 % bounds
 */
public record Trend(
        Visit.Quantity quantity, List<Point> points, Optional<Double> slopePerYear, Optional<Double> slopeHalfWidth) {
    private static final Messages TEXT = Messages.of(Trend.class);
    private static final double YEAR = 365.25;

    /** Keeps its own copy. */
    public Trend {
        points = List.copyOf(points);
    }

    /**
     * One figure.
     *
     * @param visit the job it comes from
     * @param measure the figure
     */
    public record Point(Visit visit, Visit.Measure measure) {
        /** The figure in the unit shown. */
        public double shown() {
            return measure.value() * measure.quantity().factor();
        }
    }

    /** The trends there are in a leg's visits, those with most figures first. */
    public static List<Trend> of(List<Visit> visits) {
        return Stream.of(Visit.Quantity.values())
                .map(q -> of(q, visits))
                .filter(t -> !t.points().isEmpty())
                .sorted(Comparator.comparingInt((Trend t) -> -t.points().size()))
                .toList();
    }

    private static Trend of(Visit.Quantity quantity, List<Visit> visits) {
        List<Point> points = visits.stream()
                .sorted(Comparator.comparing(Visit::day).thenComparing(Visit::job))
                .flatMap(v -> v.measure(quantity).map(m -> new Point(v, m)).stream())
                .toList();
        SimpleRegression line = new SimpleRegression();
        points.forEach(p -> line.addData(p.visit().day().toEpochDay() / YEAR, p.shown()));
        boolean lies = points.size() >= 3
                && points.stream().map(p -> p.visit().day()).distinct().count() >= 3;
        if (!lies) {
            return new Trend(quantity, points, Optional.empty(), Optional.empty());
        }
        double t = new TDistribution(points.size() - 2.0).inverseCumulativeProbability(0.975);
        return new Trend(quantity, points, Optional.of(line.getSlope()), Optional.of(t * line.getSlopeStdErr()));
    }

    /** In a sentence: rising, falling, or not to be told. */
    public String says() {
        String last = quantity.figure(points.get(points.size() - 1).shown());
        if (slopePerYear.isEmpty()) {
            return TEXT.get("trend.few", last, points.size());
        }
        double slope = slopePerYear.get();
        double half = slopeHalfWidth.orElseThrow();
        String change = change(Math.abs(slope));
        if (Math.abs(slope) <= half) {
            return TEXT.get("trend.level", last, points.size());
        }
        return TEXT.get(
                slope > 0 ? "trend.rising" : "trend.falling",
                last,
                change,
                change(Math.abs(slope) - half),
                change(Math.abs(slope) + half));
    }

    private String change(double value) {
        return quantity.steps().isEmpty()
                ? quantity.figure(value)
                : TEXT.get("trend.steps", Display.significant(value));
    }
}
