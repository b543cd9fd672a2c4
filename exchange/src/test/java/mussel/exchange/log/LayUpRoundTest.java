package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.book.LayUp;
import mussel.core.book.LayUpRound;
import mussel.core.fill.FillInput.Bottle;
import mussel.core.fill.FillInput.Holds;
import mussel.core.measure.YardUnits;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

class LayUpRoundTest {
    private static final List<Bottle> BOTTLES = SheetFiles.shippedYard().bottles();

    private static LayUpRound.Boat boat(String title, double engine, double filter, double tank, double gear) {
        return new LayUpRound.Boat(
                title,
                new LayUp(
                        OptionalDouble.of(tank),
                        OptionalDouble.of(2.5),
                        OptionalDouble.of(engine),
                        OptionalDouble.of(filter),
                        BOTTLES),
                OptionalDouble.of(gear));
    }

    private static double bought(LayUpRound round, Holds what) {
        return round.lines().stream()
                .filter(l -> l.what() == what)
                .flatMap(l -> l.use().stream())
                .mapToDouble(u -> u.buy()
                        * BOTTLES.stream()
                                .filter(b -> b.name().equals(u.name()))
                                .findFirst()
                                .orElseThrow()
                                .ml())
                .sum();
    }

    @Test
    void bottlesAreSharedOverTheBoats() {
        LayUpRound round = LayUpRound.of(
                List.of(boat("Byssus", 2_800, 200, 20_000, 430), boat("Mytilus", 2_800, 200, 20_000, 430)), BOTTLES);
        assertThat(round.lines())
                .extracting(LayUpRound.Line::what)
                .containsExactly(Holds.GEAR_OIL, Holds.ENGINE_OIL, Holds.STABILISER);
        assertThat(round.lines().get(0).says(YardUnits.METRIC))
                .isEqualTo("860 ml of gear oil for 2 boats: buy 1 × litre.");
        assertThat(round.lines().get(2).ml()).as("2.5 ml for each of 40 litres").isCloseTo(100, within(1e-9));
        assertThat(round.cost())
                .as("a litre, a can and two of engine oil, one stabiliser")
                .isEqualTo(19 + 38 + 2 * 11.5 + 13);
        assertThat(round.unknown()).isEmpty();
    }

    @Test
    void whatNobodyHasTypedIsNamedByBoatAndNotCounted() {
        LayUpRound.Boat bare = new LayUpRound.Boat(
                "Punt",
                new LayUp(
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        BOTTLES),
                OptionalDouble.of(160));
        LayUpRound round = LayUpRound.of(List.of(bare), BOTTLES);
        assertThat(round.unknown()).singleElement().asString().contains("Punt", "engine oil, stabiliser");
        assertThat(round.lines()).singleElement().satisfies(l -> assertThat(l.what())
                .isEqualTo(Holds.GEAR_OIL));
        assertThat(LayUpRound.of(List.of(), BOTTLES).lines()).isEmpty();
    }

    @Test
    void whateverTheFleetEnoughIsBoughtAndNoWholeBottleTooMuch() {
        Random random = new Random(19);
        for (int fleet = 1; fleet <= 120; fleet += 7) {
            List<LayUpRound.Boat> boats = new ArrayList<>();
            for (int i = 0; i < fleet; i++) {
                boats.add(boat(
                        "Boat " + i,
                        800 + random.nextInt(7_000),
                        random.nextInt(600),
                        5_000 + random.nextInt(400_000),
                        100 + random.nextInt(1_500)));
            }
            LayUpRound round = LayUpRound.of(boats, BOTTLES);
            for (LayUpRound.Line line : round.lines()) {
                double largest = BOTTLES.stream()
                        .filter(b -> b.holds() == line.what())
                        .mapToDouble(Bottle::ml)
                        .max()
                        .orElseThrow();
                assertThat(bought(round, line.what()) - line.ml())
                        .as(fleet + " boats, " + line.what())
                        .isBetween(-1e-6, largest);
            }
        }
    }
}
