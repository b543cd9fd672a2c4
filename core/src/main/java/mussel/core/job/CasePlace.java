package mussel.core.job;

import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;

/** What stays in the case or belongs to it, and is judged like a part that came off. */
public enum CasePlace {
    /** The gears. */
    GEARS,
    /** What shifts. */
    CLUTCH_DOG,
    /** What the shafts run in. */
    BEARINGS,
    /** Where the lips run. */
    SHAFT_JOURNALS,
    /** Where the seals sit. */
    SEAL_BORES,
    /** The threads in the casting. */
    THREADS;

    private static final Messages TEXT = Messages.of(CasePlace.class);

    /** What is judged there. */
    public String title() {
        return TEXT.of(this);
    }

    /** Its name in the journal. */
    public String id() {
        return NamedBy.file(this);
    }
}
