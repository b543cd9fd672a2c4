package mussel.core.verdict;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What must be open for a look.
 *
 * @param id its id
 * @param title in words
 * @param minutes its set-up, paid once (min)
 * @param stripDown whether the leg must come down for it
 */
public record Access(
        @Given("the access level's id") String id,
        @Given("the access level in words") String title,
        @Given(value = "its set-up", kind = Kind.DURATION, min = 0, max = 10_000) double minutes,
        @Given(value = "whether the leg must come down", orElse = "false") boolean stripDown) {}
