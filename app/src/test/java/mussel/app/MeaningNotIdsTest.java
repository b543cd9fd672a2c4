package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mussel.core.library.Size;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Interval;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.exchange.library.Compact;
import mussel.exchange.library.Expansion;
import mussel.exchange.library.Library;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/**
 * Ids of parts, steps, goals, intervals and fasteners belong to the sheets: code reads what they declare. Words of the trade that are the same as an id
 * and are none there are listed with their reason.
 */
class MeaningNotIdsTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/");

    /** What makes a demo or a picture may name what it shows. */
    private static final List<String> MAKES_EXAMPLES = List.of("/app/demo/", "/app/ShotsApp", "/bench/src/");

    /** File by file the words that are no ids there. */
    private static final Map<String, Set<String>> WORDS = Map.ofEntries(
            // findings of the diagnosis tables
            Map.entry("PumpWork", Set.of("pump_key")),
            Map.entry("PumpEngine", Set.of("pump_key")),
            // causes of the diagnosis tables, and where their bubbles show
            Map.entry("SimulatedLeakTester", Set.of("shift_seal", "plug_washers", "carrier_orings")),
            // which shaft the indicator's arm sits on
            Map.entry("Scale", Set.of("driveshaft")),
            Map.entry("PlacePage", Set.of("driveshaft")),
            // which pair of lips
            Map.entry("VerdictWords", Set.of("driveshaft")),
            // places of the set-up and sentences about them
            Map.entry("SetupPlace", Set.of("pinion")),
            Map.entry("ShimWords", Set.of("pinion")),
            // engines
            Map.entry("Engine", Set.of("pump", "pinion")),
            // what a bottle holds
            Map.entry("FillInput", Set.of("gear_oil")),
            // the steps of a lay-up
            Map.entry("LayUpWork", Set.of("gear_oil", "pump")),
            // access levels of the diagnosis tables
            Map.entry("Policies", Set.of("prop_off")),
            Map.entry("VerdictInput", Set.of("prop_off")),
            // features and lists of the compact sheet
            Map.entry("Manual", Set.of("pump", "linkage")));

    private static Set<String> ids() {
        Set<String> ids = new HashSet<>();
        for (SpecSheet sheet : sheets()) {
            sheet.parts().stream().map(Part::id).forEach(ids::add);
            sheet.steps().stream().map(Step::id).forEach(ids::add);
            sheet.goals().stream().map(Goal::id).forEach(ids::add);
            sheet.intervals().stream().map(Interval::id).forEach(ids::add);
            sheet.fasteners().stream().map(Fastener::id).forEach(ids::add);
        }
        return ids;
    }

    private static List<SpecSheet> sheets() {
        List<SpecSheet> sheets = new ArrayList<>(SheetFiles.shipped());
        for (Size size : Size.values()) {
            sheets.add(Expansion.expand(
                            Compact.begin("any", "Any", size, Map.of()).value().orElseThrow(), Library.shipped())
                    .value()
                    .orElseThrow());
        }
        return sheets;
    }

    @Test
    void noIdOfASheetStandsInCode() throws IOException {
        Set<String> ids = ids();
        assertThat(ids).hasSizeGreaterThan(200);
        List<String> found = new ArrayList<>();
        Set<String> words = new HashSet<>();
        try (Stream<Path> files = Files.walk(ROOT)) {
            files.filter(f -> f.toString().contains("/src/main/java/"))
                    .filter(f -> f.toString().endsWith(".java"))
                    .filter(f -> MAKES_EXAMPLES.stream().noneMatch(f.toString()::contains))
                    .forEach(f -> {
                        String name = f.getFileName().toString().replace(".java", "");
                        Matcher literal = LITERAL.matcher(code(f));
                        while (literal.find()) {
                            String text = literal.group(1);
                            if (!ids.contains(text)) {
                                continue;
                            }
                            if (WORDS.getOrDefault(name, Set.of()).contains(text)) {
                                words.add(name + " " + text);
                            } else {
                                found.add(f + ": \"" + text + "\"");
                            }
                        }
                    });
        }
        assertThat(found).as("read what the sheet declares instead").isEmpty();
        assertThat(words)
                .as("words that are listed and used")
                .hasSize(WORDS.values().stream().mapToInt(Set::size).sum());
    }

    private static String code(Path file) {
        try {
            return COMMENT.matcher(Files.readString(file)).replaceAll("");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
