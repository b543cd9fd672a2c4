package mussel.core.practice;

import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.RepairTables.Round;
import mussel.core.verdict.RepairTables.Stage;

/**
 * A practice leg in the hand: the state it is in, and what it takes to bring it into the one that a check needs. A stage is paid for once, off and on again,
 * when it is opened; what was put back for a check and is opened again is paid for again, and so is the oil that was filled in for it.
 */
final class LegInHand {
    private static final double HOUR = 60;
    /** Filling and looking at the level, for a check that needs oil (min). */
    private static final double FILLING = 5;
    /** Putting back what came to the shop open, by share of its stage. */
    private static final double WAY_BACK = 0.5;

    private final Knowledge knowledge;
    private final RepairTables tables;
    private final Map<String, Double> stageHours;
    private final Set<String> open = new LinkedHashSet<>();
    private final Set<String> cameOpen = new HashSet<>();
    private final Set<String> setUp = new HashSet<>();
    private final Set<String> renewed = new LinkedHashSet<>();
    private LegState state;
    private int forbidden;
    private double extraHours;

    LegInHand(Knowledge knowledge, RepairTables tables, Map<String, Double> stageHours, LegState state) {
        this.knowledge = knowledge;
        this.tables = tables;
        this.stageHours = stageHours;
        this.state = state;
        tables.stages().stream().filter(s -> s.open(state)).map(Stage::id).forEach(s -> {
            open.add(s);
            cameOpen.add(s);
        });
    }

    /** The state it is in. */
    LegState state() {
        return state;
    }

    /** Repairs that were done on the way: oil that was filled in for a check. */
    Set<String> renewed() {
        return Set.copyOf(renewed);
    }

    /** How many checks were made that the state forbade: something had to be put back first. */
    int forbidden() {
        return forbidden;
    }

    /** Material that checks took, in hours of work it is worth. */
    double extraHours() {
        return extraHours;
    }

    /** What was found changes the state: shafts that do not turn. */
    void found(Map<String, String> findings) {
        if (LegState.locked(findings)) {
            state = state.with(Condition.TURNS, "locked");
        }
    }

    private List<Round> rounds(Finding finding) {
        return tables.rounds().stream()
                .filter(r -> r.looks().contains(finding.id()))
                .toList();
    }

    /** Whether hands can bring about what a check needs: no engine is fetched, and no seized shaft is turned. */
    boolean can(Finding finding) {
        List<Round> rounds = rounds(finding);
        return rounds.isEmpty() || rounds.stream().anyMatch(this::can);
    }

    private boolean can(Round round) {
        Set<Condition> unmet = round.unmet(state).keySet();
        return !unmet.contains(Condition.ENGINE) && !unmet.contains(Condition.TURNS);
    }

    /** Whether a check can be made without putting anything back. */
    boolean allowed(Finding finding) {
        List<Round> rounds = rounds(finding);
        return rounds.isEmpty() || rounds.stream().anyMatch(r -> r.unmet(state).isEmpty());
    }

    /** What bringing about the state of a check would take now (min). */
    double takes(Finding finding) {
        return cheapest(finding).map(Way::minutes).orElseGet(() -> access(finding));
    }

    /** Brings about the state of a check; how long that took (min). */
    double prepare(Finding finding) {
        if (!allowed(finding)) {
            forbidden++;
        }
        Optional<Way> way = cheapest(finding);
        if (way.isEmpty()) {
            double minutes = access(finding);
            setUp.add(finding.access());
            return minutes;
        }
        Way chosen = way.get();
        chosen.closed.forEach(this::close);
        if (chosen.filled) {
            fill();
        }
        chosen.opened.forEach(this::opened);
        setUp.removeIf(
                id -> tables.rounds().stream().filter(r -> r.id().equals(id)).anyMatch(r -> !r.unmet(state)
                        .isEmpty()));
        setUp.add(chosen.round.id());
        return chosen.minutes();
    }

    private double access(Finding finding) {
        return setUp.contains(finding.access())
                ? 0
                : knowledge.access(finding.access()).orElseThrow().minutes();
    }

    /** Opens a stage with all it comes after; how long that took, off and on again (min). */
    double open(String stage) {
        double minutes = 0;
        for (Stage each : way(stage)) {
            minutes += hours(each) * HOUR;
            opened(each);
        }
        return minutes;
    }

    /** Whether a stage is open. */
    boolean isOpen(String stage) {
        return open.contains(stage);
    }

    private record Way(Round round, List<Stage> closed, boolean filled, List<Stage> opened, double minutes) {}

    private Optional<Way> cheapest(Finding finding) {
        return rounds(finding).stream().filter(this::can).map(this::way).min(Comparator.comparingDouble(Way::minutes));
    }

    private Way way(Round round) {
        Map<Condition, String> unmet = round.unmet(state);
        List<Stage> closed = tables.stages().stream()
                .filter(s -> open.contains(s.id()))
                .filter(s -> unmet.keySet().stream().anyMatch(c -> keepsOpen(s, c)))
                .toList();
        boolean fills = unmet.containsKey(Condition.OIL) || unmet.containsKey(Condition.PLUGS);
        double minutes = fills ? FILLING : 0;
        for (Stage stage : closed) {
            minutes += cameOpen.contains(stage.id()) ? WAY_BACK * hours(stage) * HOUR : 0;
        }
        List<Stage> opened = round.stage().map(this::way).orElse(List.of());
        for (Stage stage : opened) {
            minutes += hours(stage) * HOUR;
        }
        minutes += setUp.contains(round.id()) ? 0 : round.minutes();
        return new Way(round, closed, fills, opened, minutes);
    }

    /** Whether a condition is not met while a stage is open: its own, or that of one it comes after. */
    private boolean keepsOpen(Stage stage, Condition condition) {
        boolean own = stage.openWhen().containsKey(condition.id())
                || condition == Condition.CASE && opensCase(stage)
                || condition == Condition.OIL && stage.openWhen().containsKey(Condition.PLUGS.id());
        return own
                || stage.after().stream()
                        .anyMatch(b -> keepsOpen(tables.stage(b).orElseThrow(), condition));
    }

    private boolean opensCase(Stage stage) {
        LegState alone = LegState.UNKNOWN;
        for (Map.Entry<String, String> entry : stage.openWhen().entrySet()) {
            alone = alone.with(Condition.of(entry.getKey()).orElseThrow(), entry.getValue());
        }
        return alone.forbids(Condition.CASE, Condition.CASE.states().get(0));
    }

    /** The stages still to be opened for one, that first which comes first. */
    private List<Stage> way(String stage) {
        Set<String> needed = new HashSet<>();
        need(stage, needed);
        return tables.stages().stream().filter(s -> needed.contains(s.id())).toList();
    }

    private void need(String stage, Set<String> needed) {
        if (!open.contains(stage)) {
            needed.add(stage);
        }
        tables.stage(stage).orElseThrow().after().forEach(before -> need(before, needed));
    }

    private double hours(Stage stage) {
        return stageHours.getOrDefault(stage.id(), stage.hours());
    }

    private void opened(Stage stage) {
        open.add(stage.id());
        stage.openWhen().forEach((id, value) -> set(Condition.of(id).orElseThrow(), value));
        if (stage.openWhen().containsKey(Condition.PLUGS.id())) {
            set(Condition.OIL, "out");
        }
    }

    private void close(Stage stage) {
        open.remove(stage.id());
        cameOpen.remove(stage.id());
        stage.openWhen().keySet().stream()
                .map(id -> Condition.of(id).orElseThrow())
                .forEach(c -> set(c, c.states().get(0)));
    }

    /** New oil, with new washers: what was drained is not filled in again. */
    private void fill() {
        set(Condition.OIL, "in");
        set(Condition.PLUGS, "in");
        List<String> with = tables.stages().stream()
                .filter(s -> s.openWhen().containsKey(Condition.PLUGS.id()))
                .flatMap(s -> s.renews().stream())
                .toList();
        tables.goals().stream()
                .filter(g -> with.contains(g.id()))
                .forEach(g -> extraHours += g.ownHours() + g.partsHours());
        renewed.addAll(with);
    }

    private void set(Condition condition, String value) {
        state = state.with(condition, value);
    }
}
