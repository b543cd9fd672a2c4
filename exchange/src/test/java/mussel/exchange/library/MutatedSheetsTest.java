package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import mussel.core.measure.Problem;
import mussel.core.plan.Planner;
import mussel.core.sheet.Goal;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/** Compact sheets with values, names and whole branches changed at random: refused with every problem and its place, or read right. */
class MutatedSheetsTest {
    private static final List<JsonNode> SOUND = List.of("tern-60", "wren-8", "skua-225", "dotterel-5").stream()
            .map(id -> SheetFiles.compact(id).orElseThrow())
            .toList();

    private static final List<String> ODD = List.of(
            "",
            "-",
            "unknown",
            "NaN",
            "1e400",
            "-5 N·m",
            "34-40 N·m",
            "9 psi",
            "0x10",
            "true",
            "null",
            "prop_off",
            "../../etc",
            "{socket:leg_bolts}",
            "{",
            "}",
            "{nothing:here}",
            "a".repeat(5_000),
            "\u0000\n\t",
            "漏れ");

    private final Random random = new Random(20_261_129);

    @Test
    void areRefusedOrRead() {
        int files = Integer.getInteger("mussel.mutations", 400);
        int refused = 0;
        for (int i = 0; i < files; i++) {
            ObjectNode sheet = SOUND.get(i % SOUND.size()).deepCopy();
            for (int changes = 1 + random.nextInt(3); changes > 0; changes--) {
                change(sheet);
            }
            refused += tried(i, sheet) ? 0 : 1;
        }
        assertThat(refused).isBetween(files / 20, files - files / 20);
    }

    /** Whether it was read; whatever was is planned goal by goal. */
    private static boolean tried(int number, JsonNode sheet) {
        try {
            Read<SpecSheet> read = SheetFiles.family(sheet.toString().getBytes(StandardCharsets.UTF_8));
            assertThat(read.value().isPresent()).isNotEqualTo(!read.problems().isEmpty());
            assertThat(read.problems()).allSatisfy(MutatedSheetsTest::isTold);
            read.value().ifPresent(full -> {
                for (Goal goal : full.goals()) {
                    assertThat(Planner.plan(full, List.of(goal.id())).steps()).isNotEmpty();
                }
            });
            return read.value().isPresent();
        } catch (RuntimeException | AssertionError e) {
            return fail("sheet " + number + ":\n" + Compact.yaml(sheet), e);
        }
    }

    private static void isTold(Problem problem) {
        assertThat(problem.problem()).isNotBlank().doesNotContain("Exception", "mussel.core", "java.");
        assertThat(problem.toString().length()).isLessThan(2_000);
    }

    private void change(ObjectNode sheet) {
        List<JsonNode> branches = new ArrayList<>();
        branches(sheet, branches);
        JsonNode in = branches.get(random.nextInt(branches.size()));
        if (in instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            String name = names.get(random.nextInt(names.size()));
            switch (random.nextInt(4)) {
                case 0 -> object.remove(name);
                case 1 -> object.set(odd(), object.remove(name));
                default -> object.set(name, other(branches));
            }
        } else if (in instanceof ArrayNode array && !array.isEmpty()) {
            int at = random.nextInt(array.size());
            switch (random.nextInt(3)) {
                case 0 -> array.remove(at);
                case 1 -> array.add(array.get(at));
                default -> array.set(at, other(branches));
            }
        }
    }

    private static void branches(JsonNode node, List<JsonNode> into) {
        if (node.isContainerNode()) {
            into.add(node);
            node.forEach(child -> branches(child, into));
        }
    }

    private String odd() {
        return ODD.get(random.nextInt(ODD.size()));
    }

    private JsonNode other(List<JsonNode> branches) {
        JsonNodeFactory make = JsonNodeFactory.instance;
        return switch (random.nextInt(6)) {
            case 0 -> branches.get(random.nextInt(branches.size())).deepCopy();
            case 1 -> make.numberNode(random.nextInt(2_000_000) - 1_000_000);
            case 2 -> make.numberNode(random.nextGaussian() * Math.pow(10, random.nextInt(12)));
            case 3 -> random.nextBoolean() ? make.booleanNode(true) : make.nullNode();
            default -> make.textNode(odd());
        };
    }

    private static List<String> told(String text) {
        return SheetFiles.family(text.getBytes(StandardCharsets.UTF_8)).problems().stream()
                .map(Problem::toString)
                .toList();
    }

    private static String wren(String more) {
        return Compact.yaml(SOUND.get(1)) + more;
    }

    @Test
    void whatIsFarTooLargeIsRefusedBeforeItIsRead() {
        byte[] huge = new byte[50 * 1024 * 1024];
        Arrays.fill(huge, (byte) ' ');
        byte[] begins = "{\"format\":\"mussel-sheet/2\",\"title\":\"".getBytes(StandardCharsets.UTF_8);
        System.arraycopy(begins, 0, huge, 0, begins.length);
        assertThat(SheetFiles.family(huge).problems())
                .singleElement()
                .asString()
                .contains("8 MB");
    }

    @Test
    void aliasesThatMultiplyAreRefused() {
        StringBuilder bomb = new StringBuilder("a: &a [x, x, x, x, x, x, x, x]\n");
        for (char c = 'b'; c <= 'k'; c++) {
            String before = "*" + (char) (c - 1);
            bomb.append(c + ": &" + c + " [" + String.join(", ", List.of(before, before, before, before)) + "]\n");
        }
        assertThat(told("format: mussel-sheet/2\n" + bomb))
                .singleElement()
                .asString()
                .contains("line 2");
        assertThat(told("format: &f mussel-sheet/2\ntitle: *f\nsize: mid\n"))
                .singleElement()
                .asString()
                .contains("anchor or alias");
    }

    @Test
    void whatIsNestedWithoutEndIsRefused() {
        String deep = "{\"format\":\"mussel-sheet/2\",\"title\":\"x\",\"size\":\"mid\",\"features\":"
                + "{\"a\":".repeat(5_000) + "1" + "}".repeat(5_000) + "}";
        assertThat(told(deep)).singleElement().asString().doesNotContain("Exception");
        assertThat(told("format: mussel-sheet/2\nfeatures: " + "[".repeat(3_000)))
                .isNotEmpty();
    }

    @Test
    void aCycleThroughExceptAndAddIsNamed() {
        ObjectNode sheet = SOUND.get(1).deepCopy();
        ObjectNode added = sheet.withArray("/add")
                .addObject()
                .put("id", "look_twice")
                .put("title", "Look twice")
                .put("phase", "down")
                .put("place", "propeller")
                .put("detail", "Look.");
        added.putArray("needs").add("prop_off");
        added.putObject("minutes").put("low", 1).put("likely", 2).put("high", 3);
        assertThat(told(sheet.toString())).isEmpty();
        sheet.withObject("/except/prop_off").putArray("needs").add("look_twice");
        List<String> problems = told(sheet.toString());
        assertThat(problems).isNotEmpty();
        assertThat(problems.stream().collect(Collectors.joining()))
                .contains("look_twice")
                .contains("prop_off");
    }

    @Test
    void aHundredThousandNamesThatAreNoneAreToldInFewWords() {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 100_000; i++) {
            many.append("  n").append(i).append(": x\n");
        }
        List<String> problems = told("format: mussel-sheet/2\ntitle: x\nsize: mid\nfeatures:\n" + many);
        assertThat(problems).isNotEmpty();
        assertThat(problems.size()).as("nobody reads more").isLessThan(1_000);
        assertThat(Yaml.tree(wren("").getBytes(StandardCharsets.UTF_8)).value()).isPresent();
    }
}
