package mussel.core.parts;

import java.util.OptionalDouble;

/**
 * What a line of a price list comes to.
 *
 * @param line its place in the file, from 1
 * @param number the number in it
 * @param price what a pack costs (the supplier's money); empty where the line is left out
 * @param pack how many are in a pack
 * @param stock how many packs there are; empty where the line does not say
 * @param days until it is here (d); empty where the line does not say
 * @param problem why the line, or a cell of it, is left out, in a sentence; empty where all of it was read
 */
public record PriceLine(
        long line,
        String number,
        OptionalDouble price,
        int pack,
        OptionalDouble stock,
        OptionalDouble days,
        String problem) {
    /** Whether its price counts. */
    public boolean counts() {
        return price.isPresent();
    }
}
