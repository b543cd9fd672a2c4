package mussel.core.sheet;

import mussel.core.measure.Given;

/**
 * Some of a part.
 *
 * @param part its id
 * @param qty how many
 * @param how orientation or how it goes in; a hyphen where there is nothing to say
 */
public record PartQty(
        @Given("the part") String part,
        @Given(value = "how many", min = 1, max = 99, orElse = "1") int qty,
        @Given(value = "how it lies", orElse = "-") String how) {
    /** Whether there is something to say about how it lies or goes in. */
    public boolean hasHow() {
        return !how.equals("-");
    }
}
