package mussel.core.job;

/** The stations of a job in working order. */
public enum Station {
    /** What comes in, and what is known of it. */
    INTAKE("Intake"),
    /** What runs out. */
    DRAIN("Drain"),
    /** Where it gets in and out. */
    LEAK("Leak hunt"),
    /** What the water pump comes to. */
    PUMP("Pump"),
    /** What is wrong, and what to look at next. */
    VERDICT("Verdict"),
    /** Whether it is worth doing. */
    ESTIMATE("Estimate"),
    /** How deep, and in what order. */
    STRIP("Strip-down"),
    /** Shims and lash. */
    SETUP("Set-up"),
    /** What must be there to put it back. */
    PARTS("Parts"),
    /** Putting it back. */
    BUILD("Build"),
    /** New oil. */
    FILL("Fill"),
    /** What is done beside the leg. */
    BESIDE("Beside"),
    /** Whether it holds, shifts and runs. */
    PROVE("Prove"),
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
