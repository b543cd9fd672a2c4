package mussel.exchange.sheet;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.zip.CRC32;
import mussel.core.job.Yard;
import mussel.core.measure.Problem;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.library.Expansion;
import mussel.exchange.library.Library;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;
import mussel.exchange.record.Yaml;

/** Reads family sheets and the yard's own sheet from YAML (JSON is YAML too). */
public final class SheetFiles {
    static final List<String> SHIPPED = List.of("tern-60", "wren-8", "skua-225", "dotterel-5");

    static final List<String> EARLIER = SHIPPED;

    private static final String GOAL_SHEETS = "goal_sheets";

    private SheetFiles() {}

    /** Reads one family sheet, compact or whole, or says everything that is wrong with it. */
    public static Read<SpecSheet> family(byte[] utf8) {
        return family(utf8, SheetFiles::compact);
    }

    /** The same over other sheets than those that ship, for one that shares another's. */
    public static Read<SpecSheet> family(byte[] utf8, Function<String, Optional<JsonNode>> bases) {
        return family(utf8, Library::shipped, bases);
    }

    static Read<SpecSheet> family(byte[] utf8, Supplier<Library> library, Function<String, Optional<JsonNode>> bases) {
        Read<JsonNode> tree = Yaml.tree(utf8);
        if (tree.value().isEmpty()) {
            return new Read<>(Optional.empty(), tree.problems());
        }
        return family(tree.value().get(), library, bases);
    }

    private static Read<SpecSheet> family(
            JsonNode tree, Supplier<Library> library, Function<String, Optional<JsonNode>> bases) {
        return tree.has("format")
                ? Expansion.expand(tree, library.get(), bases)
                : RecordReader.read(library.get().withMeaning(asRead(tree)), SpecSheet.class);
    }

    /**
     * Reads one family sheet or a list of them, as {@code families --json} writes it. A problem of a sheet in a list is told by its place in the list.
     */
    public static Read<List<SpecSheet>> families(byte[] utf8) {
        Read<JsonNode> tree = Yaml.tree(utf8);
        if (tree.value().isEmpty()) {
            return new Read<>(Optional.empty(), tree.problems());
        }
        JsonNode root = tree.value().get();
        List<SpecSheet> sheets = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < (root.isArray() ? root.size() : 1); i++) {
            Read<SpecSheet> read = family(root.isArray() ? root.get(i) : root, Library::shipped, SheetFiles::compact);
            String place = root.isArray() ? "/" + i : "";
            read.problems().forEach(p -> problems.add(new Problem(place + p.at(), p.problem())));
            read.value().ifPresent(sheets::add);
        }
        return problems.isEmpty() ? Read.of(sheets) : new Read<>(Optional.empty(), problems);
    }

    /** A sheet as commands write it, with the ids of its goals first and what is missing last, as it is read. */
    private static JsonNode asRead(JsonNode tree) {
        if (!tree.has(GOAL_SHEETS)) {
            return tree;
        }
        ObjectNode read = tree.deepCopy();
        read.set("goals", read.remove(GOAL_SHEETS));
        read.remove("missing");
        return read;
    }

    /** Reads a yard's own sheet, or says everything that is wrong with it. */
    public static Read<Yard> yard(byte[] utf8) {
        return read(utf8, Yard.class);
    }

    /** The families the product ships; read once. */
    public static List<SpecSheet> shipped() {
        return Shipped.FAMILIES;
    }

    /** Sheets of a family that shipped earlier, the latest first: jobs that name no sheet of their own were worked by it. */
    public static List<SpecSheet> earlier(String id) {
        return EARLIER.contains(id) ? List.of(Earlier.SHEETS.get(EARLIER.indexOf(id))) : List.of();
    }

    /** The compact sheet of a family that ships. */
    public static Optional<JsonNode> compact(String id) {
        return SHIPPED.contains(id)
                ? Yaml.tree(resource("families/" + id + ".yaml")).value()
                : Optional.empty();
    }

    /** The yard's sheet as it is before anyone changed it. */
    public static Yard shippedYard() {
        return sound(compiled("yard.json", Yard.class), "yard");
    }

    /** Changes when any sheet that ships does. */
    public static String stamp() {
        CRC32 sum = new CRC32();
        SHIPPED.forEach(id -> sum.update(resource("families/" + id + ".json")));
        sum.update(resource("yard.json"));
        sum.update(resource("/mussel/exchange/verdict/knowledge.json"));
        return Long.toHexString(sum.getValue());
    }

    private static <T extends Record> Read<T> read(byte[] utf8, Class<T> type) {
        Read<JsonNode> tree = Yaml.tree(utf8);
        return tree.value().isPresent()
                ? RecordReader.read(tree.value().get(), type)
                : new Read<>(Optional.empty(), tree.problems());
    }

    /** A shipped sheet as the build has checked and compiled it; see {@link SheetCompiler}. */
    private static <T extends Record> Read<T> compiled(String name, Class<T> type) {
        Read<JsonNode> tree = Json.tree(resource(name));
        return RecordReader.read(tree.value().orElseThrow(), type);
    }

    private static <T> T sound(Read<T> read, String name) {
        return read.value()
                .orElseThrow(() -> new IllegalStateException("The shipped sheet " + name + ": " + read.problems()));
    }

    private static byte[] resource(String name) {
        try (InputStream in = SheetFiles.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("The shipped sheet " + name + " is not there");
            }
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Read when first asked for. */
    private static final class Earlier {
        private static final List<SpecSheet> SHEETS = EARLIER.stream()
                .map(id -> sound(compiled("earlier/" + id + ".json", SpecSheet.class), id))
                .toList();

        private Earlier() {}
    }

    /** Read when first asked for. */
    private static final class Shipped {
        private static final List<SpecSheet> FAMILIES = SHIPPED.stream()
                .map(id -> sound(compiled("families/" + id + ".json", SpecSheet.class), id))
                .toList();

        private Shipped() {}
    }
}
