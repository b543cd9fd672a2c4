package mussel.core.torque;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.measure.Problems;
import mussel.core.measure.TorqueUnit;
import mussel.core.torque.TorqueInput.Adapter;
import mussel.core.torque.TorqueInput.Aim;
import mussel.core.torque.TorqueInput.Condition;
import mussel.core.torque.TorqueInput.Layout;
import mussel.core.torque.TorqueInput.Wrench;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TorqueEngineTest {
    /** Stress areas of ISO 898-1, tables 4 and 6, and of ASME B1.1 for the inch threads. */
    @ParameterizedTest
    @CsvSource({
        "M6, 20.1",
        "M8, 36.6",
        "M10, 58.0",
        "M12, 84.3",
        "M16, 157",
        "M20, 245",
        "M8x1, 39.2",
        "M10x1.25, 61.2",
        "M12x1.5, 88.1",
        "1/4-20, 20.53",
        "3/8-16, 50.0",
        "1/2-13, 91.55"
    })
    void stressAreasAreThoseOfTheStandards(String thread, double area) {
        assertThat(ScrewThread.read(thread).orElseThrow().stressAreaMm2()).isCloseTo(area, within(0.004 * area));
    }

    /** Proof loads of ISO 898-1, table 5: M8 8.8 21.2 kN, M10 10.9 48.1 kN, M20 8.8 147 kN, M6 4.6 4.52 kN. */
    @ParameterizedTest
    @CsvSource({"M8, C8_8, 21.2", "M10, C10_9, 48.1", "M20, C8_8, 147", "M6, C4_6, 4.52"})
    void proofLoadsAreThoseOfTheStandard(String thread, Strength strength, double kn) {
        ScrewThread t = ScrewThread.read(thread).orElseThrow();
        assertThat(strength.proofMpa(t.diameterMm()) * t.stressAreaMm2() / 1_000)
                .isCloseTo(kn, within(0.005 * kn));
    }

    @ParameterizedTest
    @CsvSource({"M8x1.25x3", "M9", "8", "1/0-20", "M8x9", "x"})
    void whatIsNoThreadIsNotReadAsOne(String thread) {
        assertThat(ScrewThread.read(thread)).isEmpty();
    }

    @Property(tries = 400)
    void aChosenWrenchStaysInTheRangeAndOneIsChosenWheneverOneQualifies(@ForAll long seed) {
        Random random = new Random(seed);
        double low = 2 + random.nextInt(80);
        TorqueInput in = input(low, low * (1 + random.nextDouble() * 0.4), wrenches(random), random);

        TorqueResult out = TorqueEngine.run(in);

        double lowNm = in.unit().toNm(in.low()) + in.prevailingNm().orElse(0);
        double highNm = in.unit().toNm(in.high()) + in.prevailingNm().orElse(0);
        out.choice().ifPresent(c -> {
            Wrench w = in.wrenches().stream()
                    .filter(x -> x.id().equals(c.wrench()))
                    .findFirst()
                    .orElseThrow();
            assertThat(c.lowNm()).isGreaterThanOrEqualTo(lowNm * (1 - 1e-9));
            assertThat(c.highNm()).isLessThanOrEqualTo(highNm * (1 + 1e-9));
            assertThat(c.setting() / w.step()).isCloseTo(Math.rint(c.setting() / w.step()), within(1e-6));
            assertThat(c.setting()).isBetween(Math.max(w.min(), 0.2 * w.max()) - 1e-6, w.max() + 1e-6);
        });
        double narrowest = in.wrenches().stream()
                .mapToDouble(w -> narrowest(in, w, lowNm, highNm))
                .min()
                .orElse(Double.NaN);
        assertThat(out.choice().isPresent()).isEqualTo(Double.isFinite(narrowest));
        assertThat(out.refused()).hasSize(in.wrenches().size() - (out.choice().isPresent() ? 1 : 0));
    }

    /** Tries every setting of a wrench. */
    private static double narrowest(TorqueInput in, Wrench w, double lowNm, double highNm) {
        double best = Double.POSITIVE_INFINITY;
        for (long k = 0; k * w.step() <= w.max() + 1e-9; k++) {
            double setting = k * w.step();
            double nm = w.unit().toNm(setting) * in.gain(w);
            boolean ok = setting >= Math.max(w.min(), 0.2 * w.max()) - 1e-9
                    && nm * (1 - w.accuracy()) >= lowNm * (1 - 1e-10)
                    && nm * (1 + w.accuracy()) <= highNm * (1 + 1e-10);
            best = ok ? Math.min(best, 2 * nm * w.accuracy()) : best;
        }
        return best;
    }

    @Property
    void everyBoltOncePerStageAndNeverNearerThanAQuarterTurn(@ForAll @IntRange(min = 3, max = 16) int count) {
        List<Integer> order = BoltOrder.of(Layout.RING, count, count);

        assertThat(new HashSet<>(order)).hasSize(count);
        assertThat(order).allMatch(b -> b >= 1 && b <= count).hasSize(count);
        for (int i = 1; count >= 4 && i < count; i++) {
            assertThat(BoltOrder.apart(order.get(i - 1), order.get(i), count)).isGreaterThanOrEqualTo(90 - 1e-9);
        }
    }

    @Test
    void aGridAndALineBeginInTheMiddle() {
        assertThat(BoltOrder.of(Layout.GRID, 9, 3).get(0)).isEqualTo(5);
        assertThat(BoltOrder.of(Layout.GRID, 8, 4)).startsWith(2, 7).hasSize(8).doesNotHaveDuplicates();
        assertThat(BoltOrder.of(Layout.LINE, 5, 5)).containsExactly(3, 2, 4, 1, 5);
    }

    @Test
    void aSlipOfTheUnitIsNamed() {
        TorqueResult over = TorqueEngine.run(plain(60, 75, TorqueUnit.LBF_FT, "M6", Strength.C8_8));
        TorqueResult under = TorqueEngine.run(plain(2.5, 2.8, TorqueUnit.LBF_IN, "M6", Strength.C8_8));

        assertThat(over.warnings()).first().asString().contains("foot-pounds where inch-pounds are meant");
        assertThat(under.warnings()).first().asString().contains("inch-pounds where foot-pounds are meant");
    }

    @Test
    void aLocknutsOwnTorqueIsOnTheWrenchAndNotInTheClamp() {
        TorqueInput bare = plain(20, 24, TorqueUnit.NM, "M8", Strength.C8_8);
        TorqueInput nut = new TorqueInput(
                20,
                24,
                0.05,
                TorqueUnit.NM,
                Aim.MIDDLE,
                Optional.of("M8"),
                Optional.of(Strength.C8_8),
                Condition.OILED,
                OptionalDouble.of(3),
                Optional.empty(),
                bare.wrenches(),
                1,
                Layout.RING,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(),
                List.of());

        assertThat(TorqueEngine.run(nut).clampKn())
                .isEqualTo(TorqueEngine.run(bare).clampKn());
        assertThat(TorqueEngine.run(nut).choice().orElseThrow().setting())
                .isEqualTo(TorqueEngine.run(bare).choice().orElseThrow().setting() + 3);
    }

    @Test
    void withoutAWrenchThatDoesTheNearestIsNamed() {
        Wrench huge = new Wrench("huge", TorqueUnit.LBF_FT, 50, 250, 5, 600, 0.04);
        TorqueInput in = new TorqueInput(
                20,
                24,
                0.05,
                TorqueUnit.NM,
                Aim.MIDDLE,
                Optional.empty(),
                Optional.empty(),
                Condition.OILED,
                OptionalDouble.empty(),
                Optional.empty(),
                List.of(huge),
                1,
                Layout.RING,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(),
                List.of());
        TorqueResult out = TorqueEngine.run(in);

        assertThat(out.choice()).isEmpty();
        assertThat(out.refused()).singleElement().satisfies(r -> assertThat(r.why())
                .contains("begins at"));
        assertThat(out.warnings()).singleElement().asString().contains("Nearest: huge");
        assertThat(out.clampKn()).isEmpty();
        assertThat(TorqueWords.notes(in, out)).anyMatch(n -> n.contains("No wrench covers the range"));
    }

    @Test
    void aRangeUpsideDownAWrenchUpsideDownAndNoThreadAreRefused() {
        Problems problems = new Problems();
        Wrench wrong = new Wrench("w", TorqueUnit.NM, 60, 5, 1, 300, 0.03);
        wrong.check(problems, "/wrenches/0");
        new TorqueInput(
                        24,
                        20,
                        0.05,
                        TorqueUnit.NM,
                        Aim.MIDDLE,
                        Optional.of("M9y"),
                        Optional.empty(),
                        Condition.DRY,
                        OptionalDouble.empty(),
                        Optional.of(new Adapter(300, 180)),
                        List.of(wrong),
                        6,
                        Layout.GRID,
                        OptionalDouble.of(2),
                        OptionalDouble.of(2),
                        List.of(),
                        List.of(0.5, 0.5))
                .check(problems, "");

        assertThat(problems.list())
                .extracting(p -> p.at())
                .containsExactly("/wrenches/0/min", "/low", "/thread", "/count", "/stages/1", "/adapter");
    }

    private static TorqueInput plain(double low, double high, TorqueUnit unit, String thread, Strength strength) {
        return new TorqueInput(
                low,
                high,
                0.05,
                unit,
                Aim.MIDDLE,
                Optional.of(thread),
                Optional.of(strength),
                Condition.OILED,
                OptionalDouble.empty(),
                Optional.empty(),
                List.of(new Wrench("mid", TorqueUnit.NM, 5, 60, 0.5, 320, 0.03)),
                1,
                Layout.RING,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(),
                List.of());
    }

    private static List<Wrench> wrenches(Random random) {
        List<Wrench> wrenches = new ArrayList<>();
        for (int i = 0; i < random.nextInt(4); i++) {
            double max = 10 + random.nextInt(200);
            double[] steps = {0.1, 0.25, 0.5, 1, 2, 5};
            wrenches.add(new Wrench(
                    "w" + i,
                    TorqueUnit.values()[random.nextInt(4)],
                    max * random.nextDouble() * 0.3,
                    max,
                    steps[random.nextInt(steps.length)],
                    200 + random.nextInt(400),
                    0.01 + 0.05 * random.nextDouble()));
        }
        return wrenches;
    }

    private static TorqueInput input(double low, double high, List<Wrench> wrenches, Random random) {
        return new TorqueInput(
                low,
                high,
                0.05,
                TorqueUnit.values()[random.nextInt(3)],
                Aim.values()[random.nextInt(3)],
                Optional.empty(),
                Optional.empty(),
                Condition.OILED,
                random.nextBoolean() ? OptionalDouble.of(random.nextInt(5)) : OptionalDouble.empty(),
                random.nextBoolean()
                        ? Optional.of(new Adapter(random.nextInt(120), random.nextInt(180)))
                        : Optional.empty(),
                wrenches,
                1 + random.nextInt(12),
                Layout.RING,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                List.of(),
                List.of());
    }
}
