package mussel.core.parts;

import java.util.List;
import java.util.Map;
import mussel.core.measure.OrderedMap;

/**
 * How a supplier's price list begins.
 *
 * @param columns how its columns are headed, in their order
 * @param guessed which of them is what, as remembered of him or as their names say
 * @param first what stands in its first lines
 * @param told what is to be known of the file, each in a sentence
 */
public record PriceHead(
        List<String> columns, Map<PriceColumn, String> guessed, List<List<String>> first, List<String> told) {
    /** Keeps its own copies. */
    public PriceHead {
        columns = List.copyOf(columns);
        guessed = OrderedMap.copyOf(guessed);
        first = List.copyOf(first);
        told = List.copyOf(told);
    }
}
