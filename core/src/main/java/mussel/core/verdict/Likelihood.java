package mussel.core.verdict;

import java.util.List;

/**
 * One finding within its block: how likely each outcome is for every subset of the causes that bear on it, by noisy-MAX (Diez 1993): the
 * cumulative share of what is seen is the base's times that of each cause present.
 */
final class Likelihood {
    /** Which entry of the tables a subset of the block falls on. */
    final int[] entry;

    private final double[][][] byOutcome;

    /**
     * Prepares a finding.
     *
     * @param base the base's shares
     * @param rows each cause's shares, in the order of {@code causes}
     * @param causes the causes that bear on it, as positions of the group
     * @param block the causes of its block, as positions of the group, in the block's bit order
     * @param cut the fixed causes, as positions of the group, in the cutset's bit order
     */
    Likelihood(List<Double> base, List<List<Double>> rows, int[] causes, int[] block, int[] cut) {
        int outcomes = base.size();
        int[] bitOf = new int[block.length];
        int bits = 0;
        double[][] free = new double[causes.length][];
        double[][] fixed = new double[cut.length][];
        for (int c = 0; c < causes.length; c++) {
            double[] cdf = cumulative(rows.get(c));
            int at = position(block, causes[c]);
            if (at >= 0) {
                bitOf[at] = 1 << bits;
                free[bits++] = cdf;
            } else {
                fixed[position(cut, causes[c])] = cdf;
            }
        }
        entry = new int[1 << block.length];
        for (int s = 1; s < entry.length; s++) {
            int low = Integer.numberOfTrailingZeros(s);
            entry[s] = entry[s & (s - 1)] | bitOf[low];
        }
        double[] baseCdf = cumulative(base);
        byOutcome = new double[1 << cut.length][outcomes][1 << bits];
        for (int k = 0; k < byOutcome.length; k++) {
            for (int t = 0; t < 1 << bits; t++) {
                double below = 0;
                for (int x = 0; x < outcomes; x++) {
                    double upTo = x == outcomes - 1 ? 1 : baseCdf[x];
                    for (int c = 0; c < bits && x < outcomes - 1; c++) {
                        upTo *= (t >> c & 1) != 0 ? free[c][x] : 1;
                    }
                    for (int c = 0; c < cut.length && x < outcomes - 1; c++) {
                        upTo *= (k >> c & 1) != 0 && fixed[c] != null ? fixed[c][x] : 1;
                    }
                    byOutcome[k][x][t] = upTo - below;
                    below = upTo;
                }
            }
        }
    }

    /** Where one stands among all; -1 where it does not. */
    static int position(int[] all, int one) {
        for (int i = 0; i < all.length; i++) {
            if (all[i] == one) {
                return i;
            }
        }
        return -1;
    }

    /** The cumulative shares. */
    static double[] cumulative(List<Double> shares) {
        double[] cdf = new double[shares.size()];
        double sum = 0;
        for (int i = 0; i < cdf.length; i++) {
            sum += shares.get(i);
            cdf[i] = sum;
        }
        return cdf;
    }

    /** The likelihoods of an outcome while the cutset stands at k. */
    double[] of(int k, int outcome) {
        return byOutcome[k][outcome];
    }

    /** One over them. Worked out each time: it is asked for once a judgement, and keeping it would double what the tables take. */
    double[] inverse(int k, int outcome) {
        double[] inverse = byOutcome[k][outcome].clone();
        for (int t = 0; t < inverse.length; t++) {
            inverse[t] = 1 / inverse[t];
        }
        return inverse;
    }
}
