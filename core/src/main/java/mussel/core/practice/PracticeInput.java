package mussel.core.practice;

import java.util.List;
import java.util.Optional;
import mussel.core.verdict.Context;

/**
 * What is asked of a practice run.
 *
 * @param legs how many legs, from one on
 * @param seed of their draw
 * @param policies the ways they are gone about
 * @param context of all of them; drawn for each where not given
 * @param wrong the largest factor by which the world's tables are off those that are read; one for right tables
 * @param labourPerH the labour rate (money per hour)
 */
public record PracticeInput(
        int legs, long seed, List<Policy> policies, Optional<Context> context, double wrong, double labourPerH) {
    /** The most legs of a run. */
    public static final int MOST_LEGS = 1_000_000;

    /** Keeps its own copy. */
    public PracticeInput {
        policies = List.copyOf(policies);
    }
}
