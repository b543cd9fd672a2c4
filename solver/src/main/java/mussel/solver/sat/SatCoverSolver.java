package mussel.solver.sat;

import java.util.List;
import java.util.Map;
import mussel.core.measure.StopToken;
import mussel.core.parts.CoverSolver;
import mussel.core.parts.Offer;
import mussel.core.parts.Supplier;

/** Orders by CP-SAT. */
public final class SatCoverSolver implements CoverSolver {
    @Override
    public Solution solve(Map<String, Integer> need, List<Offer> offers, List<Supplier> suppliers, StopToken stop) {
        return new CoverModel(need, offers, suppliers).solve(stop);
    }
}
