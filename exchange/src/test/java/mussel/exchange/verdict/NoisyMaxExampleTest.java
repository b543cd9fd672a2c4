package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.StreamSupport;
import mussel.core.verdict.Access;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.exchange.calc.Engine;
import mussel.exchange.record.Json;
import org.junit.jupiter.api.Test;

/** The worked example of noisy-MAX, on tables of its own. */
class NoisyMaxExampleTest {
    private static List<Double> row(JsonNode node) {
        return StreamSupport.stream(node.spliterator(), false)
                .map(JsonNode::doubleValue)
                .toList();
    }

    private static Knowledge tables(JsonNode given) {
        List<Cause> causes = new ArrayList<>();
        given.get("priors")
                .properties()
                .forEach(p -> causes.add(new Cause(
                        p.getKey(),
                        p.getKey(),
                        p.getValue().doubleValue(),
                        "case",
                        "repair",
                        "example",
                        List.of(),
                        List.of())));
        List<Finding> findings = new ArrayList<>();
        given.get("findings").properties().forEach(f -> {
            List<String> outcomes = StreamSupport.stream(
                            f.getValue().get("outcomes").spliterator(), false)
                    .map(JsonNode::textValue)
                    .toList();
            List<Finding.Share> rows = f.getValue().get("given").properties().stream()
                    .map(s -> new Finding.Share(s.getKey(), row(s.getValue()), "example"))
                    .toList();
            findings.add(new Finding(
                    f.getKey(),
                    f.getKey(),
                    outcomes,
                    "drain",
                    "seen",
                    1,
                    row(f.getValue().get("base")),
                    "example",
                    rows,
                    List.of(),
                    List.of(),
                    List.of(),
                    java.util.Optional.empty(),
                    List.of()));
        });
        return new Knowledge(
                "example",
                List.of(new Access("seen", "seen", 0, false)),
                List.of(new RepairGoal("repair", "repair", 0.1, 0, 1.5, 0)),
                causes,
                findings,
                Optional.empty());
    }

    @Test
    void posteriorAndGainAgreeToSixFigures() throws IOException {
        JsonNode example;
        try (InputStream in = Engine.class.getResourceAsStream("noisy-max.json")) {
            example = Json.mapper().readTree(in);
        }
        Knowledge knowledge = tables(example.get("in").get("knowledge"));
        Map<String, String> findings =
                Map.of("f", example.get("in").get("findings").get("f").textValue());
        VerdictResult out = VerdictEngine.run(
                Tables.of(knowledge, Context.empty()),
                new VerdictInput(Optional.empty(), findings, 60, List.of(), Map.of()));
        example.get("out").get("posterior").properties().forEach(p -> assertThat(
                        out.cause(p.getKey()).orElseThrow().probability())
                .isCloseTo(p.getValue().doubleValue(), within(5e-7)));
        assertThat(out.checks().get(0).gainBits())
                .isCloseTo(example.get("out").get("gain_bits").get("g").doubleValue(), within(5e-7));
    }
}
