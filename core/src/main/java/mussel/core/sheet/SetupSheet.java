package mussel.core.sheet;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.shim.LashInput.Gears;
import mussel.core.shim.LashInput.Thicker;

/**
 * How the family's gears are set up.
 *
 * @param pinion the pinion's place
 * @param gears the places of the gears it meshes with, in the order they are set
 * @param shimsMm the sizes its shims come in (mm)
 * @param rolling the torque that turns the assembled shafts (N·m)
 * @param endPlay the end play of the propeller shaft (mm)
 * @param page where the sheet says so
 */
public record SetupSheet(
        @Given("the pinion") PinionPlace pinion,
        @Given(value = "the gears", atLeast = 1) List<GearPlace> gears,
        @Given(value = "the sizes of shims", kind = Kind.LENGTH, min = 0.001, max = 20, atLeast = 1)
                List<Double> shimsMm,
        @Given("the rolling torque") Optional<Limits> rolling,
        @Given("the end play") Optional<Limits> endPlay,
        @Given(value = "the page of the sheet", orElse = "-") String page) {
    private static final Messages TEXT = Messages.of(SetupSheet.class);

    /** Keeps its own copies. */
    public SetupSheet {
        gears = List.copyOf(gears);
        shimsMm = List.copyOf(shimsMm);
    }

    /** The id a size of shim has in the drawer, from its whole micrometres. */
    public static String shimId(double mm) {
        return "shim_" + Math.round(mm * 1_000);
    }

    /**
     * The pinion's place.
     *
     * @param constantMm the constant its shim is computed from (mm); empty where nobody has read it, and the shims found go back
     * @param spreadLimitMm how far the heights of its bearing may differ (mm)
     * @param thicker what a thicker shim does to both lashes
     * @param marks the marks stamped on case and gears
     */
    public record PinionPlace(
            @Given(value = "the family's constant", kind = Kind.LENGTH, min = 0, minOpen = true, max = 1_000)
                    OptionalDouble constantMm,
            @Given(value = "how far the heights may differ", kind = Kind.LENGTH, min = 0, max = 10)
                    double spreadLimitMm,
            @Given("what a thicker shim does") Thicker thicker,
            @Given("the marks") List<CaseMark> marks) {
        /** Keeps its own copy. */
        public PinionPlace {
            marks = List.copyOf(marks);
        }
    }

    /**
     * A mark stamped on case or gear, in hundredths of a millimetre.
     *
     * @param id its id
     * @param title where it stands
     * @param coefficient how it counts
     */
    public record CaseMark(
            @Given("the mark's id") String id,
            @Given("where it stands") String title,
            @Given(value = "the mark's coefficient", min = -10, max = 10) double coefficient) {}

    /**
     * The place of a gear.
     *
     * @param id its id
     * @param title the gear's name
     * @param pitchRadiusMm its pitch radius (mm)
     * @param lash between what and what its lash shall lie, at the pitch circle (mm)
     * @param spreadLimitMm how far its lash may differ around (mm)
     * @param thicker what a thicker shim does to its lash
     * @param teeth the gears' teeth and angles; the member is the gear
     */
    public record GearPlace(
            @Given("the gear's id") String id,
            @Given("the gear's name") String title,
            @Given(value = "the pitch radius", kind = Kind.LENGTH, min = 0, minOpen = true, max = 1_000)
                    double pitchRadiusMm,
            @Given("the window of the lash") Limits lash,
            @Given(value = "how far the lash may differ around", kind = Kind.LENGTH, min = 0, max = 10)
                    double spreadLimitMm,
            @Given("what a thicker shim does") Thicker thicker,
            @Given("the teeth") Gears teeth) {}

    /**
     * From what to what a figure may lie, in the unit of what it limits.
     *
     * @param low the least
     * @param high the most
     */
    public record Limits(
            @Given(value = "the least", min = 0, max = 1_000) double low,
            @Given(value = "the most", min = 0, max = 1_000) double high)
            implements Checked {
        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(
                    low < high, pointer + "/low", TEXT.get("setup_sheet.is_not_below_the_range_stands", low, high));
        }

        /** Whether a figure lies between them. */
        public boolean holds(double figure) {
            return figure >= low && figure <= high;
        }
    }
}
