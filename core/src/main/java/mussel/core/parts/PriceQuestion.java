package mussel.core.parts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mussel.core.measure.DecimalMark;
import mussel.core.measure.Money;
import mussel.core.measure.OrderedMap;

/**
 * What is wanted of a supplier's price list.
 *
 * @param seller whose it is
 * @param money the money the list is in; where nobody has said, only bare figures are prices
 * @param columns how the columns are headed
 * @param mark what it writes before decimals; empty to find that out
 * @param known which numbers mean something here
 * @param before what the yard knows of prices
 */
public record PriceQuestion(
        Seller seller,
        Money money,
        Map<PriceColumn, String> columns,
        Optional<DecimalMark> mark,
        Predicate<String> known,
        List<Price> before) {
    /** Keeps its own copies. */
    public PriceQuestion {
        columns = OrderedMap.copyOf(columns);
        before = List.copyOf(before);
    }
}
