package mussel.core.verdict;

import java.util.List;

/**
 * Repairs done together, and what they leave.
 *
 * @param goals the repairs, in the order of the tables
 * @param proof the final check it is priced with
 * @param now what it costs now (money)
 * @param later what is to be expected later (money)
 * @param back the chance that the boat comes back (0 to 1)
 * @param minutes the work of it, the way in and the final check with it (min)
 * @param leaves the repairs it leaves undone that may be called for, the likeliest first
 */
public record RepairSet(
        List<String> goals, String proof, double now, double later, double back, double minutes, List<Leaves> leaves) {
    /** Keeps its own copies. */
    public RepairSet {
        goals = List.copyOf(goals);
        leaves = List.copyOf(leaves);
    }

    /** What it costs now and later together (money). */
    public double total() {
        return now + later;
    }

    /**
     * A repair that is not done.
     *
     * @param goal the repair
     * @param probability that it is called for (0 to 1)
     */
    public record Leaves(String goal, double probability) {}
}
