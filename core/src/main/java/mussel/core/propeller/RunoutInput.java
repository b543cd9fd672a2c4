package mussel.core.propeller;

import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * What the run-out engine needs: the needle's highest and lowest mark over one slow turn of the propeller shaft, wherever it was zeroed.
 *
 * @param highestMm the highest mark (mm)
 * @param lowestMm the lowest mark (mm)
 * @param playMm how far the shaft lifts in its bearings by hand (mm)
 * @param limitMm the run-out the manual allows (mm); empty where nobody has read it
 * @param uIndicatorMm standard uncertainty of one mark (mm)
 */
public record RunoutInput(
        @Given(value = "the highest mark of the indicator", kind = Kind.LENGTH, min = -20, max = 20) double highestMm,
        @Given(value = "the lowest mark of the indicator", kind = Kind.LENGTH, min = -20, max = 20) double lowestMm,
        @Given(value = "the play of the shaft", kind = Kind.LENGTH, min = 0, max = 10, orElse = "0") double playMm,
        @Given(value = "the run-out the manual allows", kind = Kind.LENGTH, min = 0.01, max = 2) OptionalDouble limitMm,
        @Given(value = "the uncertainty of a mark", kind = Kind.LENGTH, min = 0, max = 1, orElse = "0.01")
                double uIndicatorMm)
        implements Checked {
    private static final Messages TEXT = Messages.of(RunoutInput.class);

    /** The limit where no manual was read (mm): what workshop manuals of outboards mostly print. */
    public static final double USUAL_LIMIT_MM = 0.15;

    /** The limit it is held against (mm). */
    public double limitUsedMm() {
        return limitMm.orElse(USUAL_LIMIT_MM);
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                highestMm >= lowestMm, pointer + "/highest_mm", TEXT.get("runout_input.is_below_the_lowest_mark_the"));
    }
}
