package mussel.core.library;

import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.sheet.Part;
import mussel.core.sheet.Place;

/**
 * A part that one family has otherwise than the library, or has beside it; what is absent stays.
 *
 * @param title its name
 * @param qty how many the leg has
 * @param alwaysNew whether it is never refitted
 * @param group where it lies on the mat; needed for a part the library does not have
 * @param loose whether it is easily lost
 * @param form what it looks like laid down
 */
public record PartChange(
        @Given("the part's name") Optional<String> title,
        @Given(value = "how many the leg has", min = 1, max = 99) OptionalDouble qty,
        @Given("whether it is always renewed") Optional<Boolean> alwaysNew,
        @Given("where it lies on the mat") Optional<Place> group,
        @Given("whether it is easily lost") Optional<Boolean> loose,
        @Given("what it looks like laid down") Optional<Part.Form> form) {}
