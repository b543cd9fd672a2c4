package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.library.PastedParts.Line;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

class PastedPartsTest {
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);

    private static List<Line> read(String text) {
        return PastedParts.read(TERN, text);
    }

    private static Optional<String> part(String name) {
        return read("9-1\t" + name).get(0).part().map(Part::id);
    }

    @Test
    void tabsSemicolonsAndCommasAreRead() {
        for (String between : List.of("\t", ";", ",")) {
            List<Line> lines = read("number" + between + "name" + between + "qty\r\n" + "T-11" + between
                    + " Driveshaft seals" + between + "2\r\n\r\nT-12" + between + "Impeller" + between + "1\n");
            assertThat(lines).extracting(Line::number).containsExactly("T-11", "T-12");
            assertThat(lines)
                    .extracting(l -> l.part().map(Part::id).orElse("-"))
                    .containsExactly("ds_seal", "impeller");
        }
    }

    @Test
    void namesNeedNotBeWrittenAlike() {
        assertThat(part("SEAL, DRIVESHAFT")).contains("ds_seal");
        assertThat(part("O-ring for the pump housing")).contains("housing_oring");
        assertThat(part("wear plate")).contains("wear_plate");
        assertThat(part("Propeller shaft seal")).contains("prop_seal");
    }

    @Test
    void whatFitsTwoPartsAlikeOrNoneIsLeftToAPerson() {
        assertThat(part("seal")).isEmpty();
        assertThat(part("carburettor float")).isEmpty();
        assertThat(part("O-ring")).isEmpty();
    }

    @Test
    void everyPartIsFoundByItsOwnName() {
        for (Part part : TERN.parts()) {
            assertThat(part(part.title().replace(",", " "))).as(part.title()).contains(part.id());
        }
    }

    @Test
    void whateverIsPastedIsReadOrLeftOut() {
        Random random = new Random(11);
        for (int i = 0; i < 300; i++) {
            byte[] bytes = new byte[random.nextInt(400)];
            random.nextBytes(bytes);
            assertThat(read(new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1)))
                    .allSatisfy(l -> assertThat(l.number()).isNotBlank());
        }
        assertThat(read("\"T-11\t\"Impeller")).hasSize(1);
        assertThat(read("1\tx\n".repeat(5_000))).hasSize(500);
    }

    @Test
    void whatASheetSaysIsListedWithItsPage() {
        Map<String, mussel.core.library.Value> said =
                Compact.said(SheetFiles.compact("tern-60").orElseThrow());
        assertThat(said.get("/values/fasteners/leg_bolts/torque").value()).isEqualTo("34-40 N·m");
        assertThat(said.get("/values/fasteners/leg_bolts/torque").page()).isEqualTo("9");
        assertThat(said.get("/values/leak_test/pressure/hold").page()).isEqualTo("14");
        assertThat(said.get("/values/oil/capacity").value()).isEqualTo("430 ml");
    }
}
