package mussel.exchange.log;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.Iterator;
import java.util.Optional;
import java.util.function.Consumer;
import mussel.core.language.Messages;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.KeptSheet;

/** The sheets that jobs were worked by, in a log as JSON: one a line before the jobs, each under the name its content gives it. */
public final class LogSheets {
    private static final Messages TEXT = Messages.of(LogSheets.class);

    /** What the field is called that holds them. */
    static final String FIELD = "sheets";

    private static final int LONGEST = 4_000_000;

    private LogSheets() {}

    /** Writes sheets and tells the name of each. */
    static void write(JsonGenerator json, Iterator<KeptSheet> sheets, Consumer<String> named) throws IOException {
        json.writeObjectFieldStart(FIELD);
        while (sheets.hasNext()) {
            KeptSheet sheet = sheets.next();
            json.writeRaw('\n');
            json.writeFieldName(sheet.name());
            json.writeRawValue(sheet.text());
            named.accept(sheet.name());
        }
        json.writeEndObject();
    }

    /** Goes through the sheets, the parser standing on the beginning of their object. What is wrong with the first that is wrong; empty where nothing is. */
    static Optional<String> walk(JsonParser in, Consumer<KeptSheet> each) throws IOException {
        if (in.currentToken() != JsonToken.START_OBJECT) {
            in.skipChildren();
            return Optional.of(TEXT.get("log_sheets.sheets_must_be_an_object_name"));
        }
        Optional<String> problem = Optional.empty();
        while (in.nextToken() == JsonToken.FIELD_NAME) {
            String name = in.currentName();
            in.nextToken();
            JsonNode tree = in.readValueAsTree();
            Optional<String> wrong = problem(name, tree, each);
            problem = problem.isPresent() ? problem : wrong;
        }
        return problem;
    }

    private static Optional<String> problem(String name, JsonNode tree, Consumer<KeptSheet> each) {
        if (!tree.isObject()) {
            return Optional.of(TEXT.get("log_sheets.the_sheet_must_be_an_object", name));
        }
        KeptSheet sheet = KeptSheet.of(tree);
        if (!sheet.name().equals(name)) {
            return Optional.of(TEXT.get("log_sheets.the_sheet_is_not_as_it", name));
        }
        if (sheet.text().length() > LONGEST) {
            return Optional.of(TEXT.get("log_sheets.the_sheet_is_longer_than_one", name));
        }
        Read<?> read = KeptSheet.read(sheet.text());
        if (read.value().isEmpty()) {
            return Optional.of(TEXT.get(
                    "log_sheets.the_sheet_cannot_be_read", name, read.problems().get(0)));
        }
        each.accept(sheet);
        return Optional.empty();
    }

    /** Hands over the sheets of a log that was found sound; the stream stays open. */
    public static void walk(InputStream utf8, Consumer<KeptSheet> each) throws IOException {
        try (JsonParser in = LogJson.PARTS.getFactory().createParser(utf8)) {
            in.disable(JsonParser.Feature.AUTO_CLOSE_SOURCE);
            in.nextToken();
            while (in.nextToken() == JsonToken.FIELD_NAME) {
                boolean here = in.currentName().equals(FIELD);
                boolean jobs = in.currentName().equals("jobs");
                in.nextToken();
                if (here) {
                    walk(in, each);
                    return;
                }
                if (jobs) {
                    return;
                }
                in.skipChildren();
            }
        }
    }
}
