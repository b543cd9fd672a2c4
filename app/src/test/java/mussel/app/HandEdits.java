package mussel.app;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Changes that somebody makes in a JSON file with an editor. */
final class HandEdits {
    private HandEdits() {}

    /** A container and the name or number of something in it. */
    private record Place(JsonNode in, String name, int at, String path) {
        JsonNode value() {
            return in.isObject() ? in.get(name) : in.get(at);
        }

        void put(JsonNode value) {
            if (in instanceof ObjectNode object) {
                object.set(name, value);
            } else {
                ((ArrayNode) in).set(at, value);
            }
        }

        void remove() {
            if (in instanceof ObjectNode object) {
                object.remove(name);
            } else {
                ((ArrayNode) in).remove(at);
            }
        }
    }

    /** Makes one change; says which. */
    static String one(JsonNode tree, Random random) {
        List<Place> places = new ArrayList<>();
        collect(tree, "", places);
        while (true) {
            Place place = places.get(random.nextInt(places.size()));
            switch (random.nextInt(5)) {
                case 0 -> {
                    place.remove();
                    return "removed " + place.path();
                }
                case 1 -> {
                    if (place.in() instanceof ArrayNode array && array.size() > 1) {
                        int other = random.nextInt(array.size());
                        JsonNode there = array.get(other);
                        if (!there.equals(place.value())) {
                            array.set(other, place.value());
                            place.put(there);
                            return "swapped " + place.path() + " with " + other;
                        }
                    }
                }
                case 2 -> {
                    if (place.in() instanceof ArrayNode array) {
                        array.insert(place.at(), place.value().deepCopy());
                        return "doubled " + place.path();
                    }
                }
                default -> {
                    JsonNode changed = changed(place.value(), random);
                    if (!changed.equals(place.value())) {
                        String was = place.value().toString();
                        place.put(changed);
                        return place.path() + " from " + was + " to " + changed;
                    }
                }
            }
        }
    }

    private static JsonNode changed(JsonNode value, Random random) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        if (value.isInt() || value.isLong()) {
            return nodes.numberNode(value.asLong() + 1 + random.nextInt(3));
        }
        if (value.isNumber()) {
            return nodes.numberNode(value.asDouble() * (random.nextBoolean() ? 10 : 1.01));
        }
        if (value.isBoolean()) {
            return BooleanNode.valueOf(!value.asBoolean());
        }
        if (value.isTextual() && !value.asText().isEmpty()) {
            String text = value.asText();
            int at = random.nextInt(text.length());
            return TextNode.valueOf(
                    text.substring(0, at) + (text.charAt(at) == '3' ? '4' : '3') + text.substring(at + 1));
        }
        return value;
    }

    private static void collect(JsonNode node, String path, List<Place> places) {
        if (node.isObject()) {
            node.properties().forEach(e -> {
                String here = path + "/" + e.getKey();
                places.add(new Place(node, e.getKey(), -1, here));
                collect(e.getValue(), here, places);
            });
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                places.add(new Place(node, "", i, path + "/" + i));
                collect(node.get(i), path + "/" + i, places);
            }
        }
    }
}
