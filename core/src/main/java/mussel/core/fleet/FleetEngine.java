package mussel.core.fleet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import mussel.core.measure.StopToken;

/**
 * Places every task of every leg by a solver: a leg's tasks one after the other, nobody and no tool at two places
 * at once, nothing before its parts are there or before what was glued has cured. What it makes small: first promises broken and for how
 * long, then how soon legs are ready. Where it finds
 * nothing in its time, or one leg's work fits nowhere, the foreman's plan stands.
 */
public final class FleetEngine {
    private static final int SLACK_DAYS = 5;
    private static final int MOST_DAYS = 90;

    private final Fleet fleet;
    private final WorkCalendar calendar;
    private final FirstPlan first;

    private FleetEngine(Fleet fleet) {
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
        FleetPlan plan = new FleetEngine(fleet).solve(stop);
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

    /** The question in slots. */
    private Timetable asked() {
        List<String> tools = fleet.tools().stream().map(Fleet.Tool::name).toList();
        return new Timetable(
                calendar.slots(),
                fleet.technicians().stream()
                        .map(t -> calendar.gaps(t).stream()
                                .map(g -> new Timetable.Span(g[0], g[1]))
                                .toList())
                        .toList(),
                fleet.legs().stream()
                        .map(leg -> new Timetable.Leg(
                                leg.tasks().stream()
                                        .map(task -> asked(task, tools))
                                        .toList(),
                                leg.promised().isPresent()
                                        ? OptionalInt.of(
                                                calendar.endOf(leg.promised().get()))
                                        : OptionalInt.empty()))
                        .toList(),
                fleet.tools().stream().map(Fleet.Tool::count).toList());
    }

    private Timetable.Task asked(Fleet.Task task, List<String> tools) {
        int slots = WorkCalendar.slots(task.minutes());
        return new Timetable.Task(
                slots,
                Math.max(calendar.first(), task.notBefore().map(calendar::opens).orElse(0)),
                WorkCalendar.slots(task.cureMinutes()),
                IntStream.range(0, tools.size())
                        .filter(i -> task.tools().contains(tools.get(i)))
                        .boxed()
                        .toList(),
                first.of(task).map(p -> new Timetable.Place(p.start(), p.start() + slots, p.technician())));
    }

    private FleetPlan solve(StopToken stop) {
        Optional<Timetable.Answer> answer = TimetableSolver.here().solve(asked(), stop);
        if (answer.isEmpty()) {
            return first.plan();
        }
        List<Slotted> slotted = new ArrayList<>();
        for (Fleet.Leg leg : fleet.legs()) {
            for (int nr = 0; nr < leg.tasks().size(); nr++) {
                Timetable.Place at = answer.get().places().get(slotted.size());
                slotted.add(new Slotted(
                        leg,
                        nr,
                        leg.tasks().get(nr),
                        fleet.technicians().get(at.who()).name(),
                        at.start(),
                        at.end()));
            }
        }
        return new Reasons(fleet, calendar, slotted).plan(answer.get().proven()).leaving(first.unplaced());
    }

    /** A task with its quarter hours. */
    record Slotted(Fleet.Leg leg, int nr, Fleet.Task task, String who, int start, int end) {}
}
