package mussel.core.sheet;

import mussel.core.language.Messages;

/** Which side of the job a step is on. */
public enum Phase {
    /** Until the leg is off. */
    DOWN,
    /** Into the case. */
    STRIP,
    /** Putting it back. */
    BUILD,
    /** Proving it. */
    PROVE;

    private static final Messages TEXT = Messages.of(Phase.class);

    /** The phase in words. */
    public String title() {
        return TEXT.of(this);
    }
}
