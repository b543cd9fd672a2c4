package mussel.core.sheet;

import java.util.Optional;
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
 * @param form what it looks like laid down, where the cutaway does not draw it or draws it edge on
 * @param beside the work of the engine side it is renewed with, as {@code plugs}; of an anode with its place, as {@code anodes/tab}
 * @param opens what can be looked at once it is off; the library's where a whole sheet does not say
 */
public record Part(
        @Given("the part's id") String id,
        @Given("the part's name") String title,
        @Given(value = "the part's number", orElse = "-") String number,
        @Given(value = "how many the leg has", min = 1, max = 99, orElse = "1") int qty,
        @Given(value = "whether it is always renewed", orElse = "false") boolean alwaysNew,
        @Given("where it lies on the mat") Place group,
        @Given(value = "whether it is easily lost", orElse = "false") boolean loose,
        @Given("what it looks like laid down") Optional<Form> form,
        @Given("the work of the engine side it is renewed with") Optional<String> beside,
        @Given("what can be looked at once it is off") Optional<Opens> opens) {
    /** What can be looked at once a part is off, named as the diagnosis tables name it. */
    public enum Opens {
        /** Behind the propeller. */
        PROP_OFF,
        /** In the pump. */
        PUMP_OFF,
        /** In the case. */
        LEG_OPEN
    }

    /** What small parts look like on the mat. */
    public enum Form {
        /** A flat ring of metal or fibre. */
        WASHER,
        /** Plain and spring washers in a set order. */
        STACK,
        /** A ring of rubber or cord. */
        RING,
        /** A flat gasket. */
        GASKET,
        /** A pin, key or dowel. */
        PIN,
        /** A ball. */
        BALL,
        /** A coiled spring. */
        SPRING,
        /** A nut. */
        NUT,
        /** A sleeve, cup or tube. */
        SLEEVE,
        /** A wheel of vanes. */
        WHEEL,
        /** A cover or grille. */
        COVER,
        /** Shims, as many as were in. */
        SHIMS
    }
}
