package mussel.core.shim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.shim.LashInput.Thicker;
import mussel.core.shim.LashResult.Advice;
import org.junit.jupiter.api.Test;

/** Rules of the bench for a lash, each with a case beside it that stays as it was. */
class LashRulesTest {
    private static final List<Shim> DRAWER = List.of(new Shim(0.1, 5), new Shim(0.15, 5), new Shim(0.3, 3));

    private static LashInput read(double... around) {
        return new LashInput(
                java.util.Arrays.stream(around).boxed().toList(),
                72,
                30,
                List.of(0.12, 0.22),
                0.05,
                0.85,
                Thicker.REDUCES,
                0.01,
                0.003,
                LashInput.ArmOn.GEAR,
                OptionalDouble.of(0.65),
                Optional.empty(),
                DRAWER,
                0.02,
                5);
    }

    private static List<String> words(LashInput in) {
        return ShimWords.lash(in, LashEngine.run(in));
    }

    @Test
    void noPlayAtAllIsABoundAndNoShimIsComputedFromIt() {
        LashInput nothing = read(0, 0, 0);
        LashResult out = LashEngine.run(nothing);
        assertThat(out.advice()).isEqualTo(Advice.READ_AGAIN);
        assertThat(out.shimMm()).isEmpty();
        assertThat(out.stack()).isEmpty();
        assertThat(words(nothing)).singleElement().asString().contains("bind, or the arm slips", "large step");
        LashResult some = LashEngine.run(read(0, 0, 0.01));
        assertThat(some.advice()).as("a little play is a reading").isEqualTo(Advice.SHIM);
        assertThat(some.shimMm()).isPresent();
    }

    @Test
    void aLashInItsWindowIsLeft() {
        LashInput in = read(0.40, 0.41, 0.42);
        assertThat(LashEngine.run(in).advice()).isEqualTo(Advice.LEAVE);
        assertThat(words(in)).contains("Keep the shims.").noneMatch(n -> n.contains("A shim of"));
        assertThat(words(read(0.62, 0.66, 0.6))).anyMatch(n -> n.contains("A shim of"));
    }

    @Test
    void withinOneReadingOfABoundIsSaid() {
        assertThat(LashEngine.run(read(0.295, 0.295, 0.295)).nearBound()).isTrue();
        assertThat(words(read(0.295, 0.295, 0.295))).anyMatch(n -> n.contains("measure again"));
        assertThat(LashEngine.run(read(0.4, 0.4, 0.4)).nearBound()).isFalse();
    }

    @Test
    void shimsAreSaidToTheDrawersStep() {
        LashInput in = read(0.62, 0.66, 0.6);
        assertThat(LashEngine.run(in).shimMm().orElseThrow()).as("computed").isCloseTo(0.98, within(0.02));
        assertThat(words(in))
                .as("this drawer makes steps of 0.05")
                .anyMatch(n -> n.startsWith("A shim of 1.00 mm centres it: 0.15 mm thicker"));
    }
}
