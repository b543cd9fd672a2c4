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

    /** What of it is left without another, which is a part of it. */
    Belief less(Belief part) {
        return new Belief(
                total - part.total, less(with, part.with), less(without, part.without), less(none, part.none));
    }

    private static double[] less(double[] all, double[] part) {
        double[] left = new double[all.length];
        for (int i = 0; i < left.length; i++) {
            left[i] = Math.max(0, all[i] - part[i]);
        }
        return left;
    }

    double odds(int cause) {
        return with[cause] / without[cause];
    }
}
