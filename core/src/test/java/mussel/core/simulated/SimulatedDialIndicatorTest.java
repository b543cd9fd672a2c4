package mussel.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import mussel.core.instrument.DialIndicator;
import mussel.core.instrument.DialIndicator.Gear;
import org.junit.jupiter.api.Test;

class SimulatedDialIndicatorTest {
    private static final double FACTOR = -0.7;

    private static double mean(DialIndicator dial, double found, double in, double arm) {
        Gear gear = new Gear(arm, 47.5, 0.3, FACTOR, found, in);
        return IntStream.rangeClosed(1, 6)
                        .mapToDouble(i -> dial.read(gear, i, 6))
                        .average()
                        .orElseThrow()
                * 47.5
                / arm;
    }

    @Test
    void aThickerShimTakesLashAwayByTheFactor() {
        for (long seed = 1; seed <= 200; seed++) {
            DialIndicator dial = new SimulatedDialIndicator(seed);
            double found = 0.6;
            double thin = mean(dial, found, found - 0.4, 60);
            double thick = mean(dial, found, found - 0.3, 60);
            assertThat(thick - thin).as("seed " + seed).isEqualTo(FACTOR * 0.1, within(0.05));
        }
    }

    @Test
    void theSameGearSetReadsTheSameTwiceAndScalesWithTheArm() {
        DialIndicator dial = new SimulatedDialIndicator(11);
        assertThat(mean(dial, 0.7, 0.5, 60)).isEqualTo(mean(new SimulatedDialIndicator(11), 0.7, 0.5, 60));
        assertThat(mean(dial, 0.7, 0.5, 95)).isEqualTo(mean(dial, 0.7, 0.5, 47.5), within(0.02));
        assertThat(dial.simulated()).isTrue();
        assertThat(dial.name()).containsIgnoringCase("simulated");
    }
}
