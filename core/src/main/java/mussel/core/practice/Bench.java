package mussel.core.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import mussel.core.verdict.Access;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;

/** A practice leg on the bench: what was looked at, what that cost in minutes, and what it comes to once it is handed back. */
public final class Bench {
    private static final double HOUR = 60;
    private static final int MOST_ROUNDS = 4;

    private final PracticeLeg leg;
    private final Tables tables;
    private final double labourPerH;
    private final Costing costing;
    private final Map<String, String> findings = new LinkedHashMap<>();
    private final Set<String> open = new LinkedHashSet<>();
    private double minutes;

    /**
     * Puts a leg on the bench.
     *
     * @param leg the leg
     * @param tables what it is judged by, ready for its context; not those it was drawn from, where the world is otherwise
     * @param labourPerH the labour rate (money per hour)
     */
    public Bench(PracticeLeg leg, Tables tables, double labourPerH) {
        this(leg, tables, labourPerH, Costing.tables(tables.knowledge(), labourPerH));
    }

    Bench(PracticeLeg leg, Tables tables, double labourPerH, Costing costing) {
        this.leg = leg;
        this.tables = tables;
        this.labourPerH = labourPerH;
        this.costing = costing;
    }

    /** The same leg before anyone looked at it. */
    Bench untouched() {
        return new Bench(leg, tables, labourPerH, costing);
    }

    /** The same leg as the advice would have looked at it. */
    Bench advised() {
        return new Policies(tables, labourPerH, costing).look(leg, Policy.ADVICE);
    }

    /** The labour rate (money per hour). */
    double labourPerH() {
        return labourPerH;
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

    /** What the verdict engine is fed as it stands. */
    public VerdictInput input() {
        return beside(costing.costs(List.of()));
    }

    private VerdictInput beside(Map<String, VerdictInput.Costs> costs) {
        return new VerdictInput(Optional.of(leg.context()), findings, labourPerH, List.copyOf(open), costs);
    }

    /** What is believed as it stands, with the looks ranked and what speaks for each cause. */
    public VerdictResult ranked() {
        return VerdictEngine.run(tables, input());
    }

    /** Only what to look at next and what to do. */
    VerdictResult advice() {
        return VerdictEngine.advice(tables, input());
    }

    /** What is believed as it stands. */
    public VerdictResult believed() {
        return VerdictEngine.withoutChecks(tables, input());
    }

    /** Whether a look can be made now. */
    public boolean offered(Finding finding) {
        return finding.open(findings) && tables.offered(finding, beside(Map.of()));
    }

    /** What a look would take now, its set-up with it (min). */
    public double takes(Finding finding) {
        Access access = tables.knowledge().access(finding.access()).orElseThrow();
        return finding.minutes() + (open.contains(access.id()) ? 0 : access.minutes());
    }

    /** Makes a look; one that cannot be made shows nothing. */
    public Optional<String> look(String id) {
        Finding finding = tables.knowledge().finding(id).orElseThrow();
        if (!offered(finding)) {
            return Optional.empty();
        }
        minutes += takes(finding);
        open.add(finding.access());
        String shows = leg.look(id);
        findings.put(id, shows);
        return Optional.of(shows);
    }

    /** Makes every look that can be made with such access; those that one of them opens after it. */
    void lookAtAll(Set<String> access) {
        boolean more = true;
        while (more) {
            more = false;
            for (Finding finding : tables.knowledge().findings()) {
                if (access.contains(finding.access()) && look(finding.id()).isPresent()) {
                    more = true;
                }
            }
        }
    }

    /** Opens a set-up without looking yet. */
    void open(String access) {
        if (open.add(access)) {
            minutes += tables.knowledge().access(access).orElseThrow().minutes();
        }
    }

    /** The tables it is judged by. */
    Tables tables() {
        return tables;
    }

    /** What may be found by looks, each outcome with its weight; a look that cannot be made is passed over. */
    void expect(List<String> looks, BiConsumer<Bench, Double> each) {
        expect(looks, 0, 1, each);
    }

    private void expect(List<String> looks, int from, double weight, BiConsumer<Bench, Double> each) {
        if (from == looks.size()) {
            each.accept(this, weight);
            return;
        }
        Finding finding = tables.knowledge().finding(looks.get(from)).orElseThrow();
        if (!offered(finding)) {
            expect(looks, from + 1, weight, each);
            return;
        }
        double[] shares = VerdictEngine.expected(tables, input(), finding.id());
        for (int x = 0; x < shares.length; x++) {
            Bench so = new Bench(leg, tables, labourPerH, costing);
            so.findings.putAll(findings);
            so.open.addAll(open);
            so.minutes = minutes + takes(finding);
            so.open.add(finding.access());
            so.findings.put(finding.id(), finding.outcomes().get(x));
            so.expect(looks, from + 1, weight * shares[x], each);
        }
    }

    /** Hands it back with these goals done. */
    public Reckoning handBack(List<String> done) {
        List<String> called = leg.called();
        List<String> missed = new ArrayList<>(called);
        missed.removeAll(done);
        List<String> needless = new ArrayList<>(done);
        needless.removeAll(called);
        double work = costing.work(done, open);
        double back = missed.stream().mapToDouble(costing::comeback).sum();
        return new Reckoning(
                minutes, minutes * labourPerH / HOUR, work, back, List.copyOf(done), missed, needless, looks());
    }

    /** Hands it back as the decisions are. What is decided makes the rest cheaper or dearer, so that is decided again until it stands. */
    public Reckoning handBack() {
        Map<String, VerdictInput.Costs> costs = costing.costs(List.of());
        List<String> chosen = decided(costs);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Map<String, VerdictInput.Costs> beside = costing.costs(chosen);
            if (beside.equals(costs)) {
                break;
            }
            costs = beside;
            chosen = decided(costs);
        }
        return handBack(chosen);
    }

    private List<String> decided(Map<String, VerdictInput.Costs> costs) {
        return VerdictEngine.withoutChecks(tables, beside(costs)).decisions().stream()
                .filter(VerdictResult.Decision::act)
                .map(VerdictResult.Decision::goal)
                .toList();
    }
}
