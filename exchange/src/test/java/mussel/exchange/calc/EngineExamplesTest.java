package mussel.exchange.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import mussel.exchange.record.Json;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EngineExamplesTest {
    private static final double SIX_FIGURES = 5e-6;

    @ParameterizedTest
    @ValueSource(
            strings = {"drain", "fill", "leak-leaking", "leak-undecided", "parts", "pinion", "lash", "stack", "torque"})
    void workedExampleAgreesToSixFigures(String name) throws IOException {
        JsonNode example = example(name);
        String engine = name.split("-")[0];
        ObjectNode answer = Engine.named(engine)
                .orElseThrow()
                .run(Json.mapper().writeValueAsBytes(example.get("in")))
                .value()
                .orElseThrow();

        agree(answer, example.get("out"), name);
        assertThat(answer.get("engine").asText()).isEqualTo(engine);
        assertThat(answer.get("notes")).isNotEmpty();
    }

    static JsonNode example(String name) throws IOException {
        try (InputStream in = EngineExamplesTest.class.getResourceAsStream(name + ".json")) {
            return Json.mapper().readTree(in);
        }
    }

    private static void agree(JsonNode actual, JsonNode expected, String at) {
        assertThat(actual).as(at).isNotNull();
        if (expected.isObject()) {
            expected.properties().forEach(f -> agree(actual.get(f.getKey()), f.getValue(), at + "/" + f.getKey()));
        } else if (expected.isArray()) {
            assertThat(actual.size()).as(at).isEqualTo(expected.size());
            for (int i = 0; i < expected.size(); i++) {
                agree(actual.get(i), expected.get(i), at + "/" + i);
            }
        } else if (expected.isNumber()) {
            assertThat(actual.doubleValue())
                    .as(at)
                    .isCloseTo(expected.doubleValue(), within(Math.abs(expected.doubleValue()) * SIX_FIGURES));
        } else {
            assertThat(actual).as(at).isEqualTo(expected);
        }
    }
}
