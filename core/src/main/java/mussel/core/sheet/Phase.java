package mussel.core.sheet;

/** Which side of the job a step is on. */
public enum Phase {
    /** Until the leg is off. */
    DOWN("Leg off"),
    /** Into the case. */
    STRIP("Strip-down"),
    /** Putting it back. */
    BUILD("Build"),
    /** Proving it. */
    PROVE("Prove");

    private final String title;

    Phase(String title) {
        this.title = title;
    }

    /** The phase in words. */
    public String title() {
        return title;
    }
}
