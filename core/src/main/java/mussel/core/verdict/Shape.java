package mussel.core.verdict;

import java.util.List;
import java.util.function.IntFunction;

/**
 * How a group of causes is summed over: a few causes fixed in turn (the cutset), the others in blocks that share no finding, and the findings that
 * bear on most causes taken apart into products, so that they do not hold the blocks together. Each setting is one state of the cutset and one
 * choice of levels of the findings taken apart, with its sign. Exact: the sum is the same as over every subset.
 */
final class Shape {
    /** Rounding may cost this much of the figures at most (a part in {@code 2^53 / this}). */
    private static final double MOST_CANCELLED = 1e6;

    private final int causes;
    private final int findings;
    private final int[] cut;
    private final int[][] blocks;
    private final double[][] priorWeights;
    private final double[] cutPriors;
    private final Likelihood[] likelihoods;
    private final Spread[] spreads;
    private final int[] blockOf;
    private final int[][] goalsInBlock;
    private final int[] goalsInCut;
    private final int[][] blocksOfGoal;

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
     */
    Shape(
            double[] priors,
            List<List<Double>> bases,
            List<List<List<Double>>> rows,
            List<int[]> scopes,
            boolean[] apart,
            int[] goals,
            Arrangement arrangement) {
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
                likelihoods[f] = new Likelihood(bases.get(f), rows.get(f), scopes.get(f), blocks[blockOf[f]], cut);
            }
        }
        goalsInBlock = new int[blocks.length][goals.length];
        goalsInCut = new int[goals.length];
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
        return new Evidence(made);
    }

    /** The settings: which state of the cutset each has, its weight with its sign, and which findings stand at the level below their outcome, as bits. */
    private record Settings(int[] state, double[] weight, long[] below) {}

    /** The weights of all subsets given some findings, from which one finding more or less follows quickly. */
    final class Evidence {
        private final int[] made;
        private final Settings settings;
        private final double[][][] weights;
        private final Sums[][] sums;
        private final Belief belief;
        private double scaleBits;
        private Parts parts;

        private Evidence(int[] made, Settings settings, double[][][] weights, double scaleBits) {
            this(made, settings, weights, summed(weights), scaleBits);
        }

        private Evidence(int[] made, Settings settings, double[][][] weights, Sums[][] sums, double scaleBits) {
            this.made = made;
            this.settings = settings;
            this.weights = weights;
            this.sums = sums;
            this.scaleBits = scaleBits;
            belief = combine(sums, settings);
        }

        private Evidence(int[] made) {
            this.made = made;
            double[][][] first = new double[blocks.length][cutPriors.length][];
            for (int b = 0; b < blocks.length; b++) {
                fill(b, first);
            }
            int[] states = new int[cutPriors.length];
            for (int k = 0; k < states.length; k++) {
                states[k] = k;
            }
            Settings so = new Settings(states, cutPriors.clone(), new long[states.length]);
            double[][][] all = first;
            for (int f = 0; f < findings; f++) {
                if (made[f] > 0 && spreads[f] != null) {
                    double[][][] before = all;
                    all = levels(before, so.state(), f, made[f] - 1);
                    so = levels(so, f, made[f] - 1);
                }
            }
            settings = so;
            weights = all;
            sums = summed(all);
            belief = combine(sums, so);
        }

        private void fill(int b, double[][][] to) {
            double most = 0;
            for (int k = 0; k < cutPriors.length; k++) {
                double[] w = priorWeights[b].clone();
                for (int f = 0; f < made.length; f++) {
                    if (made[f] > 0 && likelihoods[f] != null && blockOf[f] == b) {
                        multiply(w, likelihoods[f].entry, likelihoods[f].of(k, made[f] - 1), w);
                    }
                }
                to[b][k] = w;
                for (double each : w) {
                    most = Math.max(most, each);
                }
            }
            scaleBits += Math.log(most) / Math.log(2);
            for (double[] w : to[b]) {
                for (int s = 0; s < w.length; s++) {
                    w[s] /= most;
                }
            }
        }

        Belief belief() {
            return belief;
        }

        /** Whether the differences of products have left enough figures to trust. */
        boolean sound() {
            double sure = 0;
            for (int q = 0; q < settings.weight().length; q++) {
                double all = Math.abs(settings.weight()[q]);
                for (Sums[] block : sums) {
                    all *= block[q].total();
                }
                sure += all;
            }
            return belief.total() > 0 && sure < MOST_CANCELLED * belief.total();
        }

        /** How many subsets are summed over, each setting's own. */
        int work() {
            return Shape.this.work() / cutPriors.length * settings();
        }

        private int settings() {
            return settings.weight().length;
        }

        /** log2 of the probability of all findings together. */
        double bits() {
            return Math.log(belief.total()) / Math.log(2) + scaleBits;
        }

        /** The beliefs with one finding more. */
        Belief after(int finding, int outcome) {
            return spreads[finding] == null
                    ? quick(finding, outcome)
                    : and(finding, outcome).belief();
        }

        /** One block changes; what the others say follows by how much each setting gains or loses. */
        private Belief quick(int finding, int outcome) {
            if (parts == null) {
                parts = new Parts(sums, settings);
            }
            int b = blockOf[finding];
            double[] gain = new double[settings()];
            double[] with = new double[causes];
            double[] none = new double[goalsInCut.length];
            double[] w = new double[1 << blocks[b].length];
            double total = 0;
            for (int q = 0; q < gain.length; q++) {
                double[] factors = likelihoods[finding].of(settings.state()[q], outcome);
                multiply(weights[b][q], likelihoods[finding].entry, factors, w);
                Sums now = Sums.of(w, goalsInBlock[b]);
                Sums was = sums[b][q];
                gain[q] = now.total() / was.total();
                total += parts.all[q] * gain[q];
                double others = parts.all[q] / was.total();
                for (int i = 0; i < blocks[b].length; i++) {
                    with[blocks[b][i]] += others * now.with()[i];
                }
                for (int g = 0; g < none.length; g++) {
                    if (goalsInBlock[b][g] != 0) {
                        none[g] += parts.none[g][q] * now.none()[g] / was.none()[g];
                    }
                }
            }
            for (int b2 = -1; b2 < blocks.length; b2++) {
                if (b2 != b) {
                    for (int c : b2 < 0 ? cut : blocks[b2]) {
                        with[c] = dot(parts.with[c], gain);
                    }
                }
            }
            for (int g = 0; g < none.length; g++) {
                if (goalsInBlock[b][g] == 0) {
                    none[g] = blocksOfGoal[g].length == 0 && goalsInCut[g] == 0 ? total : dot(parts.none[g], gain);
                }
            }
            double[] without = new double[causes];
            for (int c = 0; c < causes; c++) {
                without[c] = Math.max(0, total - with[c]);
            }
            return new Belief(total, with, without, none);
        }

        /** The same with one finding more, from which others follow. */
        Evidence and(int finding, int outcome) {
            int[] now = made.clone();
            now[finding] = outcome + 1;
            if (spreads[finding] != null) {
                return new Evidence(
                        now,
                        levels(settings, finding, outcome),
                        levels(weights, settings.state(), finding, outcome),
                        scaleBits);
            }
            int b = blockOf[finding];
            double[][][] more = weights.clone();
            more[b] = new double[settings()][];
            Sums[][] changed = sums.clone();
            changed[b] = new Sums[settings()];
            for (int q = 0; q < settings(); q++) {
                double[] w = new double[weights[b][q].length];
                double[] factors = likelihoods[finding].of(settings.state()[q], outcome);
                multiply(weights[b][q], likelihoods[finding].entry, factors, w);
                more[b][q] = w;
                changed[b][q] = Sums.of(w.clone(), goalsInBlock[b]);
            }
            return new Evidence(now, settings, more, changed, scaleBits);
        }

        /** The beliefs and the probability as if one of the findings had not been made. */
        Without without(int finding) {
            if (spreads[finding] != null) {
                Belief others = undone(finding, made[finding] - 1);
                return new Without(others, Math.log(others.total()) / Math.log(2) + scaleBits);
            }
            Belief others = narrow(finding, k -> likelihoods[finding].inverse(k, made[finding] - 1));
            return new Without(others, Math.log(others.total()) / Math.log(2) + scaleBits);
        }

        /** The settings in which a finding stands at its outcome, its factors taken out again. */
        private Belief undone(int finding, int outcome) {
            int[] kept = java.util.stream.IntStream.range(0, settings())
                    .filter(q -> (settings.below()[q] >> finding & 1) == 0)
                    .toArray();
            int[] state = new int[kept.length];
            double[] weight = new double[kept.length];
            for (int i = 0; i < kept.length; i++) {
                state[i] = settings.state()[kept[i]];
                weight[i] = settings.weight()[kept[i]] / spreads[finding].fixed[outcome][state[i]];
            }
            Sums[][] changed = new Sums[blocks.length][kept.length];
            for (int b = 0; b < blocks.length; b++) {
                double[] factors = spreads[finding].free[b][outcome];
                for (int i = 0; i < kept.length; i++) {
                    changed[b][i] = factors == null
                            ? sums[b][kept[i]]
                            : Sums.of(over(weights[b][kept[i]], factors), goalsInBlock[b]);
                }
            }
            return combine(changed, new Settings(state, weight, new long[kept.length]));
        }

        private static double[] over(double[] from, double[] factors) {
            double[] to = new double[from.length];
            for (int s = 0; s < to.length; s++) {
                to[s] = from[s] / factors[s];
            }
            return to;
        }

        private Belief narrow(int finding, IntFunction<double[]> factors) {
            int b = blockOf[finding];
            Sums[][] changed = sums.clone();
            changed[b] = new Sums[settings()];
            double[] w = new double[1 << blocks[b].length];
            for (int q = 0; q < settings(); q++) {
                multiply(weights[b][q], likelihoods[finding].entry, factors.apply(settings.state()[q]), w);
                changed[b][q] = Sums.of(w, goalsInBlock[b]);
            }
            return combine(changed, settings);
        }

        private static void multiply(double[] from, int[] entry, double[] factors, double[] to) {
            for (int s = 0; s < to.length; s++) {
                to[s] = from[s] * factors[entry[s]];
            }
        }

        /** The settings with a finding at an outcome: up to it, less up to the one before. */
        private Settings levels(Settings so, int finding, int outcome) {
            int n = so.weight().length;
            int times = outcome > 0 ? 2 : 1;
            int[] state = new int[n * times];
            double[] weight = new double[n * times];
            long[] below = new long[n * times];
            for (int q = 0; q < n; q++) {
                for (int less = 0; less < times; less++) {
                    state[q + less * n] = so.state()[q];
                    below[q + less * n] = so.below()[q] | (long) less << finding;
                    weight[q + less * n] =
                            so.weight()[q] * (1 - 2 * less) * spreads[finding].fixed[outcome - less][so.state()[q]];
                }
            }
            return new Settings(state, weight, below);
        }

        private double[][][] levels(double[][][] from, int[] state, int finding, int outcome) {
            int n = state.length;
            int times = outcome > 0 ? 2 : 1;
            double[][][] to = new double[blocks.length][n * times][];
            for (int b = 0; b < blocks.length; b++) {
                for (int less = 0; less < times; less++) {
                    double[] factors = spreads[finding].free[b][outcome - less];
                    for (int q = 0; q < n; q++) {
                        to[b][q + less * n] = factors == null ? from[b][q] : times(from[b][q], factors);
                    }
                }
            }
            return to;
        }

        private static double[] times(double[] from, double[] factors) {
            double[] to = new double[from.length];
            for (int s = 0; s < to.length; s++) {
                to[s] = from[s] * factors[s];
            }
            return to;
        }
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    /** What each setting adds to the beliefs. */
    private final class Parts {
        private final double[] all;
        private final double[][] with;
        private final double[][] none;

        Parts(Sums[][] of, Settings settings) {
            int n = settings.weight().length;
            all = settings.weight().clone();
            with = new double[causes][n];
            none = new double[goalsInCut.length][n];
            for (int q = 0; q < n; q++) {
                for (Sums[] block : of) {
                    all[q] *= block[q].total();
                }
                for (int i = 0; i < cut.length; i++) {
                    with[cut[i]][q] = (settings.state()[q] >> i & 1) != 0 ? all[q] : 0;
                }
                for (int b = 0; b < of.length; b++) {
                    double others = all[q] / of[b][q].total();
                    for (int i = 0; i < blocks[b].length; i++) {
                        with[blocks[b][i]][q] = others * of[b][q].with()[i];
                    }
                }
                for (int g = 0; g < none.length; g++) {
                    none[g][q] = free(g, all[q], settings.state()[q], of, q);
                }
            }
        }
    }

    /** The weight of a setting with none of a goal's causes. */
    private double free(int goal, double all, int state, Sums[][] of, int q) {
        if ((goalsInCut[goal] & state) != 0) {
            return 0;
        }
        double free = all;
        for (int b : blocksOfGoal[goal]) {
            free *= of[b][q].none()[goal] / of[b][q].total();
        }
        return free;
    }

    /**
     * What would be believed without a finding.
     *
     * @param belief the beliefs
     * @param bits log2 of the probability of the other findings together
     */
    record Without(Belief belief, double bits) {}

    private Sums[][] summed(double[][][] weights) {
        Sums[][] sums = new Sums[weights.length][];
        for (int b = 0; b < weights.length; b++) {
            sums[b] = new Sums[weights[b].length];
            for (int q = 0; q < weights[b].length; q++) {
                sums[b][q] = Sums.of(weights[b][q].clone(), goalsInBlock[b]);
            }
        }
        return sums;
    }

    private Belief combine(Sums[][] of, Settings settings) {
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
