package mussel.core.verdict;

/**
 * What is summed over: one setting for each state of the cutset and each choice of levels of the findings taken apart.
 *
 * @param state the state of the cutset of each setting, as bits
 * @param weight its weight with its sign
 * @param below which findings stand at the level below their outcome, as bits
 */
record Settings(int[] state, double[] weight, long[] below) {
    /** The states of a cutset, nothing taken apart. */
    static Settings of(double[] cutPriors) {
        int[] states = new int[cutPriors.length];
        for (int k = 0; k < states.length; k++) {
            states[k] = k;
        }
        return new Settings(states, cutPriors.clone(), new long[states.length]);
    }

    int count() {
        return weight.length;
    }

    /** The settings with a finding at an outcome: up to it, less up to the one before. */
    Settings at(int finding, Spread spread, int outcome) {
        int n = count();
        int times = outcome > 0 ? 2 : 1;
        int[] states = new int[n * times];
        double[] weights = new double[n * times];
        long[] lower = new long[n * times];
        for (int q = 0; q < n; q++) {
            for (int less = 0; less < times; less++) {
                states[q + less * n] = state[q];
                lower[q + less * n] = below[q] | (long) less << finding;
                weights[q + less * n] = weight[q] * (1 - 2 * less) * spread.fixed[outcome - less][state[q]];
            }
        }
        return new Settings(states, weights, lower);
    }
}
