package mussel.core.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import mussel.core.fill.FillInput.Bottle;
import mussel.core.fill.FillResult.Check;
import mussel.core.fill.FillResult.Origin;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FillEngineTest {
    private static FillResult fill(double need, OptionalDouble pumped, Bottle... bottles) {
        return FillEngine.run(new FillInput(need, 0, 0, 0, List.of(bottles), pumped));
    }

    @Provide
    Arbitrary<List<Bottle>> bottles() {
        Arbitrary<Bottle> one = Combinators.combine(
                        Arbitraries.integers().between(40, 400),
                        Arbitraries.integers().between(1, 30))
                .as((ml, price) -> new Bottle("b" + ml + "-" + price, ml, price, 0, 0));
        return one.list().ofMinSize(1).ofMaxSize(3);
    }

    @Property
    void theCoverIsTheCheapestAndOfThoseTheFewest(
            @ForAll("bottles") List<Bottle> bottles, @ForAll @IntRange(min = 20, max = 900) int need) {
        int[] counts = CheapestCover.of(bottles, need);
        double volume = 0;
        double cost = 0;
        int pieces = 0;
        for (int i = 0; i < counts.length; i++) {
            volume += counts[i] * bottles.get(i).ml();
            cost += counts[i] * bottles.get(i).price();
            pieces += counts[i];
        }
        assertThat(volume).isGreaterThanOrEqualTo(need);
        double[] best = brute(bottles, need, 0);
        assertThat(cost).isCloseTo(best[0], within(1e-9));
        assertThat((double) pieces).isEqualTo(best[1]);
    }

    /** Least cost, then least count, by trying everything. */
    private static double[] brute(List<Bottle> bottles, double need, int from) {
        if (need <= 0) {
            return new double[] {0, 0};
        }
        double[] best = {Double.MAX_VALUE, Double.MAX_VALUE};
        for (int i = from; i < bottles.size(); i++) {
            double[] rest = brute(bottles, need - bottles.get(i).ml(), i);
            double cost = rest[0] + bottles.get(i).price();
            if (cost < best[0] - 1e-9 || (cost < best[0] + 1e-9 && rest[1] + 1 < best[1])) {
                best = new double[] {cost, rest[1] + 1};
            }
        }
        return best;
    }

    @Property
    void whatIsPouredIsWhatIsNeededAndTheRestIsLeft(
            @ForAll("bottles") List<Bottle> bottles, @ForAll @IntRange(min = 20, max = 900) int need) {
        FillResult result =
                fill(need, OptionalDouble.empty(), bottles.stream().distinct().toArray(Bottle[]::new));
        double given =
                result.pour().stream().mapToDouble(FillResult.Pour::givesMl).sum();
        assertThat(given).isCloseTo(need, within(1e-6));
        List<FillResult.Pour> pours = new ArrayList<>(result.pour());
        FillResult.Pour last = pours.remove(pours.size() - 1);
        assertThat(pours).allSatisfy(p -> assertThat(p.leavesMl()).isZero());
        assertThat(result.leaveMl()).isCloseTo(last.leavesMl(), within(1e-9));
    }

    @Test
    void openedThenOwnedThenBoughtSmallerFirst() {
        FillResult result = fill(
                1500,
                OptionalDouble.empty(),
                new Bottle("litre", 1000, 19, 1, 120),
                new Bottle("tube", 250, 7.5, 1, 60));
        assertThat(result.pour())
                .extracting(FillResult.Pour::origin)
                .containsExactly(Origin.OPENED, Origin.OPENED, Origin.OWNED, Origin.OWNED, Origin.BOUGHT);
        assertThat(result.pour())
                .extracting(FillResult.Pour::name)
                .containsExactly("tube", "litre", "tube", "litre", "tube");
        assertThat(result.cost()).isEqualTo(7.5);
        assertThat(result.leaveMl()).isCloseTo(180, within(1e-9));
    }

    @Test
    void whatIsOwnedCostsNothing() {
        FillResult result = fill(430, OptionalDouble.empty(), new Bottle("litre", 1000, 19, 2, 0));
        assertThat(result.cost()).isZero();
        assertThat(result.use()).containsExactly(new FillResult.Use("litre", 1, 0, 0));
        assertThat(result.leaveIn()).contains("litre");
    }

    @Test
    void aBottleThatHoldsSomethingElseIsRefusedByName() {
        FillInput in = new FillInput(
                430,
                0,
                0,
                0,
                List.of(
                        new Bottle("gear", 500, 9, 0, 0),
                        new Bottle("sump", 1_000, 12, 1, 0, FillInput.Holds.ENGINE_OIL)),
                OptionalDouble.empty(),
                FillInput.Holds.GEAR_OIL);
        Problems problems = new Problems();
        in.check(problems, "");
        assertThat(problems.list()).singleElement().satisfies(p -> {
            assertThat(p.at()).isEqualTo("/bottles/1/holds");
            assertThat(p.problem()).contains("is engine_oil", "leave this bottle out");
        });
    }

    @Test
    void aShortageSmallerThanTheNeedIsKnownToBuysNothing() {
        FillInput near =
                new FillInput(430, 38, 40, 0, List.of(new Bottle("tube", 250, 7.5, 1, 175)), OptionalDouble.empty());
        FillResult out = FillEngine.run(near);
        assertThat(out.cost()).isZero();
        assertThat(out.missingMl()).isCloseTo(7, within(1e-9));
        assertThat(new FillWords(near, out, YardUnits.METRIC).notes())
                .anyMatch(n -> n.contains("Start with the open bottles. 7 ml may be missing"));
        FillInput far =
                new FillInput(430, 38, 40, 0, List.of(new Bottle("tube", 250, 7.5, 1, 140)), OptionalDouble.empty());
        assertThat(FillEngine.run(far).cost()).as("42 ml are missed").isEqualTo(7.5);
        assertThat(FillEngine.run(far).missingMl()).isZero();
        FillInput sure =
                new FillInput(430, 0, 0, 0, List.of(new Bottle("tube", 250, 7.5, 1, 175)), OptionalDouble.empty());
        assertThat(FillEngine.run(sure).cost()).as("where nothing is uncertain").isEqualTo(7.5);
    }

    @ParameterizedTest
    @CsvSource({"430, AS_EXPECTED", "409, AS_EXPECTED", "408, SHORT", "451, AS_EXPECTED", "452, OVER", "0, SHORT"})
    void whatWentInIsComparedAtFivePercent(double pumped, Check check) {
        FillResult result = fill(430, OptionalDouble.of(pumped), new Bottle("litre", 1000, 19, 0, 0));
        assertThat(result.check()).contains(check);
    }

    @Test
    void aFullCaseNeedsNothing() {
        FillInput in =
                new FillInput(430, 430, 0, 0, List.of(new Bottle("litre", 1000, 19, 0, 0)), OptionalDouble.empty());
        FillResult result = FillEngine.run(in);
        assertThat(result.pour()).isEmpty();
        assertThat(result.leaveIn()).isEmpty();
        assertThat(new FillWords(in, result, YardUnits.METRIC).leave()).contains("Nothing to fill");
    }

    @Test
    void aTankOfTwoHundredLitresIsCoveredToo() {
        FillResult result = fill(
                200_000,
                OptionalDouble.empty(),
                new Bottle("drum", 60_000, 300, 0, 0),
                new Bottle("can", 5_000, 30, 0, 0));
        assertThat(result.pour().stream().mapToDouble(FillResult.Pour::holdsMl).sum())
                .isGreaterThanOrEqualTo(200_000);
        assertThat(result.cost()).isEqualTo(3 * 300 + 4 * 30);
    }
}
