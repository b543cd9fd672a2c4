package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.StreamSupport;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.measure.NamedBy;
import mussel.exchange.record.Json;

/**
 * The library that ships: features with their answers, sizes with their estimates, and every part, fastener, seal, goal, step and region with the
 * answers that let it in. Kept as trees: what comes of them is read and checked as a full sheet.
 */
public final class Library {
    /** Where meaning is declared: the field of each list. */
    private static final Map<String, String> MEANINGS =
            Map.of("goals", "means", "intervals", "counts", "parts", "opens");

    private final JsonNode tree;
    private final Map<String, Feature> features = new LinkedHashMap<>();

    private Library(JsonNode tree) {
        this.tree = tree;
        for (JsonNode feature : tree.get("features")) {
            List<Feature.Choice> answers = new ArrayList<>();
            feature.get("answers")
                    .forEach(a -> answers.add(new Feature.Choice(
                            a.get("id").asText(), a.get("title").asText())));
            String id = feature.get("id").asText();
            features.put(
                    id,
                    new Feature(
                            id,
                            feature.get("title").asText(),
                            feature.get("look").asText(),
                            answers,
                            where(feature.path("where")),
                            follows(feature.path("follows"))));
        }
    }

    private static Map<String, Set<String>> where(JsonNode tree) {
        Map<String, Set<String>> where = new HashMap<>();
        tree.properties()
                .forEach(e -> where.put(e.getKey(), Set.of(e.getValue().asText().split(" "))));
        return where;
    }

    private static Map<String, Map<String, String>> follows(JsonNode tree) {
        Map<String, Map<String, String>> follows = new HashMap<>();
        tree.properties().forEach(e -> {
            Map<String, String> by = new HashMap<>();
            e.getValue()
                    .properties()
                    .forEach(a -> by.put(a.getKey(), a.getValue().asText()));
            follows.put(e.getKey(), by);
        });
        return follows;
    }

    /** The library that ships; read once. */
    public static Library shipped() {
        return Shipped.LIBRARY;
    }

    /** A library from its tree. */
    public static Library of(JsonNode tree) {
        return new Library(tree);
    }

    /** Every feature, in the order it is asked. */
    public List<Feature> features() {
        return List.copyOf(features.values());
    }

    /** The feature with that id. */
    public Optional<Feature> feature(String id) {
        return Optional.ofNullable(features.get(id));
    }

    /** What is estimated for a size. */
    JsonNode size(Size size) {
        return entries("sizes").stream()
                .filter(s -> s.get("id").asText().equals(NamedBy.file(size)))
                .findFirst()
                .orElseThrow();
    }

    /** What a size is called. */
    public String title(Size size) {
        return size(size).get("title").asText();
    }

    /** A sheet whose goals, intervals and parts do not declare what they mean takes the library's word for those of the same ids. */
    public JsonNode withMeaning(JsonNode sheet) {
        if (!sheet.isObject()) {
            return sheet;
        }
        JsonNode made = sheet.deepCopy();
        MEANINGS.forEach((list, field) -> {
            Map<String, JsonNode> meanings = new LinkedHashMap<>();
            entries(list).stream()
                    .filter(e -> e.has(field))
                    .forEach(e -> meanings.put(e.get("id").asText(), e.get(field)));
            made.path(list).forEach(entry -> {
                if (entry instanceof ObjectNode of && !of.has(field)) {
                    Optional.ofNullable(meanings.get(of.path("id").asText())).ifPresent(m -> of.set(field, m));
                }
            });
        });
        return made;
    }

    /** The entries of a list, as they stand. */
    List<ObjectNode> entries(String list) {
        return StreamSupport.stream(tree.get(list).spliterator(), false)
                .map(ObjectNode.class::cast)
                .toList();
    }

    /** The ids of a list, whatever lets them in. */
    List<String> ids(String list) {
        return entries(list).stream().map(e -> e.get("id").asText()).toList();
    }

    /** Read when first asked for. */
    private static final class Shipped {
        private static final Library LIBRARY = read();

        private Shipped() {}

        private static Library read() {
            try (InputStream in = Library.class.getResourceAsStream("library.json")) {
                return of(Json.tree(in.readAllBytes()).value().orElseThrow());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
