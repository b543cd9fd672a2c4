package mussel.exchange.log;

import java.util.Optional;
import mussel.core.job.Fact;
import mussel.exchange.job.FactJson;

/** Facts as a journal keeps them: what this program does not understand is set aside by name, and stands in no entry's way. */
public final class FactText {
    private static final String NOT_WHOLE = "it is not whole";

    private FactText() {}

    /** Reads what a journal keeps; {@link Fact.Unread} where that is not understood here. */
    public static Fact read(String json) {
        try {
            Fact fact = FactJson.read(json);
            Optional<String> unknown = FactRules.unknown(fact);
            return unknown.isPresent() ? new Fact.Unread(json, unknown.get()) : fact;
        } catch (IllegalArgumentException e) {
            return new Fact.Unread(json, e.getMessage() == null ? NOT_WHOLE : e.getMessage());
        } catch (RuntimeException e) {
            // A part that every such entry has is missing.
            return new Fact.Unread(json, NOT_WHOLE);
        }
    }
}
