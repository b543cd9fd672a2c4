package mussel.core.sheet;

import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * The measures of a flexible-vane pump.
 *
 * @param boreMm the cup's bore (mm)
 * @param hubMm the impeller's hub (mm)
 * @param widthMm the width of the vanes (mm)
 * @param eccentricityMm how far the shaft stands off the bore's middle (mm)
 * @param vanes how many vanes
 * @param vaneThicknessMm how thick they are (mm)
 * @param foldRpm the speed at which the vanes fold so far that half the flow is lost (1/min)
 */
public record PumpGeometry(
        @Given(value = "the bore", kind = Kind.LENGTH, min = 5, max = 300) double boreMm,
        @Given(value = "the hub", kind = Kind.LENGTH, min = 2, max = 250) double hubMm,
        @Given(value = "the width", kind = Kind.LENGTH, min = 1, max = 200) double widthMm,
        @Given(value = "the eccentricity", kind = Kind.LENGTH, min = 0.05, max = 50) double eccentricityMm,
        @Given(value = "how many vanes", min = 3, max = MOST_VANES) int vanes,
        @Given(value = "the thickness of a vane", kind = Kind.LENGTH, min = 0.2, max = 40) double vaneThicknessMm,
        @Given(value = "the speed at which the vanes fold (1/min)", min = 100, max = 50_000) double foldRpm)
        implements Checked {
    private static final Messages TEXT = Messages.of(PumpGeometry.class);

    /** The most vanes an impeller has. */
    public static final int MOST_VANES = 20;

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                hubMm < boreMm, pointer + "/hub_mm", TEXT.get("pump_geometry.is_not_smaller_than_the_bore", boreMm));
        problems.unless(
                hubMm >= boreMm || eccentricityMm < (boreMm - hubMm) / 2,
                pointer + "/eccentricity_mm",
                TEXT.get("pump_geometry.leaves_no_room_between_hub_and", (boreMm - hubMm) / 2));
    }

    /** What one turn moves at best (ml): 2 pi e b D, since the bent vanes take the same room both ways. */
    public double displacementMl() {
        return 2 * Math.PI * eccentricityMm * widthMm * boreMm / 1_000;
    }

    /**
     * How far the housing bends a vane where it is tightest (degrees): a straight vane as long as the widest gap leans until it fits the
     * narrowest.
     */
    public double curlDeg() {
        double wide = (boreMm - hubMm) / 2 + eccentricityMm;
        double narrow = (boreMm - hubMm) / 2 - eccentricityMm;
        return Math.toDegrees(Math.acos(narrow / wide));
    }

    /**
     * The flow at a speed (l/min), an estimate: displacement times a volumetric efficiency of 0.85 that folding vanes halve at the fold
     * speed. Set takes the fold speed down by up to six tenths, and each 0.1 mm of clearance a side takes 0.04 of efficiency.
     *
     * @param rpm the speed (1/min)
     * @param set mean set of the vanes as a share of the housing's curl (0..1)
     * @param clearanceMm clearance a side (mm)
     */
    public double flowLMin(double rpm, double set, double clearanceMm) {
        double fold = foldRpm * (1 - SET_SHARE * set);
        double efficiency = BEST_EFFICIENCY / (1 + rpm / fold * (rpm / fold)) - LOST_PER_MM * clearanceMm;
        return displacementMl() * rpm * Math.max(0, efficiency) / 1_000;
    }

    private static final double BEST_EFFICIENCY = 0.85;
    private static final double SET_SHARE = 0.6;
    private static final double LOST_PER_MM = 0.4;
}
