package mussel.core.leak;

/** Which way the hold pulls on the lips. */
public enum LeakMode {
    /** Pumped up: pushes on the oil-side lips. */
    PRESSURE,
    /** Pumped out: pulls on the water-side lips. */
    VACUUM
}
