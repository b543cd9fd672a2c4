package mussel.core.library;

import mussel.core.measure.Given;
import mussel.core.measure.StandsAlone;

/**
 * A figure or word as the manual prints it.
 *
 * @param value the figure with its unit, or the word
 * @param page where it stands; a hyphen where nobody wrote that down
 */
@StandsAlone
public record Value(
        @Given("what the manual says") String value,
        @Given(value = "the page of the manual", orElse = "-") String page) {}
