package mussel.core.drain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.drain.DrainResult.SourceName;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Gearcase;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrainEngineTest {
    private static final DrainInput.Oil OIL = new DrainInput.Oil(165, 15.6, 0.898);
    private static final Gearcase CASE = new Gearcase(1.6, 0.12, 0.18, 6);

    private static DrainInput drained(
            double ml, double free, double temp, double minutes, boolean vent, Optional<OilLook> look) {
        return new DrainInput(
                430,
                OptionalDouble.empty(),
                16,
                ml,
                5,
                OptionalDouble.empty(),
                free,
                OptionalDouble.empty(),
                temp,
                minutes,
                vent,
                Water.SEA,
                OIL,
                CASE,
                look,
                Optional.empty(),
                OptionalDouble.empty(),
                2,
                OptionalDouble.of(38),
                OptionalDouble.of(-9),
                OptionalDouble.empty());
    }

    /** Unesco technical papers in marine science 44 (1983), table of the freezing point at atmospheric pressure. */
    @ParameterizedTest
    @CsvSource({"5, -0.274", "10, -0.542", "20, -1.083", "30, -1.638", "35, -1.922", "40, -2.212"})
    void freezingPointOfSeaWaterAsPublished(double salinity, double point) {
        DrainInput in = drained(452, 0, 18, 20, true, Optional.of(OilLook.MILKY));
        DrainInput salted = new DrainInput(
                in.capacityMl(),
                in.fillMl(),
                in.fillTempC(),
                in.drainedMl(),
                in.drainedUMl(),
                in.measuredTempC(),
                in.freeWaterMl(),
                in.freeWaterUMl(),
                in.oilTempC(),
                in.minutes(),
                true,
                Water.SEA,
                OIL,
                CASE,
                in.oilWater(),
                in.jar(),
                in.massG(),
                2,
                in.hoursSinceFill(),
                in.storageMinC(),
                OptionalDouble.of(salinity));
        assertThat(DrainEngine.run(salted).freeze().pointC()).isCloseTo(point, within(6e-4));
    }

    /** Density of air-free water at 101.325 kPa (CRC Handbook): 0.99984 at 0, 0.99821 at 20, 0.99565 at 30 °C. */
    @ParameterizedTest
    @CsvSource({"0, 0.99984", "4, 0.99997", "20, 0.99821", "30, 0.99565"})
    void densityOfWaterAsPublished(double temp, double density) {
        assertThat(WaterEstimate.waterDensity(temp, 0)).isCloseTo(density, within(6e-5));
    }

    @Property
    void theViscosityLineRunsThroughItsPointsAndFalls(
            @ForAll @DoubleRange(min = 3, max = 900) double cst40,
            @ForAll @DoubleRange(min = 0.05, max = 0.6) double ratio,
            @ForAll @DoubleRange(min = -30, max = 110) double temp) {
        double cst100 = Math.max(2, cst40 * ratio);
        if (cst100 >= cst40) {
            return;
        }
        DrainInput.Oil oil = new DrainInput.Oil(cst40, cst100, 0.9);
        assertThat(oil.viscosityCst(40)).isCloseTo(cst40, within(cst40 * 1e-9));
        assertThat(oil.viscosityCst(100)).isCloseTo(cst100, within(cst100 * 1e-9));
        assertThat(oil.viscosityCst(temp)).isGreaterThan(oil.viscosityCst(temp + 1));
    }

    @Property
    void theShareStaysBetweenTheFreeWaterAndOne(
            @ForAll @DoubleRange(min = 20, max = 900) double ml,
            @ForAll @DoubleRange(min = 0, max = 19.9) double free,
            @ForAll @DoubleRange(min = -10, max = 60) double temp,
            @ForAll @DoubleRange(min = 1, max = 300) double minutes,
            @ForAll OilLook look) {
        DrainResult.WaterShare water = DrainEngine.run(drained(ml, free, temp, minutes, true, Optional.of(look)))
                .water();
        double share = water.fraction().orElseThrow();
        assertThat(share).isBetween(free / ml, 1.0);
        assertThat(water.low().orElseThrow()).isBetween(Math.max(0, free - Math.max(3, free / 10)) / ml - 1e-12, share);
        assertThat(water.high().orElseThrow()).isBetween(share, 1.0);
    }

    @Property
    void waitingLongerNeverLeavesMoreInTheCase(
            @ForAll @DoubleRange(min = 1, max = 200) double minutes,
            @ForAll @DoubleRange(min = -10, max = 60) double temp) {
        double now = DrainEngine.run(drained(400, 0, temp, minutes, true, Optional.empty()))
                .residualMl();
        double later = DrainEngine.run(drained(400, 0, temp, minutes + 5, true, Optional.empty()))
                .residualMl();
        assertThat(later).isLessThanOrEqualTo(now);
    }

    @Test
    void atTheMinutesNeededFivePercentAreLeft() {
        DrainResult first = DrainEngine.run(drained(400, 0, 18, 20, true, Optional.empty()));
        DrainResult then = DrainEngine.run(drained(400, 0, 18, first.drain().minutesNeeded(), true, Optional.empty()));
        double fill = 430 * (1 + 0.00075 * 2);
        assertThat(then.residualMl() - CASE.pocketMl()).isCloseTo(0.05 * fill, within(1e-6));
    }

    @Test
    void aShutVentDrainsEightTimesSlower() {
        double open = DrainEngine.run(drained(400, 0, 18, 20, true, Optional.empty()))
                .drain()
                .tauMin();
        double shut = DrainEngine.run(drained(400, 0, 18, 20, false, Optional.empty()))
                .drain()
                .tauMin();
        assertThat(shut).isCloseTo(8 * open, within(1e-9));
    }

    @Test
    void withoutAnySourceNothingIsSaidOfTheWater() {
        DrainResult.WaterShare water =
                DrainEngine.run(drained(392, 0, 18, 20, true, Optional.empty())).water();
        assertThat(water.fraction()).isEmpty();
        assertThat(water.high()).isEmpty();
        assertThat(water.consistent()).isTrue();
    }

    @Test
    void freeWaterAloneIsALowerBound() {
        DrainResult.WaterShare water = DrainEngine.run(drained(392, 14, 18, 20, true, Optional.empty()))
                .water();
        assertThat(water.fraction()).hasValue(14.0 / 392);
        assertThat(water.low().orElseThrow()).as("read off a cup").isCloseTo(11.0 / 392, within(1e-12));
        assertThat(water.high()).isEmpty();
    }

    @Test
    void whereOnlyWaterCameOutTheLookOfTheOilSaysNothing() {
        DrainResult.WaterShare water = DrainEngine.run(drained(20, 20, 18, 20, true, Optional.of(OilLook.NONE)))
                .water();
        assertThat(water.fraction()).hasValue(1);
        assertThat(water.source(SourceName.LOOK))
                .hasValueSatisfying(s -> assertThat(s.used()).isFalse());
    }

    @Test
    void theBalanceAloneCountsWhenMoreCameOutThanWentIn() {
        DrainResult result = DrainEngine.run(drained(500, 0, 18, 20, true, Optional.empty()));
        assertThat(result.balance().verdict()).isEqualTo(Verdict.MORE_THAN_FILLED);
        assertThat(result.water().source(SourceName.BALANCE))
                .hasValueSatisfying(s -> assertThat(s.used()).isTrue());
        assertThat(result.water().fraction()).isPresent();
    }

    @Test
    void missingOilNeverSpeaksForWater() {
        DrainResult result = DrainEngine.run(drained(250, 0, 18, 60, true, Optional.of(OilLook.NONE)));
        assertThat(result.balance().verdict()).isEqualTo(Verdict.LESS_THAN_FILLED);
        assertThat(result.water().source(SourceName.BALANCE))
                .hasValueSatisfying(s -> assertThat(s.used()).isFalse());
    }

    @Test
    void whatDoesNotFitTogetherIsTold() {
        Problems problems = new Problems();
        drained(10, 12, 18, 20, true, Optional.empty()).check(problems, "");
        new DrainInput.Oil(15, 165, 0.9).check(problems, "/oil");
        new DrainInput.Jar(100, 60, 50).check(problems, "/jar");
        assertThat(problems.list()).extracting("at").containsExactly("/free_water_ml", "/oil/cst_100", "/jar/water_ml");
    }

    @Test
    void theWordsNameFrostAndTheBareGears() {
        DrainInput in = drained(452, 12, 18, 20, true, Optional.of(OilLook.MILKY));
        DrainWords words = new DrainWords(in, DrainEngine.run(in), YardUnits.METRIC);
        assertThat(words.notes()).anyMatch(n -> n.contains("split the case")).anyMatch(n -> n.contains("gears dry"));
        assertThat(words.head()).contains("per running hour");
        assertThat(words.whyWater().inputs()).hasSize(2);
        assertThat(new DrainWords(in, DrainEngine.run(in), YardUnits.US).water())
                .contains("fl oz");
    }
}
