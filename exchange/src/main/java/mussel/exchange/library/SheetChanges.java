package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.library.Feature;

/** What was changed in a compact sheet, as a technician would say it. */
public final class SheetChanges {
    private static final Messages TEXT = Messages.of(SheetChanges.class);

    private static final String NOT_SAID = "not entered";
    private static final int LONGEST = 60;
    /** What a sheet is, and not what it says. */
    private static final Set<String> FRAME = Set.of("format", "id");

    private final Library library;
    private final List<String> lines = new ArrayList<>();

    private SheetChanges(Library library) {
        this.library = library;
    }

    /** Each change, a line each, in the order of the sheet; a missing or empty sheet says nothing. */
    public static List<String> between(JsonNode before, JsonNode after, Library library) {
        SheetChanges changes = new SheetChanges(library);
        changes.walk(List.of(), before, after);
        return changes.lines;
    }

    private void walk(List<String> at, JsonNode before, JsonNode after) {
        if (before.equals(after) || at.size() == 1 && FRAME.contains(at.get(0))) {
            return;
        }
        boolean answers = at.size() == 2 && at.get(0).equals("features");
        boolean said = isSaid(before) || isSaid(after);
        if (answers || said || !before.isContainerNode() && !after.isContainerNode()) {
            lines.add(title(at) + ": " + says(at, after) + (before.isMissingNode() ? "" : ", was " + says(at, before)));
            return;
        }
        if (before.isArray() || after.isArray()) {
            lines.add(title(at) + ": changed");
            return;
        }
        Set<String> names = new LinkedHashSet<>();
        before.fieldNames().forEachRemaining(names::add);
        after.fieldNames().forEachRemaining(names::add);
        for (String name : names) {
            List<String> deeper = new ArrayList<>(at);
            deeper.add(name);
            walk(deeper, before.path(name), after.path(name));
        }
    }

    /** Whether it is what a manual says: a figure with its page. */
    private static boolean isSaid(JsonNode node) {
        return node.isObject() && node.has("value");
    }

    private String title(List<String> at) {
        if (at.size() == 2 && at.get(0).equals("features")) {
            return feature(at.get(1)).map(Feature::title).orElse(at.get(1));
        }
        List<String> words = at.size() > 1 && at.get(0).equals("values") ? at.subList(1, at.size()) : at;
        return String.join(", ", words).replace('_', ' ');
    }

    private String says(List<String> at, JsonNode node) {
        if (node.isMissingNode() || node.isNull()) {
            return NOT_SAID;
        }
        if (isSaid(node)) {
            String page = node.path("page").asText("");
            return node.get("value").asText() + (page.isEmpty() ? "" : TEXT.get("sheet_changes.page", page));
        }
        if (at.size() == 2 && at.get(0).equals("features")) {
            return feature(at.get(1)).stream()
                    .flatMap(f -> f.answers().stream())
                    .filter(a -> a.id().equals(node.asText()))
                    .map(Feature.Choice::title)
                    .findFirst()
                    .orElse(node.asText());
        }
        String text = node.isValueNode() ? node.asText() : node.toString();
        return text.length() > LONGEST ? text.substring(0, LONGEST) + "…" : text;
    }

    private Optional<Feature> feature(String id) {
        return library.features().stream().filter(f -> f.id().equals(id)).findFirst();
    }
}
