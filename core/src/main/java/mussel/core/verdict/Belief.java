package mussel.core.verdict;

/**
 * Beliefs of a group of causes, up to a common factor.
 *
 * @param total the weight of everything
 * @param with the weight with each cause
 * @param without the weight without it
 * @param none for each goal, the weight with none of its causes
 */
record Belief(double total, double[] with, double[] without, double[] none) {
    double probability(int cause) {
        return with[cause] / total;
    }

    /** The probability that a goal is called for. */
    double goal(int goal) {
        return Math.min(1, Math.max(0, 1 - none[goal] / total));
    }

    double odds(int cause) {
        return with[cause] / without[cause];
    }
}
