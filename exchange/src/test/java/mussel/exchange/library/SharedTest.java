package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/** One sheet under several names, differences as exceptions. */
class SharedTest {
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);

    private static Read<SpecSheet> read(String yaml) {
        return SheetFiles.family(yaml.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void aSisterModelSaysOnlyWhatDiffersAndHasEverythingElse() {
        SpecSheet sister =
                read("""
                format: mussel-sheet/2
                title: Tern 50
                like: tern-60
                features: {propshaft_carrier: ring}
                values:
                  oil: {capacity: {value: 380 ml, page: "12"}}
                  fasteners: {prop_nut: {torque: 50-55 N·m}}
                numbers: {impeller: T50-1220}
                except: {prop_off: {title: Propeller and cone off}}
                """)
                        .value()
                        .orElseThrow();
        assertThat(sister.id()).isEqualTo("tern-50");
        assertThat(sister.oil().capacityMl()).hasValue(380);
        assertThat(sister.oil().grade()).isEqualTo(TERN.oil().grade());
        assertThat(sister.leakTest().pressure()).isEqualTo(TERN.leakTest().pressure());
        assertThat(sister.part("carrier_ring")).isPresent();
        assertThat(sister.part("impeller").orElseThrow().number()).isEqualTo("T50-1220");
        assertThat(sister.part("pump_key")).isEqualTo(TERN.part("pump_key"));
        assertThat(sister.step("prop_off").orElseThrow().title()).isEqualTo("Propeller and cone off");
        assertThat(sister.fastener("prop_nut").orElseThrow().torque())
                .isNotEqualTo(TERN.fastener("prop_nut").orElseThrow().torque());
        assertThat(sister.fastener("prop_nut").orElseThrow().thread())
                .as("only the torque differs")
                .isEqualTo(TERN.fastener("prop_nut").orElseThrow().thread());
        assertThat(sister.origin()).contains("Shares the sheet of Tern 60");
    }

    @Test
    void aSisterWithoutADifferenceIsTheSameLegUnderAnotherName() {
        SpecSheet sister = read("{format: mussel-sheet/2, title: Tern 60 S, like: tern-60}")
                .value()
                .orElseThrow();
        assertThat(sister)
                .usingRecursiveComparison()
                .ignoringFields("id", "title", "origin")
                .isEqualTo(TERN);
    }

    @Test
    void aBaseThatIsNotThereOrSharesItselfIsNamed() {
        assertThat(read("{format: mussel-sheet/2, title: A, like: gannet-90}").problems())
                .singleElement()
                .satisfies(p -> assertThat(p.at() + p.problem()).contains("/like", "gannet-90"));
        JsonNode second = tree("{format: mussel-sheet/2, id: b, title: B, like: tern-60}");
        assertThat(Shared.whole(tree("{format: mussel-sheet/2, title: C, like: b}"), id -> Optional.of(second))
                        .problems())
                .singleElement()
                .satisfies(p -> assertThat(p.problem()).contains("name that one"));
        assertThat(Shared.whole(tree("{id: b, like: b}"), id -> Optional.of(second))
                        .problems())
                .as("no sheet shares itself")
                .hasSize(1);
    }

    /** What stands in the sister's sheet is there, and what it does not name is the base's, at every place and depth. */
    @Test
    void nothingOfTheBaseIsLostAndNothingOfTheOwnOverruled() {
        JsonNode base = SheetFiles.compact("skua-225").orElseThrow();
        ObjectNode own = tree("{format: mussel-sheet/2, id: s, title: S, like: skua-225}")
                .deepCopy();
        own.withObject("/values/oil").put("grade", "GL-4");
        own.putArray("drop").add("tab_out");
        JsonNode whole = Shared.whole(own, id -> Optional.of(base)).value().orElseThrow();
        assertThat(whole.at("/values/oil/grade").asText()).isEqualTo("GL-4");
        assertThat(whole.at("/values/oil/capacity")).isEqualTo(base.at("/values/oil/capacity"));
        assertThat(whole.at("/id").asText()).isEqualTo("s");
        assertThat(whole.path("drop").size()).isEqualTo(base.path("drop").size() + 1);
        Set<String> changed = Set.of("id", "title", "origin", "like", "values", "drop");
        base.properties().stream()
                .filter(f -> !changed.contains(f.getKey()))
                .forEach(f -> assertThat(whole.get(f.getKey())).as(f.getKey()).isEqualTo(f.getValue()));
        assertThat(List.of(own.get("like").asText())).containsExactly("skua-225");
    }

    private static JsonNode tree(String yaml) {
        return Yaml.tree(yaml.getBytes(StandardCharsets.UTF_8)).value().orElseThrow();
    }
}
