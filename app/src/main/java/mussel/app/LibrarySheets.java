package mussel.app;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.library.CompactSheet;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.measure.Problem;
import mussel.core.sheet.Kit;
import mussel.core.sheet.Part;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.exchange.file.OutFile;
import mussel.exchange.library.Compact;
import mussel.exchange.library.Expansion;
import mussel.exchange.library.KitLines;
import mussel.exchange.library.Library;
import mussel.exchange.library.PastedParts;
import mussel.exchange.library.Shared;
import mussel.exchange.library.SheetChanges;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.sheet.KeptSheet;
import mussel.exchange.sheet.SheetDiff;
import mussel.exchange.sheet.SheetFiles;
import mussel.work.shop.SheetLibrary;

/** Sheets over the library that ships, kept as compact sheets. */
final class LibrarySheets implements SheetLibrary {
    private static final Messages TEXT = Messages.of(LibrarySheets.class);

    private final UnaryOperator<String> yards;

    /** Sheets of a yard that keeps texts of its own by family; an empty text where it keeps none. */
    LibrarySheets(UnaryOperator<String> yards) {
        this.yards = yards;
    }

    /** What a sheet that shares another's is read over: the yard's own of that family, else the one that ships. */
    private Optional<JsonNode> base(String family) {
        return compact(family, Optional.of(yards.apply(family)).filter(t -> !t.isEmpty()));
    }

    private Read<SpecSheet> expanded(JsonNode sheet) {
        return Expansion.expand(sheet, Library.shipped(), this::base);
    }

    /** A compact sheet with what it shares. */
    private JsonNode whole(JsonNode sheet) {
        Read<JsonNode> whole = Shared.whole(sheet, this::base);
        return whole.value().orElseThrow(() -> refused(TEXT.get("library_sheets.that_was_kept"), whole));
    }

    @Override
    public Optional<String> base(Optional<String> kept) {
        return kept.flatMap(k -> Yaml.tree(k.getBytes(StandardCharsets.UTF_8)).value())
                .flatMap(Shared::base);
    }

    @Override
    public String beginLike(String id, String title, String family) {
        ObjectNode sheet = Json.mapper()
                .createObjectNode()
                .put("format", CompactSheet.Format.SECOND.file())
                .put("id", id)
                .put("title", title)
                .put("like", family);
        return sound(sheet, title);
    }

    @Override
    public List<SpecSheet> earlier(SpecSheet shipped) {
        return SheetFiles.shipped().contains(shipped) ? SheetFiles.earlier(shipped.id()) : List.of();
    }

    @Override
    public Kept kept(SpecSheet sheet) {
        KeptSheet kept = KeptSheet.of(sheet);
        return new Kept(kept.name(), kept.text());
    }

    @Override
    public Optional<SpecSheet> read(String text) {
        return KeptSheet.read(text).value();
    }

    @Override
    public List<String> differences(SpecSheet before, SpecSheet after) {
        return SheetDiff.words(before, after);
    }

    @Override
    public List<String> changes(String before, String after) {
        return before.isEmpty()
                ? List.of(TEXT.get(
                        "library_sheets.begun_as", tree(after).path("title").asText()))
                : SheetChanges.between(tree(before), tree(after), Library.shipped());
    }

    @Override
    public String without(String now, String before, String after) {
        JsonNode sheet = Compact.without(tree(now), tree(before), tree(after));
        Read<SpecSheet> full = expanded(sheet);
        if (full.value().isEmpty()) {
            throw refused(TEXT.get("library_sheets.without_that_change"), full);
        }
        return sheet.toString();
    }

    private static JsonNode tree(String text) {
        return Yaml.tree((text.isEmpty() ? "{}" : text).getBytes(StandardCharsets.UTF_8))
                .value()
                .orElseThrow(() -> new JournalException(TEXT.get("library_sheets.the_sheet_that_was_kept_cannot")));
    }

    @Override
    public List<Feature> features() {
        return Library.shipped().features();
    }

    @Override
    public String title(Size size) {
        return Library.shipped().title(size);
    }

    @Override
    public Map<String, String> answers(String family, Optional<String> kept) {
        Map<String, String> answers = new LinkedHashMap<>();
        compact(family, kept)
                .map(this::whole)
                .map(sheet -> sheet.path("features"))
                .ifPresent(f -> f.properties()
                        .forEach(a -> answers.put(a.getKey(), a.getValue().asText())));
        return answers;
    }

    /** The compact sheet as it was kept, else as it ships; empty for a whole sheet in the data folder. */
    private static Optional<JsonNode> compact(String family, Optional<String> kept) {
        return kept.flatMap(k -> Yaml.tree(k.getBytes(StandardCharsets.UTF_8)).value())
                .or(() -> SheetFiles.compact(family));
    }

    private static JsonNode own(String family, Optional<String> kept) {
        return compact(family, kept)
                .orElseThrow(() -> new JournalException(TEXT.get("library_sheets.belongs_into_the_file_of_this")));
    }

    @Override
    public String answer(String family, Optional<String> kept, String feature, Optional<String> answer) {
        ObjectNode sheet = own(family, kept).deepCopy();
        answer.ifPresentOrElse(a -> sheet.withObject("/features").put(feature, a), () -> sheet.withObject("/features")
                .remove(feature));
        return sound(sheet, TEXT.get("library_sheets.with_that_answer"));
    }

    @Override
    public void write(String family, Optional<String> kept, Path file) {
        byte[] yaml = Compact.yaml(alone(own(family, kept))).getBytes(StandardCharsets.UTF_8);
        OutFile.of(file, OutFile.Kind.SHEET, true).write(out -> out.write(yaml));
    }

    /** A sheet as another yard can take it, which may lack the one it shares. */
    private JsonNode alone(JsonNode sheet) {
        JsonNode whole = whole(sheet).deepCopy();
        ((ObjectNode) whole).remove("like");
        return whole;
    }

    @Override
    public List<Region> drawing(Size size, Map<String, String> answers) {
        return Expansion.drawing(size, answers, Library.shipped());
    }

    @Override
    public String begin(String id, String title, Size size, Map<String, String> answers) {
        Read<ObjectNode> begun = Compact.begin(id, title, size, answers);
        return begun.value().map(JsonNode::toString).orElseThrow(() -> refused(title, begun));
    }

    @Override
    public String say(String family, Optional<String> kept, Map<String, String> values, String page) {
        JsonNode sheet = own(family, kept);
        ObjectNode told = told(sheet, values, page);
        Read<SpecSheet> full = expanded(told);
        if (full.value().isEmpty()) {
            throw new JournalException(
                    full.problems().stream().map(Problem::problem).collect(Collectors.joining("; ")));
        }
        return told.toString();
    }

    private static ObjectNode told(JsonNode sheet, Map<String, String> values, String page) {
        try {
            return Compact.told(sheet, values, page);
        } catch (IllegalArgumentException e) {
            throw new JournalException(e.getMessage(), e);
        }
    }

    @Override
    public Map<String, Said> said(String family, Optional<String> kept) {
        Map<String, Said> said = new LinkedHashMap<>();
        compact(family, kept).map(this::whole).ifPresent(sheet -> Compact.said(sheet)
                .forEach((at, value) -> said.put(at, new Said(value.value(), value.page()))));
        return said;
    }

    @Override
    public List<Pasted> pasted(SpecSheet sheet, String text) {
        return PastedParts.read(sheet, text).stream()
                .map(p -> new Pasted(
                        p.text(),
                        p.number(),
                        p.part().map(Part::id),
                        p.part().map(Part::title).orElse("")))
                .toList();
    }

    @Override
    public String numbered(String family, Optional<String> kept, Map<String, String> numbers) {
        ObjectNode sheet = own(family, kept).deepCopy();
        numbers.forEach((part, number) -> sheet.withObject("/numbers").put(part, number));
        return sound(sheet, TEXT.get("library_sheets.with_those_numbers"));
    }

    @Override
    public String stepped(
            String family,
            Optional<String> kept,
            String step,
            Optional<String> title,
            Optional<String> detail,
            Optional<Step.Minutes> minutes) {
        return sound(
                Compact.stepped(own(family, kept), step, title, detail, minutes),
                TEXT.get("library_sheets.with_that_step"));
    }

    @Override
    public boolean changeable(String family, Optional<String> kept) {
        return compact(family, kept).isPresent();
    }

    @Override
    public String kits(SpecSheet sheet) {
        return KitLines.write(sheet);
    }

    @Override
    public String kits(SpecSheet sheet, Optional<String> kept, String lines) {
        Read<List<Kit>> kits = KitLines.read(sheet, lines);
        if (kits.value().isEmpty()) {
            throw new JournalException(
                    kits.problems().stream()
                                    .map(p -> p.at() + " " + p.problem())
                                    .collect(Collectors.joining("; ")) + ".");
        }
        ObjectNode told = own(sheet.id(), kept).deepCopy();
        told.set("kits", Json.mapper().valueToTree(kits.value().get()));
        return sound(told, TEXT.get("library_sheets.with_those_kits"));
    }

    private String sound(ObjectNode sheet, String with) {
        Read<SpecSheet> full = expanded(sheet);
        if (full.value().isEmpty()) {
            throw refused(with, full);
        }
        return sheet.toString();
    }

    @Override
    public SpecSheet full(String kept) {
        Read<SpecSheet> read = SheetFiles.family(kept.getBytes(StandardCharsets.UTF_8), this::base);
        return read.value().orElseThrow(() -> refused(TEXT.get("library_sheets.that_was_kept"), read));
    }

    private static JournalException refused(String what, Read<?> read) {
        return new JournalException(TEXT.get(
                "library_sheets.the_sheet",
                what,
                read.problems().stream().map(Object::toString).collect(Collectors.joining("; "))));
    }
}
