package mussel.core.practice;

import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Tables;

/**
 * How far many practice legs are from what their tables say: for each cause and each outcome of each finding, how often it is there against the sum of what
 * the tables give it on each leg, in standard errors. The sum of n unlike throws is off by a normal of variance the sum of p(1−p), so that of two hundred
 * shares none should be off by more than {@link #TOLERATED}, but for one run in seven hundred.
 *
 * @param legs how many were drawn
 * @param shares how many shares were compared
 * @param worst how far the worst is off, in standard errors
 * @param where which that is
 */
public record Frequencies(int legs, int shares, double worst, String where) {
    /** As far as a share may be off, in standard errors. */
    public static final double TOLERATED = 4.5;

    private static final int CHUNK = 1_000;

    /** Draws legs 1 to that number, and compares. */
    public static Frequencies of(long seed, Tables tables, int legs) {
        Map<String, double[]> all = IntStream.rangeClosed(0, (legs - 1) / CHUNK)
                .parallel()
                .mapToObj(c -> chunk(seed, tables, c * CHUNK + 1, Math.min(legs, (c + 1) * CHUNK)))
                .reduce(new HashMap<>(), Frequencies::merged);
        Map.Entry<String, double[]> worst = all.entrySet().stream()
                .max(Comparator.comparingDouble(e -> off(e.getValue())))
                .orElseThrow();
        return new Frequencies(legs, all.size(), off(worst.getValue()), worst.getKey());
    }

    private static double off(double[] sum) {
        return Math.abs(sum[0]) / Math.sqrt(Math.max(1, sum[1]));
    }

    private static Map<String, double[]> chunk(long seed, Tables tables, int from, int to) {
        Map<String, double[]> sums = new HashMap<>();
        for (int number = from; number <= to; number++) {
            PracticeLeg leg = PracticeLeg.of(seed, number, tables);
            for (Cause cause : tables.knowledge().causes()) {
                add(
                        sums,
                        cause.id(),
                        cause.prior(tables.context()),
                        leg.causes().contains(cause.id()));
            }
            for (Finding finding : tables.knowledge().findings()) {
                double[] shares = tables.shares(finding.id(), leg.causes());
                String shows = leg.look(finding.id());
                for (int x = 0; x < shares.length; x++) {
                    String outcome = finding.outcomes().get(x);
                    add(sums, finding.id() + " " + outcome, shares[x], shows.equals(outcome));
                }
            }
        }
        return sums;
    }

    private static void add(Map<String, double[]> to, String what, double p, boolean is) {
        double[] sum = to.computeIfAbsent(what, w -> new double[2]);
        sum[0] += (is ? 1 : 0) - p;
        sum[1] += p * (1 - p);
    }

    private static Map<String, double[]> merged(Map<String, double[]> a, Map<String, double[]> b) {
        Map<String, double[]> all = new HashMap<>(a);
        b.forEach((what, sum) -> all.merge(what, sum, (x, y) -> new double[] {x[0] + y[0], x[1] + y[1]}));
        return all;
    }
}
