package mussel.core.job;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Step;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;

/**
 * What is asked before a step is ticked: whether the state of the lower unit allows it, and before a cover closes what would be shut in or is still on the mat.
 *
 * @param forbidden what the state says against it, in sentences
 * @param lastChance what is not done yet and cannot be reached any more after it, in sentences
 * @param curing until when sealant cures that the step must wait for
 */
public record StepAsk(List<String> forbidden, List<String> lastChance, Optional<Curing> curing) {
    private static final Messages TEXT = Messages.of(StepAsk.class);
    private static final int MOST_PARTS = 4;
    private static final DateTimeFormatter UNTIL = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    /**
     * Sealant that a step must wait for.
     *
     * @param until when it has cured
     * @param says the sentence, with that time in it
     */
    public record Curing(Instant until, String says) {}

    /** Keeps its own copies. */
    public StepAsk {
        forbidden = List.copyOf(forbidden);
        lastChance = List.copyOf(lastChance);
    }

    /** What is asked of a step of a job's plan; nothing of one that is ticked. */
    public static StepAsk of(Assessment all, Step step) {
        Optional<RepairTables> tables = all.knowledge().repairs();
        if (tables.isEmpty() || all.job().ticked(step.id()).isPresent()) {
            return new StepAsk(List.of(), List.of(), Optional.empty());
        }
        LegState state = LegStates.of(all);
        List<String> forbidden = tables.get().stepNeeds().stream()
                .filter(n -> n.concerns(NamedBy.file(step.phase()), NamedBy.file(step.place())))
                .filter(n -> n.needs().entrySet().stream()
                        .anyMatch(e -> unmet(
                                all,
                                tables.get(),
                                state,
                                Condition.of(e.getKey()).orElseThrow(),
                                e.getValue())))
                .map(RepairTables.StepNeed::says)
                .toList();
        return new StepAsk(
                forbidden,
                closes(all, tables.get(), step) ? lastChance(all, step) : List.of(),
                waits(tables.get(), step) ? LegStates.cure(all).map(c -> curing(all, c)) : Optional.empty());
    }

    private static boolean waits(RepairTables tables, Step step) {
        String cured = Condition.CURING.states().get(0);
        return tables.stepNeeds().stream()
                .filter(n -> n.concerns(NamedBy.file(step.phase()), NamedBy.file(step.place())))
                .anyMatch(n -> cured.equals(n.needs().get(Condition.CURING.id())));
    }

    private static Curing curing(Assessment all, LegStates.Cure cure) {
        String until = UNTIL.format(cure.until().atZone(all.zone()));
        return new Curing(cure.until(), TEXT.get("cures", cure.step(), until));
    }

    /** Whether a condition is known to be otherwise; or not known, and a step of the plan that brings it about is not ticked. */
    private static boolean unmet(
            Assessment all, RepairTables tables, LegState state, Condition condition, String needed) {
        Optional<String> is = state.of(condition);
        if (is.isPresent() || needed.equals(condition.states().get(0))) {
            return is.filter(v -> !v.equals(needed)).isPresent();
        }
        return all.plan().steps().stream()
                .map(PlannedStep::step)
                .filter(s -> all.job().ticked(s.id()).isEmpty())
                .anyMatch(s -> makes(tables, s, condition, needed));
    }

    private static boolean makes(RepairTables tables, Step step, Condition condition, String value) {
        return tables.states().stream()
                .filter(r -> r.condition().equals(condition.id()))
                .anyMatch(r -> value.equals(r.steps().get(step.id()))
                        || step.partsOut().stream().anyMatch(p -> r.parts().contains(p.part())));
    }

    /** Whether a step puts in what closes the case or the pump. */
    private static boolean closes(Assessment all, RepairTables tables, Step step) {
        if (step.phase() != Phase.BUILD) {
            return false;
        }
        Set<String> in = step.partsIn().stream().map(PartQty::part).collect(Collectors.toSet());
        return tables.closing().stream()
                .flatMap(condition ->
                        tables.states().stream().filter(r -> r.condition().equals(condition)))
                .flatMap(r -> Stream.of(r.parts(), r.elseParts())
                        .filter(k ->
                                k.stream().anyMatch(p -> all.sheet().part(p).isPresent()))
                        .findFirst()
                        .stream())
                .flatMap(List::stream)
                .anyMatch(in::contains);
    }

    private static List<String> lastChance(Assessment all, Step closing) {
        List<String> says = new ArrayList<>();
        List<String> onTheMat = new ArrayList<>();
        for (PlannedStep planned : all.plan().of(Phase.BUILD)) {
            Step step = planned.step();
            if (step.id().equals(closing.id())) {
                break;
            }
            if (all.job().ticked(step.id()).isEmpty()) {
                step.partsIn().stream()
                        .flatMap(p -> all.sheet().part(p.part()).stream())
                        .map(Part::title)
                        .forEach(onTheMat::add);
            }
        }
        if (!onTheMat.isEmpty()) {
            int more = onTheMat.size() - MOST_PARTS;
            says.add(TEXT.get(
                    "close.mat",
                    String.join(", ", onTheMat.subList(0, Math.min(MOST_PARTS, onTheMat.size()))),
                    Math.max(0, more)));
        }
        fellIn(all).ifPresent(what -> says.add(TEXT.get("close.fell", what)));
        if (all.pieceLost()) {
            says.add(TEXT.get("close.piece"));
        }
        all.setup().filter(s -> s.called() && s.begun() && !s.done()).ifPresent(s -> says.add(TEXT.get("close.lash")));
        return says;
    }

    /** What fell in and is not out yet, in the words it was written down in. */
    static Optional<String> fellIn(Assessment all) {
        String fell = all.job().notes().entrySet().stream()
                .filter(n -> n.getKey().name().equals(Topic.FELL_IN.address().name()))
                .map(n -> n.getValue().strip())
                .filter(what -> !what.isEmpty())
                .collect(Collectors.joining("; "));
        return Optional.of(fell).filter(what -> !what.isEmpty());
    }

    /** What stands at the step when it is ticked all the same at a moment; empty where nothing is asked. */
    public String asks(Instant now) {
        String said = Stream.concat(
                        Stream.concat(forbidden.stream(), lastChance.stream()),
                        curing.filter(c -> now.isBefore(c.until())).map(Curing::says).stream())
                .collect(Collectors.joining(" "));
        return said.isEmpty() ? "" : TEXT.get(forbidden.isEmpty() ? "step.again" : "step.forbidden", said);
    }

    /** All together: what is said at the step. */
    public List<String> all() {
        return Stream.concat(Stream.concat(forbidden.stream(), lastChance.stream()), curing.map(Curing::says).stream())
                .toList();
    }
}
