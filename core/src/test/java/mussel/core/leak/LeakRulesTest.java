package mussel.core.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mussel.core.leak.LeakResult.Answer;
import mussel.core.leak.LeakResult.Verdict;
import mussel.core.measure.YardUnits;
import org.junit.jupiter.api.Test;

/** Rules of the bench for a hold, each with a case beside it that stays as it was. */
class LeakRulesTest {
    private static final double BARO = 101.2;
    private static final Pattern PRESSURE = Pattern.compile("([0-9.]+) kPa");

    private static LeakReading at(double seconds, double gauge, double temp) {
        return new LeakReading(seconds, gauge, temp, Optional.of(Stage.STILL));
    }

    private static LeakInput hold(double step, LeakReading... readings) {
        return new LeakInput(LeakMode.PRESSURE, 430, BARO, 68, 5, 4, step, 0.1, 30, List.of(readings));
    }

    private static double gauge(double start, double k, double minutes) {
        double r = start / (start + 2 * BARO) * Math.exp(-k * minutes);
        return BARO * (1 + r) / (1 - r) - BARO;
    }

    @Test
    void twoReadingsAreEnoughToSaySomething() {
        LeakResult far = LeakEngine.run(hold(0.2, at(30, 68, 18), at(330, 55, 18)));
        assertThat(far.verdict()).isEqualTo(Verdict.LEAKING);
        assertThat(far.nUsed()).isEqualTo(2);
        LeakResult still = LeakEngine.run(hold(0.2, at(30, 68, 18), at(330, 68, 18)));
        assertThat(still.verdict()).as("five minutes, a fine gauge").isEqualTo(Verdict.TIGHT);
        LeakResult soon = LeakEngine.run(hold(1, at(30, 68, 18), at(60, 68, 18)));
        assertThat(soon.verdict()).as("half a minute, a coarse one").isEqualTo(Verdict.UNDECIDED);
    }

    @Test
    void fiveThousandHoldsOfTwoToSixtyReadingsHoldTheTruthInNinetyFiveOfAHundred() {
        SplittableRandom random = new SplittableRandom(3506);
        int[] runs = new int[2];
        int[] held = new int[2];
        for (int i = 0; i < 5_000; i++) {
            int n = 2 + random.nextInt(59);
            double k = 0.02 * random.nextDouble();
            double step = new double[] {0.2, 0.5, 1, 2}[random.nextInt(4)];
            double every = 5 + 60 * random.nextDouble();
            double warms = random.nextDouble() - 0.5;
            double noise = n < LeakInput.LEAST_SCATTERED ? 0 : 0.3 * step;
            List<LeakReading> readings = new ArrayList<>();
            for (int r = 0; r < n; r++) {
                double minutes = r * every / 60;
                double temp = 18 + warms * minutes / 10;
                double p = (gauge(68, k, minutes) + BARO) * (temp + 273.15) / (18 + 273.15) - BARO;
                double read = step * Math.rint((p + noise * random.nextGaussian()) / step);
                readings.add(at(30 + r * every, read, Math.rint(temp * 10) / 10));
            }
            LeakInput in = new LeakInput(LeakMode.PRESSURE, 430, BARO, 68, 5, 4, step, 0.1, 30, readings);
            LeakResult out = LeakEngine.run(in);
            double truth = 68 - gauge(68, k, 5);
            int few = n < LeakInput.LEAST_SCATTERED ? 0 : 1;
            runs[few]++;
            held[few] += out.dropLowKpa() <= truth && truth <= out.dropHighKpa() ? 1 : 0;
            noFiner(in, out);
        }
        assertThat((held[0] + held[1]) / 5_000.0).isGreaterThanOrEqualTo(0.95);
        assertThat(held[0] / (double) runs[0]).as("two or three readings").isGreaterThanOrEqualTo(0.95);
    }

    private static void noFiner(LeakInput in, LeakResult out) {
        Matcher figure = PRESSURE.matcher(new LeakWords(in, out, YardUnits.METRIC).head());
        while (figure.find()) {
            double steps = Double.parseDouble(figure.group(1)) / in.gaugeStepKpa();
            assertThat(steps).as(figure.group()).isCloseTo(Math.rint(steps), within(1e-6));
        }
    }

    @Test
    void aStageOfTwoReadingsIsComparedByTheirDifference() {
        List<LeakReading> readings = new ArrayList<>(List.of(at(30, 68, 18), at(150, 67.6, 18), at(270, 67.4, 18)));
        readings.add(new LeakReading(300, 67.4, 18, Optional.of(Stage.DRIVESHAFT)));
        readings.add(new LeakReading(360, 63.0, 18, Optional.of(Stage.DRIVESHAFT)));
        readings.add(new LeakReading(390, 63.0, 18, Optional.of(Stage.SHIFT)));
        readings.add(new LeakReading(450, 62.8, 18, Optional.of(Stage.SHIFT)));
        LeakInput in = hold(0.2, readings.toArray(LeakReading[]::new));
        assertThat(new LeakWords(in, LeakEngine.run(in), YardUnits.METRIC).worse())
                .as("turned, and not the shift beside it")
                .containsExactly(Stage.DRIVESHAFT);
    }

    @Test
    void aNeedleThatIsStillForTheWholeTimeMeetsTheManualWhateverTheFinerClaim() {
        LeakInput coarse = hold(5, at(30, 65, 18), at(180, 65, 18), at(330, 65, 18));
        LeakResult out = LeakEngine.run(coarse);
        assertThat(out.manual().verdict()).isEqualTo(Answer.MET);
        assertThat(out.manual().movedKpa()).isZero();
        assertThat(out.verdict()).isEqualTo(Verdict.UNDECIDED);
        assertThat(new LeakWords(coarse, out, YardUnits.METRIC).head())
                .startsWith("Manual's test passed: it did not move in 5 min")
                .contains("Not decided");
    }

    @Test
    void beforeTheTimeIsOverTheManualIsNotMetYetAndBeyondItAtOnce() {
        LeakResult early = LeakEngine.run(hold(0.2, at(30, 68, 18), at(120, 67, 18)));
        assertThat(early.manual().verdict()).isEqualTo(Answer.NOT_YET);
        assertThat(early.manual().minutes()).isEqualTo(1.5);
        LeakResult far = LeakEngine.run(hold(0.2, at(30, 68, 18), at(120, 60, 18)));
        assertThat(far.manual().verdict()).isEqualTo(Answer.EXCEEDED);
        LeakResult over = LeakEngine.run(hold(0.2, at(0, 68, 18), at(30, 67.8, 18), at(300, 63, 18)));
        assertThat(over.manual().verdict())
                .as("the sheet's time from the first of all")
                .isEqualTo(Answer.EXCEEDED);
        assertThat(over.manual().movedKpa()).isCloseTo(5, within(1e-9));
    }

    @Test
    void theTemperatureIsTakenOutOfTheManualsAnswerToo() {
        double warmer = (68 + BARO) * (273.15 + 20) / (273.15 + 18) - BARO;
        LeakResult out = LeakEngine.run(hold(0.2, at(30, warmer, 20), at(180, 68, 18), at(330, 68, 18)));
        assertThat(out.manual().movedKpa()).isCloseTo(0, within(1e-9));
        assertThat(out.manual().verdict()).isEqualTo(Answer.MET);
    }
}
