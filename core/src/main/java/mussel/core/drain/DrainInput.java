package mussel.core.drain;

import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;
import mussel.core.sheet.Gearcase;

/**
 * What the drain engine needs. Every field's unit is the end of its name; ranges stand at each.
 *
 * @param capacityMl how much the case holds when full to the vent
 * @param fillMl what went in last; the capacity where unknown
 * @param fillTempC its temperature when it was poured
 * @param drainedMl what came out, water and oil together
 * @param drainedUMl standard uncertainty of that volume
 * @param measuredTempC temperature of the oil when its volume was read; the oil's where absent
 * @param freeWaterMl water that ran out before the oil
 * @param freeWaterUMl standard uncertainty of that; read off a cup where absent
 * @param oilTempC temperature of the oil while it drained
 * @param minutes how long it drained
 * @param ventOpen whether the vent was open
 * @param water what the leg runs in
 * @param oil the oil's data
 * @param gearcase the case's figures
 * @param oilWater the look of the oil
 * @param jar a sample left to stand
 * @param massG weight of what came out
 * @param massUG standard uncertainty of that weight
 * @param hoursSinceFill running hours since the last fill
 * @param storageMinC the coldest the leg will be stored at
 * @param salinityPsu practical salinity of the water
 */
@Wide("The headless contract of the drain engine: a component is a field of its schema.")
public record DrainInput(
        @Given(value = "how much the case holds", kind = Kind.VOLUME, min = 10, max = 20_000) double capacityMl,
        @Given(value = "how much went in last", kind = Kind.VOLUME, min = 1, max = 40_000) OptionalDouble fillMl,
        @Given(
                        value = "the temperature of the oil when it went in",
                        kind = Kind.TEMPERATURE,
                        min = -40,
                        max = 120,
                        orElse = "20")
                double fillTempC,
        @Given(value = "how much came out", kind = Kind.VOLUME, min = 0, minOpen = true, max = 40_000) double drainedMl,
        @Given(
                        value = "how well the volume that came out is known",
                        kind = Kind.VOLUME,
                        min = 0,
                        max = 1_000,
                        orElse = "5")
                double drainedUMl,
        @Given(
                        value = "the temperature of the oil when its volume was read",
                        kind = Kind.TEMPERATURE,
                        min = -40,
                        max = 120)
                OptionalDouble measuredTempC,
        @Given(value = "how much water ran out first", kind = Kind.VOLUME, min = 0, max = 40_000, orElse = "0")
                double freeWaterMl,
        @Given(value = "how well the water that ran out first is known", kind = Kind.VOLUME, min = 0, max = 1_000)
                OptionalDouble freeWaterUMl,
        @Given(value = "the temperature of the oil while it drained", kind = Kind.TEMPERATURE, min = -40, max = 120)
                double oilTempC,
        @Given(value = "how long it drained", kind = Kind.DURATION, min = 0, minOpen = true, max = 10_080)
                double minutes,
        @Given(value = "whether the vent was open", orElse = "true") boolean ventOpen,
        @Given("the water the leg runs in") Water water,
        @Given("the oil's viscosity and density") Oil oil,
        @Given(value = "the case's draining figures", name = "case") Gearcase gearcase,
        @Given("the look of the oil") Optional<OilLook> oilWater,
        @Given("a sample that stood in a jar") Optional<Jar> jar,
        @Given(value = "the weight of what came out", kind = Kind.MASS, min = 0, minOpen = true, max = 50_000)
                OptionalDouble massG,
        @Given(value = "how well the weight is known", kind = Kind.MASS, min = 0, max = 1_000, orElse = "2")
                double massUG,
        @Given(
                        value = "the running hours since the last fill",
                        kind = Kind.RUNNING,
                        min = 0,
                        minOpen = true,
                        max = 50_000)
                OptionalDouble hoursSinceFill,
        @Given(value = "the coldest storage", kind = Kind.TEMPERATURE, min = -60, max = 60) OptionalDouble storageMinC,
        @Given(value = "the salinity of the water (psu)", min = 0, max = 42) OptionalDouble salinityPsu)
        implements Checked {
    private static final Messages TEXT = Messages.of(DrainInput.class);

    private static final double STIFFEST_CST = 1e7;
    private static final double LEAST_SPAN_G_ML = 0.005;
    private static final double CUP_ML = 3;
    private static final double CUP_SHARE = 0.1;

    /** What went in, or the capacity (ml). */
    public double filledMl() {
        return fillMl.orElse(capacityMl);
    }

    /** Standard uncertainty of the free water (ml): read off a cup to 3 ml or a tenth, whichever is more, at two of them, unless given. */
    public double cupUMl() {
        return freeWaterUMl.orElse(freeWaterMl == 0 ? 0 : Math.max(CUP_ML, CUP_SHARE * freeWaterMl) / 2);
    }

    /** The temperature at which the drained volume was read (degrees Celsius). */
    public double volumeTempC() {
        return measuredTempC.orElse(oilTempC);
    }

    /** The salinity measured or assumed (psu). */
    public double salinity() {
        return salinityPsu.orElse(water.salinityPsu());
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                freeWaterMl <= drainedMl,
                pointer + "/free_water_ml",
                TEXT.get("drain_input.is_more_than_all_that_came", drainedMl));
        problems.unless(
                oil.viscosityCst(oilTempC) <= STIFFEST_CST,
                pointer + "/oil_temp_c",
                TEXT.get("drain_input.makes_this_oil_too_stiff_to"));
        problems.unless(
                massG.isEmpty() || WaterEstimate.densitySpan(this) >= LEAST_SPAN_G_ML,
                pointer + "/oil/density_g_ml",
                TEXT.get("drain_input.is_so_near_the_density_of"));
    }

    /**
     * An oil as its data sheet describes it.
     *
     * @param cst40 kinematic viscosity at 40 °C (mm²/s)
     * @param cst100 kinematic viscosity at 100 °C (mm²/s)
     * @param densityGMl density at 15 °C (g/ml)
     */
    public record Oil(
            @Given(value = "the viscosity at 40 °C (cSt)", min = 2, max = 5_000) double cst40,
            @Given(value = "the viscosity at 100 °C (cSt)", min = 1, max = 1_000) double cst100,
            @Given(value = "the density at 15 °C (g/ml)", min = 0.7, max = 1.2, orElse = "0.900") double densityGMl)
            implements Checked {

        /** Kinematic viscosity at a temperature (cSt), after ASTM D341; infinite where the equation runs away. */
        public double viscosityCst(double tempC) {
            return Walther.through(cst40, cst100).cst(tempC);
        }

        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(
                    cst100 < cst40,
                    pointer + "/cst_100",
                    TEXT.get("drain_input.must_be_below_the_viscosity_at", cst40));
        }
    }

    /**
     * A sample left to stand in a measuring jar.
     *
     * @param totalMl the sample (ml)
     * @param waterMl clear water at its bottom (ml)
     * @param emulsionMl the milky layer (ml)
     */
    public record Jar(
            @Given(value = "how much stood in the jar", kind = Kind.VOLUME, min = 0, minOpen = true, max = 20_000)
                    double totalMl,
            @Given(value = "how much water settled in the jar", kind = Kind.VOLUME, min = 0, max = 20_000)
                    double waterMl,
            @Given(value = "how thick the milky layer in the jar is", kind = Kind.VOLUME, min = 0, max = 20_000)
                    double emulsionMl)
            implements Checked {
        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(
                    waterMl + emulsionMl <= totalMl,
                    pointer + "/water_ml",
                    TEXT.get("drain_input.and_the_milky_layer_together_are", totalMl));
        }
    }
}
