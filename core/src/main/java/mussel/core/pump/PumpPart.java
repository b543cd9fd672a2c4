package mussel.core.pump;

/** What of a pump is judged. */
public enum PumpPart {
    /** The wheel of vanes. */
    IMPELLER,
    /** What drives it. */
    KEY,
    /** The plate it runs on. */
    PLATE,
    /** The housing with its cup. */
    HOUSING
}
