package mussel.exchange.job;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.util.Optional;
import mussel.core.job.Fact;
import mussel.exchange.record.Json;

/** The facts of the journal as JSON, one object a fact, its kind in {@code kind}. */
public final class FactJson {
    private static final ObjectMapper MAPPER = Json.mapper()
            .copy()
            .addMixIn(Fact.class, Kinds.class)
            .registerModule(new JavaTimeModule())
            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS);

    private static final ObjectMapper STRICT = MAPPER.copy()
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT);

    private FactJson() {}

    /** Reads a fact from elsewhere, with nothing missing and nothing beside it; an IllegalArgumentException says what is wrong with it. */
    public static Fact strict(JsonNode tree) {
        try {
            return Optional.ofNullable(STRICT.treeToValue(tree, Fact.class))
                    .orElseThrow(() -> new IllegalArgumentException("fact is missing"));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("This is no entry of a journal: " + e.getOriginalMessage(), e);
        }
    }

    /** Writes a fact. */
    public static String write(Fact fact) {
        try {
            return MAPPER.writerFor(Fact.class).writeValueAsString(fact);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Reads a fact; an IllegalArgumentException says what is wrong with it. */
    public static Fact read(String json) {
        try {
            return MAPPER.readValue(json, Fact.class);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("This is no entry of a journal: " + e.getOriginalMessage(), e);
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
        @JsonSubTypes.Type(value = Fact.Pictured.class, name = "pictured"),
        @JsonSubTypes.Type(value = Fact.Tagged.class, name = "tagged"),
        @JsonSubTypes.Type(value = Fact.Retracted.class, name = "retracted")
    })
    private interface Kinds {}
}
