package mussel.core.parts;

import java.util.List;
import mussel.core.measure.Given;

/**
 * Something a supplier sells: a single part, several of it, or a kit.
 *
 * @param sku its number at the supplier
 * @param supplier who sells it
 * @param price of one
 * @param contains what is in it
 * @param stock how many there are
 * @param leadDays days until it is here (d)
 */
public record Offer(
        @Given("the offer's number") String sku,
        @Given("the supplier") String supplier,
        @Given(value = "the price", min = 0, max = 1e12) double price,
        @Given(value = "what is in it", atLeast = 1) List<Wanted> contains,
        @Given(value = "how many there are", min = 0, max = 100_000) int stock,
        @Given(value = "the days until it is here", min = 0, max = 1_000) int leadDays) {
    /** Keeps its own copy. */
    public Offer {
        contains = List.copyOf(contains);
    }

    /** How many of a part one of these brings. */
    public int of(String part) {
        int all = 0;
        for (Wanted each : contains) {
            if (each.part().equals(part)) {
                all += each.qty();
            }
        }
        return all;
    }

    /** Whether several different parts are in it. */
    public boolean isKit() {
        String first = contains.get(0).part();
        for (Wanted each : contains) {
            if (!each.part().equals(first)) {
                return true;
            }
        }
        return false;
    }
}
