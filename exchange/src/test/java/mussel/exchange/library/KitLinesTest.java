package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mussel.core.measure.Problem;
import mussel.core.sheet.Kit;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KitLinesTest {
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);

    @Test
    void theKitsOfEveryFamilyComeBackAsTheyWereWritten() {
        for (SpecSheet family : SheetFiles.shipped()) {
            List<Kit> read =
                    KitLines.read(family, KitLines.write(family)).value().orElseThrow();
            assertThat(read)
                    .extracting(Kit::id)
                    .isEqualTo(family.kits().stream().map(Kit::id).toList());
            for (int i = 0; i < read.size(); i++) {
                assertThat(read.get(i).contains())
                        .extracting(PartQty::part, PartQty::qty)
                        .isEqualTo(family.kits().get(i).contains().stream()
                                .map(c -> org.assertj.core.groups.Tuple.tuple(c.part(), c.qty()))
                                .toList());
            }
        }
    }

    @Test
    void noLineIsNoKit() {
        assertThat(KitLines.read(TERN, "  ").value()).contains(List.of());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    Seal kit | names no kit
                    Seal kit: warp core | “warp core”, which is no part of this leg
                    Seal kit: | names no kit
                    """)
    void whatIsNoKitIsNamedByItsLine(String line, String why) {
        assertThat(KitLines.read(TERN, "Impeller kit: impeller\n" + line).problems())
                .extracting(Problem::toString)
                .singleElement()
                .asString()
                .contains("line 2", why);
    }

    @Test
    void aKitIsNamedOnce() {
        assertThat(KitLines.read(TERN, "A: impeller\nA: impeller").problems())
                .extracting(Problem::toString)
                .singleElement()
                .asString()
                .contains("“A” a second time");
    }
}
