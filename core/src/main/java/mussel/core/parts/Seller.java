package mussel.core.parts;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * A supplier as the yard deals with him: in his own money, at a day's rate that somebody typed.
 *
 * @param id his name
 * @param currency the money he asks, by its code of ISO 4217; the yard's where empty
 * @param rate what one of his money is in the yard's; needed where the two differ, since nothing is converted by itself
 * @param rateOn the day of that rate
 * @param shipping the price of a parcel, whatever is in it (his money)
 * @param freeOver goods of this value or more travel free (his money); never free when empty
 * @param days until his goods are here, where his list does not say (d)
 * @param columns how the columns of his price list are headed, by what stands in them
 */
public record Seller(
        @Given("the supplier's name") String id,
        @Given("his currency (ISO 4217)") Optional<String> currency,
        @Given(value = "the day's rate (the yard's money for one of his)", min = 0, minOpen = true, max = 1_000_000)
                OptionalDouble rate,
        @Given("the day of that rate") Optional<String> rateOn,
        @Given(value = "the price of shipping (his money)", min = 0, max = 1e12, orElse = "0") double shipping,
        @Given(value = "the value from which shipping is free (his money)", min = 0, max = 1e13)
                OptionalDouble freeOver,
        @Given(value = "the days until his goods are here", kind = Kind.COUNT, min = 0, max = 1_000, orElse = "3")
                int days,
        @Given("the columns of his list") Map<String, String> columns) {
    /** Keeps its own copy. */
    public Seller {
        columns = Collections.unmodifiableMap(new TreeMap<>(columns));
    }

    /** A supplier of that name who asks the yard's money, of whom no more is known. */
    public static Seller named(String name) {
        return new Seller(
                name,
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                0,
                OptionalDouble.empty(),
                3,
                Map.of());
    }

    /** What one of his money is in the yard's; empty where they differ and nobody typed a rate. */
    public OptionalDouble at(String yards) {
        return currency.isEmpty() || currency.get().equals(yards) ? OptionalDouble.of(1) : rate;
    }

    /** The same supplier with another money and rate. */
    public Seller asking(Optional<String> money, OptionalDouble rated, Optional<String> on) {
        return new Seller(id, money, rated, on, shipping, freeOver, days, columns);
    }

    /** The same supplier with what his parcels cost. */
    public Seller sending(double parcel, OptionalDouble free) {
        return new Seller(id, currency, rate, rateOn, parcel, free, days, columns);
    }

    /** The same supplier with his list's columns matched. */
    public Seller listing(Map<String, String> matched) {
        return new Seller(id, currency, rate, rateOn, shipping, freeOver, days, matched);
    }
}
