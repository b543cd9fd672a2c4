package mussel.core.book;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import mussel.core.fleet.Fleet;
import mussel.core.job.Assessment;
import mussel.core.job.Job;
import mussel.core.job.Order;
import mussel.core.job.SecondWave;
import mussel.core.job.Topic;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.OrderedMap;
import mussel.core.plan.Plan;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Step;

/**
 * The work on the bench as the fleet engine wants it: what is left of each leg's plan, cut into pieces of some hours.
 *
 * @param fleet the bench and its work
 * @param left legs that cannot be planned, with why
 * @param next by job, the step that comes next; none where nobody knows yet what to do
 */
public record BenchPlan(Fleet fleet, List<String> left, Map<Integer, Step> next) {
    private static final Messages TEXT = Messages.of(BenchPlan.class);
    private static final List<Phase> WORK = List.of(Phase.DOWN, Phase.STRIP, Phase.BUILD, Phase.PROVE);
    /** What waits for parts that are on their way: taking apart does not. */
    private static final Set<Phase> FITS = Set.of(Phase.BUILD, Phase.PROVE);
    /** Longest piece of work in one go (min). */
    private static final double LONGEST = 150;
    /** What looking at a leg takes before anyone knows what to do; assumed (min). */
    private static final double LOOK = 60;
    /** What a tag takes; assumed (min). */
    private static final double TAG = 15;

    /** Keeps its own copies. */
    public BenchPlan {
        left = List.copyOf(left);
        next = OrderedMap.copyOf(next);
    }

    /**
     * The work of the jobs that are not tagged.
     *
     * @param away the days a technician of that name is away
     */
    public static BenchPlan of(
            List<Assessment> open, Yard yard, Function<String, List<LocalDate>> away, LocalDateTime now) {
        Yard.Crew crew = yard.crew().orElse(Yard.Crew.USUAL);
        List<String> left = new ArrayList<>();
        List<Fleet.Leg> legs = new ArrayList<>();
        Set<String> shared =
                new TreeSet<>(crew.shared().stream().map(Yard.Shared::tool).toList());
        for (Assessment job : open) {
            leg(job, shared, now.toLocalDate(), left)
                    .map(leg -> crew.benches().isPresent() ? onABench(leg) : leg)
                    .ifPresent(legs::add);
        }
        double day = crew.closes() - crew.opens();
        return new BenchPlan(
                new Fleet(
                        now,
                        new Fleet.Hours(
                                clock(crew.opens()),
                                clock(crew.closes()),
                                Set.of(
                                        DayOfWeek.MONDAY,
                                        DayOfWeek.TUESDAY,
                                        DayOfWeek.WEDNESDAY,
                                        DayOfWeek.THURSDAY,
                                        DayOfWeek.FRIDAY)),
                        crew.technicians().stream()
                                .map(t -> new Fleet.Technician(
                                        t.name(),
                                        Math.min(day, t.hoursPerDay()),
                                        off(away.apply(t.name()), crew.daysOff())))
                                .toList(),
                        tools(crew),
                        legs),
                left,
                next(open));
    }

    private static List<LocalDate> off(List<LocalDate> away, List<LocalDate> closed) {
        return Stream.concat(away.stream(), closed.stream()).distinct().sorted().toList();
    }

    private static Fleet.Leg onABench(Fleet.Leg leg) {
        return new Fleet.Leg(
                leg.job(),
                leg.title(),
                leg.promised(),
                leg.tasks().stream()
                        .map(t -> new Fleet.Task(
                                t.title(),
                                t.minutes(),
                                Stream.concat(t.tools().stream(), Stream.of(TEXT.get("bench")))
                                        .toList(),
                                t.cureMinutes(),
                                t.notBefore(),
                                t.awaits()))
                        .toList());
    }

    /** What there is few of: the shared tools, and the benches where the yard counts them. */
    private static List<Fleet.Tool> tools(Yard.Crew crew) {
        List<Fleet.Tool> tools = new ArrayList<>();
        crew.shared().forEach(s -> tools.add(new Fleet.Tool(s.tool(), s.count())));
        crew.benches().ifPresent(count -> tools.add(new Fleet.Tool(TEXT.get("bench"), (int) count)));
        return tools;
    }

    private static Map<Integer, Step> next(List<Assessment> open) {
        Map<Integer, Step> next = new HashMap<>();
        for (Assessment job : open) {
            WORK.stream()
                    .flatMap(phase -> untouched(job, phase).stream())
                    .findFirst()
                    .ifPresent(planned -> next.put(job.job().id(), planned.step()));
        }
        return next;
    }

    private static List<Plan.PlannedStep> untouched(Assessment job, Phase phase) {
        return job.plan().of(phase).stream()
                .filter(s -> job.job().ticked(s.step().id()).isEmpty())
                .toList();
    }

    private static LocalTime clock(double hours) {
        return LocalTime.ofSecondOfDay(Math.min(86_399, Math.round(hours * 3_600)));
    }

    private static Optional<Fleet.Leg> leg(Assessment now, Set<String> shared, LocalDate today, List<String> left) {
        Job job = now.job();
        LocalDate written = LocalDate.ofInstant(job.touched(), now.zone());
        Optional<String> waits = job.note(Topic.WAITS_FOR.address());
        Optional<LocalDate> waitsTo = waits.flatMap(w -> PromisedDay.in(w, written));
        if (waits.isPresent() && waitsTo.isEmpty()) {
            left.add(TEXT.get("left", job.leg().title(), waits.get()));
            return Optional.empty();
        }
        Optional<LocalDate> promised = job.note(Topic.PROMISED.address())
                .flatMap(p -> PromisedDay.in(p, LocalDate.ofInstant(job.opened(), now.zone())));
        List<Fleet.Task> tasks = new ArrayList<>();
        Optional<Order> order =
                job.orders().stream().filter(o -> o.arrived().isEmpty()).max(Comparator.comparing(Order::due));
        SecondWave wave = SecondWave.of(now);
        if (now.goals().isEmpty()) {
            tasks.add(task(TEXT.get("look"), LOOK, List.of()));
        } else {
            for (Phase phase : WORK) {
                List<Fleet.Task> pieces = cut(now, phase, shared);
                order.filter(o -> FITS.contains(phase))
                        .ifPresent(o -> pieces.replaceAll(t ->
                                later(t, o.due(), TEXT.get("order", o.placed().order()))));
                if (FITS.contains(phase)
                        && !wave.parts().isEmpty()
                        && wave.days().isPresent()) {
                    LocalDate here = today.plusDays(wave.days().getAsInt());
                    pieces.replaceAll(t -> later(t, here, TEXT.get("wave")));
                }
                tasks.addAll(pieces);
            }
            tasks.add(task(TEXT.get("tag"), TAG, List.of()));
        }
        waitsTo.filter(day -> day.isAfter(today))
                .ifPresent(day -> tasks.replaceAll(t -> later(t, day, waits.orElseThrow())));
        return Optional.of(new Fleet.Leg(job.id(), job.leg().title(), promised, tasks));
    }

    private static Fleet.Task task(String title, double minutes, List<String> tools) {
        return new Fleet.Task(title, minutes, tools, 0, Optional.empty(), "");
    }

    private static Fleet.Task later(Fleet.Task task, LocalDate day, String awaits) {
        boolean later = task.notBefore().map(d -> d.isBefore(day)).orElse(true);
        return later
                ? new Fleet.Task(
                        task.title(), task.minutes(), task.tools(), task.cureMinutes(), Optional.of(day), awaits)
                : task;
    }

    /** What is left of a phase of the plan, in pieces; what was glued cures before what follows. */
    private static List<Fleet.Task> cut(Assessment now, Phase phase, Set<String> shared) {
        double years = now.saltYears();
        List<Fleet.Task> pieces = new ArrayList<>();
        List<Plan.PlannedStep> steps = untouched(now, phase);
        double minutes = 0;
        double cure = steps.stream().mapToDouble(s -> s.step().cureMin()).max().orElse(0);
        Set<String> tools = new TreeSet<>();
        String first = "";
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i).step();
            first = first.isEmpty() ? step.title() : first;
            minutes += step.meanMinutes(years);
            step.tools().stream().filter(shared::contains).forEach(tools::add);
            boolean last = i == steps.size() - 1;
            if (last || minutes + steps.get(i + 1).step().meanMinutes(years) > LONGEST) {
                pieces.add(new Fleet.Task(
                        TEXT.get("piece", phase.title(), first),
                        minutes,
                        List.copyOf(tools),
                        last ? cure : 0,
                        Optional.empty(),
                        ""));
                minutes = 0;
                first = "";
                tools.clear();
            }
        }
        return pieces;
    }
}
