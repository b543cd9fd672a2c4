package mussel.core.torque;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import mussel.core.measure.Problems;
import mussel.core.measure.TorqueUnit;
import mussel.core.torque.TorqueInput.Aim;
import mussel.core.torque.TorqueInput.Condition;
import mussel.core.torque.TorqueInput.Layout;
import mussel.core.torque.TorqueInput.Spot;
import mussel.core.torque.TorqueInput.Wrench;
import org.junit.jupiter.api.Test;

/** Rules of the bench for a torque, each with a case beside it that stays as it was. */
class TorqueRulesTest {
    private static final Wrench FINE = new Wrench("fine", TorqueUnit.NM, 5, 60, 0.5, 320, 0.03);
    private static final Wrench COARSE = new Wrench("coarse", TorqueUnit.NM, 5, 60, 2, 320, 0.03);

    private String thread = "M8";
    private Optional<Strength> strength = Optional.of(Strength.C8_8);
    private double share = 0.05;
    private List<Wrench> wrenches = List.of(FINE);
    private Layout layout = Layout.RING;
    private int count = 1;
    private OptionalDouble rows = OptionalDouble.empty();
    private OptionalDouble columns = OptionalDouble.empty();
    private List<Spot> places = List.of();

    private TorqueInput of(double low, double high) {
        return new TorqueInput(
                low,
                high,
                share,
                TorqueUnit.NM,
                Aim.MIDDLE,
                Optional.of(thread).filter(t -> !t.isEmpty()),
                strength,
                Condition.OILED,
                OptionalDouble.empty(),
                Optional.empty(),
                wrenches,
                count,
                layout,
                rows,
                columns,
                places,
                List.of());
    }

    @Test
    void onePrintedFigureIsThatFigureGiveOrTakeFivePercentAndSaysSo() {
        TorqueResult one = TorqueEngine.run(of(20, 20));
        assertThat(one.choice().orElseThrow().setting()).isEqualTo(20);
        assertThat(one.choice().orElseThrow().lowNm()).isGreaterThanOrEqualTo(19);
        assertThat(one.choice().orElseThrow().highNm()).isLessThanOrEqualTo(21);
        assertThat(one.warnings()).singleElement().asString().contains("The manual prints one value", "an assumption");
        share = 0.02;
        assertThat(TorqueEngine.run(of(20, 20)).choice())
                .as("a yard that wants less")
                .isEmpty();
        assertThat(TorqueEngine.run(of(18, 22)).warnings())
                .as("a range is a range")
                .isEmpty();
    }

    @Test
    void whereNoneQualifiesTheBestIsNamedWithWhatItDeliversAndByHowMuchItMisses() {
        TorqueResult out = TorqueEngine.run(of(20, 20.4));
        assertThat(out.choice()).isEmpty();
        TorqueResult.Nearest nearest = out.nearest().orElseThrow();
        assertThat(nearest.choice().wrench()).isEqualTo("fine");
        assertThat(nearest.choice().setting()).isEqualTo(20);
        assertThat(nearest.missNm()).isCloseTo(0.6, within(1e-9));
        assertThat(out.warnings()).anyMatch(w -> w.contains("fine, set to 20 N·m") && w.contains("0.60 N·m outside"));
        assertThat(TorqueEngine.run(of(18, 22)).nearest())
                .as("one that qualifies is chosen")
                .isEmpty();
    }

    @Test
    void noSettingIsShownAboveWhatTheBoltHolds() {
        thread = "M6";
        wrenches = List.of(new Wrench("big", TorqueUnit.NM, 20, 200, 1, 500, 0.03));
        TorqueResult own = TorqueEngine.run(of(75, 83));
        assertThat(own.unitAsked()).isTrue();
        assertThat(own.choice()).isEmpty();
        assertThat(own.nearest()).isEmpty();
        assertThat(own.stages()).allMatch(s -> s.setting().isEmpty());
        assertThat(own.warnings()).first().asString().contains("its unit in the manual again");
        strength = Optional.empty();
        TorqueResult any = TorqueEngine.run(of(75, 83));
        assertThat(any.unitAsked()).as("no class holds it").isTrue();
        assertThat(any.choice()).isEmpty();
        thread = "M12";
        assertThat(TorqueEngine.run(of(75, 83)).choice())
                .as("a larger one does")
                .isPresent();
    }

    @Test
    void noSettingExceedsTheProofLoadOnThousandsOfBolts() {
        SplittableRandom random = new SplittableRandom(3510);
        for (int i = 0; i < 5_000; i++) {
            thread = List.of("M5", "M6", "M8", "M10", "M12").get(random.nextInt(5));
            strength = random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(Strength.values()[random.nextInt(Strength.values().length)]);
            double low = 2 + 150 * random.nextDouble();
            TorqueInput in = of(low, low * 1.2);
            ScrewThread bolt = ScrewThread.read(thread).orElseThrow();
            double proof = strength.map(s -> s.proofMpa(bolt.diameterMm())).orElse(Strength.STRONGEST_MPA)
                    * bolt.stressAreaMm2()
                    / 1_000;
            double clamp = low * 1.1 / (0.16 * bolt.diameterMm());
            TorqueResult out = TorqueEngine.run(in);
            assertThat(out.choice().isPresent() || out.nearest().isPresent())
                    .as("%s %s %s N·m", thread, strength, low)
                    .isEqualTo(0.75 * clamp <= proof);
        }
    }

    @Test
    void ofEqualBandsTheFinerStepWinsAndThatIsWhatIsSaid() {
        wrenches = List.of(COARSE, FINE);
        TorqueResult out = TorqueEngine.run(of(18, 22));
        assertThat(out.choice().orElseThrow().wrench()).isEqualTo("fine");
        assertThat(out.refused())
                .singleElement()
                .extracting(TorqueResult.Refused::why)
                .asString()
                .contains("its step of 2.00 N·m is coarser")
                .doesNotContain("wider");
    }

    @Test
    void boltsGoByTheirPlacesFromTheMiddleOutAndTheOneLeftComesLast() {
        count = 5;
        places = List.of(new Spot(0, 0), new Spot(40, 0), new Spot(0, 30), new Spot(40, 30), new Spot(120, 15));
        List<Integer> order = TorqueEngine.run(of(18, 22)).order();
        assertThat(order).hasSize(5).doesNotHaveDuplicates();
        assertThat(order.get(4)).as("the one ahead of the two pairs").isEqualTo(5);
        assertThat(List.of(order.get(0), order.get(1))).as("a pair, across").isIn(List.of(2, 4), List.of(4, 2));
    }

    @Test
    void aGridNeedsNoRectangle() {
        layout = Layout.GRID;
        count = 7;
        rows = OptionalDouble.of(4);
        columns = OptionalDouble.of(2);
        Problems problems = new Problems();
        of(18, 22).check(problems, "");
        assertThat(problems.list()).isEmpty();
        assertThat(TorqueEngine.run(of(18, 22)).order())
                .startsWith(3, 4)
                .endsWith(7)
                .hasSize(7);
        rows = OptionalDouble.of(5);
        of(18, 22).check(problems, "");
        assertThat(problems.list()).extracting(p -> p.at()).containsExactly("/count");
    }
}
