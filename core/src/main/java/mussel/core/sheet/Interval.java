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
 */
public record Interval(
        @Given("what is due") String id,
        @Given("its name") String title,
        @Given(value = "the hours", kind = Kind.RUNNING, min = 1, max = 10_000) double hours,
        @Given(value = "the months", kind = Kind.MONTHS, min = 1, max = 240) int months,
        @Given(value = "the factor for hard running", min = 0.1, max = 1, orElse = "1") double hardFactor) {}
