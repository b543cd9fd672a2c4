package mussel.core.library;

import mussel.core.measure.Given;
import mussel.core.measure.StandsAlone;

/**
 * The answer to a feature, as the library names it, or {@code unknown}.
 *
 * @param is the answer
 */
@StandsAlone
public record Answer(@Given("the answer") String is) {
    /** Nobody has looked. */
    public static final String UNKNOWN = "unknown";
}
