package mussel.core.propeller;

import mussel.core.propeller.RunoutResult.Verdict;

/** Run-out of the propeller shaft, read with a dial indicator over one slow turn. */
public final class RunoutEngine {
    private static final double ROUNDING_MM = 1e-9;

    private RunoutEngine() {}

    /**
     * Holds the swing of the needle against its limit. The swing is twice the distance of the shaft's axis from its line; its uncertainty is that of a
     * difference of two marks. Play in the bearings can only add to the swing, so all of it is taken off before a shaft is called bent.
     */
    public static RunoutResult run(RunoutInput in) {
        double swing = in.highestMm() - in.lowestMm();
        double u = 2 * Math.sqrt(2) * in.uIndicatorMm();
        double limit = in.limitUsedMm();
        Verdict verdict = swing + u <= limit + ROUNDING_MM
                ? Verdict.STRAIGHT
                : swing - in.playMm() - u > limit + ROUNDING_MM ? Verdict.BENT : Verdict.UNDECIDED;
        return new RunoutResult(swing, swing / 2, u, limit, in.limitMm().isEmpty(), verdict);
    }
}
