package mussel.core.verdict;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mussel.core.measure.Given;

/**
 * A number of the repair tables that is the shop's own.
 *
 * @param number which: {@code visit_hours}, {@code stage_hours}, {@code check_hours}, {@code spoils_hours} or {@code brings_back}
 * @param of the stage, final check or cause it is of; nothing for a return visit
 * @param value hours, or a chance of 0 to 1
 * @param why the reason
 */
public record RepairNumber(
        @Given("which number") String number,
        @Given("what it is of") Optional<String> of,
        @Given(value = "hours, or a chance", min = 0, max = 10_000) double value,
        @Given("the reason") String why) {
    static final String BRINGS_BACK = "brings_back";
    private static final String VISIT = "visit_hours";
    private static final String STAGE = "stage_hours";
    private static final String CHECK = "check_hours";
    private static final String SPOILS = "spoils_hours";

    /** What it is, as a person reads it. */
    String named() {
        return number.replace('_', ' ')
                + of.map(o -> ", " + o.replace('_', ' ')).orElse("");
    }

    /** The number as the tables have it; empty where they have none of that name. */
    Optional<Double> was(RepairTables tables) {
        return switch (number) {
            case VISIT -> of.isEmpty() ? Optional.of(tables.visitHours()) : Optional.empty();
            case STAGE ->
                tables.stages().stream()
                        .filter(s -> of.equals(Optional.of(s.id())))
                        .map(RepairTables.Stage::hours)
                        .findFirst();
            case CHECK ->
                tables.proofs().stream()
                        .filter(p -> of.equals(Optional.of(p.id())))
                        .map(RepairTables.Proof::hours)
                        .findFirst();
            case SPOILS -> left(tables).map(RepairTables.Left::spoilsHours);
            case BRINGS_BACK -> left(tables).map(RepairTables.Left::bringsBack);
            default -> Optional.empty();
        };
    }

    private Optional<RepairTables.Left> left(RepairTables tables) {
        return tables.causes().stream()
                .filter(c -> of.equals(Optional.of(c.id())))
                .findFirst();
    }

    /** The tables with it in its place. */
    RepairTables in(RepairTables tables) {
        List<RepairTables.Stage> stages = changed(
                tables.stages(),
                s -> of.equals(Optional.of(s.id())) && is(STAGE)
                        ? new RepairTables.Stage(
                                s.id(),
                                s.title(),
                                value,
                                s.after(),
                                s.renews(),
                                s.shows(),
                                s.places(),
                                s.openWhen(),
                                why)
                        : s);
        List<RepairTables.Proof> checks = changed(
                tables.proofs(),
                p -> of.equals(Optional.of(p.id())) && is(CHECK)
                        ? new RepairTables.Proof(p.id(), p.title(), value)
                        : p);
        List<RepairTables.Left> causes = changed(
                tables.causes(),
                c -> of.equals(Optional.of(c.id())) && (is(SPOILS) || is(BRINGS_BACK))
                        ? new RepairTables.Left(
                                c.id(),
                                is(SPOILS) ? value : c.spoilsHours(),
                                is(BRINGS_BACK) ? value : c.bringsBack(),
                                c.shownAtProof(),
                                c.seenAt(),
                                why)
                        : c);
        return new RepairTables(
                is(VISIT) ? value : tables.visitHours(),
                stages,
                checks,
                tables.states(),
                tables.stepNeeds(),
                tables.closing(),
                tables.byRule(),
                tables.rounds(),
                tables.goals(),
                causes);
    }

    private boolean is(String which) {
        return number.equals(which);
    }

    private static <T> List<T> changed(List<T> all, UnaryOperator<T> change) {
        return all.stream().map(change).toList();
    }
}
