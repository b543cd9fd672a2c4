package mussel.core.sheet;

import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Given;

/**
 * The family's water pump.
 *
 * @param geometry its measures; empty where nobody has taken them, and then no flow is expected
 * @param limits how far its parts may be worn; a bench's rule of thumb judges where no manual was read
 * @param telltaleShare the share of its flow that leaves at the telltale (0..1); empty where nobody knows
 * @param page where the sheet says so
 */
public record PumpSheet(
        @Given("the pump's measures") Optional<PumpGeometry> geometry,
        @Given("the pump's limits") Optional<PumpLimits> limits,
        @Given(value = "the telltale's share of the flow", min = 0, minOpen = true, max = 1)
                OptionalDouble telltaleShare,
        @Given(value = "the page of the sheet", orElse = "-") String page) {}
