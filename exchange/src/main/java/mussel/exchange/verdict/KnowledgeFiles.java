package mussel.exchange.verdict;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Overrides;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;
import mussel.exchange.record.Yaml;

/** Reads the diagnosis tables and a yard's own numbers from YAML (JSON is YAML too), and writes the tables as the engine uses them. */
public final class KnowledgeFiles {
    private KnowledgeFiles() {}

    /** The tables that ship, read once. */
    private static final class Shipped {
        static final Knowledge TABLES = load();

        private static Knowledge load() {
            try (InputStream in = KnowledgeFiles.class.getResourceAsStream("knowledge.json")) {
                JsonNode tree = Json.tree(in.readAllBytes()).value().orElseThrow();
                return RecordReader.read(tree, Knowledge.class).value().orElseThrow();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** The tables that ship. */
    public static Knowledge shipped() {
        return Shipped.TABLES;
    }

    /** Reads tables, or says everything that is wrong with them. */
    public static Read<Knowledge> read(byte[] utf8) {
        return read(utf8, Knowledge.class);
    }

    /** Reads a yard's own numbers, or says everything that is wrong with them. */
    public static Read<Overrides> overrides(byte[] utf8) {
        return read(utf8, Overrides.class);
    }

    private static <T extends Record> Read<T> read(byte[] utf8, Class<T> type) {
        Read<JsonNode> tree = Yaml.tree(utf8);
        return tree.value().isPresent()
                ? RecordReader.read(tree.value().get(), type)
                : new Read<>(Optional.empty(), tree.problems());
    }

    /** The tables as the engine uses them in a context, enough to recompute every posterior by hand. */
    public static ObjectNode asUsed(Knowledge knowledge, Context context) {
        ObjectNode all = Json.mapper().createObjectNode();
        all.put("knowledge_version", knowledge.knowledgeVersion());
        all.set("access", Json.mapper().valueToTree(knowledge.access()));
        ArrayNode goals = all.putArray("goals");
        knowledge.goals().forEach(goal -> {
            ObjectNode node = Json.mapper().valueToTree(goal);
            node.put("marginal_cost", goal.marginalCost());
            node.put("comeback_cost", goal.comebackCost());
            goals.add(node);
        });
        ArrayNode causes = all.putArray("causes");
        knowledge.causes().forEach(cause -> {
            ObjectNode node = Json.mapper().valueToTree(cause);
            node.put("prior", cause.prior(context));
            node.put("title", cause.title(context));
            causes.add(node);
        });
        ArrayNode findings = all.putArray("findings");
        knowledge.findings().forEach(finding -> findings.add(asUsed(finding, context)));
        knowledge.repairs().ifPresent(repairs -> {
            ObjectNode tree = Json.mapper().valueToTree(repairs);
            List.of("visit_hours", "stages", "states", "by_rule", "proofs", "rounds")
                    .forEach(name -> all.set(name, tree.get(name)));
            beside(goals, tree.get("goals"));
            beside(causes, tree.get("causes"));
        });
        return all;
    }

    /** What the second list says of a thing goes to the same thing in the first; reasons stay apart. */
    private static void beside(ArrayNode to, JsonNode from) {
        Map<String, ObjectNode> byId = new HashMap<>();
        to.forEach(node -> byId.put(node.get("id").textValue(), (ObjectNode) node));
        from.forEach(more -> more.properties().stream()
                .filter(field -> !field.getKey().equals("id"))
                .forEach(field -> byId.get(more.get("id").textValue())
                        .set(field.getKey().equals("why") ? "why_left" : field.getKey(), field.getValue())));
    }

    private static ObjectNode asUsed(Finding finding, Context context) {
        ObjectNode node = Json.mapper().valueToTree(finding);
        ObjectNode given = Json.mapper().createObjectNode();
        ObjectNode reasons = Json.mapper().createObjectNode();
        finding.given(context).forEach((cause, share) -> {
            given.set(cause, Json.mapper().valueToTree(share.shares()));
            reasons.put(cause, share.why());
        });
        node.set("given", given);
        node.set("reasons", reasons);
        ObjectNode gate = Json.mapper().createObjectNode();
        finding.gate().forEach(g -> gate.set(g.finding(), Json.mapper().valueToTree(g.outcomes())));
        node.set("gate", gate);
        node.remove("variants");
        return node;
    }
}
