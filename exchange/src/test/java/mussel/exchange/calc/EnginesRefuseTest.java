package mussel.exchange.calc;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import mussel.core.measure.Problem;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What each engine of the work refuses, and that sound input with one field spoilt is never half accepted. */
class EnginesRefuseTest {
    private static final String PUMP =
            """
            {"vanes":[{"tip_wear_mm":0.2}],"hub_bond":"sound","plate_groove_mm":0.1,"age_months":12,
             "geometry":{"bore_mm":54,"hub_mm":26,"width_mm":20,"eccentricity_mm":3,"vanes":6,"vane_thickness_mm":4,"fold_rpm":5200},
             "flows":[{"rpm":1000,"litres":2,"seconds":70,"where":"tank"}],"telltale_share":0.1}""";
    private static final String PLAN =
            """
            {"family":"tern-60","goals":["impeller"],"salt_years":3,"twin":false,"have_tools":["scriber"],"seed":4}""";
    private static final String ESTIMATE =
            """
            {"labour_per_h":72,"minutes":{"mean":300,"p50":290,"p90":400},"parts_total":120,
             "doubtful":[{"part":"gears","price":500,"probability":0.1}],
             "exchange":[{"name":"Rebuilt","price":900,"expected_life_h":900}],"repair_life_h":600,
             "leave":{"comeback_probability":0.7,"comeback_cost":900}}""";

    static Stream<Arguments> refused() {
        return Stream.of(
                Arguments.of("pump", "{\"hub_bond\":\"loose\"}", "/hub_bond"),
                Arguments.of("pump", "{\"plate_groove_mm\":-0.1}", "/plate_groove_mm"),
                Arguments.of("pump", "{\"vanes\":[{\"crack\":true}]}", "/vanes/0/crack"),
                Arguments.of(
                        "pump", "{\"flows\":[{\"rpm\":1000,\"litres\":2,\"where\":\"tank\"}]}", "/flows/0/seconds"),
                Arguments.of("pump", "{\"calendar_months\":0}", "/calendar_months"),
                Arguments.of("plan", "{\"goals\":[\"impeller\"]}", "/family"),
                Arguments.of("plan", "{\"family\":\"tern-60\"}", "/goals"),
                Arguments.of("plan", "{\"family\":\"tern-60\",\"goals\":[\"x\"]}", "/goals/0"),
                Arguments.of("plan", "{\"family\":\"tern-60\",\"goals\":[],\"policy\":\"sometimes\"}", "/policy"),
                Arguments.of("parts", "{\"need\":[],\"offers\":[]}", "/suppliers"),
                Arguments.of(
                        "parts",
                        "{\"need\":[{\"part\":\"a\",\"qty\":0}],\"offers\":[],\"suppliers\":[]}",
                        "/need/0/qty"),
                Arguments.of(
                        "parts",
                        "{\"need\":[],\"suppliers\":[{\"id\":\"A\",\"shipping\":1}],\"offers\":[{\"sku\":\"s\",\"supplier\":\"B\","
                                + "\"price\":1,\"contains\":[{\"part\":\"a\",\"qty\":1}],\"stock\":1,\"lead_days\":1}]}",
                        "/offers/0/supplier"),
                Arguments.of(
                        "parts",
                        "{\"need\":[],\"offers\":[],\"suppliers\":[{\"id\":\"A\",\"shipping\":1},{\"id\":\"A\",\"shipping\":2}]}",
                        "/suppliers/1/id"),
                Arguments.of("estimate", "{\"labour_per_h\":72,\"parts_total\":1}", "/minutes"),
                Arguments.of(
                        "estimate",
                        "{\"labour_per_h\":72,\"parts_total\":1,\"minutes\":{\"mean\":1,\"p50\":2,\"p90\":1}}",
                        "/minutes/p90"),
                Arguments.of(
                        "estimate",
                        "{\"labour_per_h\":72,\"parts_total\":1,\"minutes\":{\"mean\":1,\"p50\":1,\"p90\":1},"
                                + "\"doubtful\":[{\"part\":\"x\",\"price\":1,\"probability\":1.2}]}",
                        "/doubtful/0/probability"),
                Arguments.of(
                        "pinion", "{\"constant_mm\":60,\"heights_mm\":[59,59],\"spread_limit_mm\":0.1}", "/heights_mm"),
                Arguments.of("stack", "{\"target_mm\":0.8,\"tolerance_mm\":0.02,\"drawer\":[]}", "/drawer"),
                Arguments.of(
                        "stack",
                        "{\"target_mm\":0.8,\"tolerance_mm\":-0.02,\"drawer\":[{\"mm\":0.1,\"count\":1}]}",
                        "/tolerance_mm"),
                Arguments.of("torque", "{\"low\":24,\"high\":20,\"unit\":\"N.m\",\"wrenches\":[]}", "/low"),
                Arguments.of("torque", "{\"low\":20,\"high\":24,\"unit\":\"Nm\",\"wrenches\":[]}", "/unit"),
                Arguments.of(
                        "torque",
                        "{\"low\":20,\"high\":24,\"unit\":\"N.m\",\"wrenches\":[{\"id\":\"w\",\"unit\":\"N.m\",\"min\":50,\"max\":5,"
                                + "\"step\":1,\"lever_mm\":300,\"accuracy\":0.04}]}",
                        "/wrenches/0/min"));
    }

    @ParameterizedTest
    @MethodSource("refused")
    void badInputIsRefusedWithItsPlaceInASentence(String engine, String json, String pointer) {
        Read<ObjectNode> answer = run(engine, json);

        assertThat(answer.value()).isEmpty();
        assertThat(answer.problems()).extracting(Problem::at).contains(pointer);
        assertThat(answer.problems())
                .extracting(Problem::problem)
                .allSatisfy(p -> assertThat(p).isNotBlank().doesNotContain("Exception", "null"));
    }

    static Stream<Arguments> sound() throws IOException {
        List<Arguments> sound = new ArrayList<>();
        sound.add(Arguments.of("pump", PUMP));
        sound.add(Arguments.of("plan", PLAN));
        sound.add(Arguments.of("estimate", ESTIMATE));
        for (String engine : List.of("parts", "pinion", "lash", "stack", "torque")) {
            sound.add(Arguments.of(
                    engine, EngineExamplesTest.example(engine).get("in").toString()));
        }
        return sound.stream();
    }

    /** Each field in turn becomes text, a list, huge, or goes; the engine answers whole or refuses with that field named. */
    @ParameterizedTest
    @MethodSource("sound")
    void oneSpoiltFieldIsRefusedOrHarmless(String engine, String json) throws IOException {
        assertThat(run(engine, json).value()).isPresent();
        List<String> fields = new ArrayList<>();
        Json.mapper().readTree(json).fieldNames().forEachRemaining(fields::add);
        for (String field : fields) {
            for (String spoilt : List.of("\"nonsense\"", "[[]]", "1e300", "-1e300", "{\"x\":1}", "null")) {
                ObjectNode in = (ObjectNode) Json.mapper().readTree(json);
                in.set(field, Json.mapper().readTree(spoilt));
                Read<ObjectNode> answer = run(engine, in.toString());
                if (answer.value().isEmpty()) {
                    assertThat(answer.problems()).as(field + " " + spoilt).anySatisfy(p -> assertThat(p.at())
                            .matches("/(" + field + ".*|factor)"));
                } else {
                    finite(answer.value().get(), engine + " " + field + " " + spoilt);
                }
            }
            ObjectNode twice = (ObjectNode) Json.mapper().readTree(json);
            twice.put(field + "_", 1);
            assertThat(run(engine, twice.toString()).problems())
                    .extracting(Problem::at)
                    .contains("/" + field + "_");
        }
    }

    @Test
    void aYardsOwnFamilyIsPlannedForToo() {
        SpecSheet tern = SheetFiles.shipped().get(0);
        Engine own = Engine.planning(() -> List.of(tern));

        assertThat(own.run(PLAN.getBytes(UTF_8)).value()).isPresent();
        assertThat(own.run(PLAN.replace("tern-60", "wren-8").getBytes(UTF_8)).problems())
                .singleElement()
                .satisfies(p -> assertThat(p.problem()).contains("there are tern-60"));
    }

    @Test
    void aSlipInALineOfManyAnswersInItsPlace() {
        assertThat(run("stack", "{\"target_mm\":").problems()).hasSize(1);
        assertThat(run("torque", "").problems()).hasSize(1);
        assertThat(run("parts", "[]").problems()).hasSize(1);
    }

    private static void finite(JsonNode node, String at) {
        if (node.isNumber()) {
            assertThat(node.doubleValue()).as(at).isFinite();
        }
        node.forEach(child -> finite(child, at));
    }

    private static Read<ObjectNode> run(String engine, String json) {
        return Engine.named(engine).orElseThrow().run(json.getBytes(UTF_8));
    }
}
