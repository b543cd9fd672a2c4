package mussel.core.sheet;

import mussel.core.measure.Given;

/**
 * What can stand in for a special tool.
 *
 * @param tool the tool as the steps name it
 * @param with what does its work
 * @param caution what to mind with it; a hyphen where nothing
 */
public record Substitute(
        @Given("the special tool") String tool,
        @Given("what stands in for it") String with,
        @Given(value = "what to mind", orElse = "-") String caution) {}
