package mussel.exchange.calc;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.util.function.Consumer;
import mussel.exchange.record.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CalcContractTest {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    private Calc calc(String engine) {
        return new Calc(
                Engine.named(engine).orElseThrow(),
                new PrintStream(out, true, UTF_8),
                new PrintStream(err, true, UTF_8));
    }

    private int drain(Consumer<ObjectNode> change) throws IOException {
        ObjectNode in = (ObjectNode) EngineExamplesTest.example("drain").get("in");
        change.accept(in);
        return calc("drain").single(new ByteArrayInputStream(Json.mapper().writeValueAsBytes(in)));
    }

    @Test
    void everyProblemIsToldAtOnceAndNothingOnStdout() throws IOException {
        int code = drain(in -> {
            in.remove("drained_ml");
            in.put("minutes", 0);
            in.put("oil_temp_c", "18");
            in.put("vent_open", 1);
            in.put("water", "salt");
            in.put("drained", 452);
            ((ObjectNode) in.get("oil")).put("cst_100", true);
        });

        assertThat(code).isEqualTo(2);
        assertThat(out.size()).isZero();
        assertThat(err.toString(UTF_8).lines())
                .anyMatch(l -> l.equals("/drained_ml: is missing: how much came out"))
                .anyMatch(l -> l.startsWith("/minutes: is 0; "))
                .anyMatch(l -> l.startsWith("/oil_temp_c: is text; "))
                .anyMatch(l -> l.startsWith("/vent_open: must be true or false"))
                .anyMatch(l -> l.startsWith("/water: must be one of fresh, brackish, sea"))
                .anyMatch(l -> l.startsWith("/drained: is no field here"))
                .anyMatch(l -> l.startsWith("/oil/cst_100: must be a number"))
                .hasSize(7);
    }

    @Test
    void nullCountsAsAbsent() throws IOException {
        assertThat(drain(in -> in.putNull("mass_g").putNull("fill_ml").putNull("vent_open")))
                .isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "free_water_ml, 453, /free_water_ml",
        "drained_ml, 1e300, /drained_ml",
        "drained_ml, -1, /drained_ml",
        "oil_temp_c, -60, /oil_temp_c",
        "salinity_psu, 43, /salinity_psu",
        "minutes, 1e9, /minutes"
    })
    void figuresOutsideTheirBoundsNameThePlace(String field, double value, String at) throws IOException {
        assertThat(drain(in -> in.put(field, value))).isEqualTo(2);
        assertThat(err.toString(UTF_8)).startsWith(at + ": ");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "NaN",
                "{\"capacity_ml\": NaN}",
                "[]",
                "{\"a\":1}{\"b\":2}",
                "{\"minutes\":1,\"minutes\":2}",
                "nonsense",
                "3"
            })
    void whatIsNoObjectIsRefusedInASentence(String text) throws IOException {
        assertThat(calc("drain").single(new ByteArrayInputStream(text.getBytes(UTF_8))))
                .isEqualTo(2);
        assertThat(err.toString(UTF_8)).isNotBlank().doesNotContain("Exception", "\tat ");
        assertThat(out.size()).isZero();
    }

    @Test
    void wrongEncodingIsRefused() throws IOException {
        byte[] latin = {'{', '"', 'n', (byte) 0xE9, '"', ':', '1', '}'};
        assertThat(calc("fill").single(new ByteArrayInputStream(latin))).isEqualTo(2);
        assertThat(err.toString(UTF_8)).contains("is not UTF-8");
    }

    @Test
    void fiftyMegabytesAreRefusedWithoutReadingThemAll() throws IOException {
        assertThat(calc("fill").single(new ByteArrayInputStream(new byte[50 * 1024 * 1024])))
                .isEqualTo(2);
        assertThat(err.toString(UTF_8)).contains("MB are read");
    }

    @Test
    void linesAnswerInOrderAndGoOnAfterABadOne() throws IOException {
        String good = EngineExamplesTest.example("fill").get("in").toString();
        String text = good + "\n{\"capacity_ml\": \"x\"}\r\n\n\u00e9\n" + good;

        int code = calc("fill")
                .lines(new ByteArrayInputStream(text.getBytes(java.nio.charset.StandardCharsets.ISO_8859_1)));

        String[] lines = out.toString(UTF_8).split("\n");
        assertThat(code).isEqualTo(2);
        assertThat(lines).hasSize(4);
        assertThat(lines[0]).isEqualTo(lines[3]);
        JsonNode bad = Json.mapper().readTree(lines[1]);
        assertThat(bad.at("/errors/0/at").asText()).isEqualTo("/capacity_ml");
        assertThat(lines[2]).contains("UTF-8");
        assertThat(err.size()).isZero();
    }

    @Test
    void aByteOrderMarkIsNotAnError() throws IOException {
        String good = "\ufeff" + EngineExamplesTest.example("fill").get("in");
        assertThat(calc("fill").single(new ByteArrayInputStream(good.getBytes(UTF_8))))
                .isZero();
    }
}
