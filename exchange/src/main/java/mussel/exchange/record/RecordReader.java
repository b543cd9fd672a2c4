package mussel.exchange.record;

import com.fasterxml.jackson.databind.JsonNode;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;
import mussel.core.measure.Range;
import mussel.core.measure.Ranges;

/**
 * Reads a tree into a record of the core by its {@link Given} annotations. Strict: an unknown field is a typing slip, null counts as
 * absent, a number in quotes is not a number. Every problem is told at once, each with its JSON Pointer.
 */
public final class RecordReader {
    private static final int LONGEST_TEXT = 20_000;
    private static final int MOST_ITEMS = 100_000;

    private final Problems problems = new Problems();

    private RecordReader() {}

    /** Reads the tree as a record of that type. */
    public static <T extends Record> Read<T> read(JsonNode tree, Class<T> type) {
        RecordReader reader = new RecordReader();
        Optional<T> value = reader.record(tree, type, "");
        return new Read<>(reader.problems.none() ? value : Optional.empty(), reader.problems.list());
    }

    /** The name in files of a component. */
    static String name(RecordComponent component) {
        String given = component.getAnnotation(Given.class).name();
        return given.isEmpty() ? NamedBy.file(component.getName()) : given;
    }

    private <T extends Record> Optional<T> record(JsonNode node, Class<T> type, String pointer) {
        if (!node.isObject()) {
            problems.at(pointer, "must be an object with named fields");
            return Optional.empty();
        }
        int before = problems.list().size();
        RecordComponent[] components = type.getRecordComponents();
        unknown(node, components, pointer);
        Object[] values = new Object[components.length];
        for (int i = 0; i < components.length; i++) {
            String name = name(components[i]);
            values[i] = component(node.get(name), components[i], pointer + "/" + name);
        }
        if (problems.list().size() > before) {
            return Optional.empty();
        }
        T value = construct(type, components, values);
        if (value instanceof Checked checked) {
            checked.check(problems, pointer);
        }
        return Optional.of(value);
    }

    private void unknown(JsonNode node, RecordComponent[] components, String pointer) {
        Set<String> known =
                Arrays.stream(components).map(RecordReader::name).collect(Collectors.toCollection(TreeSet::new));
        node.fieldNames().forEachRemaining(field -> {
            if (!known.contains(field)) {
                String escaped = field.replace("~", "~0").replace("/", "~1");
                problems.at(pointer + "/" + escaped, "is no field here; there are " + String.join(", ", known));
            }
        });
    }

    private Object component(JsonNode node, RecordComponent component, String pointer) {
        Given given = component.getAnnotation(Given.class);
        Class<?> type = component.getType();
        boolean absent = node == null || node.isNull();
        if (type == List.class) {
            return absent && given.atLeast() == 0 ? List.of() : list(node, component, pointer);
        }
        if (absent && type == Optional.class) {
            return Optional.empty();
        }
        if (absent && type == OptionalDouble.class) {
            return OptionalDouble.empty();
        }
        if (absent && given.orElse().isEmpty()) {
            problems.at(pointer, "is missing: " + given.value());
            return null;
        }
        if (absent) {
            return fallback(type, given.orElse());
        }
        Type wanted = type == Optional.class ? argument(component) : type;
        Object value = scalar(node, (Class<?>) wanted, given, pointer);
        return type == Optional.class ? Optional.ofNullable(value) : value;
    }

    private static Class<?> argument(RecordComponent component) {
        return (Class<?>) ((ParameterizedType) component.getGenericType()).getActualTypeArguments()[0];
    }

    private Object list(JsonNode node, RecordComponent component, String pointer) {
        Given given = component.getAnnotation(Given.class);
        if (node == null || node.isNull()) {
            problems.at(pointer, "is missing: " + given.value());
            return null;
        }
        if (!node.isArray()) {
            problems.at(pointer, "must be a list: " + given.value());
            return null;
        }
        if (node.size() < given.atLeast() || node.size() > MOST_ITEMS) {
            problems.at(pointer, "has " + node.size() + " items; at least " + given.atLeast() + " belong here");
            return null;
        }
        List<Object> items = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            Object item = scalar(node.get(i), argument(component), given, pointer + "/" + i);
            if (item != null) {
                items.add(item);
            }
        }
        return items;
    }

    /** One value that stands there; null after a problem. */
    private Object scalar(JsonNode node, Class<?> type, Given given, String pointer) {
        if (type == double.class || type == Double.class || type == OptionalDouble.class || type == int.class) {
            return number(node, type, given, pointer);
        }
        if (type == boolean.class) {
            return node.isBoolean() ? node.booleanValue() : refuse(pointer, "must be true or false: " + given.value());
        }
        if (type == String.class) {
            return text(node, given, pointer);
        }
        if (type.isEnum()) {
            return constant(node, type, given, pointer);
        }
        return record(node, type.asSubclass(Record.class), pointer).orElse(null);
    }

    private Object number(JsonNode node, Class<?> type, Given given, String pointer) {
        if (!node.isNumber()) {
            String found = node.isTextual() ? "is text; write the number without quotes: " : "must be a number: ";
            return refuse(pointer, found + given.value());
        }
        double value = node.doubleValue();
        Range range = Ranges.range(given);
        if (!range.holds(value)) {
            String unit = given.kind().canonical();
            return refuse(
                    pointer,
                    "is " + node.asText() + "; " + given.value() + " goes "
                            + range.inWords(b -> bound(b) + (unit.isEmpty() ? "" : " " + unit)));
        }
        if (type == int.class) {
            return value == Math.rint(value)
                    ? (Object) (int) value
                    : refuse(pointer, "must be a whole number: " + given.value());
        }
        return type == OptionalDouble.class ? OptionalDouble.of(value) : (Object) value;
    }

    private static String bound(double bound) {
        return bound == Math.rint(bound) && Math.abs(bound) < 1e12
                ? String.valueOf((long) bound)
                : String.valueOf(bound);
    }

    private Object text(JsonNode node, Given given, String pointer) {
        if (!node.isTextual() || node.textValue().isBlank()) {
            return refuse(pointer, "must be a text: " + given.value());
        }
        return node.textValue().length() <= LONGEST_TEXT
                ? node.textValue().strip()
                : refuse(pointer, "is longer than " + LONGEST_TEXT + " characters: " + given.value());
    }

    private Object constant(JsonNode node, Class<?> type, Given given, String pointer) {
        Optional<?> found = Arrays.stream(type.getEnumConstants())
                .filter(c -> node.isTextual() && NamedBy.file((Enum<?>) c).equals(node.textValue()))
                .findFirst();
        if (found.isPresent()) {
            return found.get();
        }
        String all = Arrays.stream(type.getEnumConstants())
                .map(c -> NamedBy.file((Enum<?>) c))
                .collect(Collectors.joining(", "));
        return refuse(pointer, "must be one of " + all + ": " + given.value());
    }

    private Object refuse(String pointer, String problem) {
        problems.at(pointer, problem);
        return null;
    }

    private static Object fallback(Class<?> type, String orElse) {
        if (type == double.class) {
            return Double.valueOf(orElse);
        }
        if (type == int.class) {
            return Integer.valueOf(orElse);
        }
        if (type == boolean.class) {
            return Boolean.valueOf(orElse);
        }
        if (type.isEnum()) {
            return Arrays.stream(type.getEnumConstants())
                    .filter(c -> NamedBy.file((Enum<?>) c).equals(orElse))
                    .findFirst()
                    .orElseThrow();
        }
        return orElse;
    }

    private static <T> T construct(Class<T> type, RecordComponent[] components, Object[] values) {
        try {
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            Constructor<T> constructor = type.getDeclaredConstructor(types);
            return constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            throw new IllegalStateException(
                    "The constructor of " + type.getSimpleName() + " refuses what its ranges allow", e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(type.getSimpleName() + " is no open record", e);
        }
    }
}
