package mussel.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A group of causes that share findings, made ready for one context. Beliefs given any findings follow by exact enumeration; what does not
 * depend on the findings is computed once and kept.
 */
final class Group {
    /** The causes, each at its bit. */
    final List<Cause> causes;
    /** The findings that bear on them. */
    final List<Finding> findings;

    private final double[] priors;
    private final int[] cut;
    private final int[][] blocks;
    private final double[][] priorWeights;
    private final double[] cutPriors;
    private final Likelihood[] likelihoods;
    private final int[] blockOf;
    private final int[][] goalsInBlock;
    private final int[] goalsInCut;
    private final Evidence nothingMade;
    private final double[][] predictive;

    Group(
            List<Cause> causes,
            List<Finding> findings,
            Map<String, Map<String, Finding.Share>> given,
            List<String> goals,
            Context context,
            Map<List<Integer>, Arrangement> arranged) {
        this.causes = List.copyOf(causes);
        this.findings = List.copyOf(findings);
        priors = causes.stream().mapToDouble(c -> c.prior(context)).toArray();
        List<int[]> scopes = new ArrayList<>();
        List<List<List<Double>>> rows = new ArrayList<>();
        for (Finding finding : findings) {
            Map<String, Finding.Share> own = given.get(finding.id());
            int[] scope = own.keySet().stream().mapToInt(this::position).toArray();
            scopes.add(scope);
            rows.add(own.values().stream().map(Finding.Share::shares).toList());
        }
        Arrangement arrangement =
                Arrangement.of(causes.size(), scopes.stream().map(Group::bits).toList());
        cut = positions(arrangement.cut());
        blocks = arrangement.blocks().stream().map(Group::positions).toArray(int[][]::new);
        cutPriors = weights(cut);
        priorWeights = new double[blocks.length][];
        for (int b = 0; b < blocks.length; b++) {
            priorWeights[b] = weights(blocks[b]);
        }
        likelihoods = new Likelihood[findings.size()];
        blockOf = new int[findings.size()];
        for (int f = 0; f < likelihoods.length; f++) {
            blockOf[f] = arrangement.blockOf(bits(scopes.get(f)));
            likelihoods[f] =
                    new Likelihood(findings.get(f).base(), rows.get(f), scopes.get(f), blocks[blockOf[f]], cut);
        }
        goalsInBlock = new int[blocks.length][goals.size()];
        goalsInCut = new int[goals.size()];
        for (int g = 0; g < goals.size(); g++) {
            for (int b = 0; b < blocks.length; b++) {
                goalsInBlock[b][g] = goalBits(blocks[b], goals.get(g));
            }
            goalsInCut[g] = goalBits(cut, goals.get(g));
        }
        nothingMade = new Evidence(new int[findings.size()]);
        predictive = new double[findings.size()][];
    }

    private int position(String cause) {
        for (int i = 0; i < causes.size(); i++) {
            if (causes.get(i).id().equals(cause)) {
                return i;
            }
        }
        throw new IllegalArgumentException("No cause " + cause + " in this group");
    }

    private static int bits(int[] positions) {
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

    private int goalBits(int[] of, String goal) {
        int bits = 0;
        for (int i = 0; i < of.length; i++) {
            bits |= causes.get(of[i]).goal().equals(goal) ? 1 << i : 0;
        }
        return bits;
    }

    /** The prior of every subset of some causes. */
    private double[] weights(int[] of) {
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

    /** The prior of a cause in this context. */
    double prior(int cause) {
        return priors[cause];
    }

    /** How likely an outcome is while nothing else is known. Worked out when first asked for. */
    synchronized double predictive(int finding, int outcome) {
        if (predictive[finding] == null) {
            predictive[finding] = new double[findings.get(finding).outcomes().size()];
            for (int x = 0; x < predictive[finding].length; x++) {
                predictive[finding][x] = nothingMade.after(finding, x).total()
                        / nothingMade.belief().total();
            }
        }
        return predictive[finding][outcome];
    }

    /** The beliefs given findings: for each the outcome plus one, zero where it was not made. */
    Evidence given(int[] made) {
        return new Evidence(made);
    }

    /**
     * Beliefs, up to a common factor.
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
            return Math.max(0, 1 - none[goal] / total);
        }

        double odds(int cause) {
            return with[cause] / without[cause];
        }
    }

    /** The weights of all subsets given some findings, from which one finding more or less follows quickly. */
    final class Evidence {
        private final int[] made;
        private final double[][][] weights;
        private final Sums[][] sums;
        private final Belief belief;
        private double scaleBits;

        private Evidence(int[] made) {
            this.made = made;
            weights = new double[blocks.length][cutPriors.length][];
            sums = new Sums[blocks.length][cutPriors.length];
            for (int b = 0; b < blocks.length; b++) {
                fill(b);
            }
            belief = combine(sums);
        }

        private void fill(int b) {
            double most = 0;
            for (int k = 0; k < cutPriors.length; k++) {
                double[] w = priorWeights[b].clone();
                for (int f = 0; f < made.length; f++) {
                    if (made[f] > 0 && blockOf[f] == b) {
                        multiply(w, likelihoods[f].entry, likelihoods[f].of(k, made[f] - 1), w);
                    }
                }
                weights[b][k] = w;
                for (double each : w) {
                    most = Math.max(most, each);
                }
            }
            scaleBits += Math.log(most) / Math.log(2);
            for (int k = 0; k < cutPriors.length; k++) {
                double[] w = weights[b][k];
                for (int s = 0; s < w.length; s++) {
                    w[s] /= most;
                }
                sums[b][k] = Sums.of(w.clone(), goalsInBlock[b]);
            }
        }

        Belief belief() {
            return belief;
        }

        /** log2 of the probability of all findings together. */
        double bits() {
            return bits(belief.total());
        }

        private double bits(double total) {
            return Math.log(total) / Math.log(2) + scaleBits;
        }

        /** log2 of the probability of all findings but one. */
        double bitsWithout(Belief without) {
            return bits(without.total());
        }

        /** The beliefs with one finding more. */
        Belief after(int finding, int outcome) {
            return with(finding, k -> likelihoods[finding].of(k, outcome));
        }

        /** The beliefs as if one of the findings had not been made. */
        Belief without(int finding) {
            return with(finding, k -> likelihoods[finding].inverse(k, made[finding] - 1));
        }

        private Belief with(int finding, java.util.function.IntFunction<double[]> factors) {
            int b = blockOf[finding];
            Sums[][] changed = sums.clone();
            changed[b] = new Sums[cutPriors.length];
            double[] w = new double[weights[b][0].length];
            for (int k = 0; k < cutPriors.length; k++) {
                multiply(weights[b][k], likelihoods[finding].entry, factors.apply(k), w);
                changed[b][k] = Sums.of(w, goalsInBlock[b]);
            }
            return combine(changed);
        }

        private static void multiply(double[] from, int[] entry, double[] factors, double[] to) {
            for (int s = 0; s < to.length; s++) {
                to[s] = from[s] * factors[entry[s]];
            }
        }

        private Belief combine(Sums[][] of) {
            double total = 0;
            double[] with = new double[causes.size()];
            double[] without = new double[causes.size()];
            double[] none = new double[goalsInCut.length];
            for (int k = 0; k < cutPriors.length; k++) {
                double all = cutPriors[k];
                for (Sums[] block : of) {
                    all *= block[k].total();
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
                    Sums block = of[b][k];
                    double others = all / block.total();
                    for (int i = 0; i < blocks[b].length; i++) {
                        with[blocks[b][i]] += others * block.with()[i];
                        without[blocks[b][i]] += others * block.without()[i];
                    }
                }
                for (int g = 0; g < none.length; g++) {
                    if ((goalsInCut[g] & k) == 0) {
                        double free = cutPriors[k];
                        for (Sums[] block : of) {
                            free *= block[k].none()[g];
                        }
                        none[g] += free;
                    }
                }
            }
            return new Belief(total, with, without, none);
        }
    }
}
