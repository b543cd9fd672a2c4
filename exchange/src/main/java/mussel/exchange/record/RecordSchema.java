package mussel.exchange.record;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.NamedBy;
import mussel.core.measure.StandsAlone;

/** Writes the JSON Schema (draft 2020-12) of a record from the same annotations that {@link RecordReader} reads by. */
public final class RecordSchema {
    private static final Messages TEXT = Messages.of(RecordSchema.class);

    private RecordSchema() {}

    /** The schema of a document that holds one such record. */
    public static ObjectNode of(Class<? extends Record> type, String title) {
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", title);
        schema.setAll(object(type));
        return schema;
    }

    private static ObjectNode object(Class<?> type) {
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        ArrayNode required = schema.putArray("required");
        ObjectNode properties = schema.putObject("properties");
        for (RecordComponent component : type.getRecordComponents()) {
            Given given = component.getAnnotation(Given.class);
            String name = given.name().isEmpty() ? NamedBy.file(component.getName()) : given.name();
            boolean needed = needed(component, given);
            ObjectNode property = property(component, given, !needed);
            properties.set(name, property);
            if (needed) {
                required.add(name);
            }
        }
        return schema;
    }

    private static boolean needed(RecordComponent component, Given given) {
        Class<?> type = component.getType();
        if (type == List.class) {
            return given.stated() || given.atLeast() > 0;
        }
        return type != Optional.class
                && type != Map.class
                && type != OptionalDouble.class
                && given.orElse().isEmpty();
    }

    private static ObjectNode property(RecordComponent component, Given given, boolean nullable) {
        Class<?> type = component.getType();
        ObjectNode schema;
        if (type == List.class) {
            schema = JsonNodeFactory.instance.objectNode();
            schema.put("type", "array");
            schema.set("items", value(argument(component), given, false));
            if (given.atLeast() > 0) {
                schema.put("minItems", given.atLeast());
            }
        } else if (type == Map.class) {
            schema = JsonNodeFactory.instance.objectNode();
            schema.putArray("type").add("object").add("null");
            schema.set("additionalProperties", value(argument(component), given, true));
        } else {
            schema = value(type == Optional.class ? argument(component) : type, given, nullable);
        }
        String unit = given.kind().canonical();
        schema.put("description", given.value() + (unit.isEmpty() ? "" : " (" + unit + ")"));
        if (!given.orElse().isEmpty() && !given.orElse().equals("-")) {
            schema.put("$comment", TEXT.get("record_schema.taken_as_when_absent", given.orElse()));
        }
        return schema;
    }

    private static Class<?> argument(RecordComponent component) {
        return RecordShape.itemOf(component);
    }

    private static ObjectNode value(Class<?> type, Given given, boolean nullable) {
        if (type.isAnnotationPresent(StandsAlone.class)) {
            ObjectNode either = JsonNodeFactory.instance.objectNode();
            ArrayNode ways = either.putArray("anyOf");
            ways.addObject().putArray("type").add("string").add("number").add("boolean");
            ways.add(object(type));
            if (nullable) {
                ways.addObject().put("type", "null");
            }
            return either;
        }
        if (Record.class.isAssignableFrom(type)) {
            return orNull(object(type), nullable);
        }
        ObjectNode schema = JsonNodeFactory.instance.objectNode();
        if (type.isEnum()) {
            ArrayNode values = schema.putArray("enum");
            Arrays.stream(type.getEnumConstants()).forEach(c -> values.add(NamedBy.file((Enum<?>) c)));
            if (nullable) {
                values.addNull();
            }
            return schema;
        }
        if (type == String.class || type == boolean.class || type == Boolean.class) {
            schema.put("type", type == String.class ? "string" : "boolean");
            return orNull(schema, nullable);
        }
        schema.put("type", type == int.class ? "integer" : "number");
        if (given.min() != -Double.MAX_VALUE) {
            schema.put(given.minOpen() ? "exclusiveMinimum" : "minimum", given.min());
        }
        if (given.max() != Double.MAX_VALUE) {
            schema.put("maximum", given.max());
        }
        return orNull(schema, nullable);
    }

    private static ObjectNode orNull(ObjectNode schema, boolean nullable) {
        if (nullable) {
            String type = schema.get("type").textValue();
            schema.putArray("type").add(type).add("null");
        }
        return schema;
    }
}
