package mussel.core.sheet;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * How far the parts of a pump may be worn. What a manual does not say is the bench's rule of thumb.
 *
 * @param tipWearMm the most a vane's tip may have lost (mm)
 * @param setDeg the set from which a vane is judged curled, the worst one counting (degrees)
 * @param plateGrooveMm the deepest groove the plate may have (mm)
 * @param housingGrooveMm the deepest groove housing or cup may have (mm)
 * @param plateWarpMm the most the plate may be out of flat (mm)
 */
public record PumpLimits(
        @Given(value = "the most tip wear", kind = Kind.LENGTH, min = 0.01, max = 10, orElse = "0.5") double tipWearMm,
        @Given(value = "the most set (degrees)", min = 1, max = 90, orElse = "20") double setDeg,
        @Given(value = "the deepest groove in the plate", kind = Kind.LENGTH, min = 0.01, max = 5, orElse = "0.2")
                double plateGrooveMm,
        @Given(value = "the deepest groove in the housing", kind = Kind.LENGTH, min = 0.01, max = 5, orElse = "0.2")
                double housingGrooveMm,
        @Given(
                        value = "the most the plate may be out of flat",
                        kind = Kind.LENGTH,
                        min = 0.01,
                        max = 5,
                        orElse = "0.15")
                double plateWarpMm) {
    /** Where no sheet gives limits: what a bench goes by, no maker's figure. */
    public static final PumpLimits RULE_OF_THUMB = new PumpLimits(0.5, 20, 0.2, 0.2, 0.15);
}
