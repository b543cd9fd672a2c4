package mussel.exchange.log;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.io.IOException;
import java.util.Arrays;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.log.Visit;
import mussel.exchange.record.Json;

/** Visits as JSON, as they are kept beside the journal. */
public final class VisitJson {
    private static final Messages TEXT = Messages.of(VisitJson.class);

    private static final ObjectMapper MAPPER = Json.mapper()
            .copy()
            .registerModule(new SimpleModule().addDeserializer(Visit.Look.class, new LookReader()))
            .registerModule(new JavaTimeModule())
            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS);
    private static final ObjectWriter WRITER = MAPPER.writerFor(Visit.class);
    private static final ObjectReader READER = MAPPER.readerFor(Visit.class);

    private VisitJson() {}

    /** Writes a visit. */
    public static String write(Visit visit) {
        try {
            return WRITER.writeValueAsString(visit);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Reads a look; earlier versions kept it as a sentence, the scale's label and its outcome with a colon between. */
    private static final class LookReader extends StdDeserializer<Visit.Look> {
        private static final long serialVersionUID = 1L;

        LookReader() {
            super(Visit.Look.class);
        }

        @Override
        public Visit.Look deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            JsonNode node = context.readTree(parser);
            String said = node.asText();
            int colon = said.indexOf(": ");
            if (!node.isTextual()) {
                return new Visit.Look(
                        node.path("scale").asText(), node.path("outcome").asText());
            }
            return Arrays.stream(Scale.values())
                    .filter(s -> colon >= 0 && s.label().equals(said.substring(0, colon)))
                    .map(s -> new Visit.Look(s.name(), said.substring(colon + 2).replace(' ', '_')))
                    .findFirst()
                    .orElseThrow(() -> new InvalidFormatException(
                            parser, TEXT.get("visit_json.a_look_that_is_none"), said, Visit.Look.class));
        }
    }

    /** Reads a visit; an IllegalArgumentException says what is wrong with it. */
    public static Visit read(String json) {
        try {
            return READER.readValue(json);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("This is no visit: " + e.getOriginalMessage(), e);
        }
    }
}
