package mussel.core.parts;

import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What a supplier asks for one of his numbers. What it is, the sheets say: a part of that number, or a kit.
 *
 * @param supplier who asks it
 * @param number the number in his list
 * @param price of one pack (his money)
 * @param pack how many are in one
 * @param stock how many packs he has; taken as enough where his list does not say
 * @param days until it is here; his usual days where his list does not say (d)
 */
public record Price(
        @Given("the supplier") String supplier,
        @Given("the number in his list") String number,
        @Given(value = "the price", min = 0, max = 1e12) double price,
        @Given(value = "how many are in a pack", min = 1, max = 10_000, orElse = "1") int pack,
        @Given(value = "how many packs he has", kind = Kind.COUNT, min = 0, max = 100_000) OptionalDouble stock,
        @Given(value = "the days until it is here", kind = Kind.COUNT, min = 0, max = 1_000) OptionalDouble days) {
    /** A number as two hands write it alike: without blanks, in capitals. */
    public static String same(String number) {
        StringBuilder bare = new StringBuilder(number.length());
        for (int i = 0; i < number.length(); i++) {
            char c = number.charAt(i);
            if (!Character.isWhitespace(c) && c != '\u00a0') {
                bare.append(Character.toUpperCase(c));
            }
        }
        return bare.toString();
    }
}
