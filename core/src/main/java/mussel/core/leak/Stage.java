package mussel.core.leak;

import mussel.core.language.Messages;

/** What was done to the leg while it held. */
public enum Stage {
    /** Nothing: it stood. */
    STILL,
    /** The driveshaft was turned. */
    DRIVESHAFT,
    /** The propeller shaft was turned. */
    PROPSHAFT,
    /** A shaft was pushed sideways. */
    SIDE_LOAD,
    /** The shift was moved. */
    SHIFT;

    private static final Messages TEXT = Messages.of(Stage.class);

    /** The stage in words. */
    public String title() {
        return TEXT.of(this);
    }
}
