package mussel.exchange.verdict;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;

/** The posterior the long way: every subset of all causes given, one after the other, straight from the definition of noisy-MAX. */
final class BruteForce {
    private final List<Cause> causes;
    private final Map<String, Double> with = new HashMap<>();
    private double total;

    BruteForce(Knowledge knowledge, Context context, List<String> among, Map<String, String> findings) {
        causes = knowledge.causes().stream().filter(c -> among.contains(c.id())).toList();
        double[] priors = causes.stream().mapToDouble(c -> c.prior(context)).toArray();
        List<Seen> seen = findings.entrySet().stream()
                .map(made -> seen(knowledge.finding(made.getKey()).orElseThrow(), context, made.getValue()))
                .toList();
        for (int subset = 0; subset < 1 << causes.size(); subset++) {
            double weight = 1;
            for (int c = 0; c < priors.length; c++) {
                weight *= holds(subset, c) ? priors[c] : 1 - priors[c];
            }
            for (Seen each : seen) {
                weight *= each.likelihood(subset);
            }
            total += weight;
            for (int c = 0; c < causes.size(); c++) {
                if (holds(subset, c)) {
                    with.merge(causes.get(c).id(), weight, Double::sum);
                }
            }
        }
    }

    /** A finding made: the cumulative share up to its outcome and up to the one before, of the base and of each cause. */
    private record Seen(double baseUpTo, double baseBelow, double[] upTo, double[] below) {
        double likelihood(int subset) {
            double to = baseUpTo;
            double under = baseBelow;
            for (int c = 0; c < upTo.length; c++) {
                to *= holds(subset, c) ? upTo[c] : 1;
                under *= holds(subset, c) ? below[c] : 1;
            }
            return to - under;
        }
    }

    private Seen seen(Finding finding, Context context, String outcome) {
        int x = finding.outcomes().indexOf(outcome);
        Map<String, Finding.Share> given = finding.given(context);
        double[] upTo = new double[causes.size()];
        double[] below = new double[causes.size()];
        for (int c = 0; c < upTo.length; c++) {
            Finding.Share share = given.get(causes.get(c).id());
            upTo[c] = share == null ? 1 : sum(share.shares(), x);
            below[c] = share == null ? 1 : sum(share.shares(), x - 1);
        }
        return new Seen(sum(finding.base(), x), sum(finding.base(), x - 1), upTo, below);
    }

    private static boolean holds(int subset, int cause) {
        return (subset >> cause & 1) == 1;
    }

    private static double sum(List<Double> shares, int upTo) {
        double sum = 0;
        for (int i = 0; i <= upTo; i++) {
            sum += shares.get(i);
        }
        return sum;
    }

    double total() {
        return total;
    }

    Map<String, Double> posterior() {
        Map<String, Double> all = new LinkedHashMap<>();
        causes.forEach(c -> all.put(c.id(), with.get(c.id()) / total));
        return all;
    }
}
