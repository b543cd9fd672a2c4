package mussel.core.job;

import java.util.Map;
import mussel.core.measure.OrderedMap;
import mussel.core.parts.Catalogue;

/**
 * What a yard can lay its hands on for a leg.
 *
 * @param catalogue what can be bought
 * @param shelf how many of each part of the leg's family lie on the shelf, this job's own takings not yet off
 */
public record Stores(Catalogue catalogue, Map<String, Integer> shelf) {
    /** Nothing on the shelf and nothing to buy. */
    public static final Stores EMPTY = new Stores(Catalogue.EMPTY, Map.of());

    /** Keeps its own copy. */
    public Stores {
        shelf = OrderedMap.copyOf(shelf);
    }
}
