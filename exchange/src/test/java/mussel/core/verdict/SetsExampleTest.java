package mussel.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.StreamSupport;
import mussel.exchange.calc.Engine;
import mussel.exchange.record.Json;
import org.junit.jupiter.api.Test;

/** The worked example of repair sets, on tables of its own; in the engine's package, since only its verdict goes outside. */
class SetsExampleTest {
    private static final double SIX_FIGURES = 5e-6;

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::textValue)
                .toList();
    }

    private static RepairTables tables(JsonNode given) {
        List<RepairTables.Stage> stages = new ArrayList<>();
        given.get("stages")
                .forEach(s -> stages.add(new RepairTables.Stage(
                        s.get("id").textValue(),
                        "example",
                        s.get("hours").doubleValue(),
                        texts(s.get("after")),
                        texts(s.get("renews")),
                        List.of(),
                        List.of(),
                        Map.of(),
                        "example")));
        List<RepairTables.Proof> proofs = new ArrayList<>();
        given.get("proofs")
                .forEach(p -> proofs.add(new RepairTables.Proof(
                        p.get("id").textValue(), "example", p.get("hours").doubleValue())));
        List<RepairTables.Repair> goals = new ArrayList<>();
        given.get("goals")
                .forEach(g -> goals.add(new RepairTables.Repair(
                        g.get("id").textValue(),
                        texts(g.get("opens")),
                        g.get("own_hours").doubleValue(),
                        g.get("parts_hours").doubleValue(),
                        List.of())));
        List<RepairTables.Left> left = new ArrayList<>();
        given.get("causes").forEach(c -> {
            Map<String, Double> shown = new HashMap<>();
            c.get("shown_at_proof")
                    .properties()
                    .forEach(p -> shown.put(p.getKey(), p.getValue().doubleValue()));
            left.add(new RepairTables.Left(
                    c.get("id").textValue(),
                    c.get("spoils_hours").doubleValue(),
                    c.get("brings_back").doubleValue(),
                    shown,
                    Optional.ofNullable(c.get("seen_at").textValue()),
                    "example"));
        });
        return new RepairTables(
                given.get("visit_hours").doubleValue(),
                stages,
                proofs,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                goals,
                left);
    }

    private static Knowledge knowledge(JsonNode given, RepairTables tables) {
        List<RepairGoal> goals = tables.goals().stream()
                .map(g -> new RepairGoal(g.id(), "example", 1, 0, 1, 0))
                .toList();
        List<Cause> causes = new ArrayList<>();
        given.get("causes")
                .forEach(c -> causes.add(new Cause(
                        c.get("id").textValue(),
                        "example",
                        0.1,
                        "case",
                        c.get("goal").textValue(),
                        "example",
                        List.of(),
                        List.of())));
        return new Knowledge("example", List.of(), goals, causes, List.of(), Optional.of(tables));
    }

    @Test
    void everySetComesOutAsWorked() throws IOException {
        JsonNode given;
        try (InputStream in = Engine.class.getResourceAsStream("sets.json")) {
            given = Json.mapper().readTree(in);
        }
        RepairTables tables = tables(given);
        Knowledge knowledge = knowledge(given, tables);
        List<String> causes = knowledge.causes().stream().map(Cause::id).toList();
        List<String> goals = knowledge.goals().stream().map(RepairGoal::id).toList();
        Expectation believed = factors -> {
            double mean = 0;
            for (JsonNode combination : given.get("combinations")) {
                double product = combination.get("probability").doubleValue();
                for (String active : texts(combination.get("active"))) {
                    product *= factors[causes.indexOf(active)];
                }
                mean += product;
            }
            return mean;
        };
        RepairSets sets = new RepairSets(
                tables,
                knowledge,
                new RepairSets.Prices(given.get("labour_per_h").doubleValue(), Map.of()),
                RepairSets.Open.NOTHING,
                believed);
        List<String> proofs =
                tables.proofs().stream().map(RepairTables.Proof::id).toList();
        assertThat(given.get("sets")).hasSize(16);
        for (JsonNode worked : given.get("sets")) {
            long set = texts(worked.get("goals")).stream()
                    .mapToLong(g -> 1L << goals.indexOf(g))
                    .sum();
            int proof = proofs.indexOf(worked.get("proof").textValue());
            String as = worked.toString();
            assertThat(sets.now(set, proof)).as(as).isCloseTo(worked.get("now").doubleValue(), within(SIX_FIGURES));
            assertThat(sets.later(set, proof))
                    .as(as)
                    .isCloseTo(worked.get("later").doubleValue(), within(SIX_FIGURES));
            assertThat(sets.back(set, proof))
                    .as(as)
                    .isCloseTo(worked.get("back").doubleValue(), within(SIX_FIGURES));
        }
    }
}
