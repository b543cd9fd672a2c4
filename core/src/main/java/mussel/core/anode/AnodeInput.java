package mussel.core.anode;

import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What the anode engine needs.
 *
 * @param leftPct what is left of it, in per cent of a new one, by eye or by weight
 * @param months how long it was in the water since it was new; empty where nobody knows
 * @param renewAtPct the share at which it is renewed: below it the rest goes quickly and no longer covers the leg
 * @param nextMonths months until somebody looks at it again
 * @param uPct standard uncertainty of the share: about 10 by eye, 2 by weight
 */
public record AnodeInput(
        @Given(value = "what is left of the anode, in per cent", kind = Kind.COUNT, min = 0, max = 100) double leftPct,
        @Given(value = "its months in the water", kind = Kind.COUNT, min = 0.25, max = 240) OptionalDouble months,
        @Given(value = "the share it is renewed at, in per cent", kind = Kind.COUNT, min = 0, max = 99, orElse = "50")
                double renewAtPct,
        @Given(value = "the months until the next look", kind = Kind.COUNT, min = 0, max = 120, orElse = "6")
                double nextMonths,
        @Given(value = "the uncertainty of the share, in per cent", kind = Kind.COUNT, min = 0, max = 50, orElse = "10")
                double uPct) {}
