package mussel.core.fleet;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mussel.core.fleet.FleetEngine.Slotted;
import mussel.core.fleet.FleetPlan.Placement;
import mussel.core.fleet.FleetPlan.Ready;
import mussel.core.language.Messages;

/** Says of each task why it does not begin earlier: of all that could hold it, what ends last. */
final class Reasons {
    private static final Messages TEXT = Messages.of(Reasons.class);

    private final Fleet fleet;
    private final WorkCalendar calendar;
    private final List<Slotted> tasks;

    Reasons(Fleet fleet, WorkCalendar calendar, List<Slotted> tasks) {
        this.fleet = fleet;
        this.calendar = calendar;
        this.tasks = tasks;
    }

    FleetPlan plan(boolean proven) {
        List<Placement> placements = tasks.stream()
                .sorted(Comparator.comparingInt(Slotted::start).thenComparing(Slotted::who))
                .map(t -> new Placement(
                        t.leg().job(),
                        t.leg().title(),
                        t.task(),
                        t.who(),
                        calendar.begins(t.start()),
                        calendar.begins(t.end()),
                        t.start(),
                        t.end(),
                        hold(t).why()))
                .toList();
        List<Ready> ready = fleet.legs().stream()
                .filter(l -> !l.tasks().isEmpty())
                .map(this::ready)
                .sorted(Comparator.comparing(Ready::at))
                .toList();
        return new FleetPlan(calendar.worked(), placements, ready, proven, List.of());
    }

    /** A moment before which a task cannot begin, how much of the wait it accounts for, and why. */
    private record Hold(int slot, int waits, String why) {}

    private Hold hold(Slotted task) {
        List<Hold> holds = new ArrayList<>();
        holds.add(new Hold(calendar.first(), 0, TEXT.get("at_once")));
        int ready = calendar.first();
        Optional<Slotted> before = tasks.stream()
                .filter(o -> o.leg() == task.leg() && o.nr() == task.nr() - 1)
                .findFirst();
        if (before.isPresent()) {
            Slotted earlier = before.get();
            double cure = earlier.task().cureMinutes();
            ready = earlier.end() + WorkCalendar.slots(cure);
            holds.add(
                    cure > 0
                            ? new Hold(
                                    ready,
                                    ready - earlier.end(),
                                    TEXT.get("cures", earlier.task().title(), moment(calendar.begins(ready))))
                            : new Hold(
                                    ready, 0, TEXT.get("after", earlier.task().title())));
        }
        int from = ready;
        task.task().notBefore().ifPresent(day -> {
            int slot = calendar.opens(day);
            holds.add(new Hold(slot, slot - from, TEXT.get("parts", task.task().awaits(), day(day))));
        });
        for (Slotted other : tasks) {
            if (other.leg() != task.leg() && other.end() <= task.start()) {
                task.task().tools().stream()
                        .filter(tool -> other.task().tools().contains(tool) && scarce(tool))
                        .findFirst()
                        .ifPresent(tool -> holds.add(new Hold(
                                other.end(),
                                other.end() - from,
                                TEXT.get("tool", tool, other.leg().title()))));
                if (other.who().equals(task.who())) {
                    holds.add(new Hold(
                            other.end(),
                            other.end() - from,
                            TEXT.get(
                                    "busy",
                                    task.who(),
                                    other.leg().title(),
                                    other.task().title())));
                }
            }
        }
        Hold last = holds.stream().max(Comparator.comparingInt(Hold::slot)).orElseThrow();
        if (last.waits() > 0 && closed(task, last.slot())) {
            return last;
        }
        return task.start() > last.slot()
                ? new Hold(task.start(), task.start() - from, TEXT.get(wait(task, last.slot()), task.who()))
                : last;
    }

    /** Why it did not begin when nothing held it any more: its technician was away, too little of the day was left, or another goes first. */
    private String wait(Slotted task, int from) {
        int length = task.end() - task.start();
        return calendar.gaps(technician(task)).stream()
                .filter(gap -> gap[0] < task.start() && gap[0] + gap[1] > from)
                .findFirst()
                .map(gap -> gap[0] <= from ? "away" : gap[0] - from < length ? "short" : "later")
                .orElse("later");
    }

    /** Whether between that slot and the task's begin there was nothing but a closed yard. */
    private boolean closed(Slotted task, int from) {
        return from >= task.start()
                || calendar.gaps(technician(task)).stream()
                        .anyMatch(gap -> gap[0] <= from && gap[0] + gap[1] >= task.start());
    }

    private Fleet.Technician technician(Slotted task) {
        return fleet.technicians().stream()
                .filter(t -> t.name().equals(task.who()))
                .findFirst()
                .orElseThrow();
    }

    private boolean scarce(String tool) {
        return fleet.tools().stream().anyMatch(t -> t.name().equals(tool));
    }

    private Ready ready(Fleet.Leg leg) {
        List<Slotted> own = tasks.stream().filter(t -> t.leg() == leg).toList();
        Slotted last = own.stream().max(Comparator.comparingInt(Slotted::end)).orElseThrow();
        Hold worst = own.stream()
                .map(this::hold)
                .max(Comparator.comparingInt(Hold::waits))
                .orElseThrow();
        LocalDateTime at = calendar.begins(last.end());
        String why = worst.waits() > 0 ? worst.why() : TEXT.get("work");
        return new Ready(leg.job(), leg.title(), at, leg.promised(), why);
    }

    private static String moment(LocalDateTime moment) {
        return day(moment.toLocalDate()) + " " + moment.toLocalTime();
    }

    private static String day(LocalDate day) {
        return day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH) + " " + day;
    }
}
