package mussel.core.parts;

import mussel.core.measure.Given;

/**
 * So many of a part.
 *
 * @param part the part's id
 * @param qty how many
 */
public record Wanted(@Given("the part") String part, @Given(value = "how many", min = 1, max = 10_000) int qty) {}
