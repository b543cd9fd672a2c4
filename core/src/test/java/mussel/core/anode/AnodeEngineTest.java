package mussel.core.anode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import mussel.core.anode.AnodeResult.Verdict;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class AnodeEngineTest {
    private static AnodeInput seen(double left, double months) {
        return new AnodeInput(left, OptionalDouble.of(months), 50, 6, 10);
    }

    @Test
    void whatWentSoFarGoesOnAtTheSameRate() {
        AnodeResult out = AnodeEngine.run(seen(75, 12));

        assertThat(out.pctPerMonth().orElseThrow()).isCloseTo(25.0 / 12, within(1e-9));
        assertThat(out.monthsLeft()).hasValue(12);
        assertThat(out.monthsLow().orElseThrow()).isCloseTo(15 * 12.0 / 35, within(1e-9));
        assertThat(out.monthsHigh()).hasValue(28);
        assertThat(out.verdict()).isEqualTo(Verdict.LOOK_EARLIER);
        assertThat(new AnodeWords(seen(75, 12), out).line("tab"))
                .isEqualTo("Tab: 75 % left, half gone in 12 months (5 to 28). Check it earlier.");
    }

    @Test
    void halfGoneIsRenewedWhateverItsMonths() {
        assertThat(AnodeEngine.run(seen(50, 120)).verdict()).isEqualTo(Verdict.RENEW);
        AnodeInput undated = new AnodeInput(50.5, OptionalDouble.empty(), 50, 6, 10);
        assertThat(AnodeEngine.run(undated).verdict()).isEqualTo(Verdict.KEEP);
        assertThat(new AnodeWords(undated, AnodeEngine.run(undated)).notes()).containsExactly("51 % left.");
    }

    @Test
    void oneThatGoesQuicklyIsRenewedEarlyAndANewOneIsNot() {
        assertThat(AnodeEngine.run(seen(60, 3)).verdict()).isEqualTo(Verdict.RENEW_EARLY);
        assertThat(AnodeEngine.run(seen(100, 3)).monthsLeft()).isEmpty();
        assertThat(AnodeEngine.run(seen(96, 24)).verdict()).isEqualTo(Verdict.KEEP);
    }

    @Property
    void moreLeftAfterAsLongLastsLonger(
            @ForAll @DoubleRange(min = 0, max = 98) double left,
            @ForAll @DoubleRange(min = 0.25, max = 240) double months) {
        AnodeResult less = AnodeEngine.run(seen(left, months));
        AnodeResult more = AnodeEngine.run(seen(left + 1, months));

        assertThat(more.monthsLeft().orElseThrow())
                .isGreaterThanOrEqualTo(less.monthsLeft().orElseThrow());
        assertThat(less.monthsLow().orElseThrow())
                .isLessThanOrEqualTo(less.monthsLeft().orElseThrow());
        less.monthsHigh().ifPresent(high -> assertThat(high)
                .isGreaterThanOrEqualTo(less.monthsLeft().orElseThrow()));
    }
}
