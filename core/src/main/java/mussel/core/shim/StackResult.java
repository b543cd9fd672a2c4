package mussel.core.shim;

import java.util.List;

/**
 * A stack.
 *
 * @param pieces what it is made of, thickest first
 * @param thicknessMm how thick it is (mm)
 * @param errorMm its thickness less the target (mm)
 * @param feasible whether that is within the tolerance
 */
public record StackResult(List<Shim> pieces, double thicknessMm, double errorMm, boolean feasible) {
    /** Keeps its own copy. */
    public StackResult {
        pieces = List.copyOf(pieces);
    }

    /** How many pieces in all. */
    public int count() {
        return pieces.stream().mapToInt(Shim::count).sum();
    }
}
