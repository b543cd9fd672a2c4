package mussel.exchange.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import mussel.exchange.calc.Engine;
import mussel.exchange.log.LogJson;
import mussel.exchange.record.MutatedFilesTest.Kind;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every reader of text, given files that are as large as it takes and made to be slow: refused with sentences or read, never a trace. The suite
 * gives it a fiftieth of that size; what the largest took is told by the attack.
 */
@Tag("attack")
class HostileFilesTest {
    private static final int MEGA = 1024 * 1024;
    private static final boolean WHOLE = Integer.getInteger("mussel.attack") != null;

    /** How large files a kind is given, in bytes. */
    private static int size(Kind kind) {
        int most =
                switch (kind.name()) {
                    case "hold" -> 16 * MEGA;
                    case "log" -> 64 * MEGA;
                    case "spec sheet", "compact sheet", "yard sheet", "catalogue", "own numbers" -> 2 * MEGA;
                    default -> 8 * MEGA;
                };
        return (WHOLE ? most : most / 50) - 64;
    }

    static Stream<Kind> kinds() {
        Kind log = new Kind(
                "log", "{}".getBytes(StandardCharsets.UTF_8), bytes -> LogJson.read(new ByteArrayInputStream(bytes)));
        return Stream.of(
                        MutatedFilesTest.kinds(),
                        Engine.all().stream().map(e -> new Kind("calc " + e.name(), new byte[0], e::run)),
                        Stream.of(log))
                .flatMap(s -> s);
    }

    private static Map<String, Supplier<String>> shapes(int size) {
        Map<String, Supplier<String>> shapes = new LinkedHashMap<>();
        shapes.put("brackets", () -> "[".repeat(size));
        shapes.put("objects", () -> "{\"a\":".repeat(size / 5));
        shapes.put("one word", () -> "{\"a\":\"" + "b".repeat(size - 9) + "\"}");
        shapes.put("one number", () -> "{\"a\":" + "9".repeat(size - 8) + "}");
        shapes.put("a list", () -> "{\"a\":[1" + ",1".repeat(size / 2 - 6) + "]}");
        shapes.put("empty objects", () -> "[{}" + ",{}".repeat(size / 3 - 2) + "]");
        shapes.put("names", () -> names(size));
        shapes.put("one name", () -> "{\"a\":1" + ",\"a\":1".repeat(size / 6 - 3) + "}");
        shapes.put("dashes", () -> "-".repeat(size));
        shapes.put("steps of a list", () -> "- ".repeat(size / 2));
        shapes.put("questions", () -> "? ".repeat(size / 2));
        shapes.put("spaces", () -> " ".repeat(size));
        shapes.put("lines", () -> "\n".repeat(size));
        shapes.put("nothings", () -> "\0".repeat(size));
        shapes.put("quotes", () -> "\"".repeat(size));
        shapes.put("commas", () -> ",".repeat(size));
        shapes.put("rows", () -> "1,2\n".repeat(size / 4));
        shapes.put("tags", () -> "!!a ".repeat(size / 4));
        shapes.put("laughter", () -> laughter());
        shapes.put("comments", () -> "# a\n".repeat(size / 4));
        return shapes;
    }

    private static String names(int size) {
        StringBuilder names = new StringBuilder("{\"a\":1");
        for (int i = 0; names.length() < size - 20; i++) {
            names.append(",\"a").append(i).append("\":1");
        }
        return names.append('}').toString();
    }

    private static String laughter() {
        StringBuilder text = new StringBuilder("a0: &a0 [x,x,x,x,x,x,x,x,x]\n");
        for (int i = 1; i < 12; i++) {
            text.append("a%d: &a%d [%s]\n".formatted(i, i, ("*a" + (i - 1) + ",").repeat(9)));
        }
        return text.toString();
    }

    /** A sound file in which one list or one word is as long as fits. */
    private static Map<String, byte[]> swollen(Kind kind, int size) throws IOException {
        Map<String, byte[]> swollen = new LinkedHashMap<>();
        if (!kind.name().matches("family sheet|compact sheet|yard sheet|catalogue|own numbers")) {
            return swollen;
        }
        JsonNode tree = Yaml.tree(kind.sound()).value().orElseThrow();
        int room = Math.max(20_000, size - Json.mapper().writeValueAsBytes(tree).length);
        List<String> places = new ArrayList<>();
        places(tree, "", places);
        for (String at : places) {
            JsonNode copy = tree.deepCopy();
            JsonNode there = copy.at(at);
            if (there instanceof ArrayNode list) {
                JsonNode first = list.get(0);
                int each = Json.mapper().writeValueAsBytes(first).length + 1;
                for (int i = 0; i < room / each; i++) {
                    list.add(first.deepCopy());
                }
            } else {
                int cut = at.lastIndexOf('/');
                ((ObjectNode) copy.at(at.substring(0, cut)))
                        .set(at.substring(cut + 1), TextNode.valueOf("b ".repeat(room / 2)));
            }
            swollen.put(at, Json.mapper().writeValueAsBytes(copy));
        }
        return swollen;
    }

    /** The first list and the first word under each name. */
    private static void places(JsonNode node, String path, List<String> places) {
        node.properties().forEach(e -> {
            String here = path + "/" + e.getKey();
            JsonNode value = e.getValue();
            if (value.isArray() && !value.isEmpty() || value.isTextual()) {
                places.add(here);
            }
            if (value.isObject()) {
                places(value, here, places);
            } else if (value.isArray() && !value.isEmpty() && value.get(0).isObject()) {
                places(value.get(0), here + "/0", places);
            }
        });
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void areRefusedOrRead(Kind kind) throws IOException {
        int size = size(kind);
        long[] worst = new long[1];
        String[] which = new String[1];
        int[] tried = new int[1];
        Consumer<Map.Entry<String, byte[]>> give = file -> {
            long from = System.nanoTime();
            try {
                Read<?> read = kind.reader().apply(file.getValue());
                assertThat(read.problems())
                        .as(kind.name() + ", " + file.getKey())
                        .noneMatch(p -> p.problem().isBlank()
                                || p.problem().contains("Exception")
                                || p.problem().length() > 2_000);
            } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
                fail(kind.name() + ", " + file.getKey() + ": " + e, e);
            }
            long took = System.nanoTime() - from;
            tried[0]++;
            if (took > worst[0]) {
                worst[0] = took;
                which[0] = file.getKey();
            }
        };
        shapes(size)
                .forEach((name, text) -> give.accept(Map.entry(name, text.get().getBytes(StandardCharsets.UTF_8))));
        swollen(kind, size).entrySet().forEach(give);
        System.out.printf(
                "ATTACK reader of %s: %d tried, 0 failed, slowest %.1f s (%s)%n",
                kind.name(), tried[0], worst[0] / 1e9, which[0]);
    }
}
