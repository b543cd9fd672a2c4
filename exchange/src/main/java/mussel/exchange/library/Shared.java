package mussel.exchange.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.exchange.record.Read;

/** One sheet under several names: a compact sheet that names another says only what differs, and is read over it. */
public final class Shared {
    private static final Messages TEXT = Messages.of(Shared.class);

    private static final String LIKE = "like";
    private static final String ORIGIN = "origin";

    /** What is a family's own and never another's. */
    private static final Set<String> OWN = Set.of("id", "title");

    /** Lists that add to those of the shared sheet instead of taking their place. */
    private static final Set<String> ADDING = Set.of("add", "drop");

    private Shared() {}

    /** The family whose sheet a compact one shares. */
    public static Optional<String> base(JsonNode compact) {
        return Optional.of(compact.path(LIKE).asText("")).filter(id -> !id.isEmpty());
    }

    /** The compact sheet as it would stand alone: over the one it shares, where it shares one. */
    public static Read<JsonNode> whole(JsonNode compact, Function<String, Optional<JsonNode>> bases) {
        Optional<String> base = base(compact);
        if (base.isEmpty() || !compact.isObject()) {
            return Read.of(compact);
        }
        Optional<JsonNode> found = bases.apply(base.get());
        if (found.isEmpty() || base.get().equals(compact.path("id").asText())) {
            return refused(TEXT.get("shared.is_and_no_other_family_here", base.get()));
        }
        return base(found.get()).isPresent()
                ? refused(TEXT.get(
                        "shared.is_which_shares_the_sheet_of",
                        base.get(),
                        base(found.get()).get()))
                : Read.of(over(found.get(), compact));
    }

    private static Read<JsonNode> refused(String problem) {
        return new Read<>(Optional.empty(), List.of(new Problem("/" + LIKE, problem)));
    }

    private static JsonNode over(JsonNode base, JsonNode own) {
        ObjectNode whole = base.deepCopy();
        whole.remove(OWN);
        lay(whole, own);
        if (!own.hasNonNull(ORIGIN)) {
            String origin = base.path(ORIGIN).asText("");
            whole.put(
                    ORIGIN,
                    TEXT.get(
                            "shared.shares_the_sheet_of",
                            (origin.isEmpty() ? "" : origin + ". "),
                            base.path("title").asText()));
        }
        return whole;
    }

    private static void lay(ObjectNode into, JsonNode own) {
        own.properties().forEach(field -> {
            String name = field.getKey();
            JsonNode was = into.path(name);
            JsonNode is = field.getValue();
            if (is.isNull()) {
                return;
            }
            if (was instanceof ObjectNode group && is.isObject() && !is.has("value")) {
                lay(group, is);
            } else if (ADDING.contains(name) && was instanceof ArrayNode list && is instanceof ArrayNode more) {
                list.addAll(more);
            } else {
                into.set(name, is.deepCopy());
            }
        });
    }
}
