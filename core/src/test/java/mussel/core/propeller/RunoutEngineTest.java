package mussel.core.propeller;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import mussel.core.propeller.RunoutResult.Verdict;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RunoutEngineTest {
    private static RunoutInput read(double high, double low, double play, double limit) {
        return new RunoutInput(high, low, play, OptionalDouble.of(limit), 0.01);
    }

    private static Verdict verdict(RunoutInput in) {
        return RunoutEngine.run(in).verdict();
    }

    @Test
    void aSwingWellBeyondTheLimitIsABentShaftThatIsNotStraightened() {
        RunoutInput in = read(0.31, -0.04, 0.05, 0.15);
        RunoutResult out = RunoutEngine.run(in);
        assertThat(out.verdict()).isEqualTo(Verdict.BENT);
        assertThat(out.runoutMm()).isCloseTo(0.35, within(1e-12));
        assertThat(out.bendMm()).isCloseTo(0.175, within(1e-12));
        assertThat(new RunoutWords(in, out, YardUnits.METRIC).notes().get(1))
                .contains("new shaft", "Do not straighten");
    }

    @Test
    void aSwingWithinTheLimitIsStraightAndTheLimitOfNobodySaysSo() {
        RunoutInput in = new RunoutInput(0.05, 0, 0, OptionalDouble.empty(), 0.01);
        RunoutResult out = RunoutEngine.run(in);
        assertThat(out.verdict()).isEqualTo(Verdict.STRAIGHT);
        assertThat(out.limitAssumed()).isTrue();
        assertThat(new RunoutWords(in, out, YardUnits.METRIC).notes().get(0)).contains("no manual value yet");
    }

    @Test
    void playThatCouldBeAllOfItAccusesNoShaft() {
        assertThat(verdict(read(0.3, 0, 0, 0.15))).isEqualTo(Verdict.BENT);
        assertThat(verdict(read(0.3, 0, 0.2, 0.15))).isEqualTo(Verdict.UNDECIDED);
        RunoutInput in = read(0.3, 0, 0.2, 0.15);
        assertThat(new RunoutWords(in, RunoutEngine.run(in), YardUnits.METRIC).notes())
                .anyMatch(n -> n.contains("Press it to one side"));
    }

    @Test
    void marksThatAreSwappedAreSaidAndNotTurnedRound() {
        Problems found = new Problems();
        read(-0.2, 0.1, 0, 0.15).check(found, "");
        assertThat(found.list()).singleElement().satisfies(p -> assertThat(p.at())
                .isEqualTo("/highest_mm"));
    }

    /** A shaft eccentric by e, read anywhere on the dial and rounded to its hundredth: never straight beyond the limit, never bent within it. */
    @Property(tries = 2_000)
    void noBentShaftIsCalledStraightAndNoStraightOneBent(
            @ForAll @DoubleRange(min = 0, max = 0.5) double eccentric,
            @ForAll @DoubleRange(min = -5, max = 5) double zero,
            @ForAll @DoubleRange(min = 0, max = 0.3) double play,
            @ForAll @IntRange(min = 2, max = 40) int limitHundredths) {
        double limit = limitHundredths / 100.0;
        double seen = 2 * eccentric + play * 0.7;
        double low = Math.rint(zero * 100) / 100;
        double high = Math.rint((zero + seen) * 100) / 100;
        Verdict verdict = verdict(read(Math.max(high, low), low, play, limit));
        if (2 * eccentric > limit) {
            assertThat(verdict).isNotEqualTo(Verdict.STRAIGHT);
        } else {
            assertThat(verdict).isNotEqualTo(Verdict.BENT);
        }
    }
}
