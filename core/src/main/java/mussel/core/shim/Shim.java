package mussel.core.shim;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * Shims of one thickness.
 *
 * @param mm how thick (mm); counted in whole micrometres
 * @param count how many
 */
public record Shim(
        @Given(value = "the shim's thickness", kind = Kind.LENGTH, min = 0.001, max = 20) double mm,
        @Given(value = "how many there are", min = 0, max = 1_000) int count) {
    /** In whole micrometres. */
    int micrometres() {
        return (int) Math.round(mm * 1_000);
    }
}
