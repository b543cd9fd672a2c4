package mussel.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mussel.core.leak.LeakResult.Verdict;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class LeakEngineTest {
    private static final double BARO = 101.2;

    private static LeakInput hold(LeakMode mode, double startKpa, double allowed, List<LeakReading> readings) {
        return new LeakInput(mode, 430, BARO, startKpa, 5, allowed, 0.2, 0.1, 30, readings);
    }

    /** Readings of an exact laminar leak at a steady temperature, without noise or steps. */
    private static List<LeakReading> law(double startKpa, double k, int count, double everyS) {
        List<LeakReading> readings = new ArrayList<>();
        double p0 = startKpa + BARO;
        for (int i = 0; i < count; i++) {
            double t = i * everyS;
            double r = (p0 - BARO) / (p0 + BARO) * Math.exp(-k * t / 60);
            readings.add(new LeakReading(t, BARO * (1 + r) / (1 - r) - BARO, 18, Optional.of(Stage.STILL)));
        }
        return readings;
    }

    private static List<Problem> problems(LeakInput in) {
        Problems found = new Problems();
        in.check(found, "");
        return found.list();
    }

    @Property(tries = 60)
    void theSlopeOfAnExactLeakIsFound(
            @ForAll @IntRange(min = 5, max = 2000) int tenThousandths,
            @ForAll @IntRange(min = 10, max = 200) int count,
            @ForAll boolean pressure) {
        double k = tenThousandths / 10_000.0;
        double start = pressure ? 68 : -50;
        LeakInput in = hold(pressure ? LeakMode.PRESSURE : LeakMode.VACUUM, start, 4, law(start, k, count, 6));
        LeakResult out = LeakEngine.run(in);
        assertThat(out.kPerMin()).isCloseTo(k, within(1e-9 + k * 1e-6));
        assertThat(out.dropLowKpa()).isLessThanOrEqualTo(out.dropKpa());
        assertThat(out.dropHighKpa()).isGreaterThanOrEqualTo(out.dropKpa());
        assertThat(out.leakLow()).isLessThanOrEqualTo(out.leakStdMlMin());
        assertThat(out.moreMinutes()).isBetween(0.0, 60.0);
        assertThat(out.verdict() == Verdict.UNDECIDED || out.moreMinutes() == 0).isTrue();
    }

    @Property(tries = 40)
    void temperatureAloneIsNoLeak(@ForAll @DoubleRange(min = -4, max = 4) double kelvin) {
        List<LeakReading> readings = new ArrayList<>();
        for (int i = 0; i <= 80; i++) {
            double temp = 18 + kelvin * i / 80;
            double absolute = (68 + BARO) * (temp + 273.15) / (18 + 273.15);
            readings.add(new LeakReading(i * 15, absolute - BARO, temp, Optional.empty()));
        }
        LeakResult out = LeakEngine.run(hold(LeakMode.PRESSURE, 68, 4, readings));
        assertThat(out.kPerMin()).isCloseTo(0, within(1e-9));
        assertThat(out.verdict()).isEqualTo(Verdict.TIGHT);
    }

    @Test
    void theAllowedSlopeGivesJustTheAllowedDrop() {
        for (LeakMode mode : LeakMode.values()) {
            double start = mode == LeakMode.PRESSURE ? 68 : -50;
            LeakInput in = hold(mode, start, 4, law(start, 0.01, 20, 10));
            LeakInput exact = hold(mode, start, 4, law(start, LeakEngine.allowedK(in), 20, 10));
            assertThat(LeakEngine.run(exact).dropKpa()).isCloseTo(4, within(1e-6));
        }
    }

    @Test
    void aNeedleThatDoesNotMoveProvesNothingUntilItHasStoodLongEnough() {
        List<LeakReading> still = new ArrayList<>();
        LeakInput coarse = null;
        int readings = 0;
        do {
            still.add(new LeakReading(30 + 30 * readings++, 68, 20, Optional.empty()));
            coarse = new LeakInput(LeakMode.PRESSURE, 430, BARO, 68, 5, 4, 2, 0.1, 30, still);
        } while (readings < 4 || LeakEngine.run(coarse).verdict() != Verdict.TIGHT);
        assertThat(readings).as("a coarse gauge needs more than four looks").isGreaterThan(6);
        LeakInput before =
                new LeakInput(LeakMode.PRESSURE, 430, BARO, 68, 5, 4, 2, 0.1, 30, still.subList(0, readings - 1));
        assertThat(LeakEngine.run(before).verdict()).isEqualTo(Verdict.UNDECIDED);
        assertThat(LeakEngine.run(before).moreMinutes()).isGreaterThan(0);
    }

    @Test
    void theBoundsCoverTheTruthAboutAsOftenAsTheySay() {
        Random random = new Random(20261123);
        int covered = 0;
        int runs = 400;
        for (int run = 0; run < runs; run++) {
            List<LeakReading> readings = law(68, 0.004, 40, 10).stream()
                    .map(r -> new LeakReading(
                            r.tS(),
                            Math.round((r.gaugeKpa() + random.nextGaussian() * 0.3) / 0.2) * 0.2,
                            18 + Math.round(random.nextGaussian() * 0.5) * 0.1,
                            r.stage()))
                    .toList();
            LeakInput in = hold(LeakMode.PRESSURE, 68, 4, readings);
            LeakResult out = LeakEngine.run(in);
            LeakResult truth = LeakEngine.run(hold(LeakMode.PRESSURE, 68, 4, law(68, 0.004, 40, 10)));
            if (truth.dropKpa() >= out.dropLowKpa() && truth.dropKpa() <= out.dropHighKpa()) {
                covered++;
            }
        }
        assertThat(covered / (double) runs).isGreaterThanOrEqualTo(0.93);
    }

    @Test
    void aStageThatLeaksMoreIsNamed() {
        List<LeakReading> readings = new ArrayList<>(law(68, 0.004, 30, 10));
        double turned = readings.get(29).gaugeKpa();
        law(turned, 0.04, 30, 10).stream()
                .skip(1)
                .map(r -> new LeakReading(290 + r.tS(), r.gaugeKpa(), 18, Optional.of(Stage.DRIVESHAFT)))
                .forEach(readings::add);
        LeakInput in = hold(LeakMode.PRESSURE, 68, 4, readings);
        LeakWords words = new LeakWords(in, LeakEngine.run(in), YardUnits.METRIC);
        assertThat(words.worse()).containsExactly(Stage.DRIVESHAFT);
        assertThat(words.notWorse()).isEmpty();
        assertThat(String.join(" ", words.notes()))
                .contains("driveshaft turned", "Release the pressure before opening");
    }

    @Test
    void aStageThatLeaksNoMoreIsClearedOnlyWhenItWasHeldLongEnough() {
        List<LeakReading> readings = new ArrayList<>(law(68, 0.004, 40, 10));
        double turned = readings.get(39).gaugeKpa();
        law(turned, 0.004, 40, 10).stream()
                .skip(1)
                .map(r -> new LeakReading(390 + r.tS(), r.gaugeKpa(), 18, Optional.of(Stage.PROPSHAFT)))
                .forEach(readings::add);
        LeakInput whole = hold(LeakMode.PRESSURE, 68, 4, readings);
        assertThat(new LeakWords(whole, LeakEngine.run(whole), YardUnits.METRIC).notWorse())
                .containsExactly(Stage.PROPSHAFT);
        LeakInput few = new LeakInput(LeakMode.PRESSURE, 430, BARO, 68, 5, 4, 1, 0.1, 30, readings.subList(0, 44));
        assertThat(new LeakWords(few, LeakEngine.run(few), YardUnits.METRIC).notWorse())
                .isEmpty();
    }

    @Test
    void readingsThatCannotBeAreRefusedEachAtItsPlace() {
        List<LeakReading> bad = List.of(
                new LeakReading(30, 68, 20, Optional.empty()),
                new LeakReading(60, 67, 20, Optional.empty()),
                new LeakReading(60, 66, 20, Optional.empty()),
                new LeakReading(90, 0, 20, Optional.empty()));
        assertThat(problems(hold(LeakMode.PRESSURE, 68, 4, bad)))
                .extracting(Problem::at)
                .containsExactly("/readings/2/t_s", "/readings/3/gauge_kpa");
        assertThat(problems(hold(LeakMode.PRESSURE, 68, 4, bad.subList(0, 1))))
                .extracting(Problem::problem)
                .singleElement()
                .asString()
                .contains("hold 1 taken", "at least 2");
        assertThat(problems(hold(LeakMode.PRESSURE, -5, 4, law(68, 0.01, 9, 10))))
                .extracting(Problem::at)
                .contains("/start_kpa");
        assertThat(problems(hold(LeakMode.VACUUM, -50, 60, law(-50, 0.01, 9, 10))))
                .extracting(Problem::at)
                .containsExactly("/allowed_drop_kpa");
    }

    @Test
    void aFastLeakIsCalledFast() {
        LeakInput in = hold(LeakMode.PRESSURE, 68, 4, law(68, 0.2, 40, 5));
        LeakWords words = new LeakWords(in, LeakEngine.run(in), YardUnits.METRIC);
        assertThat(words.fast()).isTrue();
        assertThat(words.head()).contains("Leaks fast").contains("kPa");
        assertThat(new LeakWords(in, LeakEngine.run(in), YardUnits.US).head()).contains("psi");
        assertThat(new LeakWords(in, LeakEngine.run(in), YardUnits.METRIC, true)
                        .why()
                        .inputs())
                .anyMatch(l -> l.name().equals("air space") && l.origin().contains("estimate for this size"));
        assertThat(words.why().inputs()).extracting(i -> i.figure()).allMatch(f -> !f.isBlank());
    }
}
