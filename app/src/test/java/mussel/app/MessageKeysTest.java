package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessagePattern;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The message files and the code that asks for them: no key is missing, none is left over, and each gets as many arguments as it has places. */
class MessageKeysTest {
    private static final Path HOUSE = Path.of("..");
    private static final String SOURCES = "src/main/java";
    private static final String RESOURCES = "src/main/resources";
    private static final Pattern CALL = Pattern.compile("\\bTEXT\\s*\\.get\\(\\s*\"([^\"]+)\"");
    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"(\\s*\\+)?");
    private static final Pattern ENUM = Pattern.compile("\\benum (\\w+)");
    private static final Pattern CONSTANT =
            Pattern.compile("^\\s+([A-Z][A-Z0-9_]*)\\s*(?:[(,;{]|$)", Pattern.MULTILINE);

    /** The message files by room. */
    private static TreeMap<String, Properties> rooms() {
        TreeMap<String, Properties> rooms = new TreeMap<>();
        for (String module : modules()) {
            Path resources = HOUSE.resolve(module).resolve(RESOURCES);
            for (Path file : files(resources, "messages.properties")) {
                Properties messages = new Properties();
                try (Reader reader = Files.newBufferedReader(file)) {
                    messages.load(reader);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                rooms.put(resources.relativize(file.getParent()).toString().replace('/', '.'), messages);
            }
        }
        assertThat(rooms).hasSizeGreaterThan(40);
        return rooms;
    }

    private static List<String> modules() {
        return List.of("core", "work", "exchange", "store", "desktop", "app");
    }

    private static List<Path> files(Path folder, String name) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(p -> p.toString().endsWith(name)).sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The text of each source file by its room. */
    private static TreeMap<String, List<String>> sources() {
        TreeMap<String, List<String>> sources = new TreeMap<>();
        for (String module : modules()) {
            Path root = HOUSE.resolve(module).resolve(SOURCES);
            for (Path file : files(root, ".java")) {
                try {
                    sources.computeIfAbsent(
                                    root.relativize(file.getParent()).toString().replace('/', '.'),
                                    r -> new ArrayList<>())
                            .add(Files.readString(file));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            }
        }
        return sources;
    }

    @Test
    void everyKeyThatIsAskedForIsThereAndEveryKeyIsAskedFor() {
        TreeMap<String, Properties> rooms = rooms();
        List<String> missing = new ArrayList<>();
        TreeSet<String> left = new TreeSet<>();
        rooms.forEach((room, messages) -> messages.stringPropertyNames().forEach(key -> left.add(room + " " + key)));
        sources().forEach((room, files) -> {
            Properties messages = rooms.getOrDefault(room, new Properties());
            for (String source : files) {
                Matcher call = CALL.matcher(source);
                while (call.find()) {
                    if (!source.startsWith("+", call.end() + 1) && !messages.containsKey(call.group(1))) {
                        missing.add(room + " " + call.group(1));
                    }
                }
                used(source, messages).forEach(key -> left.remove(room + " " + key));
            }
        });
        assertThat(missing).as("keys without a message").isEmpty();
        assertThat(left).as("messages nobody asks for").isEmpty();
    }

    /** What a source asks for: keys it names, keys that begin with what it names and puts something behind, and those of its enums. */
    private static List<String> used(String source, Properties messages) {
        TreeSet<String> whole = new TreeSet<>();
        TreeSet<String> begun = new TreeSet<>();
        Matcher literal = LITERAL.matcher(source);
        while (literal.find()) {
            (literal.group(2) == null ? whole : begun).add(literal.group(1));
        }
        Matcher type = ENUM.matcher(source);
        while (type.find()) {
            String name = type.group(1).replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT);
            Matcher constant = CONSTANT.matcher(source).region(type.end(), source.length());
            while (constant.find()) {
                String id = constant.group(1).toLowerCase(Locale.ROOT);
                whole.addAll(List.of(name + "." + id, id, id + "."));
            }
        }
        return messages.stringPropertyNames().stream()
                .filter(key -> whole.contains(key)
                        || begun.stream().anyMatch(b -> !b.isEmpty() && key.startsWith(b))
                        || whole.stream().anyMatch(w -> w.endsWith(".") && key.startsWith(w)))
                .toList();
    }

    @Test
    void everyMessageIsAPatternAndGetsWhatItFillsIn() {
        TreeMap<String, Properties> rooms = rooms();
        List<String> wrong = new ArrayList<>();
        sources()
                .forEach((room, files) -> files.forEach(source -> {
                    Matcher call = CALL.matcher(source);
                    while (call.find()) {
                        String pattern =
                                rooms.getOrDefault(room, new Properties()).getProperty(call.group(1), "");
                        int given = arguments(source, call.end());
                        int places = places(pattern);
                        if (given >= 0 && given < places) {
                            wrong.add(room + " " + call.group(1) + ": " + places + " places, " + given + " given");
                        }
                    }
                }));
        assertThat(wrong).isEmpty();
    }

    /** How many places a pattern has; refuses one that is none. */
    private static int places(String text) {
        MessagePattern pattern = new MessagePattern(text);
        int places = 0;
        for (int i = 0; i < pattern.countParts(); i++) {
            if (pattern.getPartType(i) == MessagePattern.Part.Type.ARG_NUMBER) {
                places = Math.max(places, pattern.getPart(i).getValue() + 1);
            }
        }
        return places;
    }

    /** How many arguments follow the key; −1 where that cannot be told, as one array for all. */
    private static int arguments(String source, int from) {
        int depth = 0;
        int commas = 0;
        boolean quoted = false;
        for (int i = from; i < source.length(); i++) {
            char c = source.charAt(i);
            if (c == '"' && source.charAt(i - 1) != '\\') {
                quoted = !quoted;
            } else if (!quoted && (c == '(' || c == '{' || c == '[')) {
                depth++;
            } else if (!quoted && (c == '}' || c == ']' || c == ')' && depth > 0)) {
                depth--;
            } else if (!quoted && c == ')') {
                return commas;
            } else if (!quoted && c == ',' && depth == 0) {
                commas++;
            }
        }
        return -1;
    }
}
