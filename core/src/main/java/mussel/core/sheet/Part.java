package mussel.core.sheet;

import mussel.core.measure.Given;

/**
 * One part of the leg.
 *
 * @param id its id
 * @param title its name
 * @param number its number in the sheet's own list
 * @param qty how many the leg has
 * @param alwaysNew whether it is never refitted
 * @param group where it lies on the mat
 * @param loose whether it is small, loose and easily lost
 */
public record Part(
        @Given("the part's id") String id,
        @Given("the part's name") String title,
        @Given(value = "the part's number", orElse = "-") String number,
        @Given(value = "how many the leg has", min = 1, max = 99, orElse = "1") int qty,
        @Given(value = "whether it is always renewed", orElse = "false") boolean alwaysNew,
        @Given("where it lies on the mat") Place group,
        @Given(value = "whether it is easily lost", orElse = "false") boolean loose) {}
