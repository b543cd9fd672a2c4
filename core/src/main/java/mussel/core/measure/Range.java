package mussel.core.measure;

import java.util.function.DoubleFunction;

/**
 * A valid range of a quantity in its canonical unit.
 *
 * @param min the lower bound
 * @param max the upper bound, itself allowed
 * @param minOpen whether the lower bound itself is refused
 */
public record Range(double min, double max, boolean minOpen) {
    /** Refuses a range without room in it. */
    public Range {
        if (!(min <= max)) {
            throw new IllegalArgumentException("A range from " + min + " to " + max + " holds nothing");
        }
    }

    /** A closed range. */
    public static Range of(double min, double max) {
        return new Range(min, max, false);
    }

    /** A range whose lower bound is itself refused. */
    public static Range above(double min, double max) {
        return new Range(min, max, true);
    }

    /** Whether the value lies inside; NaN never does. */
    public boolean holds(double value) {
        return value <= max && (minOpen ? value > min : value >= min);
    }

    /** The range in words, its bounds written by the given function. */
    public String inWords(DoubleFunction<String> write) {
        return minOpen
                ? "above " + write.apply(min) + ", at most " + write.apply(max)
                : "from " + write.apply(min) + " to " + write.apply(max);
    }
}
