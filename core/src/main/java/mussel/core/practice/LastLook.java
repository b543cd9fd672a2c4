package mussel.core.practice;

import java.util.List;

/**
 * The last look against what the advice would have done then.
 *
 * @param made the look, or those that were one reading
 * @param minutes what it took, its set-up with it (min)
 * @param bits what it was expected to settle (bits)
 * @param value what it was worth, less its time (money)
 * @param advised what the advice would have looked at; none where nothing was worth its time any more
 * @param advisedValue what that was worth
 */
public record LastLook(
        List<String> made, double minutes, double bits, double value, List<String> advised, double advisedValue) {
    /** Keeps its own copies. */
    public LastLook {
        made = List.copyOf(made);
        advised = List.copyOf(advised);
    }

    /** Whether it is what was advised. */
    public boolean asAdvised() {
        return advised.stream().anyMatch(made::contains);
    }
}
