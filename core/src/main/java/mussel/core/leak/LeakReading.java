package mussel.core.leak;

import java.util.Optional;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * One look at the gauge.
 *
 * @param tS time since the pumping stopped (s)
 * @param gaugeKpa gauge pressure; negative for vacuum (kPa)
 * @param tempC temperature of the case (degrees Celsius)
 * @param stage what was done to the leg meanwhile
 */
public record LeakReading(
        @Given(value = "the time since pumping stopped (s)", min = 0, max = 604_800) double tS,
        @Given(value = "what the gauge showed", kind = Kind.PRESSURE, min = -200, max = 1_000) double gaugeKpa,
        @Given(value = "the temperature of the case", kind = Kind.TEMPERATURE, min = -60, max = 150) double tempC,
        @Given("what was done to the leg meanwhile") Optional<Stage> stage) {}
