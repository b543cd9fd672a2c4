package mussel.core.practice;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/**
 * How somebody gets on: a figure of each exercise, as what it lost against the advice, and the mean of the last few with its band.
 *
 * @param points exercise by exercise
 */
public record Curve(List<Point> points) {
    private static final int WINDOW = 8;
    private static final double TAIL = 0.9;

    /** Keeps its own copy. */
    public Curve {
        points = List.copyOf(points);
    }

    /**
     * After an exercise.
     *
     * @param value its figure
     * @param mean of the last few
     * @param low lower bound of that mean, 80 %; the mean where it is of one
     * @param high upper bound
     */
    public record Point(double value, double mean, double low, double high) {}

    /** The curve of exercises, the earliest first. */
    public static Curve of(List<Double> values) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            DescriptiveStatistics last = new DescriptiveStatistics(WINDOW);
            values.subList(0, i + 1).forEach(last::addValue);
            double half = last.getN() < 2
                    ? 0
                    : new TDistribution(last.getN() - 1).inverseCumulativeProbability(TAIL)
                            * last.getStandardDeviation()
                            / Math.sqrt(last.getN());
            points.add(new Point(values.get(i), last.getMean(), last.getMean() - half, last.getMean() + half));
        }
        return new Curve(points);
    }
}
