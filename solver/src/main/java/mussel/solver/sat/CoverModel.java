package mussel.solver.sat;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mussel.core.measure.StopToken;
import mussel.core.parts.CoverSolver;
import mussel.core.parts.Offer;
import mussel.core.parts.Supplier;

/**
 * The order as an integer programme for the CP-SAT solver of OR-Tools: so many of each offer, at most its stock; each part covered; each
 * supplier unused, paid for its parcel, or over the value from which it travels free. Money is counted in whole steps small enough to
 * write every price exactly, so the least sum is proven in integers. Ties go to the order with fewer pieces. One worker: the same
 * question gets the same answer.
 */
final class CoverModel {
    /**
     * How much it may search before it answers with a gap, in the solver's own count of work, a unit of which takes about a second here. A clock
     * would answer the same question differently on a busy machine.
     */
    private static final double MOST_WORK = 3;

    private static final int SEED = 1;
    private static final int LINEARIZATION = 2;

    private final Map<String, Integer> need;
    private final List<Offer> offers;
    private final List<Supplier> suppliers;
    private final double stepsPerUnit;
    private final CpModel model = new CpModel();
    private final List<IntVar> counts = new ArrayList<>();
    private final LinearExprBuilder money = LinearExpr.newBuilder();

    CoverModel(Map<String, Integer> need, List<Offer> offers, List<Supplier> suppliers) {
        Native.ready();
        this.need = need;
        this.offers = offers;
        this.suppliers = suppliers;
        this.stepsPerUnit = stepsPerUnit(offers, suppliers);
        for (Offer offer : offers) {
            IntVar count = model.newIntVar(0, most(offer), offer.sku());
            counts.add(count);
            money.addTerm(count, steps(offer.price()));
        }
        cover();
        suppliers.forEach(this::ship);
    }

    /** How many of each offer to take, and how far that may be from the best. */
    CoverSolver.Solution solve(StopToken stop) {
        stop.check();
        LinearExprBuilder pieces = LinearExpr.newBuilder();
        long mostPieces = 1;
        for (int i = 0; i < offers.size(); i++) {
            pieces.add(counts.get(i));
            mostPieces += most(offers.get(i));
        }
        model.minimize(LinearExpr.newBuilder().addTerm(money, mostPieces).add(pieces));
        CpSolver solver = new CpSolver();
        solver.getParameters()
                .setMaxDeterministicTime(MOST_WORK)
                .setNumWorkers(1)
                .setRandomSeed(SEED)
                .setLinearizationLevel(LINEARIZATION);
        stop.onStop(solver::stopSearch);
        CpSolverStatus status = solver.solve(model);
        stop.check();
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            throw new IllegalStateException("The solver found no order although one exists: " + status);
        }
        int[] taken = counts.stream().mapToInt(c -> (int) solver.value(c)).toArray();
        double best = Math.floor(solver.objectiveValue() / mostPieces);
        double bound = Math.floor(solver.bestObjectiveBound() / mostPieces);
        return new CoverSolver.Solution(taken, best > 0 && bound < best ? (best - bound) / best : 0);
    }

    private void cover() {
        need.forEach((part, qty) -> {
            LinearExprBuilder covered = LinearExpr.newBuilder();
            for (int i = 0; i < offers.size(); i++) {
                covered.addTerm(counts.get(i), offers.get(i).of(part));
            }
            model.addGreaterOrEqual(covered, qty);
        });
    }

    private void ship(Supplier supplier) {
        BoolVar paid = model.newBoolVar("paid " + supplier.id());
        money.addTerm(paid, steps(supplier.shipping()));
        OptionalDouble free = supplier.freeOver();
        BoolVar over = free.isPresent() ? model.newBoolVar("free " + supplier.id()) : null;
        LinearExprBuilder value = LinearExpr.newBuilder();
        for (int i = 0; i < offers.size(); i++) {
            Offer offer = offers.get(i);
            if (offer.supplier().equals(supplier.id())) {
                value.addTerm(counts.get(i), steps(offer.price()));
                LinearExprBuilder allowed = LinearExpr.newBuilder().addTerm(paid, useful(offer));
                if (over != null) {
                    allowed.addTerm(over, most(offer));
                }
                model.addLessOrEqual(counts.get(i), allowed);
            }
        }
        if (over != null) {
            model.addGreaterOrEqual(
                    value, LinearExpr.newBuilder().addTerm(over, (long) Math.ceil(free.getAsDouble() * stepsPerUnit)));
        }
    }

    /** More of it than this covers nothing more. */
    private int useful(Offer offer) {
        int useful = 0;
        for (Map.Entry<String, Integer> part : need.entrySet()) {
            int each = offer.of(part.getKey());
            if (each > 0) {
                useful = Math.max(useful, (part.getValue() + each - 1) / each);
            }
        }
        return Math.min(useful, offer.stock());
    }

    /** The most worth buying: what covers, and what may lift the parcel over the value from which it travels free. */
    private int most(Offer offer) {
        double freeOver = suppliers.stream()
                .filter(s -> s.id().equals(offer.supplier()))
                .mapToDouble(s -> s.freeOver().orElse(0))
                .findFirst()
                .orElse(0);
        double surplus = offer.price() > 0 ? Math.ceil(freeOver / offer.price()) : 0;
        return (int) Math.min(offer.stock(), useful(offer) + surplus);
    }

    private long steps(double amount) {
        return Math.round(amount * stepsPerUnit);
    }

    /** The coarsest of whole units, tenths ... millionths that writes every price exactly. */
    private static double stepsPerUnit(List<Offer> offers, List<Supplier> suppliers) {
        List<Double> amounts = new ArrayList<>();
        offers.forEach(o -> amounts.add(o.price()));
        for (Supplier supplier : suppliers) {
            amounts.add(supplier.shipping());
            supplier.freeOver().ifPresent(amounts::add);
        }
        double steps = 1;
        while (steps < 1e6) {
            double now = steps;
            if (amounts.stream().allMatch(a -> Math.abs(a * now - Math.rint(a * now)) < 1e-6)) {
                return steps;
            }
            steps *= 10;
        }
        return steps;
    }
}
