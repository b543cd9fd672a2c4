package mussel.solver.sat;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.CumulativeConstraint;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.fleet.Timetable;
import mussel.core.measure.StopToken;

/** A timetable as a constraint model. One worker and a fixed seed. */
final class TimetableModel {
    /** How long it may search (s). */
    private static final double LONGEST_S = 1.5;

    private static final int SEED = 7;
    private static final long BROKEN = 4_000;
    private static final long LATE_SLOT = 40;

    private final Timetable asked;
    private final CpModel model = new CpModel();
    private final List<Placed> placed = new ArrayList<>();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();

    /** A task as the solver sees it. */
    private record Placed(Timetable.Task task, IntVar start, IntVar end, List<BoolVar> by, IntervalVar at) {}

    TimetableModel(Timetable asked) {
        Native.ready();
        this.asked = asked;
        List<List<IntervalVar>> busy = new ArrayList<>();
        asked.away().forEach(spans -> {
            List<IntervalVar> gaps = new ArrayList<>();
            spans.forEach(s -> gaps.add(model.newFixedInterval(s.from(), s.slots(), "away")));
            busy.add(gaps);
        });
        asked.legs().forEach(leg -> place(leg, busy));
        busy.forEach(intervals -> model.addNoOverlap(intervals.toArray(new IntervalVar[0])));
        for (int i = 0; i < asked.shared().size(); i++) {
            int tool = i;
            CumulativeConstraint shared = model.addCumulative(asked.shared().get(i));
            placed.stream().filter(p -> p.task().tools().contains(tool)).forEach(p -> shared.addDemand(p.at(), 1));
        }
        model.minimize(cost);
    }

    private void place(Timetable.Leg leg, List<List<IntervalVar>> busy) {
        Placed before = null;
        for (Timetable.Task task : leg.tasks()) {
            int slots = task.slots();
            IntVar start = model.newIntVar(Math.min(task.earliest(), asked.slots()), asked.slots(), "s");
            IntVar end = model.newIntVar(0, asked.slots(), "e");
            List<BoolVar> by = new ArrayList<>();
            for (List<IntervalVar> theirs : busy) {
                BoolVar does = model.newBoolVar("by");
                by.add(does);
                theirs.add(model.newOptionalIntervalVar(start, LinearExpr.constant(slots), end, does, "by"));
            }
            model.addExactlyOne(by.toArray(new Literal[0]));
            Placed now = new Placed(
                    task, start, end, by, model.newIntervalVar(start, LinearExpr.constant(slots), end, "at"));
            if (before != null) {
                model.addGreaterOrEqual(
                        now.start(),
                        LinearExpr.newBuilder()
                                .add(before.end())
                                .add(before.task().cures()));
            }
            task.hint().ifPresent(hint -> hint(now, hint));
            placed.add(now);
            before = now;
        }
        if (before != null) {
            price(leg, before.end());
        }
    }

    private void hint(Placed task, Timetable.Place place) {
        model.addHint(task.start(), place.start());
        for (int who = 0; who < task.by().size(); who++) {
            model.addHint(task.by().get(who), who == place.who() ? 1 : 0);
        }
    }

    private void price(Timetable.Leg leg, IntVar ready) {
        cost.add(ready);
        leg.promised().ifPresent(promised -> {
            BoolVar broken = model.newBoolVar("broken");
            IntVar late = model.newIntVar(0, asked.slots(), "late");
            model.addGreaterOrEqual(late, LinearExpr.newBuilder().add(ready).add(-promised));
            model.addEquality(late, 0).onlyEnforceIf(broken.not());
            cost.addTerm(late, LATE_SLOT).addTerm(broken, BROKEN);
        });
    }

    Optional<Timetable.Answer> solve(StopToken stop) {
        CpSolver solver = new CpSolver();
        stop.onStop(solver::stopSearch);
        solver.getParameters()
                .setMaxTimeInSeconds(LONGEST_S)
                .setNumWorkers(1)
                .setRandomSeed(SEED)
                .setCpModelProbingLevel(0);
        CpSolverStatus status = placed.isEmpty() ? CpSolverStatus.OPTIMAL : solver.solve(model);
        stop.check();
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            return Optional.empty();
        }
        List<Timetable.Place> places = placed.stream()
                .map(p ->
                        new Timetable.Place((int) solver.value(p.start()), (int) solver.value(p.end()), who(solver, p)))
                .toList();
        return Optional.of(new Timetable.Answer(places, status == CpSolverStatus.OPTIMAL));
    }

    private static int who(CpSolver solver, Placed p) {
        for (int i = 0; i < p.by().size(); i++) {
            if (solver.booleanValue(p.by().get(i))) {
                return i;
            }
        }
        throw new IllegalStateException("The solver left a task to nobody");
    }
}
