package mussel.exchange.record;

import com.fasterxml.jackson.databind.JsonNode;
import com.flipkart.zjsonpatch.DiffFlags;
import com.flipkart.zjsonpatch.JsonDiff;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import mussel.core.language.Messages;

/** What is different between two sheets, in sentences; the differences are those of a JSON Patch (RFC 6902). */
public final class Changes {
    private static final Messages TEXT = Messages.of(Changes.class);

    private static final int LONGEST = 60;
    private static final EnumSet<DiffFlags> FLAGS = EnumSet.of(
            DiffFlags.OMIT_MOVE_OPERATION, DiffFlags.OMIT_COPY_OPERATION, DiffFlags.ADD_ORIGINAL_VALUE_ON_REPLACE);

    private Changes() {}

    /** Each difference, in the order of the first sheet; empty where there is none. */
    public static List<String> between(JsonNode before, JsonNode after) {
        List<String> says = new ArrayList<>();
        for (JsonNode change : JsonDiff.asJson(before, after, FLAGS)) {
            String place = change.get("path").textValue();
            says.add(
                    switch (change.get("op").textValue()) {
                        case "add" -> TEXT.get("changes.new", place, brief(change.get("value")));
                        case "remove" -> TEXT.get("changes.gone_was", place, brief(change.get("value")));
                        default ->
                            TEXT.get("changes.was", place, brief(change.get("value")), brief(change.get("fromValue")));
                    });
        }
        return says;
    }

    private static String brief(JsonNode value) {
        String text = value.isTextual() ? "“" + value.textValue() + "”" : value.toString();
        return text.length() > LONGEST ? text.substring(0, LONGEST) + "…" : text;
    }
}
