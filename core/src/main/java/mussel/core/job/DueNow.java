package mussel.core.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.NamedBy;
import mussel.core.sheet.Interval;
import mussel.core.sheet.PumpPolicy;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.VerdictInput;

/**
 * What is due by its clock while the lower unit is here: the oil by its hours and months, the impeller by the shop's habit. Of unknown age counts as due
 * where the clock alone decides: oil at a service, an impeller that is renewed by the calendar.
 */
final class DueNow {
    private final Assessment all;
    private final LegState state;

    private DueNow(Assessment all, LegState state) {
        this.all = all;
        this.state = state;
    }

    /** What the verdict engine is fed of outcomes and costs, with the state of the lower unit and the repairs of the tables that are due. */
    static VerdictInput with(Assessment all, Map<String, String> outcomes, Map<String, VerdictInput.Costs> costs) {
        LegState state = LegStates.of(all);
        DueNow now = new DueNow(all, state);
        List<String> due = all.knowledge().repairs().stream()
                .flatMap(r -> r.byRule().stream())
                .filter(r -> r.due().filter(now::due).isPresent())
                .map(RepairTables.ByRule::goal)
                .filter(g -> all.sheet().goal(g).isPresent())
                .distinct()
                .toList();
        return new VerdictInput(
                        Optional.of(all.context()), outcomes, all.yard().labourPerH(), AccessOpen.of(all), costs)
                .in(state, due);
    }

    private boolean due(String counts) {
        if (counts.equals(NamedBy.file(Interval.Counts.PUMP))) {
            return impeller();
        }
        return all.sheet().intervals().stream()
                .filter(i -> NamedBy.file(i.counts()).equals(counts))
                .anyMatch(this::over);
    }

    private boolean over(Interval interval) {
        boolean hard = all.job().choice(Scale.SAND).filter("yes"::equals).isPresent();
        double factor = hard ? interval.hardFactor() : 1;
        OptionalDouble ran = all.known(Field.HOURS_SINCE_FILL);
        OptionalDouble months = all.known(Field.MONTHS_SINCE_FILL);
        if (ran.isEmpty() && months.isEmpty()) {
            return all.context().complaint().contains(Complaint.SERVICE);
        }
        return ran.orElse(0) >= interval.hours() * factor || months.orElse(0) >= interval.months() * factor;
    }

    private boolean impeller() {
        PumpHabit habit = all.yard().pump();
        OptionalDouble months = all.job().reading(Field.IMPELLER_AGE);
        return habit.policy() == PumpPolicy.ALWAYS && state.forbids(Condition.LEG, "on")
                || habit.policy() == PumpPolicy.CALENDAR
                        && (months.isEmpty() || months.getAsDouble() >= habit.calendarMonths());
    }
}
