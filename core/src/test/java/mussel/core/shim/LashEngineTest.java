package mussel.core.shim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.measure.Problems;
import mussel.core.shim.LashInput.Gears;
import mussel.core.shim.LashInput.Member;
import mussel.core.shim.LashInput.Thicker;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class LashEngineTest {
    private static final List<Shim> DRAWER =
            List.of(new Shim(0.1, 4), new Shim(0.15, 3), new Shim(0.3, 3), new Shim(0.5, 2));

    /** Equal teeth make cones of 45 degrees: 2 tan 20 sin 45 = 0.5148, by hand. */
    @Test
    void aMitrePairsFactorIsThatOfTheBook() {
        assertThat(new Gears(20, 20, 20, 0, Member.GEAR).factor()).isCloseTo(0.514732, within(1e-6));
        assertThat(new Gears(20, 20, 20, 0, Member.PINION).factor()).isCloseTo(0.514732, within(1e-6));
        assertThat(new Gears(14, 29, 20, 35, Member.PINION).factor())
                .isCloseTo(
                        2 * Math.tan(Math.toRadians(20)) * 14 / Math.hypot(14, 29) / Math.cos(Math.toRadians(35)),
                        within(1e-12));
    }

    @Property
    void theNewShimBringsTheLashToTheMiddle(
            @ForAll @DoubleRange(min = 0.05, max = 1) double reading, @ForAll boolean reduces) {
        LashInput in =
                lash(List.of(reading, reading, reading), reduces ? Thicker.REDUCES : Thicker.INCREASES, List.of());
        LashResult out = LashEngine.run(in);
        double sign = reduces ? 1 : -1;

        assertThat(out.lashMm() - sign * out.factor() * out.changeMm().orElseThrow())
                .isCloseTo(0.17, within(1e-12));
        assertThat(out.spreadMm()).isZero();
    }

    @Test
    void theChanceAgreesWithDrawing() {
        LashInput in = lash(List.of(0.40, 0.44, 0.38, 0.42), Thicker.REDUCES, DRAWER);
        LashResult out = LashEngine.run(in);
        StackResult stack = out.stack().orElseThrow();
        double scale = 30 / 72.0;
        double mean = 0.41 * scale;
        double s = Math.sqrt((0.01 * 0.01 + 0.03 * 0.03 + 0.03 * 0.03 + 0.01 * 0.01) / 3) * scale;
        Random random = new Random(7);
        int in100 = 0;
        for (int i = 0; i < 100_000; i++) {
            double piece = 0;
            for (int k = 0; k < stack.count(); k++) {
                piece += 0.003 * random.nextGaussian();
            }
            double at =
                    mean + s / 2 * random.nextGaussian() - 0.65 * (stack.thicknessMm() + piece - in.presentShimMm());
            in100 += at >= 0.12 && at <= 0.22 ? 1 : 0;
        }
        assertThat(out.pInWindow().orElseThrow()).isCloseTo(in100 / 100_000.0, within(0.01));
        assertThat(out.alternatives()).isSortedAccordingTo((a, b) -> Double.compare(b.pInWindow(), a.pInWindow()));
    }

    /**
     * By hand: 13 and 26 teeth, 20 and 30 degrees: cone atan(2) = 63.435 degrees, factor 2 x 0.363970 x 0.894427 / 0.866025 = 0.751814. A reading
     * of 0.30 mm at 40 mm on the driveshaft is 0.30 x 33 x 13/26 / 40 = 0.12375 mm of lash; taken as the gear's it would be 0.2475, and the shim
     * asked for 0.1646 mm too thick: it would bind the gears.
     */
    @Test
    void aReadingOnTheDriveshaftIsConvertedByThePinion() {
        LashResult right = LashEngine.run(onShaft(LashInput.ArmOn.DRIVESHAFT));
        LashResult wrong = LashEngine.run(onShaft(LashInput.ArmOn.GEAR));

        assertThat(right.factor()).isCloseTo(0.751814, within(1e-6));
        assertThat(right.lashMm()).isCloseTo(0.12375, within(1e-12));
        assertThat(right.changeMm().orElseThrow()).isCloseTo((0.12375 - 0.225) / 0.751814, within(1e-6));
        assertThat(wrong.shimMm().orElseThrow() - right.shimMm().orElseThrow()).isCloseTo(0.16460, within(1e-5));

        Problems problems = new Problems();
        LashInput sound = onShaft(LashInput.ArmOn.DRIVESHAFT);
        new LashInput(
                        sound.readingsMm(),
                        40,
                        33,
                        sound.windowMm(),
                        0.06,
                        0.85,
                        Thicker.REDUCES,
                        0.01,
                        0.003,
                        LashInput.ArmOn.DRIVESHAFT,
                        OptionalDouble.of(0.7),
                        Optional.empty(),
                        List.of(),
                        0.02,
                        5)
                .check(problems, "");
        assertThat(problems.list()).extracting(p -> p.at()).containsExactly("/gears");
    }

    private static LashInput onShaft(LashInput.ArmOn shaft) {
        return new LashInput(
                List.of(0.30, 0.30, 0.30),
                40,
                33,
                List.of(0.15, 0.30),
                0.06,
                0.85,
                Thicker.REDUCES,
                0.01,
                0.003,
                shaft,
                OptionalDouble.empty(),
                Optional.of(new Gears(13, 26, 20, 30, Member.GEAR)),
                List.of(),
                0.02,
                5);
    }

    @Test
    void aShimBelowNothingIsToldAndNotRefused() {
        LashInput in = lash(List.of(0.01, 0.01, 0.01), Thicker.REDUCES, List.of());
        LashInput thin = new LashInput(
                in.readingsMm(),
                72,
                30,
                in.windowMm(),
                0.05,
                0.1,
                Thicker.REDUCES,
                0.01,
                0.003,
                LashInput.ArmOn.GEAR,
                OptionalDouble.of(0.65),
                Optional.empty(),
                DRAWER,
                0.02,
                5);
        LashResult out = LashEngine.run(thin);

        assertThat(out.shimMm().orElseThrow()).isNegative();
        assertThat(out.stack().orElseThrow().pieces()).isEmpty();
        assertThat(ShimWords.lash(thin, out)).anyMatch(n -> n.contains("not possible"));
    }

    @Test
    void aWindowUpsideDownAndTwoFactorsAreRefused() {
        Problems problems = new Problems();
        new LashInput(
                        List.of(0.1, 0.1, 0.1),
                        72,
                        30,
                        List.of(0.2, 0.1),
                        0.05,
                        0.8,
                        Thicker.REDUCES,
                        0.01,
                        0.003,
                        LashInput.ArmOn.GEAR,
                        OptionalDouble.of(0.6),
                        Optional.of(new Gears(14, 29, 20, 0, Member.GEAR)),
                        List.of(),
                        0.02,
                        5)
                .check(problems, "");

        assertThat(problems.list()).extracting(p -> p.at()).containsExactly("/factor", "/window_mm");
    }

    @Test
    void thePinionsShimIsTheSumOfTheBook() {
        PinionInput in = new PinionInput(50, List.of(new PinionInput.Mark("F", -1, 5)), List.of(49.0, 49.1, 49.2), 0.1);
        PinionResult out = PinionEngine.run(in);

        assertThat(out.shimMm()).isCloseTo(50 - 0.05 - 49.1, within(1e-12));
        assertThat(out.spreadOk()).isFalse();
        assertThat(ShimWords.pinion(in, out)).anyMatch(n -> n.contains("No shim corrects that"));
        List<Double> high = new ArrayList<>(List.of(51.0, 51.0, 51.0));
        PinionInput impossible = new PinionInput(50, List.of(), high, 0.1);
        assertThat(ShimWords.pinion(impossible, PinionEngine.run(impossible))).anyMatch(n -> n.contains("wrong sign"));
    }

    private static LashInput lash(List<Double> readings, Thicker thicker, List<Shim> drawer) {
        return new LashInput(
                readings,
                72,
                30,
                List.of(0.12, 0.22),
                0.05,
                0.85,
                thicker,
                0.01,
                0.003,
                LashInput.ArmOn.GEAR,
                OptionalDouble.of(0.65),
                Optional.empty(),
                drawer,
                0.02,
                5);
    }
}
