package mussel.exchange.record;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;
import mussel.core.measure.StandsAlone;
import mussel.exchange.record.RecordShape.FieldShape;
import mussel.exchange.record.RecordShape.Outcome;

/**
 * Reads a tree into a record of the core by its {@link Given} annotations. Strict: an unknown field is a typing slip, null counts as
 * absent, a number in quotes is not a number. Every problem is told at once, each with its JSON Pointer.
 */
public final class RecordReader {
    private static final Messages TEXT = Messages.of(RecordReader.class);

    private static final int LONGEST_TEXT = 20_000;
    private static final int MOST_ITEMS = 100_000;
    private static final int MOST_NAMES = 5_000;
    /** What is named longer than this is no name of ours, and is told by its beginning. */
    private static final int LONGEST_SHOWN = 100;

    private final Problems problems = new Problems();

    private RecordReader() {}

    /** Reads the tree as a record of that type. */
    public static <T extends Record> Read<T> read(JsonNode tree, Class<T> type) {
        RecordReader reader = new RecordReader();
        Optional<T> value = reader.record(tree, type, "");
        return new Read<>(reader.problems.none() ? value : Optional.empty(), reader.problems.list());
    }

    private <T extends Record> Optional<T> record(JsonNode given, Class<T> type, String pointer) {
        JsonNode node = given.isValueNode() && type.isAnnotationPresent(StandsAlone.class) ? alone(given, type) : given;
        if (!node.isObject()) {
            problems.at(pointer, TEXT.get("record_reader.must_be_an_object_with_named"));
            return Optional.empty();
        }
        int before = problems.count();
        RecordShape shape = RecordShape.of(type);
        unknown(node, shape, pointer);
        Object[] values = new Object[shape.fields().size()];
        for (int i = 0; i < values.length; i++) {
            FieldShape field = shape.fields().get(i);
            values[i] = field(node.get(field.name()), field, pointer + "/" + field.name());
        }
        if (problems.count() > before) {
            return Optional.empty();
        }
        T value = type.cast(shape.make(values));
        if (value instanceof Checked checked) {
            checked.check(problems, pointer);
        }
        return Optional.of(value);
    }

    /** What stands by itself is the first field of the record. */
    private static JsonNode alone(JsonNode value, Class<? extends Record> type) {
        return JsonNodeFactory.instance
                .objectNode()
                .put(RecordShape.of(type).fields().get(0).name(), value.asText());
    }

    private void unknown(JsonNode node, RecordShape shape, String pointer) {
        List<String> strangers = new ArrayList<>();
        node.fieldNames().forEachRemaining(field -> {
            if (!shape.names().contains(field)) {
                strangers.add(field);
            }
        });
        if (!strangers.isEmpty()) {
            String sentence = TEXT.get("record_reader.is_no_field_here_there_are", String.join(", ", shape.names()));
            strangers.forEach(field -> problems.at(pointer + "/" + escaped(field), sentence));
        }
    }

    private Object field(JsonNode node, FieldShape field, String pointer) {
        Class<?> type = field.type();
        boolean absent = node == null || node.isNull();
        if (type == List.class) {
            return absent && !field.stated() ? List.of() : list(node, field, pointer);
        }
        if (type == Map.class) {
            return absent ? Map.of() : map(node, field, pointer);
        }
        if (absent && type == Optional.class) {
            return Optional.empty();
        }
        if (absent && type == OptionalDouble.class) {
            return OptionalDouble.empty();
        }
        if (absent && field.orElse().isEmpty()) {
            return refuse(pointer, TEXT.get("record_reader.is_missing", field.what()));
        }
        if (absent) {
            return fallback(field);
        }
        Object value = scalar(node, field, pointer);
        return type == Optional.class ? Optional.ofNullable(value) : value;
    }

    private Object list(JsonNode node, FieldShape field, String pointer) {
        if (node == null || node.isNull()) {
            return refuse(pointer, TEXT.get("record_reader.is_missing", field.what()));
        }
        if (!node.isArray()) {
            return refuse(pointer, TEXT.get("record_reader.must_be_a_list", field.what()));
        }
        if (node.size() < field.atLeast()) {
            return refuse(
                    pointer, TEXT.get("record_reader.has_items_at_least_belong_here", node.size(), field.atLeast()));
        }
        int most = field.item() == String.class ? MOST_NAMES : MOST_ITEMS;
        if (node.size() > most) {
            return refuse(pointer, TEXT.get("record_reader.has_items_at_most_are_read", node.size(), most));
        }
        List<Object> items = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            Object item = scalar(node.get(i), field, pointer + "/" + i);
            if (item != null) {
                items.add(item);
            }
        }
        return items;
    }

    private Object map(JsonNode node, FieldShape field, String pointer) {
        if (!node.isObject()) {
            return refuse(pointer, TEXT.get("record_reader.must_be_an_object_of_names", field.what()));
        }
        if (node.size() > MOST_NAMES) {
            return refuse(pointer, TEXT.get("record_reader.has_names_at_most_are_read", node.size(), MOST_NAMES));
        }
        Map<String, Object> named = new LinkedHashMap<>();
        node.properties().forEach(entry -> {
            String at = pointer + "/" + escaped(entry.getKey());
            if (!entry.getValue().isNull()) {
                Object value = scalar(entry.getValue(), field, at);
                if (value != null) {
                    named.put(entry.getKey(), value);
                }
            }
        });
        return named;
    }

    private static String escaped(String name) {
        String whole = name.replace("~", "~0").replace("/", "~1");
        return whole.length() > LONGEST_SHOWN ? whole.substring(0, LONGEST_SHOWN) + "…" : whole;
    }

    /** One value that stands there; null after a problem. */
    private Object scalar(JsonNode node, FieldShape field, String pointer) {
        Class<?> type = field.item();
        if (type == double.class || type == Double.class || type == OptionalDouble.class || type == int.class) {
            return number(node, field, pointer);
        }
        if (type == boolean.class || type == Boolean.class) {
            return node.isBoolean()
                    ? (Object) node.booleanValue()
                    : refuse(pointer, TEXT.get("record_reader.must_be_true_or_false", field.what()));
        }
        if (type == String.class) {
            return text(node, field, pointer);
        }
        if (type.isEnum()) {
            return constant(node, field, pointer);
        }
        return record(node, type.asSubclass(Record.class), pointer).orElse(null);
    }

    private Object number(JsonNode node, FieldShape field, String pointer) {
        if (!node.isNumber()) {
            String found = node.isTextual()
                    ? TEXT.get("record_reader.is_text_write_the_number_without")
                    : TEXT.get("record_reader.must_be_a_number");
            return refuse(pointer, found + field.what());
        }
        double value = node.doubleValue();
        if (!field.range().holds(value)) {
            String unit = field.unit().isEmpty() ? "" : " " + field.unit();
            return refuse(
                    pointer,
                    TEXT.get(
                            "record_reader.is_goes",
                            node.asText(),
                            field.what(),
                            field.range().inWords(b -> bound(b) + unit)));
        }
        if (field.item() == int.class) {
            return value == Math.rint(value)
                    ? (Object) (int) value
                    : refuse(pointer, TEXT.get("record_reader.must_be_a_whole_number", field.what()));
        }
        return field.item() == OptionalDouble.class ? OptionalDouble.of(value) : (Object) value;
    }

    private static String bound(double bound) {
        return bound == Math.rint(bound) && Math.abs(bound) < 1e12
                ? String.valueOf((long) bound)
                : String.valueOf(bound);
    }

    private Object text(JsonNode node, FieldShape field, String pointer) {
        if (!node.isTextual() || node.textValue().isBlank()) {
            return refuse(pointer, TEXT.get("record_reader.must_be_a_text", field.what()));
        }
        return node.textValue().length() <= LONGEST_TEXT
                ? node.textValue().strip()
                : refuse(pointer, TEXT.get("record_reader.is_longer_than_characters", LONGEST_TEXT, field.what()));
    }

    private Object constant(JsonNode node, FieldShape field, String pointer) {
        for (Outcome outcome : field.outcomes()) {
            if (node.isTextual() && outcome.name().equals(node.textValue())) {
                return outcome.constant();
            }
        }
        String all = field.outcomes().stream().map(Outcome::name).collect(Collectors.joining(", "));
        return refuse(pointer, TEXT.get("record_reader.must_be_one_of", all, field.what()));
    }

    private Object refuse(String pointer, String problem) {
        problems.at(pointer, problem);
        return null;
    }

    private static Object fallback(FieldShape field) {
        Class<?> type = field.type();
        if (type == double.class) {
            return Double.valueOf(field.orElse());
        }
        if (type == int.class) {
            return Integer.valueOf(field.orElse());
        }
        if (type == boolean.class) {
            return Boolean.valueOf(field.orElse());
        }
        return type.isEnum()
                ? field.outcomes().stream()
                        .filter(o -> o.name().equals(field.orElse()))
                        .findFirst()
                        .orElseThrow()
                        .constant()
                : field.orElse();
    }
}
