package mussel.core.sheet;

import mussel.core.measure.Given;

/**
 * One plug of the case.
 *
 * @param id its id
 * @param title its name
 * @param role what it is for
 * @param magnetic whether it carries a magnet
 * @param fastener its torque, as a fastener id
 */
public record Plug(
        @Given("the plug's id") String id,
        @Given("the plug's name") String title,
        @Given("what the plug is for") Role role,
        @Given(value = "whether it has a magnet", orElse = "false") boolean magnetic,
        @Given("the plug's fastener") String fastener) {
    /** What a plug is for. */
    public enum Role {
        /** The lowest. */
        DRAIN,
        /** Vent and level. */
        VENT,
        /** A fill hole of its own. */
        FILL
    }
}
