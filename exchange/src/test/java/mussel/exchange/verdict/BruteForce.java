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
        for (int subset = 0; subset < 1 << causes.size(); subset++) {
            double weight = 1;
            for (int c = 0; c < causes.size(); c++) {
                double p = causes.get(c).prior(context);
                weight *= holds(subset, c) ? p : 1 - p;
            }
            for (Map.Entry<String, String> made : findings.entrySet()) {
                Finding finding = knowledge.finding(made.getKey()).orElseThrow();
                int x = finding.outcomes().indexOf(made.getValue());
                weight *= upTo(finding, context, subset, x) - (x == 0 ? 0 : upTo(finding, context, subset, x - 1));
            }
            total += weight;
            for (int c = 0; c < causes.size(); c++) {
                if (holds(subset, c)) {
                    with.merge(causes.get(c).id(), weight, Double::sum);
                }
            }
        }
    }

    private static boolean holds(int subset, int cause) {
        return (subset >> cause & 1) == 1;
    }

    private double upTo(Finding finding, Context context, int subset, int x) {
        double cdf = sum(finding.base(), x);
        Map<String, Finding.Share> given = finding.given(context);
        for (int c = 0; c < causes.size(); c++) {
            Finding.Share share = given.get(causes.get(c).id());
            if (holds(subset, c) && share != null) {
                cdf *= sum(share.shares(), x);
            }
        }
        return cdf;
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
