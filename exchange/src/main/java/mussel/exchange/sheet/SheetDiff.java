package mussel.exchange.sheet;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import mussel.core.sheet.FamilySheet;
import mussel.exchange.record.Changes;
import mussel.exchange.record.Json;

/** What differs between two sheets. What has an id is compared with what has the same one, wherever it stands. */
public final class SheetDiff {
    private SheetDiff() {}

    /** Each difference in words, a line each; none where the two say the same. */
    public static List<String> lines(FamilySheet before, FamilySheet after) {
        return Changes.between(
                byId(Json.mapper().valueToTree(before)), byId(Json.mapper().valueToTree(after)));
    }

    private static JsonNode byId(JsonNode node) {
        if (node.isObject()) {
            ObjectNode made = JsonNodeFactory.instance.objectNode();
            node.properties().forEach(f -> made.set(f.getKey(), byId(f.getValue())));
            return made;
        }
        boolean named = node.isArray() && !node.isEmpty() && node.get(0).has("id");
        if (!named) {
            return node;
        }
        ObjectNode made = JsonNodeFactory.instance.objectNode();
        node.forEach(item -> made.set(item.get("id").asText(), byId(item)));
        return made;
    }
}
