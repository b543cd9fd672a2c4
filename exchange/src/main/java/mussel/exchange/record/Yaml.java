package mussel.exchange.record;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLParser;
import java.io.IOException;
import java.util.Optional;
import java.util.regex.Pattern;
import mussel.core.language.Messages;

/**
 * YAML as Mussel reads it: into the same trees as JSON, refused in the same manner. What makes one text mean two things is refused too: anchors and
 * aliases, figures that begin with a nought, a second document.
 */
public final class Yaml {
    private static final Messages TEXT = Messages.of(Yaml.class);

    /** The most bytes one file may have. */
    public static final int MOST_BYTES = 2 * 1024 * 1024;

    private static final int LONGEST_LINE = 20_200;
    private static final Pattern OCTAL = Pattern.compile("[-+]?0[0-9_]+");
    private static final YAMLFactory FACTORY = new YAMLFactory();
    private static final ObjectMapper MAPPER = YAMLMapper.builder()
            .enable(JsonParser.Feature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private Yaml() {}

    /** Reads a tree from UTF-8, or says in a sentence why it is none. */
    public static Read<JsonNode> tree(byte[] utf8) {
        if (beginsAsJson(utf8)) {
            Read<JsonNode> json = Json.tree(utf8);
            if (json.value().isPresent() || tooMuch(utf8).isPresent()) {
                return json;
            }
        }
        return tooMuch(utf8)
                .or(() -> twoMeanings(utf8))
                .<Read<JsonNode>>map(Read::refused)
                .orElseGet(() -> Json.tree(utf8, MAPPER, "YAML"));
    }

    private static boolean beginsAsJson(byte[] utf8) {
        int at = 0;
        while (at < utf8.length && Character.isWhitespace(utf8[at])) {
            at++;
        }
        return at < utf8.length && (utf8[at] == '{' || utf8[at] == '[');
    }

    /** Sizes are looked at before anything is read: a line without an end takes the reader minutes. */
    private static Optional<String> tooMuch(byte[] utf8) {
        if (utf8.length > MOST_BYTES) {
            return Optional.of(TEXT.get("yaml.is_larger_than_mb_which_is", MOST_BYTES / (1024 * 1024)));
        }
        int line = 1;
        int from = 0;
        for (int i = 0; i <= utf8.length; i++) {
            if (i == utf8.length || utf8[i] == '\n' || utf8[i] == '\r') {
                if (i - from > LONGEST_LINE) {
                    return Optional.of(TEXT.get("yaml.has_a_line_of_more_than", line, LONGEST_LINE));
                }
                from = i + 1;
                line += i < utf8.length && utf8[i] == '\n' ? 1 : 0;
            }
        }
        return Optional.empty();
    }

    private static Optional<String> twoMeanings(byte[] utf8) {
        try (YAMLParser parser = FACTORY.createParser(utf8)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                String where =
                        TEXT.get("yaml.line", parser.currentTokenLocation().getLineNr());
                if (parser.isCurrentAlias() || parser.getObjectId() != null) {
                    return Optional.of(TEXT.get("yaml.has_an_anchor_or_alias_write", where));
                }
                if (token == JsonToken.VALUE_NUMBER_INT
                        && OCTAL.matcher(parser.getText()).matches()) {
                    return Optional.of(TEXT.get("yaml.has_the_figure_which_begins_with", parser.getText(), where));
                }
            }
            return Optional.empty();
        } catch (JsonProcessingException e) {
            // The reading itself says what is wrong.
            return Optional.empty();
        } catch (IOException | RuntimeException e) {
            return Optional.of(TEXT.get("yaml.is_not_yaml"));
        }
    }
}
