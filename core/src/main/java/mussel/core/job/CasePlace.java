package mussel.core.job;

import mussel.core.measure.NamedBy;

/** What stays in the case or belongs to it, and is judged like a part that came off. */
public enum CasePlace {
    /** The gears. */
    GEARS("Gears: teeth, wear step, rust"),
    /** What shifts. */
    CLUTCH_DOG("Clutch dog and shift parts"),
    /** What the shafts run in. */
    BEARINGS("Bearings and races"),
    /** Where the lips run. */
    SHAFT_JOURNALS("Shaft journals under the lips"),
    /** Where the seals sit. */
    SEAL_BORES("Seal bores"),
    /** The threads in the casting. */
    THREADS("Threads of the case");

    private final String title;

    CasePlace(String title) {
        this.title = title;
    }

    /** What is judged there. */
    public String title() {
        return title;
    }

    /** Its name in the journal. */
    public String id() {
        return NamedBy.file(this);
    }
}
