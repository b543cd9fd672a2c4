package mussel.exchange.sheet;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;

/**
 * A full sheet as jobs keep it: its JSON on one line, and as its name the SHA-256 of that (FIPS 180-4), cut to sixteen bytes. What a sheet gains in
 * later versions of the program must be optional, so that the sheets of old jobs can still be read.
 *
 * @param name its name, 32 hexadecimal digits
 * @param text its text
 */
public record KeptSheet(String name, String text) {
    private static final Messages TEXT = Messages.of(KeptSheet.class);

    private static final int BYTES = 16;

    /** A sheet as it is kept. */
    public static KeptSheet of(SpecSheet sheet) {
        JsonNode tree = Json.mapper().valueToTree(sheet);
        return of(tree);
    }

    /** A sheet that came as a tree, under the name its content gives it. */
    public static KeptSheet of(JsonNode tree) {
        try {
            // Read once more, so that what is written again is written the same.
            String text = Json.mapper()
                    .writeValueAsString(Json.mapper().readTree(Json.mapper().writeValueAsBytes(tree)));
            return new KeptSheet(nameOf(text), text);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The name of a text. */
    public static String nameOf(String text) {
        return HexFormat.of().formatHex(Arrays.copyOf(sha256().digest(text.getBytes(StandardCharsets.UTF_8)), BYTES));
    }

    /** The sheet of a text that was kept, or what this program does not understand of it. */
    public static Read<SpecSheet> read(String text) {
        try {
            return RecordReader.read(Json.mapper().readTree(text), SpecSheet.class);
        } catch (JsonProcessingException e) {
            return new Read<>(
                    Optional.empty(), List.of(new Problem("", TEXT.get("kept_sheet.is_not_json", Json.plain(e)))));
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
