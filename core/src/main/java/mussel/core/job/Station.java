package mussel.core.job;

/** The stations of a job in working order. */
public enum Station {
    /** What comes in, and what is known of it. */
    INTAKE("Intake"),
    /** What runs out. */
    DRAIN("Drain"),
    /** Where it gets in and out. */
    LEAK("Leak hunt"),
    /** What is wrong, and what to look at next. */
    VERDICT("Verdict"),
    /** How deep, and in what order. */
    STRIP("Strip-down"),
    /** Putting it back. */
    BUILD("Build"),
    /** New oil. */
    FILL("Fill"),
    /** Done, and when again. */
    TAG("Tag");

    private final String title;

    Station(String title) {
        this.title = title;
    }

    /** The station's name. */
    public String title() {
        return title;
    }

    /** How far a station is. */
    public enum State {
        /** Nothing was done there. */
        UNTOUCHED,
        /** Something was, but not all. */
        BEGUN,
        /** All that it needs. */
        DONE
    }
}
