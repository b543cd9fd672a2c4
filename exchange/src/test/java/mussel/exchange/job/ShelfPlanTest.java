package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.book.ShelfPlan;
import mussel.core.job.LegRef;
import mussel.core.job.Suppliers;
import mussel.core.job.Yard;
import mussel.core.log.Due;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Offer;
import mussel.core.parts.PartsEngine;
import mussel.core.parts.PartsInput;
import mussel.core.parts.PartsResult;
import mussel.core.parts.Price;
import mussel.core.parts.Seller;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

class ShelfPlanTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);
    private static final List<SpecSheet> FAMILIES = SheetFiles.shipped();
    private static final SpecSheet TERN =
            FAMILIES.stream().filter(f -> f.id().equals("tern-60")).findFirst().orElseThrow();
    private static final Yard YARD = SheetFiles.shippedYard().keeping(List.of());

    private static Awaiting due(String boat, String id, LocalDate on) {
        return new Awaiting(
                1,
                new LegRef(boat, boat, LegRef.Position.SINGLE, TERN.id()),
                new Due(id, id, OptionalDouble.empty(), on),
                List.of());
    }

    private static ShelfPlan plan(Yard yard, Map<String, Integer> counts, Awaiting... awaiting) {
        return ShelfPlan.of(FAMILIES, f -> f == TERN ? counts : Map.of(), List.of(), List.of(awaiting), yard, TODAY);
    }

    private static Optional<ShelfPlan.Line> line(ShelfPlan plan, String part) {
        return plan.lines().stream().filter(l -> l.part().equals(part)).findFirst();
    }

    @Test
    void whatFallsDueInTwoMonthsStandsAgainstTheShelfAndWhatIsLaterDoesNot() {
        ShelfPlan plan = plan(
                YARD,
                Map.of("impeller", 1),
                due("Byssus", "pump", TODAY.plusMonths(2)),
                due("Byssus", "gear_oil", TODAY.plusDays(20)),
                due("Spat Lass", "pump", TODAY.minusDays(3)),
                due("Mytilus", "pump", TODAY.plusMonths(2).plusDays(1)));
        ShelfPlan.Line impeller = line(plan, "impeller").orElseThrow();
        assertThat(impeller.due()).isEqualTo(2);
        assertThat(impeller.whose()).hasSize(2).noneMatch(l -> l.contains("Mytilus"));
        assertThat(impeller.gap()).isEqualTo(1);
        assertThat(impeller.why()).contains("2 due", "Byssus");
        assertThat(line(plan, "plug_washer").orElseThrow().due())
                .isEqualTo(TERN.part("plug_washer").orElseThrow().qty());
        assertThat(plan.oilMl()).isEqualTo(TERN.oil().capacityMl().orElseThrow());
    }

    @Test
    void whatIsToStayIsMissedAndWhatIsOnItsWayIsNot() {
        Yard keeps = YARD.keeping(List.of(new Yard.Least("tern-60", "ds_seal", 4)));
        assertThat(line(plan(keeps, Map.of("ds_seal", 1)), "ds_seal")
                        .orElseThrow()
                        .gap())
                .isEqualTo(3);
        Yard awaits = keeps.awaiting(List.of(new Yard.Coming("tern-60", "ds_seal", 2, "Skerry", "2026-12-04")));
        assertThat(line(plan(awaits, Map.of("ds_seal", 1)), "ds_seal")
                        .orElseThrow()
                        .gap())
                .isEqualTo(1);
    }

    @Test
    void theOrderClosesTheGapWhateverLiesThere() {
        Random random = new Random(4);
        for (int round = 0; round < 40; round++) {
            List<Yard.Least> least = new ArrayList<>();
            Map<String, Integer> counts = new HashMap<>();
            for (SpecSheet family : FAMILIES) {
                family.parts().stream().filter(p -> random.nextInt(6) == 0).forEach(p -> {
                    least.add(new Yard.Least(family.id(), p.id(), random.nextInt(4)));
                    if (family == TERN) {
                        counts.put(p.id(), random.nextInt(3));
                    }
                });
            }
            Yard keeps = YARD.keeping(least);
            ShelfPlan plan = plan(keeps, counts, due("Byssus", "pump", TODAY));
            PartsInput asked = plan.order(f -> CatalogueFiles.shipped());
            PartsResult found = PartsEngine.run(asked);
            if (!found.feasible()) {
                assertThat(found.missing()).isNotEmpty();
                continue;
            }
            Yard ordered = keeps.awaiting(ShelfPlan.coming(asked, found, TODAY));
            ShelfPlan after = plan(ordered, counts, due("Byssus", "pump", TODAY));
            assertThat(after.missing().size())
                    .as("round " + round + ": only what nobody sells is still missing")
                    .isEqualTo(plan.unlisted(f -> CatalogueFiles.shipped()).size());
        }
    }

    @Test
    void aPriceInAnotherMoneyCountsAtItsRateAndNotAtAllWithoutOne() {
        Seller seller = Seller.named("Haldrec counter")
                .asking(Optional.of("NOK"), OptionalDouble.of(0.1), Optional.of("2026-11-20"));
        Price washer = new Price("haldrec counter", "t60-0601", 15, 1, OptionalDouble.of(3), OptionalDouble.empty());
        Yard buys = YARD.buying(List.of(seller), List.of(washer));
        Catalogue catalogue = Suppliers.of(CatalogueFiles.shipped(), buys, TERN);
        Offer offer = catalogue.of("tern-60").offers().stream()
                .filter(o -> o.sku().equals("T60-0601"))
                .findFirst()
                .orElseThrow();
        assertThat(offer.price()).isEqualTo(1.5);
        assertThat(offer.stock()).isEqualTo(3);
        assertThat(offer.leadDays()).as("as the catalogue has it").isEqualTo(3);
        assertThat(Suppliers.rate(buys, "Haldrec counter"))
                .hasValueSatisfying(r -> assertThat(r).contains("NOK", "0.1", "2026-11-20"));
        Yard unrated = YARD.buying(
                List.of(seller.asking(Optional.of("NOK"), OptionalDouble.empty(), Optional.empty())), List.of(washer));
        assertThat(Suppliers.of(CatalogueFiles.shipped(), unrated, TERN)
                        .of("tern-60")
                        .offers())
                .noneMatch(o -> o.sku().equals("T60-0601"));
        assertThat(Suppliers.unrated(unrated)).singleElement().asString().contains("left out");
        assertThat(Suppliers.of(CatalogueFiles.shipped(), YARD, TERN)).isSameAs(CatalogueFiles.shipped());
    }
}
