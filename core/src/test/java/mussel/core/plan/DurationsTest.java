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
import org.hipparchus.distribution.continuous.NormalDistribution;
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
                List.of(),
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

    /** How much of the time stays under x (min): the step's own spread times the leg's, one as wide as the other allows. */
    private static double below(double x, double low, double width, double mode) {
        BetaDistribution beta = new BetaDistribution(1 + 4 * mode, 5 - 4 * mode);
        NormalDistribution normal = new NormalDistribution(-0.02, 0.2);
        int cells = 2_000;
        double share = 0;
        for (int i = 0; i < cells; i++) {
            double step = low + width * beta.inverseCumulativeProbability((i + 0.5) / cells);
            share += normal.cumulativeProbability(Math.log(x / step)) / cells;
        }
        return share;
    }

    @Test
    void percentilesAreThoseOfTheStepsAndOfTheLegAlike() {
        Minutes minutes = Durations.of(List.of(step(10, 20, 60, Optional.empty())), 0, 5);

        assertThat(minutes.mean()).isEqualTo((10 + 80 + 60) / 6.0);
        assertThat(below(minutes.p50(), 10, 50, 0.2)).isCloseTo(0.5, within(0.015));
        assertThat(below(minutes.p90(), 10, 50, 0.2)).isCloseTo(0.9, within(0.01));
    }

    /** 7 min on the mean: the middle at 7 exp(-0.2^2/2) = 6.861, nine in ten at 6.861 exp(0.2 * 1.2816) = 8.866. */
    @Test
    void aStepWithoutSpreadSpreadsAsTheLegDoes() {
        Minutes minutes = Durations.of(List.of(step(7, 7, 7, Optional.empty())), 0, 1);

        assertThat(minutes.mean()).isEqualTo(7);
        assertThat(minutes.p50()).isCloseTo(6.861, within(0.04));
        assertThat(minutes.p90()).isCloseTo(8.866, within(0.08));
    }

    /** Steps that are each within a tenth of their time do not average out on a leg where everything is stuck. */
    @Test
    void manyStepsLeaveANineInTenWellOverTheMiddleEvenWithoutSaltYears() {
        List<Step> many = java.util.Collections.nCopies(60, step(9, 10, 12, Optional.empty()));
        Minutes minutes = Durations.of(many, 0, 2);

        assertThat(minutes.p90() / minutes.p50()).isBetween(1.25, 1.35);
        assertThat(minutes.mean()).isCloseTo(60 * (9 + 40 + 12) / 6.0, within(1e-9));
    }

    @Test
    void seizingAddsItsMinutesAsOftenAsItsRateSays() {
        Seizure seizure = new Seizure("a bolt", 0.1, 100);
        double p = 1 - Math.exp(-0.1 * 12);
        Minutes minutes = Durations.of(List.of(step(10, 10, 10, Optional.of(seizure))), 12, 3);

        assertThat(minutes.mean()).isCloseTo(10 + 100 * p, within(1e-9));
        assertThat(minutes.p50()).as("seized in " + p + " of all cases").isBetween(85.0, 110.0);
        assertThat(Durations.of(List.of(step(10, 10, 10, Optional.of(seizure))), 0, 3))
                .isEqualTo(Durations.of(List.of(step(10, 10, 10, Optional.empty())), 0, 3));
    }
}
