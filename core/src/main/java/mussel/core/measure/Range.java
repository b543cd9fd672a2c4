package mussel.core.measure;

import java.util.function.DoubleFunction;
import mussel.core.language.Messages;

/**
 * A valid range of a quantity in its canonical unit.
 *
 * @param min the lower bound
 * @param max the upper bound, itself allowed
 * @param minOpen whether the lower bound itself is refused
 */
public record Range(double min, double max, boolean minOpen) {
    private static final Messages TEXT = Messages.of(Range.class);

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
                ? TEXT.get("range.above_at_most", write.apply(min), write.apply(max))
                : TEXT.get("range.from_to", write.apply(min), write.apply(max));
    }
}
