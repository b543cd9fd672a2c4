package mussel.exchange.parts;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mussel.core.measure.Problem;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Offer;
import mussel.core.parts.Wanted;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueFilesTest {
    private static final String SOUND =
            "suppliers:\n  - {id: A, shipping: 4}\nfamilies:\n  - family: tern-60\n    offers:\n"
                    + "      - {sku: X, supplier: A, price: 3, contains: [{part: key, qty: 1}], stock: 2, lead_days: 1}\n";

    @Test
    void everyPartAGoalRenewsCanBeBoughtForEveryFamilyThatShips() {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            Catalogue.FamilyOffers offers = CatalogueFiles.shipped().of(sheet.id());
            List<String> known = sheet.parts().stream().map(Part::id).toList();
            assertThat(offers.exchange()).isNotEmpty();
            sheet.goals().forEach(g -> g.fits().forEach(fit -> assertThat(offers.price(fit.part()))
                    .as(sheet.id() + " " + fit.part())
                    .isPresent()));
            for (Offer offer : offers.offers()) {
                assertThat(offer.contains()).extracting(Wanted::part).isSubsetOf(known);
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "supplier: A|supplier: B|/families/0/offers/0/supplier",
                "price: 3|price: -3|/families/0/offers/0/price",
                "price: 3|price: cheap|/families/0/offers/0/price",
                "stock: 2|stock: 2.5|/families/0/offers/0/stock",
                "lead_days: 1|lead_time: 1|/families/0/offers/0/lead_time",
                "qty: 1|qty: 0|/families/0/offers/0/contains/0/qty"
            })
    void aBrokenCatalogueNamesThePlace(String old, String broken, String place) {
        assertThat(CatalogueFiles.read(SOUND.getBytes(UTF_8)).value()).isPresent();

        assertThat(CatalogueFiles.read(SOUND.replace(old, broken).getBytes(UTF_8))
                        .problems())
                .extracting(Problem::at)
                .contains(place);
    }
}
