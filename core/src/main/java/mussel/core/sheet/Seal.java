package mussel.core.sheet;

import java.util.List;
import mussel.core.measure.Given;

/**
 * One seal position of the case.
 *
 * @param id its id
 * @param title its name
 * @param part the part fitted there
 * @param qty how many seals stand there
 * @param orientation which way the lips face as fitted
 * @param depth how deep it is pressed
 * @param lips where each lip points, from the top down or from the oil outward; empty where the sheet only says it in words
 */
public record Seal(
        @Given("the seal's id") String id,
        @Given("the seal's name") String title,
        @Given("the part fitted there") String part,
        @Given(value = "how many seals stand there", min = 1, max = 9, orElse = "1") int qty,
        @Given("which way the lips face") String orientation,
        @Given("how deep it is pressed") String depth,
        @Given("where the lips point") List<Lip> lips) {
    /** Keeps its own copy. */
    public Seal {
        lips = List.copyOf(lips);
    }

    /** Where a lip points. */
    public enum Lip {
        /** Up the driveshaft or shift shaft, to the water. */
        UP,
        /** Down, to the oil. */
        DOWN,
        /** In along the propeller shaft, to the oil. */
        IN,
        /** Out, to the water. */
        OUT
    }
}
