package mussel.core.propeller;

/**
 * How far a propeller shaft runs out.
 *
 * @param runoutMm the whole swing of the needle over one turn (mm)
 * @param bendMm how far the shaft's axis is off its line where the indicator stands: half the swing (mm)
 * @param uMm expanded uncertainty of the swing, coverage factor 2 (mm)
 * @param limitMm the limit it was held against (mm)
 * @param limitAssumed whether that limit is the usual one and no manual's
 * @param verdict what that means
 */
public record RunoutResult(
        double runoutMm, double bendMm, double uMm, double limitMm, boolean limitAssumed, Verdict verdict) {
    /** What a run-out means. */
    public enum Verdict {
        /** Within the limit, whatever the indicator's step and the play make of it. */
        STRAIGHT,
        /** Too near the limit for this reading, or play could be all of it. */
        UNDECIDED,
        /** Beyond the limit even with all play taken off. */
        BENT
    }
}
