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
 * @param means what it means to the rest of the work; the library's where a whole sheet does not say
 */
public record Goal(
        @Given("the goal's id") String id,
        @Given("the goal's name") String title,
        @Given("what it cures") String why,
        @Given("the parts it renews") List<PartQty> fits,
        @Given("what it means to the rest of the work") List<Meaning> means) {
    /** Keeps its own copy. */
    public Goal {
        fits = List.copyOf(fits);
        means = List.copyOf(means);
    }

    /** What work means to everything that follows from it. */
    public enum Meaning {
        /** A new impeller: its life begins. */
        RENEWS_IMPELLER,
        /** A new pump with its impeller. */
        RENEWS_PUMP,
        /** New seals on the driveshaft. */
        RENEWS_DRIVESHAFT_SEALS,
        /** New seals on the propeller shaft. */
        RENEWS_PROPSHAFT_SEALS,
        /** Gears, bearings or housing are others than before: shims are set anew. */
        MOVES_GEARS,
        /** What is new runs in, and its first oil is changed early. */
        RUNS_IN,
        /** Leaves the oil's side of the case shut, or opens it at its plugs alone. */
        DRY_SIDE
    }

    /** Whether it means that. */
    public boolean means(Meaning meaning) {
        return means.contains(meaning);
    }
}
