package mussel.exchange.calc;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordSchema;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Every engine at the ends of its ranges: a finite answer, or the input named that keeps it from being one. */
@Tag("attack")
class EngineExtremesTest {
    private static final Map<String, String> MORE = Map.of(
            "pump",
            "{\"vanes\":[{\"tip_wear_mm\":0.3,\"set_deg\":12,\"missing_mm\":0},{\"tip_wear_mm\":0.2,\"set_deg\":10,\"missing_mm\":2}],"
                    + "\"plate_groove_mm\":0.1,\"housing_groove_mm\":0.05,\"age_months\":20,\"hours\":150,"
                    + "\"limits\":{\"tip_wear_mm\":1,\"set_deg\":22,\"plate_groove_mm\":0.3,\"housing_groove_mm\":0.3,\"plate_warp_mm\":0.2},"
                    + "\"geometry\":{\"bore_mm\":52,\"hub_mm\":20,\"width_mm\":19,\"eccentricity_mm\":3,\"vanes\":6,\"vane_thickness_mm\":3,\"fold_rpm\":4500},"
                    + "\"flows\":[{\"rpm\":800,\"litres\":1.5,\"seconds\":30,\"where\":\"tank\"}],\"telltale_share\":0.1}",
            "estimate",
            "{\"labour_per_h\":72,\"minutes\":{\"mean\":120,\"p50\":115,\"p90\":160},\"parts_total\":200,"
                    + "\"doubtful\":[{\"part\":\"gears\",\"price\":600,\"probability\":0.2}],"
                    + "\"exchange\":[{\"name\":\"unit\",\"price\":2200,\"core_charge\":400,\"core_returned\":true,\"minutes\":90,\"lead_days\":4,\"expected_life_h\":900}],"
                    + "\"repair_life_h\":600,\"repair_lead_days\":3,\"downtime_per_day\":60,"
                    + "\"leave\":{\"comeback_probability\":0.6,\"comeback_cost\":1500,\"expected_life_h\":60}}",
            "verdict",
            "{\"context\":{\"water\":\"sea\",\"age_years\":6},\"findings\":{\"oil_water\":\"milky\",\"washers\":\"sound\"},\"labour_per_h\":72,"
                    + "\"goals\":{\"driveshaft_seals\":{\"marginal_cost\":150,\"comeback_cost\":600}}}",
            "runout",
            "{\"highest_mm\":0.21,\"lowest_mm\":-0.04,\"play_mm\":0.03,\"limit_mm\":0.15,\"u_indicator_mm\":0.01}",
            "plan",
            "{\"family\":\"tern-60\",\"goals\":[\"driveshaft_seals\"],\"salt_years\":3,\"seed\":7}");

    private static JsonNode sound(String engine) throws IOException {
        if (MORE.containsKey(engine)) {
            return Json.mapper().readTree(MORE.get(engine));
        }
        String name = engine.equals("leak") ? "leak-leaking" : engine;
        try (InputStream in = EngineExtremesTest.class.getResourceAsStream("/mussel/exchange/calc/" + name + ".json")) {
            return Json.mapper().readTree(in).get("in");
        }
    }

    @Test
    void everyAnswerIsFiniteOrNamesItsInput() throws IOException {
        Integer scale = Integer.getInteger("mussel.attack");
        int times = scale == null ? 60 : 18 * scale / 10;
        List<String> failed = new ArrayList<>();
        int tried = 0;
        int named = 0;
        for (Engine engine : Engine.all()) {
            JsonNode sound = sound(engine.name());
            assertThat(engine.run(Json.mapper().writeValueAsBytes(sound)).problems())
                    .as(engine.name())
                    .isEmpty();
            ObjectNode schema = RecordSchema.of(engine.input(), engine.name());
            Random random = new Random(engine.name().length());
            for (int i = 0; i < times; i++) {
                JsonNode extreme = sound.deepCopy();
                push(extreme, schema, schema, random, i % 3 == 0 ? 0.9 : 0.25);
                byte[] input = Json.mapper().writeValueAsBytes(extreme);
                tried++;
                try {
                    Read<ObjectNode> answer = engine.run(input);
                    answer.value().filter(a -> !Blame.finite(a)).ifPresent(a -> failed.add("not finite: " + extreme));
                    named += answer.value().isEmpty() ? 1 : 0;
                    if (answer.problems().stream().anyMatch(p -> p.problem().isBlank())) {
                        failed.add("no sentence: " + extreme);
                    }
                } catch (RuntimeException | StackOverflowError e) {
                    failed.add(engine.name() + " threw " + e + ": " + extreme);
                }
            }
        }
        System.out.println("ATTACK engines at the ends of their ranges: " + tried + " tried (" + named
                + " refused with the input named), " + failed.size() + " failed");
        assertThat(failed).isEmpty();
    }

    /** Puts some of the figures to an end of their range, or very near one. */
    private static void push(JsonNode node, JsonNode schema, JsonNode root, Random random, double share) {
        JsonNode here = schema.has("$ref") ? root.at(schema.get("$ref").asText().substring(1)) : schema;
        if (node instanceof ObjectNode object) {
            object.properties().forEach(p -> {
                JsonNode of = here.path("properties").path(p.getKey());
                if (of.isMissingNode()) {
                    of = here.path("additionalProperties");
                }
                if (p.getValue().isNumber()) {
                    if (random.nextDouble() < share) {
                        object.set(p.getKey(), end(p.getValue(), of, random));
                    }
                } else {
                    push(p.getValue(), of, root, random, share);
                }
            });
        } else if (node instanceof ArrayNode array) {
            JsonNode of = here.path("items");
            for (int i = 0; i < array.size(); i++) {
                if (array.get(i).isNumber()) {
                    if (random.nextDouble() < share) {
                        array.set(i, end(array.get(i), of, random));
                    }
                } else {
                    push(array.get(i), of, root, random, share);
                }
            }
        }
    }

    private static JsonNode end(JsonNode was, JsonNode schema, Random random) {
        double low = schema.has("minimum")
                ? schema.get("minimum").doubleValue()
                : schema.has("exclusiveMinimum")
                        ? schema.get("exclusiveMinimum").doubleValue()
                        : -1e9;
        double high = schema.has("maximum")
                ? schema.get("maximum").doubleValue()
                : schema.has("exclusiveMaximum")
                        ? schema.get("exclusiveMaximum").doubleValue()
                        : 1e9;
        boolean whole = schema.path("type").toString().contains("integer");
        double value =
                switch (random.nextInt(6)) {
                    case 0 -> schema.has("exclusiveMinimum") ? Math.nextUp(low) : low;
                    case 1 -> schema.has("exclusiveMaximum") ? Math.nextDown(high) : high;
                    case 2 -> low + (high - low) * 1e-15;
                    case 3 -> low <= 0 && high >= 0 ? Double.MIN_NORMAL : high / 2;
                    case 4 -> was.doubleValue() * 1e6;
                    default -> was.doubleValue() * 1e-9;
                };
        return whole
                ? Json.mapper().getNodeFactory().numberNode((long) value)
                : Json.mapper().getNodeFactory().numberNode(value);
    }
}
