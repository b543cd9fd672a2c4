package mussel.core.shim;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Wide;

/**
 * The lash and its shim.
 *
 * @param lashMm mean at the pitch circle (mm)
 * @param spreadMm how far it differs around, at the pitch circle (mm)
 * @param spreadOk whether that is within its limit
 * @param factor change of lash for change of shim
 * @param inWindow whether the lash lies in its window
 * @param nearBound whether it lies within one reading's uncertainty of a bound of the window
 * @param advice what to do
 * @param shimMm the shim that brings it to the middle; at or below zero something is wrong; empty where nothing was felt (mm)
 * @param changeMm that less the shims that are in (mm)
 * @param stack the stack from the drawer for it; empty without a drawer
 * @param predictedLashMm the lash with that stack (mm)
 * @param pInWindow the chance that it lies in its window (0..1)
 * @param alternatives further stacks with their chance, the likeliest first
 */
@Wide("The headless contract of the backlash engine: a component is a field of its schema.")
public record LashResult(
        double lashMm,
        double spreadMm,
        boolean spreadOk,
        double factor,
        boolean inWindow,
        boolean nearBound,
        Advice advice,
        OptionalDouble shimMm,
        OptionalDouble changeMm,
        Optional<StackResult> stack,
        OptionalDouble predictedLashMm,
        OptionalDouble pInWindow,
        List<Alternative> alternatives) {
    /** Keeps its own copy. */
    public LashResult {
        alternatives = List.copyOf(alternatives);
    }

    /** What to do about a lash. */
    public enum Advice {
        /** It lies in its window: leave the shims as they are. */
        LEAVE,
        /** Change the shims. */
        SHIM,
        /** No play was felt at all: a bound, not a reading. It binds, or the arm slips. */
        READ_AGAIN
    }

    /**
     * Another stack.
     *
     * @param maxPieces at most so many pieces
     * @param stack the stack
     * @param pInWindow the chance that the lash lies in its window (0..1)
     */
    public record Alternative(int maxPieces, StackResult stack, double pInWindow) {}
}
