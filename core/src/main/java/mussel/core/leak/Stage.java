package mussel.core.leak;

/** What was done to the leg while it held. */
public enum Stage {
    /** Nothing: it stood. */
    STILL("still"),
    /** The driveshaft was turned. */
    DRIVESHAFT("driveshaft turned"),
    /** The propeller shaft was turned. */
    PROPSHAFT("propeller shaft turned"),
    /** A shaft was pushed sideways. */
    SIDE_LOAD("pushed sideways"),
    /** The shift was moved. */
    SHIFT("shift moved");

    private final String title;

    Stage(String title) {
        this.title = title;
    }

    /** The stage in words. */
    public String title() {
        return title;
    }
}
