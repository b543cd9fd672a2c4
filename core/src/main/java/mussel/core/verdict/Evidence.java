package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;

/** The weights of all subsets given some findings, from which one finding more or less follows quickly. */
final class Evidence {
    /** Rounding may cost this much of the figures at most (a part in {@code 2^53 / this}). */
    private static final double MOST_CANCELLED = 1e6;

    /** A difference that is a smaller share than this of what it is taken from is not trusted: some ten figures are left of it. */
    private static final double LEAST_LEFT = 1e-5;

    private final Shape shape;
    private final int[] made;
    private final Settings settings;
    private final double[][][] weights;
    private final int[][] first;
    private final Sums[][] sums;
    private final Belief belief;
    private double scaleBits;
    private Parts parts;

    private Evidence(Shape shape, int[] made, Settings settings, double[][][] weights, double scaleBits) {
        this(shape, made, settings, weights, Shape.first(weights), scaleBits);
    }

    private Evidence(
            Shape shape, int[] made, Settings settings, double[][][] weights, int[][] first, double scaleBits) {
        this(shape, made, settings, weights, first, shape.summed(weights, first), scaleBits);
    }

    private Evidence(
            Shape shape,
            int[] made,
            Settings settings,
            double[][][] weights,
            int[][] first,
            Sums[][] sums,
            double scaleBits) {
        this.shape = shape;
        this.made = made;
        this.settings = settings;
        this.weights = weights;
        this.first = first;
        this.sums = sums;
        this.scaleBits = scaleBits;
        belief = shape.combine(sums, settings);
    }

    Evidence(Shape shape, int[] made) {
        this.shape = shape;
        this.made = made;
        double[][][] narrow = new double[shape.blocks.length][shape.cutPriors.length][];
        for (int b = 0; b < shape.blocks.length; b++) {
            fill(b, narrow);
        }
        Settings so = Settings.of(shape.cutPriors);
        double[][][] all = narrow;
        for (int f = 0; f < shape.findings; f++) {
            if (made[f] > 0 && shape.spreads[f] != null) {
                double[][][] before = all;
                all = levels(before, so.state(), f, made[f] - 1);
                so = so.at(f, shape.spreads[f], made[f] - 1);
            }
        }
        settings = so;
        weights = all;
        first = Shape.first(all);
        sums = shape.summed(all, first);
        belief = shape.combine(sums, so);
    }

    private void fill(int b, double[][][] to) {
        double most = 0;
        for (int k = 0; k < shape.cutPriors.length; k++) {
            double[] w = shape.priorWeights[b].clone();
            for (int f = 0; f < made.length; f++) {
                if (made[f] > 0 && shape.likelihoods[f] != null && shape.blockOf[f] == b) {
                    multiply(w, shape.likelihoods[f].entry, shape.likelihoods[f].of(k, made[f] - 1), w);
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

    /** Weighs subsets by factors of their causes; what was summed over a block for some factors is kept for the next that have the same there. */
    Weighing weighing() {
        return new Weighing();
    }

    /** For one thread. */
    final class Weighing {
        private final List<Map<Factors, double[]>> kept = new ArrayList<>();

        private Weighing() {
            for (int b = 0; b < shape.blocks.length; b++) {
                kept.add(new HashMap<>());
            }
        }

        /**
         * The weight of everything, each subset's times one factor for each of its causes.
         *
         * @param factors by cause of the group
         */
        double of(double[] factors) {
            double[] ofCut = Shape.products(factors, shape.cut);
            double[][] sum = new double[shape.blocks.length][];
            for (int b = 0; b < sum.length; b++) {
                double[] own = new double[shape.blocks[b].length];
                for (int i = 0; i < own.length; i++) {
                    own[i] = factors[shape.blocks[b][i]];
                }
                int block = b;
                sum[b] = kept.get(b).computeIfAbsent(new Factors(own), f -> summed(block, own));
            }
            double total = 0;
            for (int q = 0; q < settings(); q++) {
                double all = settings.weight()[q] * ofCut[settings.state()[q]];
                for (int b = 0; b < sum.length; b++) {
                    all *= sum[b][q];
                }
                total += all;
            }
            return total;
        }

        private double[] summed(int b, double[] own) {
            double[] summed = new double[settings()];
            boolean plain = true;
            for (double factor : own) {
                plain &= factor == 1;
            }
            double[] products = plain ? new double[0] : Shape.products(own);
            for (int q = 0; q < summed.length; q++) {
                int same = first[b][q];
                if (same < q) {
                    summed[q] = summed[same];
                } else {
                    summed[q] = plain ? sums[b][q].total() : dot(weights[b][q], products);
                }
            }
            return summed;
        }
    }

    /** Factors that are found again by their values. */
    private record Factors(double[] values) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Factors factors && Arrays.equals(values, factors.values);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(values);
        }
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
        return shape.work() / shape.cutPriors.length * settings();
    }

    private int settings() {
        return settings.count();
    }

    /** log2 of the probability of all findings together. */
    double bits() {
        return Math.log(belief.total()) / Math.log(2) + scaleBits;
    }

    /** The beliefs with one finding more. */
    Belief after(int finding, int outcome) {
        return shape.spreads[finding] == null
                ? quick(finding, k -> shape.likelihoods[finding].of(k, outcome))
                : and(finding, outcome).belief();
    }

    /**
     * The beliefs with one finding more, after each of its outcomes. An outcome is certain to come, so the first one has what the others leave of the beliefs as they
     * are; where those leave too little of them to trust the difference, it is summed like the others.
     */
    Belief[] each(int finding, int outcomes) {
        Belief[] each = new Belief[outcomes];
        Belief left = belief;
        for (int x = 1; x < outcomes; x++) {
            each[x] = after(finding, x);
            left = left.less(each[x]);
        }
        each[0] = left.total() > LEAST_LEFT * belief.total() ? left : after(finding, 0);
        return each;
    }

    /** One block changes by a factor of each of its subsets; what the others say follows by how much each setting gains or loses. */
    private Belief quick(int finding, IntFunction<double[]> factors) {
        if (parts == null) {
            parts = new Parts(sums, settings);
        }
        int b = shape.blockOf[finding];
        int[] block = shape.blocks[b];
        int[] goals = shape.goalsInBlock[b];
        int[] entry = shape.likelihoods[finding].entry;
        double[] gain = new double[settings()];
        double[] with = new double[shape.causes];
        double[] without = new double[shape.causes];
        double[] none = new double[goals.length];
        double[] w = new double[1 << block.length];
        double total = 0;
        for (int q = 0; q < gain.length; q++) {
            int same = first[b][q];
            if (same == q) {
                multiply(weights[b][q], entry, factors.apply(settings.state()[q]), w);
                Sums now = Sums.of(w, goals);
                Sums was = sums[b][q];
                gain[q] = now.total() / was.total();
                double others = parts.others[b][q];
                for (int i = 0; i < block.length; i++) {
                    with[block[i]] += others * now.with()[i];
                    without[block[i]] += others * now.without()[i];
                }
                for (int g : shape.goalsOfBlock[b]) {
                    none[g] += parts.noneOf[b][g][q] * now.none()[g] / was.none()[g];
                }
            }
            gain[q] = gain[same];
            total += parts.all[q] * gain[q];
        }
        for (int other = -1; other < shape.blocks.length; other++) {
            if (other != b) {
                for (int c : other < 0 ? shape.cut : shape.blocks[other]) {
                    with[c] = dot(parts.with[c], gain);
                    without[c] = dot(parts.without[c], gain);
                }
            }
        }
        for (int g = 0; g < goals.length; g++) {
            if (goals[g] == 0) {
                none[g] = shape.untouched(g) ? total : dot(parts.none[g], gain);
            }
        }
        return new Belief(total, with, without, none);
    }

    /** The same with one finding more, from which others follow. */
    Evidence and(int finding, int outcome) {
        int[] now = made.clone();
        now[finding] = outcome + 1;
        if (shape.spreads[finding] != null) {
            return new Evidence(
                    shape,
                    now,
                    settings.at(finding, shape.spreads[finding], outcome),
                    levels(weights, settings.state(), finding, outcome),
                    scaleBits);
        }
        int b = shape.blockOf[finding];
        double[][][] more = weights.clone();
        more[b] = new double[settings()][];
        Sums[][] changed = sums.clone();
        changed[b] = new Sums[settings()];
        for (int q = 0; q < settings(); q++) {
            int same = first[b][q];
            if (same == q) {
                double[] w = new double[weights[b][q].length];
                double[] factors = shape.likelihoods[finding].of(settings.state()[q], outcome);
                multiply(weights[b][q], shape.likelihoods[finding].entry, factors, w);
                more[b][q] = w;
                changed[b][q] = Sums.of(w.clone(), shape.goalsInBlock[b]);
            }
            more[b][q] = more[b][same];
            changed[b][q] = changed[b][same];
        }
        return new Evidence(shape, now, settings, more, first, changed, scaleBits);
    }

    /** The beliefs and the probability as if one of the findings had not been made. */
    Without without(int finding) {
        if (shape.spreads[finding] != null) {
            Belief others = undone(finding, made[finding] - 1);
            return new Without(others, Math.log(others.total()) / Math.log(2) + scaleBits);
        }
        Belief others = quick(finding, k -> shape.likelihoods[finding].inverse(k, made[finding] - 1));
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
            weight[i] = settings.weight()[kept[i]] / shape.spreads[finding].fixed[outcome][state[i]];
        }
        Sums[][] changed = new Sums[shape.blocks.length][kept.length];
        for (int b = 0; b < shape.blocks.length; b++) {
            double[] factors = shape.spreads[finding].free[b][outcome];
            Sums[] made = new Sums[settings()];
            for (int i = 0; i < kept.length; i++) {
                int same = first[b][kept[i]];
                if (made[same] == null) {
                    made[same] = factors == null
                            ? sums[b][same]
                            : Sums.of(over(weights[b][same], factors), shape.goalsInBlock[b]);
                }
                changed[b][i] = made[same];
            }
        }
        return shape.combine(changed, new Settings(state, weight, new long[kept.length]));
    }

    private static double[] over(double[] from, double[] factors) {
        double[] to = new double[from.length];
        for (int s = 0; s < to.length; s++) {
            to[s] = from[s] / factors[s];
        }
        return to;
    }

    private static void multiply(double[] from, int[] entry, double[] factors, double[] to) {
        for (int s = 0; s < to.length; s++) {
            to[s] = from[s] * factors[entry[s]];
        }
    }

    private double[][][] levels(double[][][] from, int[] state, int finding, int outcome) {
        int n = state.length;
        int times = outcome > 0 ? 2 : 1;
        double[][][] to = new double[shape.blocks.length][n * times][];
        for (int b = 0; b < shape.blocks.length; b++) {
            for (int less = 0; less < times; less++) {
                double[] factors = shape.spreads[finding].free[b][outcome - less];
                Map<double[], double[]> products = new IdentityHashMap<>();
                for (int q = 0; q < n; q++) {
                    to[b][q + less * n] =
                            factors == null ? from[b][q] : products.computeIfAbsent(from[b][q], w -> times(w, factors));
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
        private final double[][] without;
        private final double[][] none;
        /** By block, the weight of all settings with the same weights there, over what those sum to. */
        private final double[][] others;
        /** By block and goal, what all settings with the same weights there add to none of the goal. */
        private final double[][][] noneOf;

        Parts(Sums[][] of, Settings settings) {
            int n = settings.weight().length;
            all = settings.weight().clone();
            with = new double[shape.causes][n];
            without = new double[shape.causes][n];
            none = new double[shape.goalsInCut.length][n];
            for (int q = 0; q < n; q++) {
                for (Sums[] block : of) {
                    all[q] *= block[q].total();
                }
                for (int i = 0; i < shape.cut.length; i++) {
                    boolean present = (settings.state()[q] >> i & 1) != 0;
                    with[shape.cut[i]][q] = present ? all[q] : 0;
                    without[shape.cut[i]][q] = present ? 0 : all[q];
                }
                for (int b = 0; b < of.length; b++) {
                    double others = all[q] / of[b][q].total();
                    for (int i = 0; i < shape.blocks[b].length; i++) {
                        with[shape.blocks[b][i]][q] = others * of[b][q].with()[i];
                        without[shape.blocks[b][i]][q] = others * of[b][q].without()[i];
                    }
                }
                for (int g = 0; g < none.length; g++) {
                    none[g][q] = shape.free(g, all[q], settings.state()[q], of, q);
                }
            }
            others = new double[of.length][n];
            noneOf = new double[of.length][none.length][];
            for (int b = 0; b < of.length; b++) {
                for (int q = 0; q < n; q++) {
                    others[b][first[b][q]] += all[q] / of[b][q].total();
                }
                for (int g : shape.goalsOfBlock[b]) {
                    noneOf[b][g] = new double[n];
                    for (int q = 0; q < n; q++) {
                        noneOf[b][g][first[b][q]] += none[g][q];
                    }
                }
            }
        }
    }

    /**
     * What would be believed without a finding.
     *
     * @param belief the beliefs
     * @param bits log2 of the probability of the other findings together
     */
    record Without(Belief belief, double bits) {}
}
