package mussel.core.fleet;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** Time as quarter hours from the midnight before now, nights and free days among them: what is glued cures on through them. */
final class WorkCalendar {
    /** Length of a slot (min). */
    static final int SLOT_MIN = 15;

    private static final int PER_DAY = 24 * 60 / SLOT_MIN;

    private final Fleet.Hours hours;
    private final LocalDate firstDay;
    private final int days;
    private final int first;

    WorkCalendar(Fleet.Hours hours, LocalDateTime now, int days) {
        this.hours = hours;
        this.firstDay = now.toLocalDate();
        this.days = days;
        this.first = from(now);
    }

    /** How many slots some minutes take. */
    static int slots(double minutes) {
        return (int) Math.ceil(minutes / SLOT_MIN);
    }

    int slots() {
        return days * PER_DAY;
    }

    /** The first slot that is still to come. */
    int first() {
        return first;
    }

    /** How many days lie before the end of a slot. */
    static int daysTo(int slot) {
        return (slot + PER_DAY - 1) / PER_DAY;
    }

    /** The days the yard works. */
    List<LocalDate> worked() {
        return firstDay.datesUntil(firstDay.plusDays(days))
                .filter(d -> hours.days().contains(d.getDayOfWeek()))
                .toList();
    }

    /** The first slot that begins at that moment or later; none before the first. */
    private int from(LocalDateTime moment) {
        long minutes = Duration.between(firstDay.atStartOfDay(), moment).toMinutes();
        return (int) Math.max(0, -Math.floorDiv(-minutes, (long) SLOT_MIN));
    }

    /** The first slot of the working day that a day is or that follows it. */
    int opens(LocalDate day) {
        LocalDate open = day;
        while (!hours.days().contains(open.getDayOfWeek())) {
            open = open.plusDays(1);
        }
        return Math.min(slots(), from(open.atTime(hours.from())));
    }

    /** One past the last slot of a day; what lies before the first day is over before it begins. */
    int endOf(LocalDate day) {
        return Math.min(slots(), from(day.plusDays(1).atStartOfDay()));
    }

    /** When a slot begins. */
    LocalDateTime begins(int slot) {
        return firstDay.atStartOfDay().plusMinutes((long) slot * SLOT_MIN);
    }

    /** Slots on which somebody is not at the bench, as begin and length. */
    List<int[]> gaps(Fleet.Technician who) {
        int opens = (int) Duration.ofNanos(hours.from().toNanoOfDay()).toMinutes() / SLOT_MIN;
        int closes = (int) Duration.ofNanos(hours.to().toNanoOfDay()).toMinutes() / SLOT_MIN;
        int works = Math.min(closes - opens, (int) Math.round(who.hoursPerDay() * 60 / SLOT_MIN));
        List<int[]> gaps = new ArrayList<>();
        int free = 0;
        for (int d = 0; d < days; d++) {
            LocalDate day = firstDay.plusDays(d);
            if (works > 0
                    && hours.days().contains(day.getDayOfWeek())
                    && !who.away().contains(day)) {
                gaps.add(new int[] {free, d * PER_DAY + opens - free});
                free = d * PER_DAY + opens + works;
            }
        }
        gaps.add(new int[] {free, slots() - free});
        return gaps;
    }
}
