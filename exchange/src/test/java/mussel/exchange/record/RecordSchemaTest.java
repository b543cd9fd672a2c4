package mussel.exchange.record;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import mussel.core.drain.DrainInput;
import mussel.core.fill.FillInput;
import mussel.core.job.Yard;
import mussel.core.library.CompactSheet;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The published schemas, read by an independent validator, agree with what the reader takes and refuses. */
class RecordSchemaTest {
    private static Schema schema(Class<? extends Record> type) {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(RecordSchema.of(type, "test").toString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"tern-60", "wren-8", "skua-225", "dotterel-5"})
    void theShippedFamiliesAreValid(String id) throws IOException {
        String compact = Yaml.tree(resource("families/" + id + ".yaml"))
                .value()
                .orElseThrow()
                .toString();
        assertThat(schema(CompactSheet.class).validate(compact, InputFormat.JSON))
                .isEmpty();
        String full = new String(resource("families/" + id + ".json"), java.nio.charset.StandardCharsets.UTF_8);
        assertThat(schema(SpecSheet.class).validate(full, InputFormat.JSON)).isEmpty();
    }

    @Test
    void theShippedYardIsValid() throws IOException {
        String json = Yaml.tree(resource("yard.yaml")).value().orElseThrow().toString();
        assertThat(schema(Yard.class).validate(json, InputFormat.JSON)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"capacity_ml\": 430, \"bottles\": [{\"name\": \"tube\", \"ml\": 250, \"price\": 7}]}",
                "{\"capacity_ml\": 430, \"bottles\": []}",
                "{\"capacity_ml\": 430, \"residual_ml\": null, \"bottles\": [{\"name\": \"tube\", \"ml\": 250, \"price\": 7, \"have\": 2}]}",
                "{\"capacity_ml\": \"430\", \"bottles\": [{\"name\": \"tube\", \"ml\": 250, \"price\": 7}]}",
                "{\"capacity_ml\": 430, \"bottle\": [], \"bottles\": [{\"name\": \"tube\", \"ml\": 250, \"price\": -1}]}"
            })
    void schemaAndReaderAgreeOnFill(String json) {
        boolean valid = schema(FillInput.class).validate(json, InputFormat.JSON).isEmpty();
        boolean read = RecordReader.read(
                        Json.tree(json.getBytes(java.nio.charset.StandardCharsets.UTF_8))
                                .value()
                                .orElseThrow(),
                        FillInput.class)
                .value()
                .isPresent();
        assertThat(read).isEqualTo(valid);
    }

    @Test
    void theSchemaStatesUnitsAndBounds() {
        var drained = RecordSchema.of(DrainInput.class, "drain").at("/properties/drained_ml");
        assertThat(drained.get("description").asText()).contains("(ml)");
        assertThat(drained.get("exclusiveMinimum").asDouble()).isZero();
    }

    private static byte[] resource(String name) throws IOException {
        try (InputStream in = SheetFiles.class.getResourceAsStream(name)) {
            return in.readAllBytes();
        }
    }
}
