package mussel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mussel.core.plan.PlanResult.Minutes;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.Seizure;
import mussel.core.sheet.Step;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.junit.jupiter.api.Test;

class DurationsTest {
    private static Step step(double low, double likely, double high, Optional<Seizure> seizes) {
        return new Step(
                "s",
                "S",
                Phase.STRIP,
                Place.PUMP,
                List.of(),
                List.of(),
                List.of(),
                "-",
                "-",
                "-",
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "-",
                new Step.Minutes(low, likely, high),
                seizes,
                0,
                false);
    }

    /** The table against the distribution itself, Beta(1 + 4m, 5 - 4m). */
    @Property(tries = 40)
    void quantilesAreThoseOfTheBetaPert(@ForAll @DoubleRange(min = 0, max = 1) double mode) {
        double[] table = Durations.quantiles(mode);
        BetaDistribution beta = new BetaDistribution(1 + 4 * mode, 5 - 4 * mode);
        for (double p : new double[] {0.05, 0.25, 0.5, 0.75, 0.9, 0.95}) {
            double at = p * (table.length - 1);
            double below = table[(int) at];
            double above = table[(int) Math.ceil(at)];
            double found = below + (at - Math.floor(at)) * (above - below);
            assertThat(found).isCloseTo(beta.inverseCumulativeProbability(p), within(1e-3));
        }
        assertThat(table[0]).isZero();
        assertThat(table[table.length - 1]).isEqualTo(1);
        assertThat(table).isSorted();
    }

    @Test
    void oneStepsPercentilesAreItsOwn() {
        Minutes minutes = Durations.of(List.of(step(10, 20, 60, Optional.empty())), 0, 5);
        BetaDistribution beta = new BetaDistribution(1 + 4 * 0.2, 5 - 4 * 0.2);

        assertThat(minutes.mean()).isEqualTo((10 + 80 + 60) / 6.0);
        assertThat(minutes.p50()).isCloseTo(10 + 50 * beta.inverseCumulativeProbability(0.5), within(0.4));
        assertThat(minutes.p90()).isCloseTo(10 + 50 * beta.inverseCumulativeProbability(0.9), within(0.6));
    }

    @Test
    void aStepWithoutSpreadTakesWhatItTakes() {
        Minutes minutes = Durations.of(List.of(step(7, 7, 7, Optional.empty())), 0, 1);

        assertThat(minutes).isEqualTo(new Minutes(7, 7, 7));
    }

    @Test
    void seizingAddsItsMinutesAsOftenAsItsRateSays() {
        Seizure seizure = new Seizure("a bolt", 0.1, 100);
        double p = 1 - Math.exp(-0.1 * 12);
        Minutes minutes = Durations.of(List.of(step(10, 10, 10, Optional.of(seizure))), 12, 3);

        assertThat(minutes.mean()).isCloseTo(10 + 100 * p, within(1e-9));
        assertThat(minutes.p50()).as("seized in " + p + " of all cases").isEqualTo(110);
        assertThat(Durations.of(List.of(step(10, 10, 10, Optional.of(seizure))), 0, 3))
                .isEqualTo(new Minutes(10, 10, 10));
    }
}
