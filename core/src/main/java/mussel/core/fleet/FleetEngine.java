package mussel.core.fleet;

import com.google.ortools.Loader;
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
import mussel.core.measure.StopToken;

/**
 * Places every task of every leg by the CP-SAT solver of OR-Tools: a leg's tasks one after the other, nobody and no tool at two places
 * at once, nothing before its parts are there or before what was glued has cured. What it makes small: first promises broken and for how
 * long, then how soon legs are ready. One worker and a fixed seed. Where it finds
 * nothing in its time, or one leg's work fits nowhere, the foreman's plan stands.
 */
public final class FleetEngine {
    /** How long it may search (s). */
    static final double LONGEST_S = 1.5;

    private static final int SEED = 7;
    private static final long BROKEN = 4_000;
    private static final long LATE_SLOT = 40;
    private static final int SLACK_DAYS = 5;
    private static final int MOST_DAYS = 90;

    private final Fleet fleet;
    private final WorkCalendar calendar;
    private final FirstPlan first;
    private final CpModel model = new CpModel();
    private final List<Placed> placed = new ArrayList<>();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();

    /** A task as the solver sees it. */
    private record Placed(
            Fleet.Leg leg,
            int nr,
            Fleet.Task task,
            int slots,
            IntVar start,
            IntVar end,
            List<BoolVar> by,
            IntervalVar at) {}

    private FleetEngine(Fleet fleet) {
        Native.ready();
        WorkCalendar wide = new WorkCalendar(fleet.hours(), fleet.now(), days(fleet));
        FirstPlan rough = new FirstPlan(fleet, wide);
        this.first = rough;
        this.fleet = rough.placed();
        int needed = Math.min(days(fleet), WorkCalendar.daysTo(rough.end()) + SLACK_DAYS);
        this.calendar = new WorkCalendar(fleet.hours(), fleet.now(), needed);
    }

    /** The plan. A leg with a task longer than anybody's day is left out and named: cut work into pieces of some hours. */
    public static FleetPlan plan(Fleet fleet) {
        return plan(fleet, new StopToken());
    }

    /**
     * The same for somebody who may not wait for it.
     *
     * @throws mussel.core.measure.WorkStoppedException when it was stopped
     */
    public static FleetPlan plan(Fleet fleet, StopToken stop) {
        stop.check();
        FleetEngine engine = new FleetEngine(fleet);
        engine.build();
        FleetPlan plan = engine.solve(stop);
        stop.check();
        return plan;
    }

    /**
     * A plan as a foreman would make it, at once: to look at while a better one is searched for. Legs that found no place in it are left out and
     * named.
     */
    public static FleetPlan first(Fleet fleet) {
        WorkCalendar wide = new WorkCalendar(fleet.hours(), fleet.now(), days(fleet));
        return new FirstPlan(fleet, wide).plan();
    }

    /** Enough days for all the work one after the other, what it waits for, and some slack. */
    private static int days(Fleet fleet) {
        double perDay = fleet.technicians().stream()
                .mapToDouble(Fleet.Technician::hoursPerDay)
                .sum();
        double work = fleet.legs().stream()
                .flatMap(l -> l.tasks().stream())
                .mapToDouble(t -> t.minutes() + t.cureMinutes() / 3)
                .sum();
        long waits = fleet.legs().stream()
                .flatMap(l -> l.tasks().stream())
                .flatMap(t -> t.notBefore().stream())
                .mapToLong(d ->
                        Math.max(0, d.toEpochDay() - fleet.now().toLocalDate().toEpochDay()))
                .max()
                .orElse(0);
        long away = fleet.technicians().stream()
                .mapToLong(t -> t.away().size())
                .max()
                .orElse(0);
        return (int) Math.min(MOST_DAYS, Math.ceil(work / 60 / Math.max(1, perDay) * 2) + waits + away + SLACK_DAYS);
    }

    private void build() {
        List<List<IntervalVar>> busy = new ArrayList<>();
        fleet.technicians().forEach(t -> {
            List<IntervalVar> gaps = new ArrayList<>();
            calendar.gaps(t).forEach(g -> gaps.add(model.newFixedInterval(g[0], g[1], "away")));
            busy.add(gaps);
        });
        fleet.legs().forEach(leg -> place(leg, busy));
        busy.forEach(intervals -> model.addNoOverlap(intervals.toArray(new IntervalVar[0])));
        for (Fleet.Tool tool : fleet.tools()) {
            CumulativeConstraint shared = model.addCumulative(tool.count());
            placed.stream()
                    .filter(p -> p.task().tools().contains(tool.name()))
                    .forEach(p -> shared.addDemand(p.at(), 1));
        }
        model.minimize(cost);
    }

    private void place(Fleet.Leg leg, List<List<IntervalVar>> busy) {
        Placed before = null;
        for (int i = 0; i < leg.tasks().size(); i++) {
            Fleet.Task task = leg.tasks().get(i);
            int slots = WorkCalendar.slots(task.minutes());
            int earliest = Math.max(
                    calendar.first(), task.notBefore().map(calendar::opens).orElse(0));
            IntVar start = model.newIntVar(Math.min(earliest, calendar.slots()), calendar.slots(), "s");
            IntVar end = model.newIntVar(0, calendar.slots(), "e");
            List<BoolVar> by = new ArrayList<>();
            for (List<IntervalVar> theirs : busy) {
                BoolVar does = model.newBoolVar("by");
                by.add(does);
                theirs.add(model.newOptionalIntervalVar(start, LinearExpr.constant(slots), end, does, "by"));
            }
            model.addExactlyOne(by.toArray(new Literal[0]));
            Placed now = new Placed(
                    leg,
                    i,
                    task,
                    slots,
                    start,
                    end,
                    by,
                    model.newIntervalVar(start, LinearExpr.constant(slots), end, "at"));
            if (before != null) {
                follow(before, now);
            }
            first.of(task).ifPresent(hint -> hint(now, hint));
            placed.add(now);
            before = now;
        }
        if (before != null) {
            price(leg, before.end());
        }
    }

    private void hint(Placed task, FirstPlan.Place place) {
        model.addHint(task.start(), place.start());
        for (int who = 0; who < task.by().size(); who++) {
            model.addHint(task.by().get(who), who == place.technician() ? 1 : 0);
        }
    }

    private void follow(Placed before, Placed now) {
        int cures = WorkCalendar.slots(before.task().cureMinutes());
        model.addGreaterOrEqual(
                now.start(), LinearExpr.newBuilder().add(before.end()).add(cures));
    }

    private void price(Fleet.Leg leg, IntVar ready) {
        cost.add(ready);
        leg.promised().ifPresent(day -> {
            int promised = calendar.endOf(day);
            BoolVar broken = model.newBoolVar("broken");
            IntVar late = model.newIntVar(0, calendar.slots(), "late");
            model.addGreaterOrEqual(late, LinearExpr.newBuilder().add(ready).add(-promised));
            model.addEquality(late, 0).onlyEnforceIf(broken.not());
            cost.addTerm(late, LATE_SLOT).addTerm(broken, BROKEN);
        });
    }

    private FleetPlan solve(StopToken stop) {
        CpSolver solver = new CpSolver();
        stop.onStop(solver::stopSearch);
        solver.getParameters()
                .setMaxTimeInSeconds(LONGEST_S)
                .setNumWorkers(1)
                .setRandomSeed(SEED)
                .setCpModelProbingLevel(0);
        CpSolverStatus status = placed.isEmpty() ? CpSolverStatus.OPTIMAL : solver.solve(model);
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            return first.plan();
        }
        List<Slotted> slotted = placed.stream()
                .map(p -> new Slotted(p.leg(), p.nr(), p.task(), who(solver, p), (int) solver.value(p.start()), (int)
                        solver.value(p.end())))
                .toList();
        return new Reasons(fleet, calendar, slotted)
                .plan(status == CpSolverStatus.OPTIMAL)
                .leaving(first.unplaced());
    }

    private String who(CpSolver solver, Placed p) {
        for (int i = 0; i < p.by().size(); i++) {
            if (solver.booleanValue(p.by().get(i))) {
                return fleet.technicians().get(i).name();
            }
        }
        throw new IllegalStateException("The solver left a task to nobody");
    }

    /** A task with its quarter hours. */
    record Slotted(Fleet.Leg leg, int nr, Fleet.Task task, String who, int start, int end) {}

    /** The solver's native library, loaded once when first needed. */
    private static final class Native {
        static {
            Loader.loadNativeLibraries();
        }

        private Native() {}

        static void ready() {
            // Loading this class is all.
        }
    }
}
