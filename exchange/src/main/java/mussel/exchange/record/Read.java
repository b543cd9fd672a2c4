package mussel.exchange.record;

import java.util.List;
import java.util.Optional;
import mussel.core.measure.Problem;

/**
 * What reading gave: the value, or every problem that keeps it from being one.
 *
 * @param value present when there is no problem
 * @param problems what is wrong, in the order of the fields
 */
public record Read<T>(Optional<T> value, List<Problem> problems) {
    /** Keeps its own copy. */
    public Read {
        problems = List.copyOf(problems);
    }

    /** A value without problems. */
    public static <T> Read<T> of(T value) {
        return new Read<>(Optional.of(value), List.of());
    }

    /** Refused as a whole. */
    public static <T> Read<T> refused(String problem) {
        return new Read<>(Optional.empty(), List.of(new Problem("", problem)));
    }
}
