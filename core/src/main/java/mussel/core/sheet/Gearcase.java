package mussel.core.sheet;

import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * How a case gives up its oil.
 *
 * @param tau40Min time constant of draining at 40 °C with the vent open (min)
 * @param wettedAreaM2 area of the walls that hold a film (m²)
 * @param heightM mean height of those walls (m)
 * @param pocketMl what never runs out (ml)
 */
public record Gearcase(
        @Given(value = "the time constant of draining at 40 °C", kind = Kind.DURATION, min = 0.01, max = 240)
                double tau40Min,
        @Given(value = "the wetted area of the case (m²)", min = 0, max = 10) double wettedAreaM2,
        @Given(value = "the height of the wetted walls (m)", min = 0.001, max = 5) double heightM,
        @Given(value = "what stays in the pockets of the case", kind = Kind.VOLUME, min = 0, max = 5_000)
                double pocketMl) {}
