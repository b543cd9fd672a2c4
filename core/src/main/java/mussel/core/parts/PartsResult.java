package mussel.core.parts;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * The best order.
 *
 * @param feasible whether shelf and offers cover the need
 * @param lines what to order
 * @param shipping what the parcels cost
 * @param total goods and shipping; empty when the need cannot be covered
 * @param leadDays days until the last parcel is here (d); empty when the need cannot be covered
 * @param waiting what those days cost while the boat stands; beside the total, not in it
 * @param spare what comes along and is not needed
 * @param missing what neither shelf nor offers can give
 * @param fromShelf what is taken off the shelf
 * @param gap how much cheaper another order could still be, as a share of the total; 0 when this one is proven to be the best
 * @param alternatives the best order for the other objective
 */
public record PartsResult(
        boolean feasible,
        List<Line> lines,
        double shipping,
        OptionalDouble total,
        OptionalInt leadDays,
        double waiting,
        List<Wanted> spare,
        List<Wanted> missing,
        List<Wanted> fromShelf,
        double gap,
        List<Alternative> alternatives) {
    /** Keeps its own copies. */
    public PartsResult {
        lines = List.copyOf(lines);
        spare = List.copyOf(spare);
        missing = List.copyOf(missing);
        fromShelf = List.copyOf(fromShelf);
        alternatives = List.copyOf(alternatives);
    }

    /**
     * One line of the order.
     *
     * @param sku the number at the supplier
     * @param supplier who sells it
     * @param qty how many
     * @param cost of the line
     * @param leadDays days until it is here (d)
     */
    public record Line(String sku, String supplier, int qty, double cost, int leadDays) {}

    /**
     * The order that is best at something else.
     *
     * @param objective what it is best at
     * @param lines what to order
     * @param shipping what the parcels cost
     * @param total goods and shipping
     * @param leadDays days until the last parcel is here (d)
     * @param spare what comes along and is not needed
     * @param gap how far it may be from the best
     */
    public record Alternative(
            Objective objective,
            List<Line> lines,
            double shipping,
            double total,
            int leadDays,
            List<Wanted> spare,
            double gap) {
        /** Keeps its own copies. */
        public Alternative {
            lines = List.copyOf(lines);
            spare = List.copyOf(spare);
        }
    }
}
