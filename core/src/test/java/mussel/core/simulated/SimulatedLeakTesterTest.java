package mussel.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.instrument.LeakTester.Sample;
import mussel.core.leak.LeakEngine;
import mussel.core.leak.LeakInput;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.LeakResult;
import mussel.core.leak.LeakResult.Verdict;
import mussel.core.leak.LeakWords;
import mussel.core.leak.Stage;
import mussel.core.measure.YardUnits;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SimulatedLeakTesterTest {
    private final SimulatedLeakTester tester = new SimulatedLeakTester(7, 430);

    private List<LeakReading> hold(double minutes, Stage stage, double fromS) {
        List<LeakReading> readings = new ArrayList<>();
        tester.stage(stage);
        for (double t = fromS + 1; t <= fromS + minutes * 60; t += 1) {
            tester.advance(1);
            Sample sample = tester.read();
            readings.add(new LeakReading(t, sample.gaugeKpa(), sample.tempC(), Optional.of(stage)));
        }
        return readings;
    }

    private static LeakInput input(LeakMode mode, List<LeakReading> readings) {
        double start = mode == LeakMode.PRESSURE ? 69 : -48;
        return new LeakInput(mode, 430, SimulatedLeakTester.BAROMETER_KPA, start, 5, 4, 0.1, 0.1, 60, readings);
    }

    @Test
    void aSoundLegHoldsBothWays() {
        tester.pumpTo(69);
        assertThat(LeakEngine.run(input(LeakMode.PRESSURE, hold(8, Stage.STILL, 0)))
                        .verdict())
                .isEqualTo(Verdict.TIGHT);
        tester.release();
        tester.pumpTo(-48);
        assertThat(LeakEngine.run(input(LeakMode.VACUUM, hold(8, Stage.STILL, 0)))
                        .verdict())
                .isEqualTo(Verdict.TIGHT);
    }

    @ParameterizedTest
    @ValueSource(strings = {"driveshaft", "propshaft"})
    void aLipLeaksOnItsOwnSideOnly(String pair) {
        tester.hide(List.of(pair + "_water_lip"));
        tester.pumpTo(69);
        assertThat(LeakEngine.run(input(LeakMode.PRESSURE, hold(8, Stage.STILL, 0)))
                        .verdict())
                .isEqualTo(Verdict.TIGHT);
        tester.release();
        tester.pumpTo(-48);
        LeakResult vacuum = LeakEngine.run(input(LeakMode.VACUUM, hold(8, Stage.STILL, 0)));
        assertThat(vacuum.verdict()).isEqualTo(Verdict.LEAKING);
        assertThat(vacuum.kPerMin()).isCloseTo(0.03, within(0.003));
    }

    @Test
    void turningTheShaftOpensItsLip() {
        tester.hide(List.of("driveshaft_oil_lip"));
        tester.pumpTo(69);
        List<LeakReading> readings = hold(5, Stage.STILL, 0);
        readings.addAll(hold(5, Stage.DRIVESHAFT, 300));
        LeakInput in = input(LeakMode.PRESSURE, readings);
        assertThat(new LeakWords(in, LeakEngine.run(in), YardUnits.METRIC).worse())
                .containsExactly(Stage.DRIVESHAFT);
    }

    @Test
    void soapFoamsWhereItLeaksAndOnlyUnderPressure() {
        tester.hide(List.of("shift_seal"));
        assertThat(tester.brush()).containsEntry("bubbles_shift", "no");
        tester.pumpTo(60);
        assertThat(tester.brush())
                .containsEntry("bubbles_shift", "yes")
                .containsEntry("bubbles_driveshaft", "no")
                .containsEntry("bubbles_casting", "no");
    }

    @Test
    void itNeverPassesTheLimitsAndSaysSo() {
        tester.limit(-40, 70);
        assertThat(tester.pumpTo(200)).hasValueSatisfying(s -> assertThat(s).contains("70 kPa", "limit"));
        assertThat(tester.read().gaugeKpa()).isCloseTo(70, within(0.5));
        assertThat(tester.pumpTo(-90)).isPresent();
        assertThat(tester.read().gaugeKpa()).isCloseTo(-40, within(0.5));
        assertThat(tester.pumpTo(50)).isEmpty();
    }

    @Test
    void pumpingWarmsTheGasAndTheGaugeSettles() {
        tester.pumpTo(69);
        double first = tester.read().gaugeKpa();
        tester.advance(60);
        assertThat(first - tester.read().gaugeKpa()).isGreaterThan(1);
    }

    @Test
    void theSameSeedGivesTheSameReadings() {
        SimulatedLeakTester again = new SimulatedLeakTester(7, 430);
        assertThat(tester.simulated()).isTrue();
        for (int i = 0; i < 50; i++) {
            tester.advance(0.1);
            again.advance(0.1);
            assertThat(again.read()).isEqualTo(tester.read());
        }
    }
}
