package mussel.core.sheet;

import java.util.List;
import mussel.core.measure.Given;

/**
 * Something that can be repaired.
 *
 * @param id its id, fixed across families
 * @param title its name
 * @param why what it cures
 * @param fits the parts it renews beyond those always renewed on the way; none where it is work alone
 */
public record Goal(
        @Given("the goal's id") String id,
        @Given("the goal's name") String title,
        @Given("what it cures") String why,
        @Given("the parts it renews") List<PartQty> fits) {
    /** Keeps its own copy. */
    public Goal {
        fits = List.copyOf(fits);
    }
}
