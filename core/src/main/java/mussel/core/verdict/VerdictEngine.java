package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import mussel.core.measure.StopToken;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Decision;
import mussel.core.verdict.VerdictResult.Together;

/**
 * Which faults, how sure, and what to look at next: the exact posterior over all subsets of causes (noisy-MAX, Diez 1993), the weight of
 * evidence of each finding in bits (Good 1950), and the expected value of each look not made (Howard 1966). A pure function of the tables
 * and its input.
 */
public final class VerdictEngine {
    private static final double LN2 = Math.log(2);
    private final Tables tables;
    private final VerdictInput in;
    private final Map<String, String> counted = new LinkedHashMap<>();
    private final List<Evidence> evidence = new ArrayList<>();
    private final List<int[]> made = new ArrayList<>();
    private final double[] marginal;
    private final double[] comeback;
    private final Map<String, Check> valued = new HashMap<>();

    private VerdictEngine(Tables tables, VerdictInput in) {
        this.tables = tables;
        this.in = in;
        in.findings().forEach((id, outcome) -> {
            Finding finding = tables.finding(id);
            boolean benign = finding.outcomes().indexOf(outcome) == 0;
            if (!benign || finding.open(in.findings())) {
                counted.put(id, outcome);
            }
        });
        for (Group group : tables.groups()) {
            int[] outcomes = new int[group.findings.size()];
            for (int f = 0; f < outcomes.length; f++) {
                Finding finding = group.findings.get(f);
                outcomes[f] = finding.outcomes().indexOf(counted.getOrDefault(finding.id(), "")) + 1;
            }
            made.add(outcomes);
            evidence.add(group.given(outcomes));
        }
        List<RepairGoal> goals = tables.knowledge().goals();
        marginal = goals.stream().mapToDouble(g -> cost(g).marginalCost()).toArray();
        comeback = goals.stream().mapToDouble(g -> cost(g).comebackCost()).toArray();
    }

    /** What is found, and what is open. */
    VerdictInput in() {
        return in;
    }

    /** What is known of each group. */
    List<Evidence> evidence() {
        return evidence;
    }

    /** The same with one look more. */
    VerdictEngine(VerdictEngine before, int g, int f, int outcome) {
        Finding finding = before.tables.groups().get(g).findings.get(f);
        Map<String, String> found = new LinkedHashMap<>(before.in.findings());
        found.put(finding.id(), finding.outcomes().get(outcome));
        List<String> open = new ArrayList<>(before.in.open());
        open.add(finding.access());
        this.tables = before.tables;
        this.in = before.in.found(found, open);
        this.evidence.addAll(before.evidence);
        this.evidence.set(g, before.evidence.get(g).and(f, outcome));
        this.marginal = before.marginal;
        this.comeback = before.comeback;
    }

    private VerdictInput.Costs cost(RepairGoal goal) {
        return in.goals()
                .getOrDefault(
                        goal.id(),
                        new VerdictInput.Costs(
                                goal.marginalCost() * in.labourPerH(), goal.comebackCost() * in.labourPerH()));
    }

    /** Judges findings; the input has been checked against the tables. */
    public static VerdictResult run(Tables tables, VerdictInput in) {
        return new VerdictEngine(tables, in).judge(true);
    }

    /** Which round of checks and which set of repairs: the advice on a lower unit in the state it is in. */
    public static Repairs repairs(Tables tables, VerdictInput in) {
        return repairs(tables, in, Set.of(), new StopToken());
    }

    /**
     * The same, with what some chosen repairs come to.
     *
     * @throws mussel.core.measure.WorkStoppedException where it is stopped before it is done
     */
    public static Repairs repairs(Tables tables, VerdictInput in, Set<String> chosen, StopToken stop) {
        return RepairAdvice.of(tables, in, new VerdictEngine(tables, in).evidence, chosen, Optional.of(stop));
    }

    /** Where to stop and look while some repairs are made, and what that may add; none where the tables know no stages. */
    public static List<Repairs.Stop> stops(Tables tables, VerdictInput in, Set<String> chosen) {
        return RepairAdvice.stops(tables, in, new VerdictEngine(tables, in).evidence, chosen);
    }

    /** The same without rounds of checks, which take most of the time. */
    public static Repairs sets(Tables tables, VerdictInput in) {
        return RepairAdvice.of(tables, in, new VerdictEngine(tables, in).evidence, Set.of(), Optional.empty());
    }

    /**
     * What some repairs cost on a lower unit whose faults are known, as practice knows them.
     *
     * @param in what was found and the state it is in, as for {@link #repairs}
     * @param goals the repairs chosen; what goes with them by rule is added
     * @param causes the faults that are there
     * @return empty where the tables know no stages
     */
    public static Optional<Settled> settle(Tables tables, VerdictInput in, Set<String> goals, Set<String> causes) {
        return RepairAdvice.settle(tables, in, new VerdictEngine(tables, in).evidence, goals, causes);
    }

    /** Only what to look at next and what to do as it stands; no cause is named, and nothing of what speaks for it. */
    public static VerdictResult advice(Tables tables, VerdictInput in) {
        VerdictEngine engine = new VerdictEngine(tables, in);
        double[] p = engine.probabilities();
        List<Check> paying = engine.checks(f -> engine.savesAtMost(p, tables.sway(f)) > engine.time(f));
        VerdictResult singly = engine.unnamed(paying, List.of(), Optional.empty());
        List<Together> together =
                new SetUps(engine, tables, in, engine.evidence, paying).valued(singly.advised(tables.knowledge()));
        VerdictResult greedy = engine.unnamed(paying, together, Optional.empty());
        if (greedy.advised(tables.knowledge()).isPresent()) {
            return greedy;
        }
        List<Check> checks = engine.checks(finding -> true);
        return engine.unnamed(checks, together, new Ahead(engine, tables, in).leads(checks));
    }

    private VerdictResult unnamed(List<Check> checks, List<Together> together, Optional<Together> ahead) {
        return new VerdictResult(
                List.of(),
                decisions(),
                checks,
                together,
                ahead,
                tables.knowledge().knowledgeVersion(),
                0,
                Optional.empty(),
                Repairs.NONE);
    }

    /** The same without ranking the looks, which takes most of the time. */
    public static VerdictResult withoutChecks(Tables tables, VerdictInput in) {
        return new VerdictEngine(tables, in).judge(false);
    }

    /** How likely each outcome of a look is, given what was found. */
    public static double[] expected(Tables tables, VerdictInput in, String finding) {
        VerdictEngine engine = new VerdictEngine(tables, in);
        for (int g = 0; g < engine.evidence.size(); g++) {
            Group group = tables.groups().get(g);
            for (int f = 0; f < group.findings.size(); f++) {
                Finding of = group.findings.get(f);
                if (of.id().equals(finding)) {
                    Evidence all = engine.evidence.get(g);
                    return Arrays.stream(all.each(f, of.outcomes().size()))
                            .mapToDouble(b -> b.total() / all.belief().total())
                            .toArray();
                }
            }
        }
        throw new IllegalArgumentException("No finding " + finding);
    }

    private VerdictResult judge(boolean ranked) {
        List<CauseBelief> causes = new ArrayList<>();
        double together = 0;
        double apart = 0;
        double surprise;
        Map<String, Double> removed = new LinkedHashMap<>();
        for (int g = 0; g < evidence.size(); g++) {
            together += evidence.get(g).bits();
        }
        for (int g = 0; g < evidence.size(); g++) {
            Group group = tables.groups().get(g);
            for (int f = 0; f < group.findings.size(); f++) {
                if (made.get(g)[f] > 0) {
                    apart += Math.log(group.predictive(f, made.get(g)[f] - 1)) / LN2;
                }
            }
        }
        surprise = apart - together;
        for (int g = 0; g < evidence.size(); g++) {
            causes.addAll(causes(g, removed));
        }
        causes.sort(
                Comparator.comparingDouble(CauseBelief::probability).reversed().thenComparing(CauseBelief::id));
        Optional<String> carrier = surprise > VerdictResult.CONTRADICTION_BITS
                ? removed.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey)
                : Optional.empty();
        List<Check> checks = ranked ? checks(finding -> true) : List.of();
        List<Together> setUps = ranked ? new SetUps(this, tables, in, evidence, checks).valued() : List.of();
        boolean pays =
                checks.stream().anyMatch(c -> c.value() > 0) || setUps.stream().anyMatch(t -> t.value() > 0);
        return new VerdictResult(
                causes,
                decisions(),
                checks,
                setUps,
                pays ? Optional.empty() : new Ahead(this, tables, in).leads(checks),
                tables.knowledge().knowledgeVersion(),
                counted.isEmpty() ? 0 : surprise,
                carrier,
                Repairs.NONE);
    }

    /** The causes of a group; notes by how much each finding's removal lowers the surprise. */
    private List<CauseBelief> causes(int g, Map<String, Double> removed) {
        Group group = tables.groups().get(g);
        Evidence all = evidence.get(g);
        Map<String, Belief> without = new LinkedHashMap<>();
        for (int f = 0; f < group.findings.size(); f++) {
            int outcome = made.get(g)[f];
            if (outcome > 0) {
                Evidence.Without others = all.without(f);
                without.put(group.findings.get(f).id(), others.belief());
                double apart = Math.log(group.predictive(f, outcome - 1)) / LN2;
                removed.put(group.findings.get(f).id(), apart + others.bits() - all.bits());
            }
        }
        List<CauseBelief> causes = new ArrayList<>();
        for (int c = 0; c < group.causes.size(); c++) {
            List<VerdictResult.Evidence> bits = new ArrayList<>();
            for (Map.Entry<String, Belief> other : without.entrySet()) {
                double ratio = all.belief().odds(c) / other.getValue().odds(c);
                bits.add(new VerdictResult.Evidence(other.getKey(), Math.log(ratio) / LN2));
            }
            causes.add(new CauseBelief(
                    group.causes.get(c).id(), group.prior(c), all.belief().probability(c), bits));
        }
        return causes;
    }

    private double[] goalProbabilities(List<Belief> beliefs) {
        double[] none = new double[marginal.length];
        Arrays.fill(none, 1);
        for (Belief belief : beliefs) {
            for (int goal = 0; goal < none.length; goal++) {
                none[goal] *= 1 - belief.goal(goal);
            }
        }
        for (int goal = 0; goal < none.length; goal++) {
            none[goal] = 1 - none[goal];
        }
        return none;
    }

    List<Belief> beliefs() {
        return evidence.stream().map(Evidence::belief).toList();
    }

    private List<Decision> decisions() {
        double[] p = goalProbabilities(beliefs());
        List<Decision> decisions = new ArrayList<>();
        for (int goal = 0; goal < p.length; goal++) {
            double leave = p[goal] * comeback[goal];
            decisions.add(
                    new Decision(tables.goals().get(goal), p[goal], leave > marginal[goal], marginal[goal], leave));
        }
        return decisions;
    }

    double cost(List<Belief> beliefs) {
        double[] p = goalProbabilities(beliefs);
        double cost = 0;
        for (int goal = 0; goal < p.length; goal++) {
            cost += Math.min(marginal[goal], p[goal] * comeback[goal]);
        }
        return cost;
    }

    /** The same if it were known what is wrong: what no looks can cost less than on the mean. */
    double costKnowing(List<Belief> beliefs) {
        double[] p = goalProbabilities(beliefs);
        double cost = 0;
        for (int goal = 0; goal < p.length; goal++) {
            cost += p[goal] * Math.min(marginal[goal], comeback[goal]);
        }
        return cost;
    }

    /** The same if it were known of one group what is wrong there: what a look at it cannot do better than, on the mean. */
    double costKnowing(int g) {
        List<Belief> beliefs = new ArrayList<>(beliefs());
        Belief known = beliefs.remove(g);
        double[] elsewhere = goalProbabilities(beliefs);
        double cost = 0;
        for (int goal = 0; goal < elsewhere.length; goal++) {
            double here = known.goal(goal);
            cost += here * Math.min(marginal[goal], comeback[goal])
                    + (1 - here) * Math.min(marginal[goal], elsewhere[goal] * comeback[goal]);
        }
        return cost;
    }

    /** The looks not made, ranked; of those alone that are asked for. */
    private List<Check> checks(Predicate<Finding> of) {
        List<Check> checks = new ArrayList<>();
        double costNow = cost(beliefs());
        for (int g = 0; g < evidence.size(); g++) {
            Group group = tables.groups().get(g);
            for (int f = 0; f < group.findings.size(); f++) {
                Finding finding = group.findings.get(f);
                if (finding.open(in.findings()) && offered(finding) && of.test(finding)) {
                    checks.add(check(g, f, finding, costNow));
                }
            }
        }
        checks.sort(Comparator.comparing(Check::bearing)
                .thenComparing(Comparator.comparingDouble(Check::value).reversed())
                .thenComparing(Comparator.comparingDouble((Check c) -> c.gainBits() / Math.max(1e-9, c.minutes()))
                        .reversed())
                .thenComparing(Check::finding));
        return checks;
    }

    /** How likely each goal is called for. */
    double[] probabilities() {
        return goalProbabilities(beliefs());
    }

    /** What the time of a look costs now, its set-up's with it (money). */
    double time(Finding finding) {
        return tables.minutes(finding, in) * in.labourPerH() / 60;
    }

    /**
     * What looks save at most that can change the odds of anything by a factor at most. On the mean they change no probability, and what a goal costs is concave in its
     * own (Jensen): nothing saves more than finding it as high or as low as can be.
     *
     * @param p the goals' probabilities
     * @param sway the factor
     */
    double savesAtMost(double[] p, double sway) {
        double saves = 0;
        for (int goal = 0; goal < p.length; goal++) {
            double odds = p[goal] / (1 - p[goal]);
            double low = odds / (odds + sway);
            double high = odds / (odds + 1 / sway);
            double least = marginal[goal] / comeback[goal];
            if (low < least && least < high) {
                double up = (p[goal] - low) / (high - low);
                double then = up * marginal[goal] + (1 - up) * low * comeback[goal];
                saves += Math.max(0, Math.min(marginal[goal], p[goal] * comeback[goal]) - then);
            }
        }
        return saves;
    }

    /** Whether a look is still to be made, can be made on this leg and can be made now, whatever its gate. */
    boolean offered(Finding finding) {
        return tables.offered(finding, in);
    }

    /** What a look would settle and save, as if its gate stood open. */
    Check check(int g, int f, Finding finding, double costNow) {
        return valued.computeIfAbsent(finding.id(), id -> value(g, f, finding, costNow));
    }

    private Check value(int g, int f, Finding finding, double costNow) {
        Belief now = evidence.get(g).belief();
        Belief[] each = evidence.get(g).each(f, finding.outcomes().size());
        double entropy = entropy(now);
        double expectedEntropy = 0;
        for (Belief after : each) {
            expectedEntropy += after.total() / now.total() * entropy(after);
        }
        double minutes = tables.minutes(finding, in);
        double saves = costNow - expectedCost(each, g);
        return new Check(
                finding.id(),
                entropy - expectedEntropy,
                saves,
                minutes,
                saves - minutes * in.labourPerH() / 60,
                finding.access(),
                tables.raised(finding) ? VerdictResult.Bearing.COMPLAINT : VerdictResult.Bearing.BESIDE);
    }

    /** What the job costs on the mean after a look, by what may be believed of the look's group then. */
    double expectedCost(Belief[] each, int g) {
        List<Belief> beliefs = new ArrayList<>(beliefs());
        double total = beliefs.get(g).total();
        double cost = 0;
        for (Belief after : each) {
            beliefs.set(g, after);
            cost += after.total() / total * cost(beliefs);
        }
        return cost;
    }

    /** The sum of the causes' binary entropies (bits). */
    private static double entropy(Belief belief) {
        double bits = 0;
        for (int c = 0; c < belief.with().length; c++) {
            double p = belief.with()[c] / belief.total();
            double q = belief.without()[c] / belief.total();
            bits -= term(p) + term(q);
        }
        return bits;
    }

    private static double term(double p) {
        return p > 0 ? p * Math.log(p) / LN2 : 0;
    }
}
