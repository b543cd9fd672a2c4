package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mussel.core.library.CompactSheet;
import mussel.core.library.Feature;
import mussel.core.library.SheetValues;
import mussel.core.library.Size;
import mussel.core.library.StepChange;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;

/**
 * Makes the full sheet of a family from its compact one: every entry of the library that the answers let in, changed as its cases say, filled with what
 * the manual says, then changed as the family itself says. What the answers leave out is left out wherever it is named.
 */
public final class Expansion {
    private static final Set<String> ON_THE_WAY_IN = Set.of("down", "strip");

    private static final Pattern STEP_POINTER = Pattern.compile("/steps/(\\d+)(/.*|)");
    private static final String DETAIL = "detail";
    private static final String TOOLS = "tools";
    private static final String PART = "part";

    private final Library library;
    private final CompactSheet sheet;
    private final Answers answers;
    private final Manual manual;
    private final ObjectNode full = JsonNodeFactory.instance.objectNode();
    private final Map<String, ObjectNode> parts = new LinkedHashMap<>();
    private final Map<String, ObjectNode> fasteners = new LinkedHashMap<>();
    private final Map<String, ObjectNode> goals = new LinkedHashMap<>();
    private final Map<String, ObjectNode> steps = new LinkedHashMap<>();

    private Expansion(Library library, CompactSheet sheet) {
        this.library = library;
        this.sheet = sheet;
        this.answers = new Answers(library, sheet);
        this.manual = new Manual(library, sheet);
    }

    /** Reads a compact sheet that stands alone and makes the full one of it, or says everything that is wrong with it. */
    public static Read<SpecSheet> expand(JsonNode compact, Library library) {
        return expand(compact, library, id -> Optional.empty());
    }

    /**
     * Reads a compact sheet and makes the full one of it, or says everything that is wrong with it.
     *
     * @param bases the compact sheets there are, by family: what a sheet that shares another's is read over
     */
    public static Read<SpecSheet> expand(
            JsonNode compact, Library library, Function<String, Optional<JsonNode>> bases) {
        Read<JsonNode> whole = Shared.whole(compact, bases);
        if (whole.value().isEmpty()) {
            return new Read<>(Optional.empty(), whole.problems());
        }
        Read<CompactSheet> read =
                RecordReader.read(library.withMeaning(whole.value().get()), CompactSheet.class);
        return read.value().isPresent()
                ? expand(read.value().get(), library)
                : new Read<>(Optional.empty(), read.problems());
    }

    /** Makes the full sheet of a compact one. */
    public static Read<SpecSheet> expand(CompactSheet sheet, Library library) {
        Problems problems = new Problems();
        new CompactRules(sheet, library, problems).check();
        Expansion expansion = new Expansion(library, sheet);
        expansion.manual.check(problems);
        if (!problems.none()) {
            return new Read<>(Optional.empty(), problems.list());
        }
        Read<SpecSheet> made = RecordReader.read(expansion.tree(), SpecSheet.class);
        return new Read<>(
                made.value(), made.problems().stream().map(expansion::placed).toList());
    }

    /** What a leg of the size looks like that is built so; what is not answered is unknown. */
    public static List<Region> drawing(Size size, Map<String, String> given, Library library) {
        Answers answers = new Answers(library, size);
        given.forEach(answers.given::put);
        answers.follow();
        List<Region> drawing = new ArrayList<>();
        for (ObjectNode region : library.entries("drawing")) {
            answers.of(region)
                    .flatMap(r -> RecordReader.read(r, Region.class).value())
                    .ifPresent(drawing::add);
        }
        return drawing;
    }

    /** A problem of the full sheet, told by its place in the compact one where it stands there. */
    private Problem placed(Problem problem) {
        Matcher step = STEP_POINTER.matcher(problem.at());
        if (!step.matches()) {
            return problem;
        }
        String id =
                full.get("steps").get(Integer.parseInt(step.group(1))).get("id").asText();
        for (int i = 0; i < sheet.add().size(); i++) {
            if (sheet.add().get(i).id().equals(id)) {
                return new Problem("/add/" + i + step.group(2), problem.problem());
            }
        }
        return new Problem(
                (sheet.except().containsKey(id) ? "/except/" : "/steps/") + id + step.group(2), problem.problem());
    }

    private ObjectNode tree() {
        full.put("id", sheet.named()).put("title", sheet.title()).put("maker", sheet.maker());
        full.put("origin", sheet.origin());
        manual.into(full, answers);
        parts();
        fasteners();
        list("plugs").forEach(plug -> {
            if (magnetic(plug.get("id").asText())) {
                plug.put("magnetic", true);
            }
        });
        seals();
        goals();
        steps();
        own("kits", sheet.kits());
        if (sheet.intervals().isEmpty()) {
            list("intervals");
        } else {
            own("intervals", sheet.intervals());
        }
        if (sheet.substitutes().isEmpty()) {
            Set<String> used = new HashSet<>();
            steps.values().forEach(s -> s.path(TOOLS).forEach(t -> used.add(t.asText())));
            ArrayNode kept = full.putArray("substitutes");
            Filler filler = new Filler(manual, answers, fasteners);
            library.entries("substitutes").stream()
                    .map(s ->
                            s.deepCopy().put("tool", filler.filled(s.get("tool").asText())))
                    .filter(s -> used.contains(s.get("tool").asText()))
                    .forEach(kept::add);
        } else {
            own("substitutes", sheet.substitutes());
        }
        drawing();
        return full;
    }

    /** Whether a plug has a magnet: as its manual says, or as somebody saw; while nobody knows, it may. */
    private boolean magnetic(String plug) {
        List<String> read = sheet.values().map(SheetValues::magnets).orElse(List.of());
        String seen = answers.get("magnet_" + plug);
        return read.isEmpty() ? !"false".equals(seen) : read.contains(plug) || "true".equals(seen);
    }

    private void own(String name, List<?> records) {
        full.set(name, Json.mapper().valueToTree(records));
    }

    /** Puts a list of the library as the answers leave it, and answers with its entries. */
    private List<ObjectNode> list(String name) {
        List<ObjectNode> kept = new ArrayList<>();
        library.entries(name).forEach(e -> answers.of(e).ifPresent(kept::add));
        full.putArray(name).addAll(kept);
        return kept;
    }

    private void parts() {
        list("parts").forEach(p -> parts.put(p.get("id").asText(), p));
        sheet.parts().forEach((id, change) -> {
            ObjectNode part = parts.get(id);
            if (part == null) {
                part = full.withArray("parts").addObject().put("id", id);
                parts.put(id, part);
            }
            merge(part, Json.mapper().valueToTree(change));
        });
        sheet.numbers().forEach((id, number) -> {
            if (parts.containsKey(id)) {
                parts.get(id).put("number", number);
            }
        });
    }

    private void fasteners() {
        list("fasteners").forEach(f -> {
            fasteners.put(f.get("id").asText(), f);
            manual.screw(f);
        });
    }

    private void seals() {
        for (ObjectNode seal : list("seals")) {
            String part = seal.get(PART).asText();
            seal.put("qty", parts.get(part).path("qty").asInt(1));
            manual.depth(seal.get("id").asText()).ifPresent(depth -> seal.put("depth", depth));
        }
    }

    private void goals() {
        for (ObjectNode goal : list("goals")) {
            goals.put(goal.get("id").asText(), goal);
            quantities(goal, "fits", true);
        }
    }

    private void drawing() {
        if (!sheet.drawing().isEmpty()) {
            own("drawing", sheet.drawing());
            return;
        }
        for (ObjectNode region : list("drawing")) {
            if (region.has(PART) && !parts.containsKey(region.get(PART).asText())) {
                region.remove(PART);
            }
        }
    }

    private void steps() {
        for (ObjectNode entry : library.entries("steps")) {
            answers.of(entry).ifPresent(step -> {
                String id = step.get("id").asText();
                manual.time(step);
                if (sheet.minutes().containsKey(id)) {
                    step.set(
                            "minutes", Json.mapper().valueToTree(sheet.minutes().get(id)));
                }
                looks(step, entry);
                if (sheet.except().containsKey(id)) {
                    merge(step, Json.mapper().valueToTree(sheet.except().get(id)));
                }
                steps.put(id, step);
            });
        }
        sheet.drop().forEach(steps::remove);
        sheet.add().forEach(step -> steps.put(step.id(), Json.mapper().valueToTree(step)));
        Filler filler = new Filler(manual, answers, fasteners);
        Set<String> added = new HashSet<>();
        sheet.add().forEach(s -> added.add(s.id()));
        for (ObjectNode step : steps.values()) {
            String id = step.get("id").asText();
            boolean whole = added.contains(id);
            StepChange own = sheet.except().get(id);
            only(step, "needs", steps.keySet(), own == null ? List.of() : own.needs(), whole);
            only(step, "after", steps.keySet(), own == null ? List.of() : own.after(), whole);
            only(step, "fasteners", fasteners.keySet(), own == null ? List.of() : own.fasteners(), whole);
            only(step, "goals", goals.keySet(), List.of(), whole);
            if (!whole) {
                quantities(step, "parts_out", own == null || own.partsOut().isEmpty());
                quantities(step, "parts_in", own == null || own.partsIn().isEmpty());
                filler.fill(step);
            }
        }
        full.putArray("steps").addAll(steps.values());
    }

    /** What to look for first, where nobody knows what a step depends on. Asked on the way in: on the way back it is known. */
    private void looks(ObjectNode step, ObjectNode entry) {
        if (!ON_THE_WAY_IN.contains(entry.path("phase").asText())) {
            return;
        }
        Set<String> looks = new LinkedHashSet<>(answers.looks(entry));
        if (!looks.isEmpty()) {
            String how = step.path(DETAIL).asText("");
            step.put(DETAIL, (String.join(" ", looks) + " " + how).strip());
        }
    }

    /** Leaves of a list of names those there are; what the family itself names is left, to be refused where it is not there. */
    private static void only(ObjectNode of, String list, Set<String> there, List<String> own, boolean whole) {
        if (whole || !of.has(list)) {
            return;
        }
        ArrayNode kept = JsonNodeFactory.instance.arrayNode();
        of.get(list).forEach(name -> {
            if (there.contains(name.asText()) || own.contains(name.asText())) {
                kept.add(name);
            }
        });
        of.set(list, kept);
    }

    /** Leaves of the library's list of parts those there are, all of each where it does not say how many. */
    private void quantities(ObjectNode of, String list, boolean ofTheLibrary) {
        if (!ofTheLibrary || !of.has(list)) {
            return;
        }
        ArrayNode kept = JsonNodeFactory.instance.arrayNode();
        for (JsonNode line : of.get(list)) {
            ObjectNode part = parts.get(line.get(PART).asText());
            if (part != null) {
                ObjectNode each = line.deepCopy();
                if (!each.has("qty")) {
                    each.put("qty", part.path("qty").asInt(1));
                }
                kept.add(each);
            }
        }
        of.set(list, kept);
    }

    /** Puts what is said over what stood there; what is absent stays. */
    static void merge(ObjectNode into, JsonNode change) {
        change.properties().forEach(field -> {
            JsonNode value = field.getValue();
            boolean says = !value.isNull() && !(value.isArray() && value.isEmpty());
            if (says) {
                into.set(field.getKey(), value);
            }
        });
    }

    /** How a sheet answers the features. */
    static final class Answers {
        private static final String WHEN = "when";
        private static final String CASES = "cases";
        private static final String UNKNOWN = mussel.core.library.Answer.UNKNOWN;

        private final Library library;
        private final Map<String, String> given = new HashMap<>();

        Answers(Library library, Size size) {
            this.library = library;
            library.features().forEach(f -> given.put(f.id(), UNKNOWN));
            given.put("size", NamedBy.file(size));
        }

        Answers(Library library, CompactSheet sheet) {
            this(library, sheet.size());
            sheet.features().forEach((feature, answer) -> given.put(feature, answer.is()));
            follow();
        }

        /** What follows from an answer is known too. */
        private void follow() {
            for (Feature feature : library.features()) {
                if (UNKNOWN.equals(given.get(feature.id()))) {
                    feature.followsFrom(given).ifPresent(is -> given.put(feature.id(), is));
                }
            }
        }

        String get(String feature) {
            return given.get(feature);
        }

        boolean let(JsonNode when) {
            if (when == null) {
                return true;
            }
            for (Map.Entry<String, JsonNode> condition : when.properties()) {
                String answer = given.get(condition.getKey());
                if (!List.of(condition.getValue().asText().split(" ")).contains(answer)) {
                    return false;
                }
            }
            return true;
        }

        /** An entry with the cases that apply; empty where the answers do not let it in. */
        Optional<ObjectNode> of(ObjectNode entry) {
            if (!let(entry.get(WHEN))) {
                return Optional.empty();
            }
            ObjectNode made = entry.deepCopy();
            made.remove(List.of(WHEN, CASES));
            for (JsonNode one : entry.path(CASES)) {
                if (let(one.get(WHEN))) {
                    one.properties().stream()
                            .filter(f -> !f.getKey().equals(WHEN))
                            .forEach(f -> made.set(f.getKey(), f.getValue().deepCopy()));
                }
            }
            return Optional.of(made);
        }

        /** What to look for, for each feature nobody knows that lets the entry or a case of it in. */
        List<String> looks(ObjectNode entry) {
            Set<String> asked = new LinkedHashSet<>();
            asked.addAll(unknown(entry.get(WHEN)));
            for (JsonNode one : entry.path(CASES)) {
                if (let(one.get(WHEN))) {
                    asked.addAll(unknown(one.get(WHEN)));
                }
            }
            return asked.stream()
                    .map(f -> library.feature(f).orElseThrow().look())
                    .toList();
        }

        private List<String> unknown(JsonNode when) {
            return when == null
                    ? List.of()
                    : when.properties().stream()
                            .map(Map.Entry::getKey)
                            .filter(f -> UNKNOWN.equals(given.get(f)))
                            .filter(f -> library.feature(f)
                                    .filter(q -> q.asked(given))
                                    .isPresent())
                            .toList();
        }
    }
}
