package mussel.exchange.library;

import com.fasterxml.jackson.core.JsonPointer;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLGenerator;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.library.CompactSheet;
import mussel.core.library.Size;
import mussel.core.library.Value;
import mussel.core.measure.AmountReader;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problem;
import mussel.core.measure.Range;
import mussel.core.measure.Typed;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;

/** Begins compact sheets, and writes them as people read them. */
public final class Compact {
    private static final Messages TEXT = Messages.of(Compact.class);

    private static final ObjectMapper WRITER = YAMLMapper.builder()
            .enable(YAMLGenerator.Feature.MINIMIZE_QUOTES)
            .enable(YAMLGenerator.Feature.ALWAYS_QUOTE_NUMBERS_AS_STRINGS)
            .disable(YAMLGenerator.Feature.WRITE_DOC_START_MARKER)
            .disable(YAMLGenerator.Feature.SPLIT_LINES)
            .build();

    /** What stands in a sheet as a bare word, without a page of its own. */
    private static final Set<String> WORDS = Set.of("thread", "strength");

    private static final String MM = "_mm";
    private static final String DEGREES = "_deg";
    private static final Range LENGTHS = new Range(0.001, 10_000, false);

    private Compact() {}

    /** Begins a sheet from {@code title}, {@code size} and {@code features}, or says what is wrong with them. */
    public static Read<ObjectNode> begin(byte[] answers) {
        Read<JsonNode> tree = Yaml.tree(answers);
        if (tree.value().isEmpty()) {
            return new Read<>(Optional.empty(), tree.problems());
        }
        if (!(tree.value().get() instanceof ObjectNode given)) {
            return Read.refused(TEXT.get("compact.is_no_object_title_size_and"));
        }
        ObjectNode compact = JsonNodeFactory.instance.objectNode().put("format", CompactSheet.Format.SECOND.file());
        compact.setAll(given);
        return sound(compact);
    }

    /** Begins a sheet for a leg that no file describes. */
    public static Read<ObjectNode> begin(String id, String title, Size size, Map<String, String> features) {
        ObjectNode compact = JsonNodeFactory.instance
                .objectNode()
                .put("format", CompactSheet.Format.SECOND.file())
                .put("id", id)
                .put("title", title)
                .put("size", NamedBy.file(size));
        ObjectNode answers = compact.putObject("features");
        features.forEach(answers::put);
        return sound(compact);
    }

    private static Read<ObjectNode> sound(ObjectNode compact) {
        Read<SpecSheet> full = Expansion.expand(compact, Library.shipped());
        List<Problem> problems = full.problems();
        if (!problems.isEmpty()) {
            return new Read<>(Optional.empty(), problems);
        }
        if (!compact.has("id")) {
            compact.put("id", full.value().orElseThrow().id());
        }
        return Read.of(compact);
    }

    /** What a compact sheet says of its manual, by the places of the values; what carries no page of its own has that of its group. */
    public static Map<String, Value> said(JsonNode compact) {
        Map<String, Value> said = new LinkedHashMap<>();
        said("/values", compact.path("values"), "-", said);
        return said;
    }

    private static void said(String at, JsonNode node, String page, Map<String, Value> said) {
        if (node.isObject() && node.has("value")) {
            said.put(at, new Value(node.get("value").asText(), node.path("page").asText(page)));
        } else if (node.isObject()) {
            String own = node.path("page").asText(page);
            node.properties().forEach(f -> said(at + "/" + f.getKey(), f.getValue(), own, said));
        } else if (node.isValueNode()) {
            String unit = at.endsWith(MM) ? " mm" : at.endsWith(DEGREES) ? "°" : "";
            said.put(at, new Value(node.asText() + unit, page));
        }
    }

    /**
     * A compact sheet with what its manual says written into it, by the places of the values. A blank value takes out what was said there.
     *
     * @throws IllegalArgumentException with what is wrong with a figure, in a sentence part
     */
    public static ObjectNode told(JsonNode compact, Map<String, String> values, String page) {
        ObjectNode told = compact.deepCopy();
        values.forEach((at, value) -> {
            JsonPointer place = JsonPointer.compile(at);
            String name = place.last().getMatchingProperty();
            if (value.isBlank()) {
                remove(told, place);
                return;
            }
            if (name.endsWith(MM) || name.endsWith(DEGREES)) {
                told.withObject(place.head()).set(name, figure(name, value));
                if (!page.isEmpty()) {
                    told.withObject(place.head().head()).put("page", page);
                }
                return;
            }
            if (WORDS.contains(place.last().getMatchingProperty())) {
                told.withObject(place.head()).put(place.last().getMatchingProperty(), value);
                return;
            }
            ObjectNode one =
                    told.withObject(place.head()).putObject(place.last().getMatchingProperty());
            one.put("value", value);
            if (!page.isEmpty()) {
                one.put("page", page);
            }
        });
        return told;
    }

    /** Takes out what stands at a place, and what holds nothing, or only a page, without it. */
    private static void remove(ObjectNode sheet, JsonPointer place) {
        if (sheet.at(place.head()) instanceof ObjectNode group) {
            group.remove(place.last().getMatchingProperty());
            boolean nothing = group.isEmpty() || group.size() == 1 && group.has("page");
            if (nothing && !place.head().matches()) {
                remove(sheet, place.head());
            }
        }
    }

    /** A compact sheet with one step done otherwise. What is empty stays as it is; blank words go by the library again. */
    public static ObjectNode stepped(
            JsonNode compact,
            String step,
            Optional<String> title,
            Optional<String> detail,
            Optional<Step.Minutes> minutes) {
        ObjectNode told = compact.deepCopy();
        title.ifPresent(t -> set(told, step, "title", t));
        detail.ifPresent(d -> set(told, step, "detail", d));
        minutes.ifPresent(
                m -> told.withObject("/minutes").set(step, Json.mapper().valueToTree(m)));
        return told;
    }

    private static void set(ObjectNode sheet, String step, String what, String words) {
        if (words.isBlank()) {
            remove(sheet, JsonPointer.compile("/except/" + step + "/" + what));
        } else {
            sheet.withObject("/except/" + step).put(what, words.strip());
        }
    }

    /** A figure whose unit stands in its name. */
    private static JsonNode figure(String name, String text) {
        if (name.endsWith(DEGREES)) {
            String bare = text.strip().replaceAll("\\s*(?:°|deg|degrees)$", "").replace(',', '.');
            if (!bare.matches("\\d{1,3}(?:\\.\\d+)?")) {
                throw new IllegalArgumentException("is no angle; write it like 22°");
            }
            return JsonNodeFactory.instance.numberNode(Double.parseDouble(bare));
        }
        Typed typed = AmountReader.read(text, Kind.LENGTH, YardUnits.METRIC, LENGTHS);
        if (typed instanceof Typed.Understood understood) {
            return JsonNodeFactory.instance.numberNode(understood.value());
        }
        throw new IllegalArgumentException(
                typed instanceof Typed.Refused refused ? "cannot be read: " + refused.sentence() : "is empty");
    }

    /** A sheet with one change taken back: what differs between before and after is as it was before, everything else as it is now. */
    public static JsonNode without(JsonNode now, JsonNode before, JsonNode after) {
        if (before.equals(after) || !now.isObject() || !before.isObject() || !after.isObject()) {
            return before.equals(after) ? now : before;
        }
        ObjectNode made = now.deepCopy();
        Set<String> names = new LinkedHashSet<>();
        before.fieldNames().forEachRemaining(names::add);
        after.fieldNames().forEachRemaining(names::add);
        for (String name : names) {
            JsonNode was = before.path(name);
            JsonNode became = after.path(name);
            if (was.equals(became)) {
                continue;
            }
            boolean part = made.path(name).isObject() && (was.isObject() || was.isMissingNode()) && became.isObject();
            JsonNode back = part
                    ? without(made.get(name), was.isObject() ? was : JsonNodeFactory.instance.objectNode(), became)
                    : was;
            if (back.isMissingNode() || back.isObject() && back.isEmpty() && was.isMissingNode()) {
                made.remove(name);
            } else {
                made.set(name, back);
            }
        }
        return made;
    }

    /** A compact sheet as YAML. */
    public static String yaml(JsonNode compact) {
        try {
            return WRITER.writeValueAsString(compact);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a tree that cannot be written", e);
        }
    }
}
