package mussel.core.verdict;

import java.util.List;
import java.util.Optional;
import mussel.core.measure.Given;

/**
 * What to check next and what to repair, as hands make it: rounds of checks, and repairs as sets.
 *
 * @param rounds the rounds of checks in the order advised; those that something must be put back for come last
 * @param sets the best set first, then a smaller and a larger one, and leaving it last
 * @param chosen what the repairs chosen come to; empty where none are
 * @param proofs the final checks to choose from for the best set
 * @param ready repairs whose fault is seen only once the lower unit is open: have the part ready
 * @param stops where to look once more while the best set is worked on, and what that may add
 */
public record Repairs(
        List<Round> rounds,
        List<RepairSet> sets,
        Optional<RepairSet> chosen,
        List<ProofOf> proofs,
        List<Ready> ready,
        List<Stop> stops) {
    /** Nothing to say. */
    public static final Repairs NONE =
            new Repairs(List.of(), List.of(), Optional.empty(), List.of(), List.of(), List.of());

    /** Keeps its own copies. */
    public Repairs {
        rounds = List.copyOf(rounds);
        sets = List.copyOf(sets);
        proofs = List.copyOf(proofs);
        ready = List.copyOf(ready);
        stops = List.copyOf(stops);
    }

    /**
     * Checks that are made in one state of the lower unit.
     *
     * @param round its id
     * @param looks the findings in the order they are made
     * @param needsFirst what must be brought about before it, as {@code condition_value}; empty where it can be made now
     * @param minutes its time, what it opens with it (min)
     * @param value what it is expected to save, less its time (money)
     * @param bearing whether it is the one for what the leg came in for
     */
    public record Round(
            String round,
            List<String> looks,
            List<String> needsFirst,
            double minutes,
            double value,
            @Given(value = "what it is for", name = "for") VerdictResult.Bearing bearing) {
        /** Keeps its own copies. */
        public Round {
            looks = List.copyOf(looks);
            needsFirst = List.copyOf(needsFirst);
        }

        /** Whether it can be made as the lower unit stands. */
        public boolean possible() {
            return needsFirst.isEmpty();
        }
    }

    /**
     * A final check for the best set.
     *
     * @param proof its id
     * @param minutes its time (min)
     * @param back the chance that the boat comes back after it (0 to 1)
     * @param total what the set then costs now and later (money)
     */
    public record ProofOf(String proof, double minutes, double back, double total) {}

    /**
     * A repair whose fault is seen only once the lower unit is open.
     *
     * @param goal the repair
     * @param probability how likely it is called for (0 to 1)
     * @param seenAt the stage at which it is seen
     */
    public record Ready(String goal, double probability, String seenAt) {}

    /**
     * Where to look while the work goes on.
     *
     * @param after the stage after which to look
     * @param looks what to look at
     * @param adds what that may add
     */
    public record Stop(String after, List<String> looks, List<Adds> adds) {
        /** Keeps its own copies. */
        public Stop {
            looks = List.copyOf(looks);
            adds = List.copyOf(adds);
        }
    }

    /**
     * A repair that may come on top.
     *
     * @param goal the repair
     * @param probability how likely (0 to 1)
     * @param cost what it adds, what it opens beyond the set with it (money)
     */
    public record Adds(String goal, double probability, double cost) {}
}
