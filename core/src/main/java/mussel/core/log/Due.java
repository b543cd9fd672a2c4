package mussel.core.log;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Interval;

/**
 * When something is next due: by running hours or by the calendar, whichever comes first.
 *
 * @param id what it is known by from job to job: what the interval counts, else the interval's own id
 * @param what the interval's title
 * @param atHours the engine hours at which it is due (h); empty where only the calendar counts, as when the meter was not read
 * @param on the day by which it is due
 */
public record Due(String id, String what, OptionalDouble atHours, LocalDate on) {
    /** What a leg needs before frost, by the calendar alone. */
    public static final String LAY_UP = "lay_up";
    /** What is over once a later job of the leg was done, whatever that was. */
    public static final List<String> ONCE =
            List.of(NamedBy.file(Interval.Counts.OIL_RECHECK), NamedBy.file(Interval.Counts.BREAK_IN));

    private static final Messages TEXT = Messages.of(Due.class);
    private static final int SOON_DAYS = 14;
    private static final double SOON_HOURS = 10;

    /** The same by hours and calendar. */
    public Due(String id, String what, double atHours, LocalDate on) {
        this(id, what, OptionalDouble.of(atHours), on);
    }

    /** How pressing it is. */
    public enum Urgency {
        /** Past its hours or its day. */
        OVERDUE,
        /** Within ten hours or a fortnight. */
        SOON,
        /** Later. */
        LATER
    }

    /**
     * The next due point after a service.
     *
     * @param interval how often
     * @param doneAtHours engine hours at the service (h); empty where nobody read them
     * @param doneOn the day of the service
     * @param hard whether it runs in sand or shallows, which brings it forward
     */
    public static Due after(Interval interval, OptionalDouble doneAtHours, LocalDate doneOn, boolean hard) {
        double factor = hard ? interval.hardFactor() : 1;
        double runs = interval.hours() * factor;
        return new Due(
                interval.counts() == Interval.Counts.JOB ? interval.id() : NamedBy.file(interval.counts()),
                interval.title(),
                doneAtHours.isPresent() ? OptionalDouble.of(doneAtHours.getAsDouble() + runs) : OptionalDouble.empty(),
                doneOn.plusMonths(Math.max(1, Math.round(interval.months() * factor))));
    }

    /** How pressing it is on a day, with the engine hours known then. */
    public Urgency urgency(LocalDate today, OptionalDouble hoursNow) {
        long days = ChronoUnit.DAYS.between(today, on);
        double hours = hoursNow.isPresent() && atHours.isPresent()
                ? atHours.getAsDouble() - hoursNow.getAsDouble()
                : Double.MAX_VALUE;
        if (days < 0 || hours < 0) {
            return Urgency.OVERDUE;
        }
        return days <= SOON_DAYS || hours <= SOON_HOURS ? Urgency.SOON : Urgency.LATER;
    }

    /** How pressing something is on a day that is likely due on another. */
    public static Urgency urgency(LocalDate today, LocalDate likely) {
        long days = ChronoUnit.DAYS.between(today, likely);
        return days < 0 ? Urgency.OVERDUE : days <= SOON_DAYS ? Urgency.SOON : Urgency.LATER;
    }

    /** Its limits in a sentence part. */
    public String limits() {
        return atHours.isPresent()
                ? TEXT.get(
                        "limits", Display.exact(Kind.RUNNING, atHours.getAsDouble(), YardUnits.METRIC), on.toString())
                : TEXT.get("limits.calendar", on.toString());
    }
}
