package mussel.core.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.verdict.Finding;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairSet;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;
import mussel.core.verdict.Settled;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;

/**
 * A practice leg on the bench: what was looked at, the state that left it in, what that cost in minutes, and what it comes to once it is handed back.
 */
public final class Bench {
    private static final double HOUR = 60;

    private final PracticeLeg leg;
    private final Tables tables;
    private final RepairTables stages;
    private final Prices prices;
    private final LegState came;
    private final LegInHand hand;
    private final Map<String, String> findings = new LinkedHashMap<>();
    private final Set<String> access = new LinkedHashSet<>();
    private double minutes;
    private double opening;

    /**
     * Puts a leg on the bench.
     *
     * @param leg the leg
     * @param tables what it is judged by, ready for its context; not those it was drawn from, where the world is otherwise
     * @param prices what work costs
     * @param came the state it came in
     * @throws IllegalArgumentException where the tables know no stages of taking a leg apart
     */
    public Bench(PracticeLeg leg, Tables tables, Prices prices, LegState came) {
        this.leg = leg;
        this.tables = tables;
        this.stages = tables.knowledge()
                .repairs()
                .orElseThrow(() -> new IllegalArgumentException("Tables without stages of repair"));
        this.prices = prices;
        this.came = came;
        this.hand = new LegInHand(tables.knowledge(), stages, prices.stageHours(), came);
    }

    /**
     * What work costs where the leg is.
     *
     * @param labourPerH the labour rate (money per hour)
     * @param own what goals cost once their way in is open; the tables' own for those left out
     * @param stageHours what stages take (h); the tables' own for those left out
     */
    public record Prices(double labourPerH, Map<String, VerdictInput.Costs> own, Map<String, Double> stageHours) {
        /** As the tables have it. */
        public static Prices tables(double labourPerH) {
            return new Prices(labourPerH, Map.of(), Map.of());
        }
    }

    /** The same leg before anyone looked at it. */
    Bench untouched() {
        return new Bench(leg, tables, prices, came);
    }

    /** The same leg as the advice would have gone about it. */
    Bench asAdvised() {
        Bench other = untouched();
        other.followAdvice();
        return other;
    }

    /** The labour rate (money per hour). */
    double labourPerH() {
        return prices.labourPerH();
    }

    /** The leg. */
    public PracticeLeg leg() {
        return leg;
    }

    /** What was found so far, in the order it was looked at. */
    public Map<String, String> findings() {
        return Collections.unmodifiableMap(findings);
    }

    /** How long looking has taken (min). */
    public double minutes() {
        return minutes;
    }

    /** How many looks were made. */
    public int looks() {
        return findings.size();
    }

    /** The state it is in. */
    public LegState state() {
        return hand.state();
    }

    /** How many looks were made that its state forbade. */
    int forbidden() {
        return hand.forbidden();
    }

    /** What the verdict engine is fed as it stands. */
    public VerdictInput input() {
        return base().in(hand.state(), List.of());
    }

    private VerdictInput base() {
        return new VerdictInput(
                        Optional.of(leg.context()), findings, prices.labourPerH(), List.copyOf(access), Map.of())
                .priced(prices.own(), prices.stageHours(), Optional.empty());
    }

    /** What the engine is fed that knows no state, but for what nobody can bring about. */
    VerdictInput stateless() {
        LegState known = LegState.UNKNOWN;
        for (Condition condition : List.of(Condition.ENGINE, Condition.TURNS)) {
            if (hand.state().forbids(condition, condition.states().get(0))) {
                known = known.with(condition, condition.states().get(1));
            }
        }
        return new VerdictInput(
                        Optional.of(leg.context()), findings, prices.labourPerH(), List.copyOf(access), Map.of())
                .in(known, List.of());
    }

    /** What is believed as it stands, with the looks ranked and what speaks for each cause. */
    public VerdictResult ranked() {
        return VerdictEngine.run(tables, input());
    }

    private Repairs repairs() {
        return VerdictEngine.repairs(tables, input());
    }

    /** The tables it is judged by. */
    Tables tables() {
        return tables;
    }

    /** What is believed as it stands. */
    public VerdictResult believed() {
        return VerdictEngine.withoutChecks(tables, input());
    }

    /** Whether a look can be made now, or once something was put back for it. */
    public boolean offered(Finding finding) {
        return finding.open(findings) && tables.offered(finding, stateless()) && hand.can(finding);
    }

    /** What a look would take now, with what must be opened or put back for it (min). */
    public double takes(Finding finding) {
        return finding.minutes() + hand.takes(finding);
    }

    /** Makes a look; one that cannot be made shows nothing. */
    public Optional<String> look(String id) {
        Finding finding = tables.knowledge().finding(id).orElseThrow();
        if (!offered(finding)) {
            return Optional.empty();
        }
        minutes += finding.minutes() + hand.prepare(finding);
        access.add(finding.access());
        String shows = leg.look(id);
        findings.put(id, shows);
        hand.found(findings);
        return Optional.of(shows);
    }

    /** Makes every look that can be made with such access; those that one of them opens after it. */
    void lookAtAll(Set<String> with) {
        boolean more = true;
        while (more) {
            more = false;
            for (Finding finding : tables.knowledge().findings()) {
                if (with.contains(finding.access()) && look(finding.id()).isPresent()) {
                    more = true;
                }
            }
        }
    }

    /** Opens all there is to open, without looking yet. */
    void openEverything() {
        for (RepairTables.Stage stage : stages.stages()) {
            opening += hand.open(stage.id());
        }
    }

    /** Makes rounds while any pays, then opens what the best set opens, stage by stage, and looks again at each. */
    void followAdvice() {
        boolean more = true;
        while (more) {
            Repairs advice = repairs();
            Optional<Repairs.Round> round = paying(advice);
            if (round.isPresent()) {
                int before = looks();
                round.get().looks().forEach(this::look);
                more = looks() > before;
            } else {
                more = false;
            }
            if (!more) {
                Optional<String> next = stages.stages().stream()
                        .map(RepairTables.Stage::id)
                        .filter(s -> !hand.isOpen(s))
                        .filter(opens(advice.sets().get(0).goals())::contains)
                        .findFirst();
                next.ifPresent(stage -> opening += hand.open(stage));
                more = next.isPresent();
            }
        }
    }

    private static Optional<Repairs.Round> paying(Repairs advice) {
        return advice.rounds().stream()
                .filter(r -> r.possible() && r.value() > 0)
                .findFirst();
    }

    /** The round that the advice asks for now; empty where none is worth its time. */
    public Optional<Repairs.Round> advised() {
        return paying(repairs());
    }

    /** The best set of repairs as it stands. */
    public RepairSet best() {
        return VerdictEngine.sets(tables, input()).sets().get(0);
    }

    /** The stages that repairs open, with those they come after. */
    private Set<String> opens(List<String> goals) {
        Set<String> opens = new LinkedHashSet<>();
        stages.goals().stream()
                .filter(g -> goals.contains(g.id()))
                .flatMap(g -> g.opens().stream())
                .forEach(s -> need(s, opens));
        return opens;
    }

    private void need(String stage, Set<String> into) {
        into.add(stage);
        stages.stage(stage).orElseThrow().after().forEach(before -> need(before, into));
    }

    /** Hands it back with these goals done and both tests made. */
    public Reckoning handBack(List<String> done) {
        return handBack(done, Optional.empty());
    }

    /** Hands it back with these goals done and a final check made; both tests where none is named. */
    Reckoning handBack(List<String> done, Optional<String> proof) {
        Set<String> left = new LinkedHashSet<>(leg.causes());
        left.removeIf(c -> hand.renewed()
                .contains(tables.knowledge().cause(c).orElseThrow().goal()));
        VerdictInput in = input().priced(prices.own(), prices.stageHours(), proof);
        Settled settled =
                VerdictEngine.settle(tables, in, Set.copyOf(done), left).orElseThrow();
        List<String> called = leg.called();
        List<String> missed = new ArrayList<>(called);
        missed.removeAll(settled.done());
        missed.removeAll(hand.renewed());
        List<String> needless = new ArrayList<>(settled.done());
        needless.removeAll(called);
        needless.removeAll(settled.byRule());
        double rate = prices.labourPerH();
        return new Reckoning(
                minutes,
                minutes * rate / HOUR + hand.extraHours() * rate,
                settled.now() + opening * rate / HOUR,
                settled.later(),
                settled.done(),
                missed,
                needless,
                looks(),
                forbidden(),
                settled.stated(),
                settled.back());
    }

    /** Hands it back with the best set done, and with the final check that then costs least. */
    public Reckoning handBack() {
        Repairs advice = VerdictEngine.sets(tables, input());
        return handBack(
                advice.sets().get(0).goals(),
                advice.proofs().stream()
                        .min(Comparator.comparingDouble(Repairs.ProofOf::total))
                        .map(Repairs.ProofOf::proof));
    }

    /** Hands it back as each goal by itself is worth doing; what is done makes its neighbours cheaper, so they are weighed again until nothing changes. */
    Reckoning handBackSingly() {
        List<String> chosen = List.of();
        for (int round = 0; round <= stages.goals().size(); round++) {
            List<String> beside = chosen;
            VerdictInput in = stateless().priced(beside(beside), Map.of(), Optional.empty());
            List<String> again = VerdictEngine.withoutChecks(tables, in).decisions().stream()
                    .filter(d -> d.act() || beside.contains(d.goal()))
                    .map(VerdictResult.Decision::goal)
                    .toList();
            if (again.equals(chosen)) {
                break;
            }
            chosen = again;
        }
        return handBack(chosen);
    }

    /** What each goal costs beside others: the stages they have not opened, and its own work and parts. */
    private Map<String, VerdictInput.Costs> beside(List<String> chosen) {
        Set<String> open = opens(chosen);
        Map<String, VerdictInput.Costs> costs = new LinkedHashMap<>();
        double rate = prices.labourPerH();
        for (RepairTables.Repair repair : stages.goals()) {
            double hours = opens(List.of(repair.id())).stream()
                    .filter(s -> !open.contains(s) && !hand.isOpen(s))
                    .map(s -> stages.stage(s).orElseThrow())
                    .mapToDouble(s -> prices.stageHours().getOrDefault(s.id(), s.hours()))
                    .sum();
            double own = prices.own().containsKey(repair.id())
                    ? prices.own().get(repair.id()).marginalCost()
                    : rate * (repair.ownHours() + repair.partsHours());
            costs.put(
                    repair.id(),
                    new VerdictInput.Costs(
                            rate * hours + own,
                            rate
                                    * tables.knowledge()
                                            .goal(repair.id())
                                            .orElseThrow()
                                            .comebackCost()));
        }
        return costs;
    }
}
