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
                .anyMatch(l -> l.startsWith("/drained: is not a field here"))
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
        assertThat(err.toString(UTF_8)).contains("is larger than 8 MB");
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

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "volume_ml | 0 | /volume_ml: is 0;",
                "baro_kpa | -3 | /baro_kpa: is -3;",
                "hold_min | 0 | /hold_min: is 0;",
                "gauge_step_kpa | 0 | /gauge_step_kpa: is 0;",
                "mode | \"suction\" | /mode: must be one of pressure, vacuum",
                "start_kpa | -68 | /start_kpa: is −68 kPa; a pressure hold starts above 0",
                "start_kpa | \"68\" | /start_kpa: is text;",
                "allowed_drop_kpa | 90 | /allowed_drop_kpa: is not below the start",
                "settle_s | 290 | /readings: hold 1 taken at or after 290 s; at least 2",
                "readings | [] | /readings: has 0 items",
                "readings | 7 | /readings: must be a list",
                "temp_c | 20 | /temp_c: is not a field here"
            })
    void leakTellsWhatIsWrongWithAHold(String field, String value, String says) throws IOException {
        ObjectNode in = (ObjectNode) EngineExamplesTest.example("leak-leaking").get("in");
        in.set(field, Json.mapper().readTree(value));
        int code = calc("leak").single(new ByteArrayInputStream(Json.mapper().writeValueAsBytes(in)));
        assertThat(code).isEqualTo(2);
        assertThat(out.size()).isZero();
        assertThat(err.toString(UTF_8)).startsWith(says);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 | gauge_kpa | 0 | /readings/3/gauge_kpa: is 0 kPa, which compensated",
                "3 | gauge_kpa | -20 | /readings/3/gauge_kpa: is −20 kPa, which compensated",
                "3 | t_s | 30 | /readings/3/t_s: is 30 s, not after the reading before it (60 s)",
                "3 | temp_c | null | /readings/3/temp_c: is missing: the temperature of the case",
                "3 | stage | \"shaken\" | /readings/3/stage: must be one of still, driveshaft"
            })
    void leakTellsWhichReadingIsWrong(int at, String field, String value, String says) throws IOException {
        ObjectNode in = (ObjectNode) EngineExamplesTest.example("leak-leaking").get("in");
        ((ObjectNode) in.get("readings").get(at)).set(field, Json.mapper().readTree(value));
        int code = calc("leak").single(new ByteArrayInputStream(Json.mapper().writeValueAsBytes(in)));
        assertThat(code).isEqualTo(2);
        assertThat(err.toString(UTF_8)).startsWith(says);
    }

    @Test
    void leakAnswersStagesByThemselves() throws IOException {
        ObjectNode in = (ObjectNode) EngineExamplesTest.example("leak-leaking").get("in");
        for (int i = 0; i < in.get("readings").size(); i++) {
            ((ObjectNode) in.get("readings").get(i)).put("stage", i < 6 ? "still" : "driveshaft");
        }
        assertThat(calc("leak").single(new ByteArrayInputStream(Json.mapper().writeValueAsBytes(in))))
                .isZero();
        JsonNode answer = Json.mapper().readTree(out.toByteArray());
        assertThat(answer.get("stages")).hasSize(2);
        assertThat(answer.get("stages").get(0).get("stage").asText()).isEqualTo("still");
        assertThat(answer.get("n_used").asInt()).isEqualTo(10);
        assertThat(answer.get("engine").asText()).isEqualTo("leak");
        assertThat(answer.get("notes")).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"findings\":{}} | /labour_per_h: is missing: the labour rate",
                "{\"findings\":7,\"labour_per_h\":1} | /findings: must be an object of names",
                "{\"findings\":{\"oil_water\":3},\"labour_per_h\":1} | /findings/oil_water: must be a text",
                "{\"findings\":{\"a/b\":\"no\"},\"labour_per_h\":1} | /findings/a~1b: is no finding of the tables",
                "{\"labour_per_h\":1,\"context\":{\"sand\":\"no\"}} | /context/sand: must be true or false",
                "{\"labour_per_h\":1,\"context\":{\"water\":\"tea\"}} | /context/water: must be one of",
                "{\"labour_per_h\":1,\"goals\":{\"gears\":{\"marginal_cost\":1}}} | /goals/gears/comeback_cost: is missing"
            })
    void verdictTellsWhatIsWrong(String in, String says) throws IOException {
        int code = calc("verdict").single(new ByteArrayInputStream(in.getBytes(UTF_8)));
        assertThat(code).isEqualTo(2);
        assertThat(out.size()).isZero();
        assertThat(err.toString(UTF_8)).startsWith(says);
    }

    @Test
    void verdictTakesNullAsAbsent() throws IOException {
        String in =
                "{\"findings\":{\"oil_water\":null,\"magnet\":\"chips\"},\"labour_per_h\":60,\"context\":null,\"open\":null}";
        assertThat(calc("verdict").single(new ByteArrayInputStream(in.getBytes(UTF_8))))
                .isZero();
        JsonNode answer = Json.mapper().readTree(out.toByteArray());
        assertThat(answer.get("causes").get(0).get("id").asText()).isEqualTo("gear_wear");
        assertThat(answer.get("causes")
                        .get(0)
                        .get("evidence")
                        .get(0)
                        .get("finding")
                        .asText())
                .isEqualTo("magnet");
        assertThat(answer.get("checks").findValuesAsText("finding"))
                .contains("oil_water")
                .doesNotContain("magnet");
    }
}
