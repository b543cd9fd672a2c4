package mussel.core.practice;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import mussel.core.practice.PracticeResult.Bin;
import mussel.core.practice.PracticeResult.Cost;
import mussel.core.practice.PracticeResult.Pair;
import mussel.core.practice.PracticeResult.Reliability;
import mussel.core.verdict.Context;
import mussel.core.verdict.Judge;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictResult.CauseBelief;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/** Goes about many practice legs in several ways and compares what they cost, leg by leg. */
public final class Practice {
    private static final double TAIL = 0.975;
    private static final int BINS = 10;

    private final Knowledge read;
    private final PracticeInput in;

    private Practice(Knowledge read, PracticeInput in) {
        this.read = read;
        this.in = in;
    }

    /** One leg, gone about in every way. */
    private record Played(Map<Policy, Reckoning> reckonings, List<Held> held, Held back, int forbidden) {}

    /** What was held so likely, and whether it was so. */
    private record Held(double stated, boolean there) {}

    /**
     * Runs it on all processors; the answer does not hang on how many there are.
     *
     * @param read the tables that are read
     */
    public static PracticeResult run(Knowledge read, PracticeInput in) {
        return new Practice(read, in).run();
    }

    private PracticeResult run() {
        Judge judge = new Judge(read);
        Judge world = in.wrong() == 1 ? judge : new Judge(WrongTables.of(read, in.wrong(), in.seed()));
        List<Played> played = IntStream.rangeClosed(1, in.legs())
                .parallel()
                .mapToObj(number -> play(judge, world, number))
                .toList();
        List<Cost> costs = new ArrayList<>();
        List<Pair> pairs = new ArrayList<>();
        for (Policy policy : in.policies()) {
            costs.add(cost(policy, played));
            for (Policy against : in.policies()) {
                if (policy != against) {
                    pairs.add(pair(policy, against, played));
                }
            }
        }
        return new PracticeResult(
                costs,
                pairs,
                reliability(played.stream().flatMap(p -> p.held().stream()).toList()),
                played.stream().mapToInt(Played::forbidden).sum(),
                reliability(played.stream().map(Played::back).toList()),
                read.knowledgeVersion(),
                in.legs(),
                in.seed(),
                in.wrong());
    }

    private Played play(Judge judge, Judge world, int number) {
        Context context = LegContexts.draw(in.seed(), number, in.context());
        Tables tables = judge.tables(context);
        Tables truth = world == judge ? tables : world.tables(context);
        Map<Policy, Reckoning> reckonings = new EnumMap<>(Policy.class);
        List<Held> held = new ArrayList<>();
        Held back = new Held(0, false);
        int forbidden = 0;
        Policy judged = in.policies().contains(Policy.ADVICE)
                ? Policy.ADVICE
                : in.policies().get(0);
        for (Policy policy : in.policies()) {
            PracticeLeg leg = PracticeLeg.of(in.seed(), number, truth);
            Bench bench = new Bench(leg, tables, Bench.Prices.tables(in.labourPerH()), LegContexts.state(leg));
            Reckoning reckoning = Policies.play(bench, policy);
            reckonings.put(policy, reckoning);
            if (policy == judged) {
                forbidden = reckoning.forbidden();
                back = new Held(reckoning.stated(), leg.source("back").nextDouble() < reckoning.back());
                for (CauseBelief cause : bench.believed().causes()) {
                    held.add(new Held(cause.probability(), bench.leg().causes().contains(cause.id())));
                }
            }
        }
        return new Played(reckonings, held, back, forbidden);
    }

    private static String name(Policy policy) {
        return policy.name().toLowerCase(Locale.ROOT);
    }

    private static Cost cost(Policy policy, List<Played> played) {
        DescriptiveStatistics cost = new DescriptiveStatistics();
        double minutes = 0;
        double missed = 0;
        double needless = 0;
        double looks = 0;
        double forbidden = 0;
        double back = 0;
        for (Played each : played) {
            Reckoning reckoning = each.reckonings().get(policy);
            cost.addValue(reckoning.cost());
            minutes += reckoning.minutes();
            missed += reckoning.missed().size();
            needless += reckoning.needless().size();
            looks += reckoning.looks();
            forbidden += reckoning.forbidden();
            back += reckoning.back();
        }
        int n = played.size();
        double half = half(cost);
        return new Cost(
                name(policy),
                cost.getMean(),
                cost.getMean() - half,
                cost.getMean() + half,
                minutes / n,
                missed / n,
                needless / n,
                looks / n,
                forbidden / n,
                back / n);
    }

    private static Pair pair(Policy policy, Policy against, List<Played> played) {
        DescriptiveStatistics more = new DescriptiveStatistics();
        played.forEach(p -> more.addValue(
                p.reckonings().get(policy).cost() - p.reckonings().get(against).cost()));
        double half = half(more);
        return new Pair(name(policy), name(against), more.getMean(), more.getMean() - half, more.getMean() + half);
    }

    /** Half of the interval about a mean, 95 % (Student 1908); of one leg, nothing is known. */
    private static double half(DescriptiveStatistics of) {
        return of.getN() < 2
                ? 0
                : new TDistribution(of.getN() - 1).inverseCumulativeProbability(TAIL)
                        * of.getStandardDeviation()
                        / Math.sqrt(of.getN());
    }

    private static Reliability reliability(List<Held> held) {
        double squared = 0;
        int[] n = new int[BINS];
        double[] stated = new double[BINS];
        int[] there = new int[BINS];
        for (Held each : held) {
            double off = each.stated() - (each.there() ? 1 : 0);
            squared += off * off;
            int bin = Math.min(BINS - 1, (int) (each.stated() * BINS));
            n[bin]++;
            stated[bin] += each.stated();
            there[bin] += each.there() ? 1 : 0;
        }
        List<Bin> bins = new ArrayList<>();
        for (int b = 0; b < BINS; b++) {
            if (n[b] > 0) {
                bins.add(new Bin(stated[b] / n[b], there[b] / (double) n[b], n[b]));
            }
        }
        return new Reliability(held.isEmpty() ? 0 : squared / held.size(), bins);
    }
}
