package mussel.core.verdict;

import java.util.Arrays;

/** What is believed of all faults together, as far as sets of repairs need it. */
@FunctionalInterface
interface Expectation {
    /**
     * The mean of a product with one factor for each fault that is there.
     *
     * @param factors by fault, each 0 to 1
     */
    double of(double[] factors);

    /** How likely each fault is. */
    default double[] present(int faults) {
        double[] present = new double[faults];
        for (int c = 0; c < faults; c++) {
            double[] factors = new double[faults];
            Arrays.fill(factors, 1);
            factors[c] = 0;
            present[c] = 1 - of(factors);
        }
        return present;
    }
}
