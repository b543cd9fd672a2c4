package mussel.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.plan.Plan;
import mussel.core.sheet.PartQty;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;

/**
 * The state of a lower unit, folded from its job: what was drained, which steps are ticked, what was corrected by hand, each in its time. What nothing
 * was entered of is taken as whole.
 */
public final class LegStates {
    private static final String IN = "in";
    private static final String OUT = "out";

    private final Assessment all;
    private final Set<String> off = new HashSet<>();
    private LegState state = LegState.UNKNOWN;

    private final List<RepairTables.StateRule> rules;

    private LegStates(Assessment all) {
        this.all = all;
        rules = all.knowledge().repairs().map(RepairTables::states).orElse(List.of());
    }

    /** The state as the job's entries leave it; what is not named there is whole. */
    public static LegState of(Assessment all) {
        return new LegStates(all).fold();
    }

    /**
     * Sealant that must cure before the engine runs.
     *
     * @param step what was joined wet
     * @param until when it has cured
     */
    public record Cure(String step, Instant until) {}

    /** The sealant that cures last, of the steps that are ticked. */
    public static Optional<Cure> cure(Assessment all) {
        return all.plan().steps().stream()
                .map(Plan.PlannedStep::step)
                .filter(s -> s.cureMin() > 0)
                .flatMap(s -> all.job().ticked(s.id()).stream()
                        .map(when -> new Cure(s.title(), when.plusSeconds(Math.round(60 * s.cureMin())))))
                .max(Comparator.comparing(Cure::until));
    }

    /** Whether a condition is one that a person corrects: the case follows from what is in or out. */
    public static boolean correctable(Condition condition) {
        return condition != Condition.CASE && condition != Condition.CURING;
    }

    /** What is not as in a lower unit that is whole, in the order of the conditions. */
    public static List<Map.Entry<Condition, String>> changed(LegState state) {
        List<Map.Entry<Condition, String>> changed = new ArrayList<>();
        for (Condition condition : Condition.values()) {
            state.of(condition)
                    .filter(v -> !v.equals(condition.states().get(0)))
                    .ifPresent(v -> changed.add(Map.entry(condition, v)));
        }
        return changed;
    }

    private record Event(Instant at, int order, Runnable act) {}

    private LegState fold() {
        Job job = all.job();
        List<Event> events = new ArrayList<>();
        job.readAt(Field.DRAINED)
                .ifPresent(when -> events.add(new Event(when, -1, () -> {
                    make(Condition.OIL, OUT);
                    make(Condition.PLUGS, OUT);
                })));
        if (LegState.locked(outcomes())) {
            make(Condition.TURNS, "locked");
        }
        int order = 0;
        for (Plan.PlannedStep planned : all.plan().steps()) {
            int at = order++;
            job.ticked(planned.step().id()).ifPresent(when -> events.add(new Event(when, at, () -> tick(planned))));
        }
        for (Map.Entry<Address, String> choice : job.choices().entrySet()) {
            Optional<Condition> condition = Condition.of(choice.getKey().of()).filter(LegStates::correctable);
            if (choice.getKey().name().equals(Scale.STATE.address().name()) && condition.isPresent()) {
                Instant when = job.chosenAt(choice.getKey()).orElse(Instant.MAX);
                events.add(new Event(when, Integer.MAX_VALUE, () -> make(condition.get(), choice.getValue())));
            }
        }
        // Filled: what was drained is in again, and the plugs with it.
        job.readAt(Field.PUMPED)
                .ifPresent(when -> events.add(new Event(when, Integer.MAX_VALUE, () -> {
                    make(Condition.OIL, IN);
                    make(Condition.PLUGS, IN);
                })));
        events.sort(Comparator.comparing(Event::at).thenComparing(Event::order));
        events.forEach(e -> e.act().run());
        return state;
    }

    private Map<String, String> outcomes() {
        Map<String, String> outcomes = new HashMap<>();
        all.findings().forEach((id, finding) -> outcomes.put(id, finding.outcome()));
        return outcomes;
    }

    private void make(Condition condition, String value) {
        state = state.with(condition, value);
    }

    private void tick(Plan.PlannedStep planned) {
        planned.step().partsOut().stream().map(PartQty::part).forEach(off::add);
        planned.step().partsIn().stream().map(PartQty::part).forEach(off::remove);
        for (RepairTables.StateRule rule : rules) {
            Condition condition = Condition.of(rule.condition()).orElseThrow();
            List<String> parts = Stream.of(rule.parts(), rule.elseParts())
                    .filter(k -> k.stream().anyMatch(p -> all.sheet().part(p).isPresent()))
                    .findFirst()
                    .orElse(List.of());
            boolean moves = Stream.concat(planned.step().partsOut().stream(), planned.step().partsIn().stream())
                    .anyMatch(p -> parts.contains(p.part()));
            if (moves) {
                make(condition, parts.stream().anyMatch(off::contains) ? OUT : IN);
            }
            if (rule.steps().containsKey(planned.step().id())) {
                make(condition, rule.steps().get(planned.step().id()));
            }
        }
    }
}
