package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/** What a yard writes into its own sheet is refused in words where it cannot be meant, and what commands write is read again. */
class OwnStepsTest {
    private static ObjectNode compact() {
        return SheetFiles.compact("tern-60").orElseThrow().deepCopy();
    }

    private static Read<SpecSheet> read(ObjectNode sheet) {
        return SheetFiles.family(sheet.toString().getBytes(StandardCharsets.UTF_8));
    }

    private static String step() {
        return SheetFiles.shipped().get(0).steps().get(0).id();
    }

    @Test
    void aWordInBracesThatNothingStandsForIsNamed() {
        for (String word : List.of("{sockt gearcase_bolts}", "{foo}", "{weight gearcase_bolts}", "{socket}")) {
            ObjectNode sheet = compact();
            sheet.withObject("/except").withObject("/" + step()).put("detail", "Use a " + word + " here.");
            Read<SpecSheet> read = read(sheet);
            assertThat(read.value()).as(word).isEmpty();
            assertThat(read.problems()).as(word).anySatisfy(p -> assertThat(p.toString())
                    .contains(word, "which nothing stands for", "/except/" + step()));
        }
        ObjectNode sheet = compact();
        sheet.withObject("/except").withObject("/" + step()).put("detail", "It weighs {weight}.");
        assertThat(read(sheet).problems()).isEmpty();
    }

    @Test
    void twoAddedStepsOfOneIdAndTooManyAreRefused() {
        ObjectNode sheet = compact();
        ArrayNode add = sheet.withArray("add");
        ObjectNode own =
                Json.mapper().valueToTree(SheetFiles.shipped().get(0).steps().get(0));
        own.put("id", "own_step");
        add.add(own);
        add.add(own.deepCopy());
        assertThat(read(sheet).problems())
                .anySatisfy(p -> assertThat(p.toString()).contains("own_step", "earlier added step"));
        for (int i = 0; i < 10_000; i++) {
            add.add(own.deepCopy().put("id", "own_step_" + i));
        }
        assertThat(read(sheet).problems())
                .anySatisfy(p -> assertThat(p.toString()).contains("/add", "at most 300"));
    }

    @Test
    void aSheetAsCommandsWriteItIsRead() throws Exception {
        SpecSheet shipped = SheetFiles.shipped().get(0);
        ObjectNode tree = Json.mapper().valueToTree(shipped);
        tree.set("goal_sheets", tree.get("goals"));
        ArrayNode ids = tree.putArray("goals");
        shipped.goals().forEach(g -> ids.add(g.id()));
        tree.putArray("missing").addObject().put("at", "oil");
        assertThat(read(tree).value()).contains(shipped);
        ArrayNode all = Json.mapper().createArrayNode().add(tree).add(tree.deepCopy());
        assertThat(SheetFiles.families(Json.mapper().writeValueAsBytes(all))
                        .value()
                        .orElseThrow())
                .containsExactly(shipped, shipped);
    }
}
