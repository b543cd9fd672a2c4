package mussel.core.parts;

import java.util.OptionalDouble;
import mussel.core.measure.Given;

/**
 * Who sells, and what a parcel costs.
 *
 * @param id the supplier's id
 * @param shipping the price of a parcel, whatever is in it
 * @param freeOver goods of this value or more travel free; never free when empty
 */
public record Supplier(
        @Given("the supplier's id") String id,
        @Given(value = "the price of shipping", min = 0, max = 1e12) double shipping,
        @Given(value = "the value from which shipping is free", min = 0, max = 1e13) OptionalDouble freeOver) {}
