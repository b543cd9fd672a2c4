package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    /** Looks that may follow: those that come nearest, and what the first ones open. */
    private static final int FOLLOWING = 10;
    /** Looks, or looks of one set-up, that are thought two steps ahead: those that come nearest to paying by themselves. */
    private static final int BREADTH = 4;

    private final Tables tables;
    private final VerdictInput in;
    private final Map<String, String> counted = new LinkedHashMap<>();
    private final List<Evidence> evidence = new ArrayList<>();
    private final List<int[]> made = new ArrayList<>();
    private final double[] marginal;
    private final double[] comeback;

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

    /** The same with one look more. */
    private VerdictEngine(VerdictEngine before, int g, int f, int outcome) {
        Finding finding = before.tables.groups().get(g).findings.get(f);
        Map<String, String> found = new LinkedHashMap<>(before.in.findings());
        found.put(finding.id(), finding.outcomes().get(outcome));
        List<String> open = new ArrayList<>(before.in.open());
        open.add(finding.access());
        this.tables = before.tables;
        this.in = new VerdictInput(before.in.context(), found, before.in.labourPerH(), open, before.in.goals());
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

    /** Only what to look at next and what to do as it stands; no cause is named, and nothing of what speaks for it. */
    public static VerdictResult advice(Tables tables, VerdictInput in) {
        VerdictEngine engine = new VerdictEngine(tables, in);
        List<Check> checks = engine.checks(false);
        VerdictResult singly = engine.unnamed(checks, List.of(), Optional.empty());
        List<Together> together =
                new SetUps(engine, tables, in, engine.evidence, checks).valued(singly.advised(tables.knowledge()));
        VerdictResult greedy = engine.unnamed(checks, together, Optional.empty());
        return greedy.advised(tables.knowledge()).isPresent()
                ? greedy
                : engine.unnamed(checks, together, engine.ahead(checks, together));
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
                Optional.empty());
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
        List<Check> checks = ranked ? checks(true) : List.of();
        List<Together> setUps = ranked ? new SetUps(this, tables, in, evidence, checks).valued() : List.of();
        boolean pays =
                checks.stream().anyMatch(c -> c.value() > 0) || setUps.stream().anyMatch(t -> t.value() > 0);
        return new VerdictResult(
                causes,
                decisions(),
                checks,
                setUps,
                pays ? Optional.empty() : ahead(checks, setUps),
                tables.knowledge().knowledgeVersion(),
                counted.isEmpty() ? 0 : surprise,
                carrier);
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

    private List<Belief> beliefs() {
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

    /**
     * The looks not made, ranked.
     *
     * @param all whether those are among them that would not pay even if they told everything
     */
    private List<Check> checks(boolean all) {
        List<Check> checks = new ArrayList<>();
        double costNow = cost(beliefs());
        double most = costNow - costKnowing(beliefs());
        for (int g = 0; g < evidence.size(); g++) {
            Group group = tables.groups().get(g);
            for (int f = 0; f < group.findings.size(); f++) {
                Finding finding = group.findings.get(f);
                if (finding.open(in.findings())
                        && offered(finding)
                        && (all || most > tables.minutes(finding, in) * in.labourPerH() / 60)) {
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

    /**
     * Where nothing pays by itself: what pays with the best look that may follow what it shows. Looks of which one tells what the other is worth are never found
     * one by one.
     *
     * @param checks the looks, valued singly
     * @param together the set-ups, valued as one
     */
    private Optional<Together> ahead(List<Check> checks, List<Together> together) {
        Set<String> follow = checks.stream()
                .sorted(Comparator.comparingDouble(Check::value).reversed())
                .limit(FOLLOWING)
                .map(Check::finding)
                .collect(Collectors.toSet());
        List<Together> near = Stream.concat(together.stream(), checks.stream().map(Check::alone))
                .sorted(Comparator.comparingDouble(Together::value).reversed())
                .limit(BREADTH)
                .toList();
        Optional<Together> best = Optional.empty();
        for (Together first : near) {
            double worth = first.value() + after(first.findings(), 0, follow);
            if (worth > best.map(Together::value).orElse(0.0)) {
                best = Optional.of(new Together(
                        first.access(),
                        first.findings(),
                        worth + first.minutes() * in.labourPerH() / 60,
                        first.minutes(),
                        worth,
                        first.bearing()));
            }
        }
        return best;
    }

    /** What the best look after some is worth, on the mean over what those show. */
    private double after(List<String> looks, int from, Set<String> follow) {
        if (from == looks.size()) {
            return best(f -> follow.contains(f.id()) || !f.gate().isEmpty());
        }
        Tables.Place place = tables.place(looks.get(from));
        int g = tables.groups().indexOf(place.group());
        Finding finding = place.group().findings.get(place.at());
        if (!finding.open(in.findings()) || !offered(finding)) {
            return after(looks, from + 1, follow);
        }
        double worth = 0;
        for (int x = 0; x < finding.outcomes().size(); x++) {
            VerdictEngine then = new VerdictEngine(this, g, place.at(), x);
            double p = then.evidence.get(g).belief().total()
                    / evidence.get(g).belief().total();
            worth += p * then.after(looks, from + 1, follow);
        }
        return worth;
    }

    /** What the best of some looks is worth; nought where none pays. */
    private double best(Predicate<Finding> of) {
        double costNow = cost(beliefs());
        double most = costNow - costKnowing(beliefs());
        double best = 0;
        for (int g = 0; g < evidence.size(); g++) {
            Group group = tables.groups().get(g);
            for (int f = 0; f < group.findings.size(); f++) {
                Finding finding = group.findings.get(f);
                if (of.test(finding)
                        && most - tables.minutes(finding, in) * in.labourPerH() / 60 > best
                        && finding.open(in.findings())
                        && offered(finding)) {
                    double saves = costNow
                            - expectedCost(
                                    evidence.get(g).each(f, finding.outcomes().size()), g);
                    best = Math.max(best, saves - tables.minutes(finding, in) * in.labourPerH() / 60);
                }
            }
        }
        return best;
    }

    /** Whether a look is still to be made, can be made on this leg and can be made now, whatever its gate. */
    boolean offered(Finding finding) {
        return tables.offered(finding, in);
    }

    /** What a look would settle and save, as if its gate stood open. */
    Check check(int g, int f, Finding finding, double costNow) {
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
    private double expectedCost(Belief[] each, int g) {
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
