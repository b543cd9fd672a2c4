package mussel.core.parts;

import mussel.core.measure.Given;

/**
 * How many of a part lie on the shelf.
 *
 * @param part the part's id
 * @param qty how many; none is a fine answer
 */
public record Shelved(
        @Given("the part on the shelf") String part,
        @Given(value = "how many are on the shelf", min = 0, max = 100_000) int qty) {}
