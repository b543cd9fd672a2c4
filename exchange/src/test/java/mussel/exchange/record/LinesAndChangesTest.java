package mussel.exchange.record;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mussel.core.measure.Problem;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a problem of a sheet stands, and what is different between two sheets. */
class LinesAndChangesTest {
    private static final String SHEET =
            """
            # a comment before anything
            name: Pier End
            oils:
              - {id: blue-90, title: Blue, data: {cst_40: 165}}

              - id: green-90
                title: Green
                data:
                  cst_40: 110
            """;

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static JsonNode tree(String text) {
        return Yaml.tree(bytes(text)).value().orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "/name, 2",
        "/oils, 3",
        "/oils/0, 4",
        "/oils/0/data/cst_40, 4",
        "/oils/1/title, 7",
        "/oils/1/data/cst_40, 9",
        "/oils/1/dye, 6",
        "/bottles, 2"
    })
    void aPlaceHasItsLineAndWhatIsMissingThatOfWhatIsAroundIt(String pointer, int line) {
        assertThat(Lines.of(bytes(SHEET)).of(pointer)).hasValue(line);
    }

    @Test
    void linesOfJsonAreCountedTheSameWay() {
        Lines lines = Lines.of(bytes("{\n  \"name\": \"Pier End\",\n  \"oils\": [\n    {\"id\": 7}\n  ]\n}"));
        assertThat(lines.of("/oils/0/id")).hasValue(4);
        assertThat(lines.told(List.of(
                        new Problem("/oils/0/id", "is a number; write a text"), new Problem("", "is too large"))))
                .containsExactly("line 4, /oils/0/id: is a number; write a text", "is too large");
    }

    @Test
    void aTextThatBreaksOffHasTheLinesBeforeThat() {
        Lines lines = Lines.of(bytes("name: Pier End\noils: [\n  {id: 'x"));
        assertThat(lines.of("/name")).hasValue(1);
        assertThat(Lines.of(new byte[0]).of("/name")).isEmpty();
    }

    @Test
    void everythingThatIsDifferentIsSaidAndNothingElse() {
        JsonNode before = tree(SHEET);
        assertThat(Changes.between(before, tree(SHEET))).isEmpty();
        String changed = SHEET.replace("Pier End", "Slip Yard")
                        .replace("cst_40: 110", "cst_40: 112.5")
                        .replace("    title: Green\n", "")
                + "labour_per_h: 80\n";
        assertThat(Changes.between(before, tree(changed)))
                .containsExactlyInAnyOrder(
                        "/name: “Slip Yard”, was “Pier End”",
                        "/oils/1/title: removed, was “Green”",
                        "/oils/1/data/cst_40: 112.5, was 110",
                        "/labour_per_h: new, 80");
    }

    @Test
    void longValuesAreCutAndAShippedSheetIsItself() {
        JsonNode tern = Json.mapper().valueToTree(SheetFiles.shipped().get(0));
        JsonNode wren = Json.mapper().valueToTree(SheetFiles.shipped().get(1));
        assertThat(Changes.between(tern, tern.deepCopy())).isEmpty();
        assertThat(Changes.between(tern, wren)).hasSizeGreaterThan(20).allMatch(s -> s.length() < 260);
    }
}
