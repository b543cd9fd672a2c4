package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import mussel.exchange.parts.CatalogueFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A yard's own catalogue of parts. */
class CatalogueFolderTest {
    @TempDir
    Path folder;

    private CatalogueFolder own(String yaml) throws IOException {
        Files.writeString(folder.resolve(CatalogueFolder.FILE), yaml);
        return CatalogueFolder.load(folder);
    }

    @Test
    void withoutAFileTheCatalogueIsTheOneThatShips() {
        assertThat(CatalogueFolder.load(folder).catalogue()).isEqualTo(CatalogueFiles.shipped());
        assertThat(CatalogueFolder.load(folder).refused()).isEmpty();
    }

    @Test
    void theYardsOwnTakesItsPlace() throws IOException {
        CatalogueFolder supplied = own(
                """
                suppliers: [{id: Ours, shipping: 2}]
                families:
                  - family: tern-60
                    offers: [{sku: I, supplier: Ours, price: 20, contains: [{part: impeller, qty: 1}], stock: 3, lead_days: 1}]
                """);

        assertThat(supplied.refused()).isEmpty();
        assertThat(supplied.catalogue().of("tern-60").price("impeller")).hasValue(20);
        assertThat(supplied.catalogue().of("wren-8").offers()).isEmpty();
    }

    @Test
    void aBrokenOneIsToldAndTheShippedOneIsUsed() throws IOException {
        for (String bad : new String[] {
            "suppliers: [{id: Ours}]",
            "families: [{family: tern-60, offers: [{sku: I}]}]",
            ": : :",
            "shelves: []",
            "suppliers: [{id: A, shipping: -1}]"
        }) {
            CatalogueFolder supplied = own(bad);
            assertThat(supplied.refused()).as(bad).isNotEmpty().allMatch(p -> p.startsWith("catalogue.yaml "));
            assertThat(supplied.catalogue()).isEqualTo(CatalogueFiles.shipped());
        }
        Files.write(folder.resolve(CatalogueFolder.FILE), new byte[9 * 1024 * 1024]);
        assertThat(CatalogueFolder.load(folder).refused())
                .singleElement()
                .asString()
                .contains("is 9 MB; at most 8 MB are read");
    }
}
