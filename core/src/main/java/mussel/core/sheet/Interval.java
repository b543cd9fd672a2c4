package mussel.core.sheet;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * How often something is due, by hours or months, whichever comes first.
 *
 * @param id what is due: {@code gear_oil}, {@code pump}, {@code oil_recheck}, {@code break_in}
 * @param title its name
 * @param hours running hours
 * @param months calendar months
 * @param hardFactor what hours and months are multiplied with for sandy or shallow running
 * @param counts from what it counts; the library's where a whole sheet does not say
 */
public record Interval(
        @Given("what is due") String id,
        @Given("its name") String title,
        @Given(value = "the hours", kind = Kind.RUNNING, min = 1, max = 10_000) double hours,
        @Given(value = "the months", kind = Kind.MONTHS, min = 1, max = 240) int months,
        @Given(value = "the factor for hard running", min = 0.1, max = 1, orElse = "1") double hardFactor,
        @Given(value = "from what it counts", orElse = "job") Counts counts) {
    /** From what an interval counts. */
    public enum Counts {
        /** From the last change of gear oil. */
        GEAR_OIL,
        /** From the last new impeller or pump. */
        PUMP,
        /** From this change of oil, once: the oil is looked at again. Any later job has done so. */
        OIL_RECHECK,
        /** From new gears, once: their first oil is changed early. Any later job has done so. */
        BREAK_IN,
        /** From the job, whatever it was. */
        JOB
    }
}
