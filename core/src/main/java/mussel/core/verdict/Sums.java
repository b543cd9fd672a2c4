package mussel.core.verdict;

/**
 * The sums over one block while the cutset stands at one setting.
 *
 * @param total the weight of all subsets
 * @param with the weight of those with each cause of the block
 * @param without the weight of those without
 * @param none for each goal, the weight of the subsets with none of its causes in this block
 */
record Sums(double total, double[] with, double[] without, double[] none) {
    /**
     * Sums weights over all subsets of a block by folding: the upper half holds the last cause, the lower half does not.
     *
     * @param weights the weight of each subset; folded away
     * @param goals the causes of each goal within the block, as bits
     */
    static Sums of(double[] weights, int[] goals) {
        int bits = Integer.numberOfTrailingZeros(weights.length);
        double[] none = new double[goals.length];
        for (int g = 0; g < goals.length; g++) {
            none[g] = Integer.bitCount(goals[g]) > 1 ? absent(weights, goals[g]) : Double.NaN;
        }
        double[] with = new double[bits];
        double[] without = new double[bits];
        for (int bit = bits - 1; bit >= 0; bit--) {
            int half = 1 << bit;
            double upper = 0;
            double lower = 0;
            for (int s = 0; s < half; s++) {
                upper += weights[s + half];
                lower += weights[s];
                weights[s] += weights[s + half];
            }
            with[bit] = upper;
            without[bit] = lower;
        }
        for (int g = 0; g < goals.length; g++) {
            if (goals[g] == 0) {
                none[g] = weights[0];
            } else if (Integer.bitCount(goals[g]) == 1) {
                none[g] = without[Integer.numberOfTrailingZeros(goals[g])];
            }
        }
        return new Sums(weights[0], with, without, none);
    }

    /** Walks through the subsets that hold none of the mask's causes. */
    private static double absent(double[] weights, int mask) {
        int others = weights.length - 1 & ~mask;
        double sum = weights[0];
        for (int s = others; s != 0; s = s - 1 & others) {
            sum += weights[s];
        }
        return sum;
    }
}
