package mussel.exchange.sheet;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Changes;
import mussel.exchange.record.Json;

/** What differs between two sheets. What has an id is compared with what has the same one, wherever it stands. */
public final class SheetDiff {
    private static final String NOT_SAID = "not entered";
    /** Units as they end a field's name. */
    private static final Map<String, String> UNITS = Map.of(
            "ml", "ml", "kpa", "kPa", "mm", "mm", "min", "min", "deg", "°", "nm", "N·m", "kg", "kg", "m2", "m²", "rpm",
            "1/min");

    private static final Pattern UNIT = Pattern.compile("_(?:" + String.join("|", UNITS.keySet()) + ")$");

    private SheetDiff() {}

    /** Each difference in words, a line each; none where the two say the same. */
    public static List<String> lines(SpecSheet before, SpecSheet after) {
        return Changes.between(
                byId(Json.mapper().valueToTree(before)), byId(Json.mapper().valueToTree(after)));
    }

    /** The same as a technician reads it, what is estimated left out. */
    public static List<String> words(SpecSheet before, SpecSheet after) {
        return lines(before, after).stream()
                .filter(line -> !line.startsWith("/estimates"))
                .map(SheetDiff::words)
                .toList();
    }

    private static String words(String line) {
        int end = line.indexOf(':');
        String place = line.substring(1, end);
        Matcher unit = UNIT.matcher(place);
        String named = unit.find() ? place.substring(0, unit.start()) : place;
        String in = unit.hitEnd() && named.length() < place.length()
                ? " (" + UNITS.get(place.substring(unit.start() + 1)) + ")"
                : "";
        return named.replace("/", ", ").replace('_', ' ')
                + in
                + line.substring(end).replaceAll("(\\d)\\.0\\b", "$1").replace("“-”", NOT_SAID);
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
