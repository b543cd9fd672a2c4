package mussel.core.job;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.pump.PumpInput.Extent;
import mussel.core.sheet.PumpPolicy;

/**
 * How a yard renews pumps.
 *
 * @param policy when
 * @param calendarMonths after how many months, by the calendar
 * @param extent how much
 */
public record PumpHabit(
        @Given(value = "when the yard renews an impeller", orElse = "condition") PumpPolicy policy,
        @Given(value = "the months after which it does", kind = Kind.MONTHS, min = 1, max = 240, orElse = "24")
                double calendarMonths,
        @Given(value = "how much it renews", orElse = "by_condition") Extent extent) {
    /** By condition, each part by itself. */
    public static final PumpHabit USUAL = new PumpHabit(PumpPolicy.CONDITION, 24, Extent.BY_CONDITION);
}
