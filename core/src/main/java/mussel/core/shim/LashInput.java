package mussel.core.shim;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;

/**
 * What the lash engine needs: the third school, measured backlash corrected by a factor.
 *
 * @param readingsMm the indicator's readings at several places around (mm)
 * @param armMm where the indicator reads, from the shaft's middle (mm)
 * @param pitchRadiusMm the gear's pitch radius (mm)
 * @param windowMm between what and what the lash shall lie (mm)
 * @param spreadLimitMm how far the lash may differ around (mm)
 * @param presentShimMm the shims that are in (mm)
 * @param thicker what a thicker shim does to the lash
 * @param uIndicatorMm standard uncertainty of a reading (mm)
 * @param uShimMm standard uncertainty of a piece's thickness (mm)
 * @param armOn on which shaft the indicator's arm is clamped; on the driveshaft the pinion's pitch radius converts
 * @param factor lash for shim, where the sheet gives it
 * @param gears the gears it is computed from, where it does not
 * @param drawer the shims there are; none where only the thickness is asked for
 * @param toleranceMm how far a stack may be off (mm)
 * @param maxPieces the most pieces in a stack
 */
@Wide("The headless contract of the backlash engine: a component is a field of its schema.")
public record LashInput(
        @Given(value = "the readings", kind = Kind.LENGTH, min = 0, max = 20, atLeast = 3) List<Double> readingsMm,
        @Given(value = "the arm of the indicator", kind = Kind.LENGTH, min = 0, minOpen = true, max = 1_000)
                double armMm,
        @Given(value = "the pitch radius", kind = Kind.LENGTH, min = 0, minOpen = true, max = 1_000)
                double pitchRadiusMm,
        @Given(value = "the window of the lash", kind = Kind.LENGTH, min = 0, max = 20, atLeast = 2)
                List<Double> windowMm,
        @Given(value = "how far the lash may differ around", kind = Kind.LENGTH, min = 0, max = 10)
                double spreadLimitMm,
        @Given(value = "the shims that are in", kind = Kind.LENGTH, min = 0, max = 20) double presentShimMm,
        @Given("what a thicker shim does") Thicker thicker,
        @Given(value = "the uncertainty of a reading", kind = Kind.LENGTH, min = 0, max = 1, orElse = "0.01")
                double uIndicatorMm,
        @Given(value = "the uncertainty of a shim", kind = Kind.LENGTH, min = 0, max = 1, orElse = "0.003")
                double uShimMm,
        @Given(value = "on which shaft the arm sits", orElse = "gear") ArmOn armOn,
        @Given(value = "the factor of lash for shim", min = 0, minOpen = true, max = 10) OptionalDouble factor,
        @Given("the gears") Optional<Gears> gears,
        @Given("the drawer of shims") List<Shim> drawer,
        @Given(value = "how far a stack may be off", kind = Kind.LENGTH, min = 0, max = 5, orElse = "0.02")
                double toleranceMm,
        @Given(value = "the most pieces", min = 1, max = StackInput.MOST_PIECES, orElse = "5") int maxPieces)
        implements Checked {
    private static final Messages TEXT = Messages.of(LashInput.class);

    /** Keeps its own copies. */
    public LashInput {
        readingsMm = List.copyOf(readingsMm);
        windowMm = List.copyOf(windowMm);
        drawer = List.copyOf(drawer);
    }

    /** The pitch radius of the wheel on the shaft the arm sits on (mm). */
    public double armPitchRadiusMm() {
        return armOn == ArmOn.DRIVESHAFT
                ? pitchRadiusMm
                        * gears.orElseThrow().pinionTeeth()
                        / gears.orElseThrow().gearTeeth()
                : pitchRadiusMm;
    }

    /** What a change of the shim's thickness does to the lash. */
    double factorUsed() {
        return factor.isPresent() ? factor.getAsDouble() : gears.orElseThrow().factor();
    }

    @Override
    public void check(Problems problems, String pointer) {
        if (armOn == ArmOn.DRIVESHAFT) {
            problems.unless(gears.isPresent(), pointer + "/gears", TEXT.get("lash_input.is_missing_with_the_arm_on"));
        } else {
            problems.unless(
                    factor.isPresent() != gears.isPresent(),
                    pointer + "/factor",
                    factor.isPresent()
                            ? TEXT.get("lash_input.stands_beside_gears_give_the_factor")
                            : TEXT.get("lash_input.is_missing_and_so_are_gears"));
        }
        problems.unless(
                windowMm.size() == 2,
                pointer + "/window_mm",
                TEXT.get("lash_input.has_figures_it_takes_two", windowMm.size()));
        problems.unless(
                windowMm.size() != 2 || windowMm.get(0) < windowMm.get(1),
                pointer + "/window_mm",
                TEXT.get("lash_input.stands_upside_down_or_is_empty"));
    }

    /** On which shaft the indicator's arm is clamped. */
    public enum ArmOn {
        /** The gear's, with the driveshaft held. */
        GEAR,
        /** The driveshaft, with the gear held. */
        DRIVESHAFT
    }

    /** What a thicker shim does to the lash. */
    public enum Thicker {
        /** The gears come closer. */
        REDUCES,
        /** The gears part. */
        INCREASES
    }

    /** Which gear the shim moves. */
    public enum Member {
        /** The driven gear. */
        GEAR,
        /** The pinion. */
        PINION
    }

    /**
     * A pair of bevel gears at 90 degrees.
     *
     * @param pinionTeeth the pinion's teeth
     * @param gearTeeth the gear's teeth
     * @param pressureAngleDeg the pressure angle (degrees)
     * @param spiralAngleDeg the spiral angle; 0 for straight teeth (degrees)
     * @param member which of them the shim moves
     */
    public record Gears(
            @Given(value = "the pinion's teeth", min = 5, max = 200) int pinionTeeth,
            @Given(value = "the gear's teeth", min = 5, max = 400) int gearTeeth,
            @Given(value = "the pressure angle (degrees)", min = 5, max = 40) double pressureAngleDeg,
            @Given(value = "the spiral angle (degrees)", min = 0, max = 60, orElse = "0") double spiralAngleDeg,
            @Given("which gear the shim moves") Member member) {
        /**
         * Change of lash at the pitch circle for an axial shift of the member: 2 tan(pressure angle) sin(its pitch cone angle) /
         * cos(spiral angle), the cone angle atan(own teeth / the other's). From the geometry of straight and spiral bevel gears, as in the
         * standard rules for moving a bevel gear along its axis to change backlash.
         */
        public double factor() {
            double own = member == Member.GEAR ? gearTeeth : pinionTeeth;
            double other = member == Member.GEAR ? pinionTeeth : gearTeeth;
            double cone = Math.atan(own / other);
            return 2
                    * Math.tan(Math.toRadians(pressureAngleDeg))
                    * Math.sin(cone)
                    / Math.cos(Math.toRadians(spiralAngleDeg));
        }
    }
}
