package mussel.core.sheet;

import mussel.core.measure.Given;

/**
 * One region of the cutaway, in the sheet's own coordinates of 360 by 560.
 *
 * @param id its id
 * @param kind what it is made of, which decides how it is drawn
 * @param part the part it shows; a hyphen for castings and lines
 * @param title its name on hover
 * @param place the place of faults it shows, as the diagnosis tables name it; a hyphen for none
 * @param path its outline as SVG path data
 */
public record Region(
        @Given("the region's id") String id,
        @Given("what it is made of") Material kind,
        @Given(value = "the part it shows", orElse = "-") String part,
        @Given(value = "its name", orElse = "-") String title,
        @Given(value = "the place of faults it shows", orElse = "-") String place,
        @Given("its outline") String path) {
    /** What a region is made of. */
    public enum Material {
        /** The casting of the case. */
        CASTING,
        /** A thin plate or fin. */
        PLATE,
        /** A passage for water or exhaust. */
        PASSAGE,
        /** The room the oil stands in: one per drawing. */
        CAVITY,
        /** Shafts. */
        STEEL,
        /** Housings and carriers. */
        HOUSING,
        /** Gears. */
        GEAR,
        /** Seals, O-rings, impellers. */
        RUBBER,
        /** Plugs, keys, nuts, dogs, shims. */
        BRASS,
        /** Anodes. */
        ANODE,
        /** A line only. */
        LINE,
        /** What nobody has looked at: drawn dashed. */
        UNKNOWN
    }
}
