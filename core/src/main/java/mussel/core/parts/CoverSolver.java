package mussel.core.parts;

import java.util.List;
import java.util.Map;
import java.util.ServiceLoader;
import mussel.core.measure.StopToken;

/** Finds the order that costs least. The core states the question; a module of its own has the solver, so that the core stays free of native code. */
public interface CoverSolver {
    /**
     * So many of each offer, at most its stock, that every part is covered for the least money with its parcels.
     *
     * @param need how many of each part; offers that cover all of it exist
     * @throws mussel.core.measure.WorkStoppedException when it was stopped
     */
    Solution solve(Map<String, Integer> need, List<Offer> offers, List<Supplier> suppliers, StopToken stop);

    /**
     * A found order.
     *
     * @param taken how many of each offer
     * @param gap how far it may be from the best, as a share of its total
     */
    record Solution(int[] taken, double gap) {}

    /** The solver that comes with the application. */
    static CoverSolver here() {
        return ServiceLoader.load(CoverSolver.class, CoverSolver.class.getClassLoader())
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("No solver of orders is on the path"));
    }
}
