package mussel.core.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mussel.core.fill.FillInput.Bottle;
import mussel.core.fill.FillInput.Holds;
import mussel.core.measure.YardUnits;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class VisitWorkTest {
    private static final List<Bottle> BOTTLES = List.of(
            new Bottle("litre", 1_000, 11.5, 0, 0, Holds.ENGINE_OIL),
            new Bottle("can", 4_000, 38, 0, 0, Holds.ENGINE_OIL),
            new Bottle("tube", 250, 1, 9, 0, Holds.GEAR_OIL));

    private static EngineOil oil(double takes, double filter, OptionalDouble went) {
        return new EngineOil(OptionalDouble.of(takes), OptionalDouble.of(filter), went, BOTTLES);
    }

    @Test
    void halfOfTheFilterIsHeldBackAndOilForGearsIsNotPoured() {
        EngineOil oil = oil(2_800, 300, OptionalDouble.empty());
        assertThat(oil.allMl()).hasValue(3_100);
        assertThat(oil.firstMl()).hasValue(2_950);
        assertThat(oil.says(YardUnits.METRIC))
                .containsExactly(
                        "Pour 2950 ml first and check the dipstick. Run the engine, wait and check again: the filter takes its share. 3100 ml in total with the filter.",
                        "To buy: 1 × can.");
        assertThat(oil.use().orElseThrow().cost())
                .as("a can is dearer than three litres and less than four")
                .isEqualTo(38);
        assertThat(oil(2_800, 300, OptionalDouble.of(3_500))
                        .says(YardUnits.METRIC)
                        .get(2))
                .contains("rain the excess");
        assertThat(oil(2_800, 300, OptionalDouble.of(3_150))
                        .says(YardUnits.METRIC)
                        .get(2))
                .contains("as expected");
        assertThat(new EngineOil(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), BOTTLES)
                        .says(YardUnits.METRIC))
                .singleElement()
                .asString()
                .contains("manual");
    }

    @Property
    void firstAndHeldBackAreAllOfIt(
            @ForAll @DoubleRange(min = 100, max = 20_000) double takes,
            @ForAll @DoubleRange(min = 0, max = 1_000) double filter) {
        EngineOil oil = oil(takes, filter, OptionalDouble.empty());
        assertThat(oil.firstMl().getAsDouble() + filter / 2)
                .isCloseTo(oil.allMl().getAsDouble(), within(1e-9));
        assertThat(oil.firstMl().getAsDouble()).isGreaterThanOrEqualTo(takes);
    }

    @Test
    void aCylinderUnlikeItsSistersIsNamedAndAllAlikeAreOfTheEngine() {
        assertThat(new Plugs(Map.of(1, "brown", 2, "brown", 3, "pale", 4, "brown")).says())
                .containsExactly("Cylinder 3 is pale, the others brown: lean: it runs hot.");
        assertThat(new Plugs(Map.of(1, "black", 2, "black")).says())
                .containsExactly("All cylinders are black: rich, or it misfires.");
        assertThat(new Plugs(Map.of(1, "black", 2, "brown")).odd()).containsExactly(1);
        assertThat(new Plugs(Map.of(1, "wet")).odd()).containsExactly(1);
        assertThat(new Plugs(Map.of()).says()).isEmpty();
    }

    @Property
    void oneOddAmongAtLeastThreeIsFoundWhereverItSits(
            @ForAll @IntRange(min = 3, max = 8) int cylinders, @ForAll @IntRange(min = 1, max = 8) int odd) {
        Map<Integer, String> colours = new HashMap<>();
        for (int i = 1; i <= cylinders; i++) {
            colours.put(i, i == odd ? "pale" : "black");
        }
        assertThat(new Plugs(colours).odd()).isEqualTo(odd <= cylinders ? List.of(odd) : List.of());
    }

    @ParameterizedTest
    @EnumSource(EngineSideItem.class)
    void eachItemSaysWhatItIsHowItIsDoneAndWhatWaitingRisks(EngineSideItem item) {
        assertThat(List.of(item.title(), item.how(), item.risk())).noneMatch(String::isBlank);
        assertThat(item.hours()).isPositive();
        assertThat(item.months()).isPositive();
        assertThat(EngineSideItem.of(item.id())).contains(item);
    }
}
