package mussel.core.verdict;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * How a group of causes is summed over: a few causes fixed in turn (the cutset), the others in blocks that share no finding, and the findings that
 * bear on most causes taken apart into products, so that they do not hold the blocks together. Each setting is one state of the cutset and one
 * choice of levels of the findings taken apart, with its sign. Exact: the sum is the same as over every subset.
 */
final class Shape {
    final int causes;
    final int findings;
    final int[] cut;
    final int[][] blocks;
    final double[][] priorWeights;
    final double[] cutPriors;
    final Likelihood[] likelihoods;
    final Spread[] spreads;
    final int[] blockOf;
    final int[][] goalsInBlock;
    final int[] goalsInCut;
    final int[][] blocksOfGoal;
    final int[][] goalsOfBlock;

    /**
     * Prepares a shape.
     *
     * @param priors the causes' priors
     * @param bases the findings' bases
     * @param rows each finding's rows, in the order of its scope
     * @param scopes the causes each finding bears on, as positions
     * @param apart which findings are taken apart
     * @param goals for each goal its causes, as bits
     * @param arrangement how the causes fall into cutset and blocks
     * @param prepared what was made for other contexts
     */
    Shape(
            double[] priors,
            List<List<Double>> bases,
            List<List<List<Double>>> rows,
            List<int[]> scopes,
            boolean[] apart,
            int[] goals,
            Arrangement arrangement,
            SharedTables prepared) {
        causes = priors.length;
        findings = bases.size();
        cut = positions(arrangement.cut());
        blocks = arrangement.blocks().stream().map(Shape::positions).toArray(int[][]::new);
        cutPriors = weights(priors, cut);
        priorWeights = new double[blocks.length][];
        for (int b = 0; b < blocks.length; b++) {
            priorWeights[b] = weights(priors, blocks[b]);
        }
        likelihoods = new Likelihood[findings];
        spreads = new Spread[findings];
        blockOf = new int[findings];
        for (int f = 0; f < findings; f++) {
            if (apart[f]) {
                spreads[f] = new Spread(bases.get(f), rows.get(f), scopes.get(f), blocks, cut);
            } else {
                blockOf[f] = arrangement.blockOf(bits(scopes.get(f)));
                likelihoods[f] = prepared.likelihood(bases.get(f), rows.get(f), scopes.get(f), blocks[blockOf[f]], cut);
            }
        }
        goalsInBlock = new int[blocks.length][goals.length];
        goalsInCut = new int[goals.length];
        goalsOfBlock = new int[blocks.length][];
        blocksOfGoal = new int[goals.length][];
        for (int g = 0; g < goals.length; g++) {
            int at = g;
            for (int b = 0; b < blocks.length; b++) {
                goalsInBlock[b][g] = among(blocks[b], goals[g]);
            }
            goalsInCut[g] = among(cut, goals[g]);
            blocksOfGoal[g] = java.util.stream.IntStream.range(0, blocks.length)
                    .filter(b -> goalsInBlock[b][at] != 0)
                    .toArray();
        }
        for (int b = 0; b < blocks.length; b++) {
            int[] here = goalsInBlock[b];
            goalsOfBlock[b] = java.util.stream.IntStream.range(0, goals.length)
                    .filter(g -> here[g] != 0)
                    .toArray();
        }
    }

    static int bits(int[] positions) {
        int bits = 0;
        for (int p : positions) {
            bits |= 1 << p;
        }
        return bits;
    }

    private static int[] positions(int bits) {
        int[] positions = new int[Integer.bitCount(bits)];
        int at = 0;
        for (int left = bits; left != 0; left &= left - 1) {
            positions[at++] = Integer.numberOfTrailingZeros(left);
        }
        return positions;
    }

    private static int among(int[] of, int causes) {
        int bits = 0;
        for (int i = 0; i < of.length; i++) {
            bits |= (causes >> of[i] & 1) << i;
        }
        return bits;
    }

    /** For every subset of some causes the product of their factors. */
    static double[] products(double[] factors, int[] of) {
        double[] own = new double[of.length];
        for (int i = 0; i < of.length; i++) {
            own[i] = factors[of[i]];
        }
        return products(own);
    }

    /** For every subset the product of its factors. */
    static double[] products(double[] factors) {
        double[] products = new double[1 << factors.length];
        products[0] = 1;
        for (int i = 0; i < factors.length; i++) {
            for (int s = 0; s < 1 << i; s++) {
                products[s + (1 << i)] = products[s] * factors[i];
            }
        }
        return products;
    }

    /** The prior of every subset of some causes. */
    private static double[] weights(double[] priors, int[] of) {
        double[] weights = new double[1 << of.length];
        weights[0] = 1;
        for (int i = 0; i < of.length; i++) {
            double p = priors[of[i]];
            for (int s = 0; s < 1 << i; s++) {
                weights[s + (1 << i)] = weights[s] * p;
                weights[s] *= 1 - p;
            }
        }
        return weights;
    }

    /** How many subsets are summed over while nothing taken apart is made. */
    int work() {
        int each = 0;
        for (int[] block : blocks) {
            each += 1 << block.length;
        }
        return each << cut.length;
    }

    /** The beliefs given findings: for each the outcome plus one, zero where it was not made. */
    Evidence given(int[] made) {
        return new Evidence(this, made);
    }

    /** Whether none of a goal's causes is in this group. */
    boolean untouched(int goal) {
        return blocksOfGoal[goal].length == 0 && goalsInCut[goal] == 0;
    }

    /** The weight of a setting with none of a goal's causes. */
    double free(int goal, double all, int state, Sums[][] of, int q) {
        if ((goalsInCut[goal] & state) != 0) {
            return 0;
        }
        double free = all;
        for (int b : blocksOfGoal[goal]) {
            free *= of[b][q].none()[goal] / of[b][q].total();
        }
        return free;
    }

    /** The sums over each block's weights; settings that share their weights share their sums. */
    Sums[][] summed(double[][][] weights, int[][] first) {
        Sums[][] sums = new Sums[weights.length][];
        for (int b = 0; b < weights.length; b++) {
            sums[b] = new Sums[weights[b].length];
            for (int q = 0; q < weights[b].length; q++) {
                sums[b][q] = first[b][q] < q ? sums[b][first[b][q]] : Sums.of(weights[b][q].clone(), goalsInBlock[b]);
            }
        }
        return sums;
    }

    /**
     * For each block and setting the first setting with the very same weights: a finding taken apart that bears on none of a block leaves its weights
     * as they were.
     */
    static int[][] first(double[][][] weights) {
        int[][] first = new int[weights.length][];
        for (int b = 0; b < weights.length; b++) {
            Map<double[], Integer> seen = new IdentityHashMap<>();
            first[b] = new int[weights[b].length];
            for (int q = 0; q < first[b].length; q++) {
                Integer before = seen.putIfAbsent(weights[b][q], q);
                first[b][q] = before == null ? q : before;
            }
        }
        return first;
    }

    /** The beliefs of all settings together. */
    Belief combine(Sums[][] of, Settings settings) {
        double total = 0;
        double[] with = new double[causes];
        double[] without = new double[causes];
        double[] none = new double[goalsInCut.length];
        for (int q = 0; q < settings.weight().length; q++) {
            int k = settings.state()[q];
            double all = settings.weight()[q];
            for (Sums[] block : of) {
                all *= block[q].total();
            }
            total += all;
            for (int i = 0; i < cut.length; i++) {
                if ((k >> i & 1) != 0) {
                    with[cut[i]] += all;
                } else {
                    without[cut[i]] += all;
                }
            }
            for (int b = 0; b < of.length; b++) {
                Sums block = of[b][q];
                double others = all / block.total();
                for (int i = 0; i < blocks[b].length; i++) {
                    with[blocks[b][i]] += others * block.with()[i];
                    without[blocks[b][i]] += others * block.without()[i];
                }
            }
            for (int g = 0; g < none.length; g++) {
                none[g] += free(g, all, k, of, q);
            }
        }
        return new Belief(total, with, without, none);
    }
}
