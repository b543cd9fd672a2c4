package mussel.core.sheet;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What may have seized by the time a step comes.
 *
 * @param what what seizes
 * @param ratePerYear how fast, per year in salt (1/a)
 * @param extraMin how much longer the step then takes (min)
 */
public record Seizure(
        @Given("what may seize") String what,
        @Given(value = "the rate at which it seizes (per year in salt)", min = 0, max = 5) double ratePerYear,
        @Given(value = "the extra minutes when seized", kind = Kind.DURATION, min = 0, max = 2_000) double extraMin) {
    /** The probability that it has seized: 1 - exp(-rate * years), a constant rate of seizing. */
    public double probability(double saltYears) {
        return -Math.expm1(-ratePerYear * saltYears);
    }
}
