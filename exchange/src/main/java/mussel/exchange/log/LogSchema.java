package mussel.exchange.log;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** The published schema of a log as JSON. */
public final class LogSchema {
    private LogSchema() {}

    /** The schema (JSON Schema, draft 2020-12). */
    public static String text() {
        try (InputStream in = LogSchema.class.getResourceAsStream("log.schema.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
