package mussel.core.library;

/** How big a leg is: where nobody can know better, figures are estimated by it. */
public enum Size {
    /** Carried by hand. */
    PORTABLE,
    /** Lifted by two. */
    MID,
    /** Lifted by a hoist. */
    LARGE
}
