package mussel.core.sheet;

import mussel.core.measure.Given;

/**
 * The family's water pump.
 *
 * @param geometry its measures
 * @param limits how far its parts may be worn
 * @param telltaleShare the share of its flow that leaves at the telltale (0..1)
 * @param page where the sheet says so
 */
public record PumpSheet(
        @Given("the pump's measures") PumpGeometry geometry,
        @Given("the pump's limits") PumpLimits limits,
        @Given(value = "the telltale's share of the flow", min = 0, minOpen = true, max = 1) double telltaleShare,
        @Given(value = "the page of the sheet", orElse = "-") String page) {}
