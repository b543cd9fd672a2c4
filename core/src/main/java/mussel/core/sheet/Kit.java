package mussel.core.sheet;

import java.util.List;
import mussel.core.measure.Given;

/**
 * A kit as it is sold.
 *
 * @param id its id
 * @param title its name
 * @param contains what is in the bag
 */
public record Kit(
        @Given("the kit's id") String id,
        @Given("the kit's name") String title,
        @Given(value = "what is in the kit", atLeast = 1) List<PartQty> contains) {
    /** Keeps its own copy. */
    public Kit {
        contains = List.copyOf(contains);
    }
}
