package mussel.core.sheet;

import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What a family is filled with.
 *
 * @param capacityMl to the vent (ml); empty while nobody has read it in the manual
 * @param grade the grade the sheet asks for; a hyphen while nobody has read it in the manual
 * @param shiftFluid whether the shift runs in this oil and needs just this kind
 * @param purgeMl what the hose takes when purged (ml)
 * @param spillMl what is lost while the plugs go in (ml)
 */
public record OilNeed(
        @Given(value = "how much oil the case holds", kind = Kind.VOLUME, min = 10, max = 20_000)
                OptionalDouble capacityMl,
        @Given(value = "the grade of oil", orElse = "-") String grade,
        @Given(value = "whether the shift needs its own fluid", orElse = "false") boolean shiftFluid,
        @Given(value = "what the hose is purged with", kind = Kind.VOLUME, min = 0, max = 2_000, orElse = "40")
                double purgeMl,
        @Given(value = "what is lost at the plugs", kind = Kind.VOLUME, min = 0, max = 2_000, orElse = "15")
                double spillMl) {}
