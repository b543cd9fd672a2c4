package mussel.core.verdict;

import java.util.List;

/**
 * A finding that bears on most of a group, taken apart: the cumulative share of noisy-MAX is a product over the causes, so it falls into a factor
 * for each block and one for what is fixed, and an outcome's likelihood is the difference of two such products (Heckerman 1989, Quickscore).
 */
final class Spread {
    /** The factor of the base and of the fixed causes, by level and setting of the cutset. */
    final double[][] fixed;
    /** For each block and level the factor of each of its subsets; null where the finding bears on none of the block or the level is the last. */
    final double[][][] free;

    Spread(List<Double> base, List<List<Double>> rows, int[] causes, int[][] blocks, int[] cut) {
        int outcomes = base.size();
        double[] baseCdf = Likelihood.cumulative(base);
        double[][] cdf = rows.stream().map(Likelihood::cumulative).toArray(double[][]::new);
        fixed = new double[outcomes][1 << cut.length];
        free = new double[blocks.length][outcomes][];
        for (int level = 0; level < outcomes; level++) {
            boolean last = level == outcomes - 1;
            for (int k = 0; k < fixed[level].length; k++) {
                fixed[level][k] = last ? 1 : baseCdf[level] * product(cdf, level, causes, cut, k);
            }
            for (int b = 0; b < blocks.length && !last; b++) {
                if (bears(causes, blocks[b])) {
                    free[b][level] = new double[1 << blocks[b].length];
                    for (int s = 0; s < free[b][level].length; s++) {
                        free[b][level][s] = product(cdf, level, causes, blocks[b], s);
                    }
                }
            }
        }
    }

    private static boolean bears(int[] causes, int[] block) {
        for (int cause : causes) {
            if (Likelihood.position(block, cause) >= 0) {
                return true;
            }
        }
        return false;
    }

    private static double product(double[][] cdf, int level, int[] causes, int[] among, int subset) {
        double product = 1;
        for (int c = 0; c < causes.length; c++) {
            int at = Likelihood.position(among, causes[c]);
            if (at >= 0 && (subset >> at & 1) != 0) {
                product *= cdf[c][level];
            }
        }
        return product;
    }
}
