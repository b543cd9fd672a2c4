package mussel.exchange.log;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.ObjectReader;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import mussel.core.log.Visit;
import mussel.exchange.record.Json;

/** Visits as JSON, as they are kept beside the journal. */
public final class VisitJson {
    private static final ObjectMapper MAPPER = Json.mapper()
            .copy()
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

    /** Reads a visit; an IllegalArgumentException says what is wrong with it. */
    public static Visit read(String json) {
        try {
            return READER.readValue(json);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("This is no visit: " + e.getOriginalMessage(), e);
        }
    }
}
