package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import mussel.core.language.Messages;
import mussel.core.library.Answer;
import mussel.core.library.CompactSheet;
import mussel.core.library.Feature;
import mussel.core.library.PartChange;
import mussel.core.library.SheetValues;
import mussel.core.measure.Problems;
import mussel.core.sheet.Step;
import mussel.exchange.record.Json;

/** Whether a compact sheet names only what the library has, and answers only as its features can be answered. */
final class CompactRules {
    private static final Messages TEXT = Messages.of(CompactRules.class);

    private static final int MOST_TOLD = 12;

    private static final int MOST_ADDED = 300;

    private final CompactSheet sheet;
    private final Library library;
    private final Problems problems;

    CompactRules(CompactSheet sheet, Library library, Problems problems) {
        this.sheet = sheet;
        this.library = library;
        this.problems = problems;
    }

    void check() {
        sheet.features().forEach(this::feature);
        List<String> steps = library.ids("steps");
        named("/except/", sheet.except().keySet(), steps, "step");
        named("/minutes/", sheet.minutes().keySet(), steps, "step");
        for (int i = 0; i < sheet.drop().size(); i++) {
            known("/drop/" + i, sheet.drop().get(i), steps, "step");
        }
        problems.unless(
                sheet.add().size() <= MOST_ADDED,
                "/add",
                TEXT.get(
                        "compact_rules.has_steps_at_most_are_added", sheet.add().size(), MOST_ADDED));
        Set<String> added = new HashSet<>();
        sheet.except()
                .forEach((id, change) -> braces("/except/" + id, Json.mapper().valueToTree(change)));
        for (int i = 0; i < Math.min(MOST_ADDED, sheet.add().size()); i++) {
            Step step = sheet.add().get(i);
            problems.unless(
                    added.add(step.id()),
                    "/add/" + i + "/id",
                    TEXT.get("compact_rules.is_the_id_of_an_earlier", step.id()));
            problems.unless(
                    !steps.contains(step.id()) || sheet.drop().contains(step.id()),
                    "/add/" + i + "/id",
                    TEXT.get("compact_rules.is_a_step_of_the_library", step.id()));
        }
        parts();
        sheet.values().ifPresent(this::values);
    }

    /** Words in braces are filled in from the manual; one that nothing stands for is a slip. */
    private void braces(String at, JsonNode texts) {
        if (texts.isTextual()) {
            Filler.unknown(texts.asText())
                    .forEach(word -> problems.at(
                            at,
                            TEXT.get(
                                    "compact_rules.has_which_nothing_stands_for_there",
                                    word,
                                    list(new TreeSet<>(Filler.ALONE)),
                                    list(new TreeSet<>(Filler.OF_ONE)))));
        }
        texts.properties().forEach(field -> braces(at + "/" + field.getKey(), field.getValue()));
        for (int i = 0; texts.isArray() && i < texts.size(); i++) {
            braces(at + "/" + i, texts.get(i));
        }
    }

    private void feature(String id, Answer answer) {
        String at = "/features/" + id;
        if (library.feature(id).isEmpty()) {
            problems.at(
                    at,
                    TEXT.get(
                            "compact_rules.is_no_feature_there_are",
                            list(library.features().stream().map(Feature::id).toList())));
            return;
        }
        Feature feature = library.feature(id).get();
        problems.unless(
                answer.is().equals(Answer.UNKNOWN) || feature.has(answer.is()),
                at,
                TEXT.get(
                        "compact_rules.is_it_is_answered_or",
                        answer.is(),
                        list(feature.answers().stream().map(Feature.Choice::id).toList()),
                        Answer.UNKNOWN));
    }

    private void parts() {
        List<String> known = library.ids("parts");
        for (Map.Entry<String, PartChange> part : sheet.parts().entrySet()) {
            boolean whole = part.getValue().title().isPresent()
                    && part.getValue().group().isPresent();
            problems.unless(
                    whole || known.contains(part.getKey()),
                    "/parts/" + part.getKey(),
                    TEXT.get("compact_rules.is_no_part_of_the_library"));
        }
        Set<String> all = new TreeSet<>(known);
        all.addAll(sheet.parts().keySet());
        named("/numbers/", sheet.numbers().keySet(), all, PART);
    }

    private void values(SheetValues values) {
        named("/values/fasteners/", values.fasteners().keySet(), library.ids("fasteners"), "fastener");
        Set<String> seals = new TreeSet<>(library.ids("seals"));
        named("/values/seals/", values.seals().keySet(), seals, "seal");
        for (int i = 0; i < values.magnets().size(); i++) {
            known("/values/magnets/" + i, values.magnets().get(i), library.ids("plugs"), "plug");
        }
    }

    private void named(String at, Collection<String> names, Collection<String> known, String what) {
        names.forEach(n -> known(at + n, n, known, what));
    }

    private void known(String at, String name, Collection<String> known, String what) {
        if (!known.contains(name)) {
            problems.at(at, TEXT.get("compact_rules.names_no_of_the_library_there", what, list(known)));
        }
    }

    private static String list(Collection<String> names) {
        String first = String.join(", ", names.stream().limit(MOST_TOLD).toList());
        return names.size() > MOST_TOLD ? TEXT.get("compact_rules.and_more", first, (names.size() - MOST_TOLD)) : first;
    }

    private static final String PART = "part";
}
