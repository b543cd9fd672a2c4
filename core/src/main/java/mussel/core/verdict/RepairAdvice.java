package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import mussel.core.measure.StopToken;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.VerdictResult.Bearing;

/**
 * The advice on a lower unit as it stands: which round of checks, which set of repairs. A pure function of the tables, the findings and the state.
 *
 * <p>The value of a round is counted over all that its three most telling checks can show together, and over the few best sets: rather too low than too
 * high, and never below what the round costs.
 */
final class RepairAdvice {
    /** Checks valued together. */
    private static final int TOGETHER = 3;
    /** With more to sum over only two are. */
    private static final int MUCH_WORK = 600;

    /** A check that settles less says nothing (money, as a share of an hour). */
    private static final double LEAST_SAVED_H = 0.002;

    /** A check that moves all repairs' odds together by less turns no set. */
    private static final double LEAST_SETTLED = 0.02;

    private static final double LEAST_TOLD = 0.02;
    private static final double MINUTES = 60;

    private final Tables tables;
    private final RepairTables stages;
    private final VerdictInput in;
    private final List<Evidence> evidence;
    private final LegState state;
    private final int[][] faults;
    private final RepairSets sets;
    private final List<String> goalIds;
    private final int proof;

    private RepairAdvice(Tables tables, RepairTables stages, VerdictInput in, List<Evidence> evidence) {
        this.tables = tables;
        this.stages = stages;
        this.in = in;
        this.evidence = evidence;
        state = in.legState();
        Knowledge knowledge = tables.knowledge();
        List<String> causes = knowledge.causes().stream().map(Cause::id).toList();
        faults = tables.groups().stream()
                .map(g ->
                        g.causes.stream().mapToInt(c -> causes.indexOf(c.id())).toArray())
                .toArray(int[][]::new);
        goalIds = tables.goals();
        Map<String, Double> own = new HashMap<>();
        in.goals().forEach((goal, cost) -> own.put(goal, cost.marginalCost()));
        sets = new RepairSets(
                stages,
                knowledge,
                new RepairSets.Prices(in.labourPerH(), own, in.stageHours()),
                new RepairSets.Open(opened(), always()),
                new Posterior(faults, evidence));
        proof = Math.max(
                0, stages.proofs().stream().map(RepairTables.Proof::id).toList().indexOf(in.proofOr()));
    }

    /**
     * The advice; nothing where the tables know no stages.
     *
     * @param rounds stops the valuing of rounds of checks, which takes most of the time; they are left out without it
     */
    static Repairs of(
            Tables tables, VerdictInput in, List<Evidence> evidence, Set<String> chosen, Optional<StopToken> rounds) {
        return tables.knowledge()
                .repairs()
                .map(stages -> new RepairAdvice(tables, stages, in, evidence).advise(chosen, rounds))
                .orElse(Repairs.NONE);
    }

    /** What some repairs come to if exactly these faults are there; nothing where the tables know no stages. */
    static Optional<Settled> settle(
            Tables tables, VerdictInput in, List<Evidence> evidence, Set<String> goals, Set<String> causes) {
        return tables.knowledge().repairs().map(stages -> new RepairAdvice(tables, stages, in, evidence)
                .settle(goals, causes));
    }

    private Settled settle(Set<String> goals, Set<String> causes) {
        long set = closedOf(goals);
        List<Cause> all = tables.knowledge().causes();
        RepairSets then = sets.believing(factors -> {
            double product = 1;
            for (int c = 0; c < factors.length; c++) {
                product *= causes.contains(all.get(c).id()) ? factors[c] : 1;
            }
            return product;
        });
        return new Settled(
                named(sets.done(set)),
                named(sets.done(set) & ~bits(goals)),
                sets.now(set, proof),
                then.later(set, proof),
                sets.back(set, proof),
                then.back(set, proof));
    }

    /** What is seen while chosen repairs are made; nothing where the tables know no stages. */
    static List<Repairs.Stop> stops(Tables tables, VerdictInput in, List<Evidence> evidence, Set<String> chosen) {
        return tables.knowledge()
                .repairs()
                .map(stages -> new RepairAdvice(tables, stages, in, evidence))
                .map(advice -> advice.stops(advice.closedOf(chosen)))
                .orElse(List.of());
    }

    /** The stages that are open as the lower unit stands. */
    private List<String> opened() {
        return stages.stages().stream()
                .filter(s -> s.open(state))
                .map(RepairTables.Stage::id)
                .toList();
    }

    /** What needs no odds: what is due, and what is done by rule. */
    private Set<String> always() {
        Set<String> always = new HashSet<>(in.due());
        stages.byRule().stream()
                .filter(r -> r.applies(state, in.findings()))
                .map(RepairTables.ByRule::goal)
                .forEach(always::add);
        return always;
    }

    private Repairs advise(Set<String> chosen, Optional<StopToken> valued) {
        List<Long> byStages = sets.best(proof);
        long best = byStages.get(0);
        long leave = sets.closed(0);
        Set<Long> candidates = new LinkedHashSet<>(byStages);
        for (int g = 0; g < goalIds.size(); g++) {
            for (long set : new long[] {sets.closed(best | 1L << g), sets.closed(best & ~(1L << g))}) {
                if (sets.eligible(set)) {
                    candidates.add(set);
                }
            }
        }
        candidates.add(leave);
        List<RepairSet> offered = new ArrayList<>();
        offered.add(set(best));
        smaller(candidates, best, leave).ifPresent(s -> offered.add(set(s)));
        larger(candidates, best, leave).ifPresent(s -> offered.add(set(s)));
        if (leave != best) {
            offered.add(set(leave));
        }
        List<Repairs.ProofOf> proofs = new ArrayList<>();
        for (int p = 0; p < stages.proofs().size(); p++) {
            RepairTables.Proof of = stages.proofs().get(p);
            proofs.add(new Repairs.ProofOf(of.id(), of.hours() * MINUTES, sets.back(best, p), sets.total(best, p)));
        }
        List<Repairs.Round> rounds = valued.map(stop -> new Rounds(turningTo(candidates), best).all(stop))
                .orElse(List.of());
        Optional<RepairSet> taken = chosen.isEmpty() ? Optional.empty() : Optional.of(set(closedOf(chosen)));
        return new Repairs(rounds, offered, taken, proofs, ready(), stops(best));
    }

    /** The sets that a check may turn the choice to: for each repair the cheapest set with it and the cheapest without it, the best of them first. */
    private List<Long> turningTo(Set<Long> candidates) {
        List<Long> byCost = candidates.stream().sorted(cheapest).toList();
        Set<Long> turning = new LinkedHashSet<>();
        for (int g = 0; g < goalIds.size(); g++) {
            int goal = g;
            byCost.stream().filter(s -> (s >> goal & 1) != 0).findFirst().ifPresent(turning::add);
            byCost.stream().filter(s -> (s >> goal & 1) == 0).findFirst().ifPresent(turning::add);
        }
        return byCost.stream().filter(turning::contains).toList();
    }

    private long closedOf(Set<String> goals) {
        return sets.closed(bits(goals));
    }

    private long bits(Set<String> goals) {
        long bits = 0;
        for (int g = 0; g < goalIds.size(); g++) {
            bits |= goals.contains(goalIds.get(g)) ? 1L << g : 0;
        }
        return bits;
    }

    private List<String> named(long set) {
        return IntStream.range(0, goalIds.size())
                .filter(g -> (set >> g & 1) != 0)
                .mapToObj(goalIds::get)
                .toList();
    }

    private final Comparator<Long> cheapest = Comparator.comparingDouble(s -> total(s));

    private double total(long set) {
        return sets.total(set, proof);
    }

    /** The best set that opens less than the best of all and costs less now; where there is none, the best that costs less. */
    private Optional<Long> smaller(Set<Long> of, long best, long leave) {
        int closure = sets.closure(best);
        List<Long> cheaper = of.stream()
                .filter(s -> s != leave && s != best && sets.now(s, proof) < sets.now(best, proof))
                .sorted(cheapest)
                .toList();
        return cheaper.stream()
                .filter(s -> sets.closure(s) != closure && (sets.closure(s) & ~closure) == 0)
                .findFirst()
                .or(() -> cheaper.stream().findFirst());
    }

    /** The best set that opens more than the best of all and costs more now; where there is none, the best that costs more. */
    private Optional<Long> larger(Set<Long> of, long best, long leave) {
        int closure = sets.closure(best);
        List<Long> dearer = of.stream()
                .filter(s -> s != leave && s != best && sets.now(s, proof) > sets.now(best, proof))
                .sorted(cheapest)
                .toList();
        return dearer.stream()
                .filter(s -> sets.closure(s) != closure && (closure & ~sets.closure(s)) == 0)
                .findFirst()
                .or(() -> dearer.stream().findFirst());
    }

    private RepairSet set(long set) {
        double[] p = sets.probabilities();
        List<RepairSet.Leaves> leaves = IntStream.range(0, p.length)
                .filter(g -> (sets.done(set) >> g & 1) == 0 && p[g] >= RepairSets.LEAST_LIKELY)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer g) -> -p[g]))
                .map(g -> new RepairSet.Leaves(goalIds.get(g), p[g]))
                .toList();
        return new RepairSet(
                named(set),
                stages.proofs().get(proof).id(),
                sets.now(set, proof),
                sets.later(set, proof),
                sets.back(set, proof),
                minutes(set),
                leaves);
    }

    private double hours(int stage) {
        RepairTables.Stage of = stages.stages().get(stage);
        return in.stageHours().getOrDefault(of.id(), of.hours());
    }

    /** The work of a set by the tables (min). */
    private double minutes(long set) {
        double hours = stages.proofs().get(proof).hours();
        int closure = sets.closure(set) & ~sets.closure(0);
        for (int k = 0; k < stages.stages().size(); k++) {
            hours += (closure >> k & 1) != 0 ? hours(k) : 0;
        }
        for (RepairTables.Repair repair : stages.goals()) {
            hours += (set >> goalIds.indexOf(repair.id()) & 1) != 0 ? repair.ownHours() : 0;
        }
        return hours * MINUTES;
    }

    private List<Repairs.Ready> ready() {
        double[] p = sets.probabilities();
        List<Repairs.Ready> ready = new ArrayList<>();
        for (RepairTables.Left left : stages.causes()) {
            String goal = tables.knowledge().cause(left.id()).orElseThrow().goal();
            double likely = p[goalIds.indexOf(goal)];
            boolean onlyThere = stages.causes().stream()
                    .filter(c -> tables.knowledge()
                            .cause(c.id())
                            .orElseThrow()
                            .goal()
                            .equals(goal))
                    .allMatch(c -> c.seenAt().isPresent());
            if (onlyThere
                    && likely >= LEAST_TOLD
                    && likely < RepairSets.SEEN
                    && ready.stream().noneMatch(r -> r.goal().equals(goal))) {
                ready.add(new Repairs.Ready(goal, likely, left.seenAt().orElseThrow()));
            }
        }
        ready.sort(Comparator.comparingDouble((Repairs.Ready r) -> -r.probability()));
        return ready;
    }

    /** What is seen for the first time while a set is worked on, and what each may add. */
    private List<Repairs.Stop> stops(long set) {
        int closure = sets.closure(set);
        int before = sets.closure(0);
        double[] p = sets.probabilities();
        List<Repairs.Stop> stops = new ArrayList<>();
        Set<String> told = new HashSet<>();
        for (int k = 0; k < stages.stages().size(); k++) {
            RepairTables.Stage stage = stages.stages().get(k);
            if ((closure & 1 << k) == 0) {
                continue;
            }
            List<String> looks = stage.shows().stream()
                    .filter(f -> !in.findings().containsKey(f))
                    .filter(f -> tables.finding(f).possible(tables.context(), in.findings()))
                    .toList();
            // What is open already is still looked at, as long as something there was not.
            if ((before & 1 << k) != 0 && looks.isEmpty()) {
                continue;
            }
            List<Repairs.Adds> adds = new ArrayList<>();
            for (int g = 0; g < p.length; g++) {
                if ((sets.done(set) >> g & 1) == 0 && p[g] >= LEAST_TOLD && shows(looks, stage.id(), goalIds.get(g))) {
                    if (told.add(goalIds.get(g))) {
                        adds.add(new Repairs.Adds(
                                goalIds.get(g), p[g], sets.now(set | 1L << g, proof) - sets.now(set, proof)));
                    }
                }
            }
            if (!adds.isEmpty()) {
                adds.sort(Comparator.comparingDouble((Repairs.Adds a) -> -a.probability()));
                stops.add(new Repairs.Stop(stage.id(), looks, adds));
            }
        }
        return stops;
    }

    /** Whether a look at a stage, or the stage itself, shows a fault that a repair is for. */
    private boolean shows(List<String> looks, String stage, String goal) {
        Map<String, Optional<String>> seenAt = new HashMap<>();
        stages.causes().forEach(c -> seenAt.put(c.id(), c.seenAt()));
        return tables.knowledge().causes().stream()
                .filter(c -> c.goal().equals(goal))
                .anyMatch(c -> seenAt.get(c.id()).map(stage::equals).orElseGet(() -> looks.stream()
                        .anyMatch(f -> tables.finding(f).given().stream()
                                .anyMatch(s -> s.cause().equals(c.id())))));
    }

    /** The rounds of checks and what they are worth. */
    private final class Rounds {
        private final List<Long> few;
        private final int closure;
        private final double costNow;
        private final Map<String, Double> singly = new HashMap<>();
        private final Map<String, Double> settling = new HashMap<>();

        Rounds(List<Long> few, long best) {
            this.few = few;
            closure = sets.closure(best);
            costNow = sets.total(best, proof);
        }

        List<Repairs.Round> all(StopToken stop) {
            List<String> complaint = tables.context().complaint().stream()
                    .map(c -> c.name().toLowerCase(Locale.ROOT))
                    .toList();
            List<Ranked> ranked = new ArrayList<>();
            for (RepairTables.Round round : stages.rounds()) {
                stop.check();
                int first = round.firstFor().stream().anyMatch(complaint::contains)
                        ? 0
                        : round.thenFor().stream().anyMatch(complaint::contains) ? 1 : 2;
                if (impossible(round, complaint)) {
                    continue;
                }
                round(round, first).ifPresent(r -> ranked.add(new Ranked(r, first)));
            }
            ranked.sort(Comparator.comparing((Ranked r) -> !r.round().possible())
                    .thenComparing(Ranked::first)
                    .thenComparing(r -> stripped(r.round()))
                    .thenComparing(r -> -r.round().value()));
            return ranked.stream().map(Ranked::round).toList();
        }

        private boolean stripped(Repairs.Round round) {
            return stages.rounds().stream().anyMatch(r -> r.id().equals(round.round()) && r.stripDown());
        }

        /** Whether nobody can bring about what a round needs here, whether something must be looked at before, or the work opens it anyway. */
        private boolean impossible(RepairTables.Round round, List<String> complaint) {
            Map<Condition, String> unmet = round.unmet(state);
            boolean away = unmet.containsKey(Condition.ENGINE) || unmet.containsKey(Condition.TURNS);
            boolean later = round.notBefore().stream()
                    .anyMatch(b ->
                            complaint.contains(b.complaint()) && !in.findings().containsKey(b.look()));
            boolean onTheWay = round.stripDown()
                    && round.stage()
                            .filter(s -> (closure >> at(s) & 1) != 0 && (sets.closure(0) >> at(s) & 1) == 0)
                            .isPresent();
            return away || later || onTheWay;
        }

        private int at(String stage) {
            return stages.stages().stream().map(RepairTables.Stage::id).toList().indexOf(stage);
        }

        private Optional<Repairs.Round> round(RepairTables.Round round, int first) {
            Map<String, String> found = in.findings();
            List<Finding> looks = new ArrayList<>();
            for (String id : round.looks()) {
                Finding finding = tables.finding(id);
                boolean opened = finding.open(found)
                        || finding.gate().stream()
                                .anyMatch(g -> looks.stream().anyMatch(l -> l.id().equals(g.finding())));
                if (opened
                        && !found.containsKey(id)
                        && finding.possible(tables.context(), found)
                        && !(round.id().equals("drained") && id.equals("free_water_first") && plugsOut())) {
                    looks.add(finding);
                }
            }
            if (looks.isEmpty()) {
                return Optional.empty();
            }
            List<Finding> telling = looks.stream()
                    .filter(f -> f.open(found) || !f.gate().isEmpty())
                    .filter(f -> saves(f) > LEAST_SAVED_H * in.labourPerH() || first < 2)
                    .toList();
            if (telling.isEmpty()) {
                return Optional.empty();
            }
            List<String> needs = new ArrayList<>();
            round.unmet(state).forEach((condition, value) -> needs.add(condition.id() + "_" + value));
            double minutes = (setUp(round) ? 0 : round.minutes()) + opening(round);
            for (Finding f : telling) {
                // A check behind a gate is made only where the one before it opens it.
                minutes += f.open(found) ? f.minutes() : f.minutes() * opens(f);
            }
            double worth = together(telling);
            return Optional.of(new Repairs.Round(
                    round.id(),
                    telling.stream().map(Finding::id).toList(),
                    needs,
                    minutes,
                    worth - minutes * in.labourPerH() / MINUTES,
                    first < 2 ? Bearing.COMPLAINT : Bearing.BESIDE));
        }

        /** Whether a check that only this round makes was made already: the tester hangs there, the tank is filled. */
        private boolean setUp(RepairTables.Round round) {
            return round.looks().stream().filter(in.findings()::containsKey).anyMatch(look -> stages.rounds().stream()
                    .noneMatch(r -> !r.id().equals(round.id()) && r.looks().contains(look)));
        }

        private boolean plugsOut() {
            return state.forbids(Condition.PLUGS, "in");
        }

        /** The work of opening what a round needs and what the best set would not open (min). */
        private double opening(RepairTables.Round round) {
            if (round.stage().isEmpty()) {
                return 0;
            }
            int needed = with(at(round.stage().get())) & ~sets.closure(0) & ~closure;
            double minutes = 0;
            for (int k = 0; k < stages.stages().size(); k++) {
                minutes += (needed >> k & 1) != 0 ? hours(k) * MINUTES : 0;
            }
            return minutes;
        }

        private int with(int stage) {
            int with = 1 << stage;
            for (String before : stages.stages().get(stage).after()) {
                with |= with(at(before));
            }
            return with;
        }

        /** How likely a gate opens. */
        private double opens(Finding finding) {
            double shut = 1;
            for (Finding.Gate gate : finding.gate()) {
                if (in.findings().containsKey(gate.finding())) {
                    continue;
                }
                Tables.Place place = tables.place(gate.finding());
                Evidence now = evidence.get(tables.groups().indexOf(place.group()));
                Finding of = tables.finding(gate.finding());
                Belief[] each = now.each(place.at(), of.outcomes().size());
                double stays = 0;
                for (int x = 0; x < each.length; x++) {
                    stays += gate.outcomes().contains(of.outcomes().get(x)) ? 0 : each[x].total();
                }
                shut *= stays / now.belief().total();
            }
            return 1 - shut;
        }

        /** What one check saves by itself, its gate taken as open (money). */
        private double saves(Finding finding) {
            return singly.computeIfAbsent(
                    finding.id(),
                    id -> settles(finding) < LEAST_SETTLED ? 0 : costNow - expected(List.of(finding), true));
        }

        /** By how much a check moves the repairs' odds on the mean. */
        private double settles(Finding finding) {
            return settling.computeIfAbsent(finding.id(), id -> moved(finding));
        }

        private double moved(Finding finding) {
            Tables.Place place = tables.place(finding.id());
            Evidence now = evidence.get(tables.groups().indexOf(place.group()));
            double moved = 0;
            for (Belief after : now.each(place.at(), finding.outcomes().size())) {
                double share = after.total() / now.belief().total();
                for (int g = 0; g < goalIds.size(); g++) {
                    moved += share * Math.abs(after.goal(g) - now.belief().goal(g));
                }
            }
            return moved;
        }

        private double together(List<Finding> looks) {
            List<Finding> best = looks.stream()
                    .sorted(Comparator.comparingDouble((Finding f) -> -saves(f)).thenComparingDouble(f -> -settles(f)))
                    .limit(evidence.stream().mapToInt(Evidence::work).max().orElse(0) > MUCH_WORK ? 2 : TOGETHER)
                    .sorted(Comparator.comparingInt(looks::indexOf))
                    .toList();
            double alone = best.stream()
                    .filter(f -> f.open(in.findings()))
                    .mapToDouble(this::saves)
                    .max()
                    .orElse(0);
            return best.size() < 2 ? alone : Math.max(alone, costNow - expected(best, false));
        }

        private double expected(List<Finding> looks, boolean gates) {
            return walk(looks, 0, evidence, new HashMap<>(in.findings()), gates);
        }

        private double walk(
                List<Finding> looks, int from, List<Evidence> so, Map<String, String> found, boolean gates) {
            if (from == looks.size()) {
                return sets.least(few, proof, new Posterior(faults, so));
            }
            Finding look = looks.get(from);
            if (!gates && !look.open(found)) {
                return walk(looks, from + 1, so, found, gates);
            }
            Tables.Place place = tables.place(look.id());
            int g = tables.groups().indexOf(place.group());
            Evidence before = so.get(g);
            double cost = 0;
            for (int x = 0; x < look.outcomes().size(); x++) {
                Evidence after = before.and(place.at(), x);
                double share = after.belief().total() / before.belief().total();
                List<Evidence> then = new ArrayList<>(so);
                then.set(g, after);
                Map<String, String> made = new HashMap<>(found);
                made.put(look.id(), look.outcomes().get(x));
                cost += share * walk(looks, from + 1, then, made, gates);
            }
            return cost;
        }
    }

    private record Ranked(Repairs.Round round, int first) {}
}
