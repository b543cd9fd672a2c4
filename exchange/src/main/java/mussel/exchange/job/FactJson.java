package mussel.exchange.job;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.cfg.CoercionAction;
import com.fasterxml.jackson.databind.cfg.CoercionInputShape;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.InvalidTypeIdException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.type.LogicalType;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.job.Fact;
import mussel.core.language.Messages;
import mussel.exchange.record.Json;

/** The facts of the journal as JSON, one object a fact, its kind in {@code kind}. */
public final class FactJson {
    private static final Messages TEXT = Messages.of(FactJson.class);

    private static final ObjectMapper MAPPER = Json.mapper()
            .copy()
            .addMixIn(Fact.class, Kinds.class)
            .registerModule(new JavaTimeModule())
            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS);

    private static final ObjectMapper STRICT = MAPPER.copy()
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);

    static {
        // A number in quotes is a text, and a number is no text; "Infinity" and "NaN" come in no other way.
        for (LogicalType type : List.of(LogicalType.Float, LogicalType.Integer, LogicalType.Boolean)) {
            STRICT.coercionConfigFor(type).setCoercion(CoercionInputShape.String, CoercionAction.Fail);
            STRICT.coercionConfigFor(type).setCoercion(CoercionInputShape.EmptyString, CoercionAction.Fail);
        }
        STRICT.coercionConfigFor(LogicalType.Boolean).setCoercion(CoercionInputShape.Integer, CoercionAction.Fail);
        for (CoercionInputShape shape :
                List.of(CoercionInputShape.Integer, CoercionInputShape.Float, CoercionInputShape.Boolean)) {
            STRICT.coercionConfigFor(LogicalType.Textual).setCoercion(shape, CoercionAction.Fail);
        }
    }

    private FactJson() {}

    /** Reads a fact from elsewhere, with nothing missing and nothing beside it; an IllegalArgumentException says what is wrong with it. */
    public static Fact strict(JsonNode tree) {
        try {
            Fact fact = Optional.ofNullable(STRICT.treeToValue(tree, Fact.class))
                    .orElseThrow(() -> new IllegalArgumentException("fact is missing"));
            inItsLetters(tree, STRICT.readTree(write(fact)));
            return fact;
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("fact is none this program knows: " + plain(e), e);
        }
    }

    /** Words have small letters as they are written: one in others is refused, so that what is read is what the schema allows. */
    private static void inItsLetters(JsonNode given, JsonNode written) {
        if (given.isTextual()
                && written.isTextual()
                && !given.textValue().equals(written.textValue())
                && given.textValue().equalsIgnoreCase(written.textValue())) {
            throw new IllegalArgumentException("“" + given.textValue() + "” is written “" + written.textValue() + "”");
        }
        given.properties().forEach(field -> {
            if (written.has(field.getKey())) {
                inItsLetters(field.getValue(), written.get(field.getKey()));
            }
        });
        for (int i = 0; given.isArray() && i < Math.min(given.size(), written.size()); i++) {
            inItsLetters(given.get(i), written.get(i));
        }
    }

    /** What is wrong and where, in words: the library's own name classes. */
    static String plain(JsonProcessingException e) {
        String at = e instanceof JsonMappingException mapping
                ? mapping.getPath().stream()
                        .map(r -> r.getFieldName() == null ? String.valueOf(r.getIndex() + 1) : r.getFieldName())
                        .collect(Collectors.joining("/"))
                : "";
        if (e instanceof UnrecognizedPropertyException unknown) {
            return TEXT.get("fact_json.is_no_field_of_it", unknown.getPropertyName());
        }
        if (e instanceof InvalidTypeIdException type) {
            return type.getTypeId() == null
                    ? TEXT.get("fact_json.kind_is_missing")
                    : TEXT.get("fact_json.its_kind_is", type.getTypeId());
        }
        if (e instanceof InvalidFormatException format) {
            return TEXT.get("fact_json.is", at, format.getValue());
        }
        if (e instanceof JsonMappingException) {
            return at.isEmpty()
                    ? TEXT.get("fact_json.a_field_is_missing_or_of")
                    : TEXT.get("fact_json.is_missing_or_of_another_kind", at);
        }
        return TEXT.get("fact_json.it_is_not_whole");
    }

    /** Writes a fact. */
    public static String write(Fact fact) {
        if (fact instanceof Fact.Unread unread && isObject(unread.text())) {
            return unread.text();
        }
        try {
            return MAPPER.writerFor(Fact.class).writeValueAsString(fact);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean isObject(String text) {
        try {
            JsonNode tree = MAPPER.readTree(text);
            return tree != null && tree.isObject() && text.indexOf('\n') < 0;
        } catch (JsonProcessingException e) {
            return false;
        }
    }

    /** Reads a fact; an IllegalArgumentException says what is wrong with it. */
    public static Fact read(String json) {
        try {
            return Optional.ofNullable(MAPPER.readValue(json, Fact.class))
                    .orElseThrow(() -> new IllegalArgumentException("it is empty"));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(plain(e), e);
        }
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Fact.Opened.class, name = "opened"),
        @JsonSubTypes.Type(value = Fact.LegCorrected.class, name = "leg_corrected"),
        @JsonSubTypes.Type(value = Fact.Read.class, name = "read"),
        @JsonSubTypes.Type(value = Fact.Chosen.class, name = "chosen"),
        @JsonSubTypes.Type(value = Fact.Cleared.class, name = "cleared"),
        @JsonSubTypes.Type(value = Fact.Ticked.class, name = "ticked"),
        @JsonSubTypes.Type(value = Fact.Noted.class, name = "noted"),
        @JsonSubTypes.Type(value = Fact.HoldBegun.class, name = "hold_begun"),
        @JsonSubTypes.Type(value = Fact.Held.class, name = "held"),
        @JsonSubTypes.Type(value = Fact.Ordered.class, name = "ordered"),
        @JsonSubTypes.Type(value = Fact.Arrived.class, name = "arrived"),
        @JsonSubTypes.Type(value = Fact.Delivered.class, name = "delivered"),
        @JsonSubTypes.Type(value = Fact.Pictured.class, name = "pictured"),
        @JsonSubTypes.Type(value = Fact.WorkedBy.class, name = "worked_by"),
        @JsonSubTypes.Type(value = Fact.Decided.class, name = "decided"),
        @JsonSubTypes.Type(value = Fact.Countersigned.class, name = "countersigned"),
        @JsonSubTypes.Type(value = Fact.Tagged.class, name = "tagged"),
        @JsonSubTypes.Type(value = Fact.Retracted.class, name = "retracted"),
        @JsonSubTypes.Type(value = Fact.Unread.class, name = "unread")
    })
    private interface Kinds {}
}
