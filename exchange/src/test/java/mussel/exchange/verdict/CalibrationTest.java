package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mussel.core.verdict.Calibration;
import mussel.core.verdict.Calibration.Judged;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Learned;
import org.junit.jupiter.api.Test;

class CalibrationTest {
    private static final Knowledge SHIPPED = KnowledgeFiles.shipped();

    private static Judged judged(double expected, boolean found) {
        return new Judged("gear_wear", expected, 0.05, found);
    }

    @Test
    void theBrierScoreIsTheMeanSquaredError() {
        Calibration c = Calibration.of(List.of(judged(0.9, true), judged(0.9, false), judged(0.2, false)));
        assertThat(c.brier()).isCloseTo((0.01 + 0.81 + 0.04) / 3, within(1e-12));
        assertThat(c.brierOfPriors()).isCloseTo((0.9025 + 0.0025 + 0.0025) / 3, within(1e-12));
        assertThat(c.judged()).isEqualTo(3);
    }

    @Test
    void expectedStandsBesideFoundWithItsBounds() {
        Calibration c = Calibration.of(List.of(judged(0.1, false), judged(0.12, false), judged(0.95, true)));
        assertThat(c.bins()).hasSize(2);
        assertThat(c.bins().get(0).expected()).isCloseTo(0.11, within(1e-12));
        assertThat(c.bins().get(0).found()).isZero();
        assertThat(c.bins()).allMatch(b -> b.low() <= b.found() && b.found() <= b.high() && b.high() - b.low() > 0.2);
    }

    @Test
    void nothingJudgedIsNoScore() {
        assertThat(Calibration.of(List.of()).bins()).isEmpty();
        assertThat(Calibration.of(List.of()).brier()).isNaN();
    }

    @Test
    void honestProbabilitiesLieWithinTheirBounds() {
        Random random = new Random(11);
        List<Judged> all = new ArrayList<>();
        for (int i = 0; i < 4000; i++) {
            double p = random.nextDouble();
            all.add(judged(p, random.nextDouble() < p));
        }
        assertThat(Calibration.of(all).bins())
                .allSatisfy(b -> assertThat(b.expected()).isBetween(b.low() - 0.02, b.high() + 0.02));
    }

    @Test
    void priorsLearnAsTheMeanOfABetaAndSaySo() {
        List<Judged> found = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            found.add(judged(0.5, i < 5));
        }
        Learned learned = Learned.from(SHIPPED, found);
        double prior = SHIPPED.cause("gear_wear").orElseThrow().prior();
        assertThat(learned.knowledge().cause("gear_wear").orElseThrow().prior())
                .isCloseTo((20 * prior + 5) / 26, within(1e-12));
        assertThat(learned.changes()).singleElement().satisfies(c -> assertThat(c.why())
                .contains("Found 5 times, not present 1 times"));
        assertThat(learned.knowledge().cause("dog_wear")).isEqualTo(SHIPPED.cause("dog_wear"));
    }
}
