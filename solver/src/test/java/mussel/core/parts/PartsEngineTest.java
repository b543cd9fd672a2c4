package mussel.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.measure.Money;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PartsEngineTest {
    private static final List<Supplier> SHIPS =
            List.of(new Supplier("A", 6, OptionalDouble.of(60)), new Supplier("B", 4, OptionalDouble.empty()));

    @Property(tries = 150)
    void costsWhatTheBestOfAllOrdersCosts(@ForAll long seed) {
        PartsInput in = small(new Random(seed));

        PartsResult out = PartsEngine.run(in);
        double best = BruteForce.least(in);

        assertThat(out.feasible()).isEqualTo(Double.isFinite(best));
        if (out.feasible()) {
            assertThat(out.total().orElseThrow()).isCloseTo(best, within(1e-9));
            assertThat(out.gap()).isZero();
        }
    }

    @Test
    void daysThatTheBoatStandsArePartOfWhatIsCheapest() {
        List<Offer> offers = List.of(
                new Offer("slow", "A", 20, List.of(new Wanted("seal", 1)), 9, 6),
                new Offer("soon", "B", 32, List.of(new Wanted("seal", 1)), 9, 1));
        PartsResult free = PartsEngine.run(standing(offers, 0));
        assertThat(free.lines()).extracting(PartsResult.Line::sku).containsExactly("slow");
        assertThat(free.waiting()).isZero();
        PartsResult dear = PartsEngine.run(standing(offers, 40));
        assertThat(dear.lines()).extracting(PartsResult.Line::sku).containsExactly("soon");
        assertThat(dear.total()).as("the order alone").hasValue(36);
        assertThat(dear.waiting()).as("beside it").isEqualTo(40);
        assertThat(new PartsWords(standing(offers, 40), dear, Money.of("EUR").orElseThrow(), p -> p).summary())
                .contains("Downtime costs", "in total");
        assertThat(PartsEngine.run(standing(offers, 1)).lines())
                .as("a day that costs little changes nothing")
                .extracting(PartsResult.Line::sku)
                .containsExactly("slow");
    }

    private static PartsInput standing(List<Offer> offers, double dayCost) {
        return new PartsInput(
                List.of(new Wanted("seal", 1)),
                List.of(),
                offers,
                SHIPS,
                Objective.COST,
                OptionalDouble.empty(),
                dayCost);
    }

    @Property(tries = 60)
    void coversTheNeedWithinStockAndCountsWhatIsSpare(@ForAll long seed) {
        PartsInput in = small(new Random(seed));
        PartsResult out = PartsEngine.run(in);
        if (!out.feasible()) {
            assertThat(out.missing()).isNotEmpty();
            assertThat(out.total()).isEmpty();
            return;
        }
        Map<String, Integer> have = new HashMap<>();
        out.fromShelf().forEach(w -> have.merge(w.part(), w.qty(), Integer::sum));
        double goods = 0;
        for (PartsResult.Line line : out.lines()) {
            Offer offer = in.offers().stream()
                    .filter(o -> o.sku().equals(line.sku()) && o.supplier().equals(line.supplier()))
                    .findFirst()
                    .orElseThrow();
            assertThat(line.qty()).isBetween(1, offer.stock());
            offer.contains().forEach(c -> have.merge(c.part(), c.qty() * line.qty(), Integer::sum));
            goods += line.cost();
        }
        assertThat(out.total().orElseThrow()).isCloseTo(goods + out.shipping(), within(1e-9));
        in.need().forEach(n -> have.merge(n.part(), -n.qty(), Integer::sum));
        Map<String, Integer> spare = new HashMap<>();
        out.spare().forEach(w -> spare.put(w.part(), w.qty()));
        have.values().removeIf(q -> q == 0);
        assertThat(have).isEqualTo(spare);
    }

    @Property(tries = 60)
    void theSoonestOrderIsNeverLaterAndTheCheapestNeverDearer(@ForAll long seed) {
        PartsInput in = small(new Random(seed));
        PartsResult cheap = PartsEngine.run(in);
        PartsResult soon = PartsEngine.run(in.with(Objective.SPEED));
        if (cheap.feasible()) {
            assertThat(soon.leadDays().orElseThrow())
                    .isLessThanOrEqualTo(cheap.leadDays().orElseThrow());
            assertThat(cheap.total().orElseThrow())
                    .isLessThanOrEqualTo(soon.total().orElseThrow() + 1e-9);
            assertThat(cheap.alternatives().get(0).total())
                    .isEqualTo(soon.total().orElseThrow());
            assertThat(cheap.alternatives().get(0).leadDays())
                    .isEqualTo(soon.leadDays().orElseThrow());
        }
    }

    @Test
    void aSurplusIsBoughtWhereItSavesTheParcel() {
        PartsInput in = in(
                List.of(new Wanted("seal", 2)),
                List.of(new Offer("S", "A", 20, List.of(new Wanted("seal", 1)), 9, 2)),
                List.of(new Supplier("A", 25, OptionalDouble.of(60))));

        PartsResult out = PartsEngine.run(in);

        assertThat(out.total()).hasValue(60);
        assertThat(out.shipping()).isZero();
        assertThat(out.spare()).containsExactly(new Wanted("seal", 1));
    }

    @Test
    void theShelfIsUsedFirst() {
        PartsInput in = new PartsInput(
                List.of(new Wanted("seal", 2), new Wanted("key", 1)),
                List.of(new Shelved("seal", 5), new Shelved("key", 0)),
                List.of(new Offer("K", "A", 3, List.of(new Wanted("key", 1)), 1, 1)),
                SHIPS,
                Objective.COST,
                OptionalDouble.empty(),
                0);

        PartsResult out = PartsEngine.run(in);

        assertThat(out.fromShelf()).containsExactly(new Wanted("seal", 2));
        assertThat(out.total()).hasValue(9);
    }

    @Test
    void whatNoOfferGivesIsNamedAndNothingIsPriced() {
        PartsInput in = in(
                List.of(new Wanted("seal", 3), new Wanted("cup", 1)),
                List.of(new Offer("S", "A", 20, List.of(new Wanted("seal", 1)), 1, 2)),
                SHIPS);

        PartsResult out = PartsEngine.run(in);

        assertThat(out.feasible()).isFalse();
        assertThat(out.total()).isEmpty();
        assertThat(out.missing()).containsExactly(new Wanted("seal", 2), new Wanted("cup", 1));
        assertThat(new PartsWords(in, out, Money.UNSAID).summary()).contains("2 × seal, 1 × cup");
    }

    @Test
    void aDeadlineLeavesOutWhatComesLater() {
        List<Offer> offers = List.of(
                new Offer("LATE", "A", 5, List.of(new Wanted("seal", 1)), 9, 9),
                new Offer("SOON", "B", 50, List.of(new Wanted("seal", 1)), 9, 1));
        PartsInput free = in(List.of(new Wanted("seal", 1)), offers, SHIPS);
        PartsInput bound =
                new PartsInput(free.need(), List.of(), offers, SHIPS, Objective.COST, OptionalDouble.of(3), 0);

        assertThat(PartsEngine.run(free).lines().get(0).sku()).isEqualTo("LATE");
        assertThat(PartsEngine.run(bound).lines().get(0).sku()).isEqualTo("SOON");
    }

    @Test
    void whatAKitLeavesOutIsSaid() {
        List<Offer> offers = List.of(
                new Offer("KIT", "A", 10, List.of(new Wanted("impeller", 1), new Wanted("key", 1)), 2, 1),
                new Offer("SEAL", "A", 8, List.of(new Wanted("seal", 1)), 4, 1));
        PartsInput in =
                in(List.of(new Wanted("impeller", 1), new Wanted("key", 1), new Wanted("seal", 2)), offers, SHIPS);

        assertThat(new PartsWords(in, PartsEngine.run(in), Money.UNSAID).leftOut())
                .singleElement()
                .asString()
                .contains("Not in the kit KIT", "2 × seal");
    }

    private static PartsInput in(List<Wanted> need, List<Offer> offers, List<Supplier> suppliers) {
        return new PartsInput(need, List.of(), offers, suppliers, Objective.COST, OptionalDouble.empty(), 0);
    }

    /** A few needs and offers at random, sometimes not to be covered. */
    private static PartsInput small(Random random) {
        List<Wanted> need = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            need.add(new Wanted("p" + i, 1 + random.nextInt(3)));
        }
        List<Offer> offers = new ArrayList<>();
        for (int i = 0; i < 3 + random.nextInt(4); i++) {
            List<Wanted> contains = new ArrayList<>();
            contains.add(new Wanted("p" + random.nextInt(3), 1 + random.nextInt(2)));
            if (random.nextInt(3) == 0) {
                contains.add(new Wanted("p" + random.nextInt(4), 1));
            }
            offers.add(new Offer(
                    "s" + i,
                    random.nextBoolean() ? "A" : "B",
                    random.nextInt(4000) / 100.0,
                    contains,
                    random.nextInt(4),
                    random.nextInt(6)));
        }
        List<Shelved> shelf = random.nextInt(3) == 0 ? List.of(new Shelved("p0", 1)) : List.of();
        return new PartsInput(need, shelf, offers, SHIPS, Objective.COST, OptionalDouble.empty(), 0);
    }
}
