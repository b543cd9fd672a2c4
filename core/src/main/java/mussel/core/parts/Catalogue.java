package mussel.core.parts;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * What a yard can buy, and from whom.
 *
 * @param suppliers who sells
 * @param families what there is for each family
 */
public record Catalogue(
        @Given("the suppliers") List<Supplier> suppliers,
        @Given("what there is for each family") List<FamilyOffers> families) {
    /** A catalogue with nothing in it. */
    public static final Catalogue EMPTY = new Catalogue(List.of(), List.of());

    /** Keeps its own copies. */
    public Catalogue {
        suppliers = List.copyOf(suppliers);
        families = List.copyOf(families);
    }

    /** What there is for a family; nothing where it is not listed. */
    public FamilyOffers of(String family) {
        return families.stream()
                .filter(f -> f.family().equals(family))
                .findFirst()
                .orElseGet(() -> new FamilyOffers(family, List.of(), List.of()));
    }

    /**
     * What can be bought for a family.
     *
     * @param family its id
     * @param offers parts and kits
     * @param exchange whole units
     */
    public record FamilyOffers(
            @Given("the family") String family,
            @Given("the parts and kits") List<Offer> offers,
            @Given("the exchange units") List<Unit> exchange) {
        /** Keeps its own copies. */
        public FamilyOffers {
            offers = List.copyOf(offers);
            exchange = List.copyOf(exchange);
        }

        /** The least a single one of a part costs; empty where nobody sells it singly. */
        public OptionalDouble price(String part) {
            return offers.stream()
                    .filter(o -> !o.isKit() && o.of(part) > 0)
                    .mapToDouble(o -> o.price() / o.of(part))
                    .min();
        }

        /** In how many days one can be here at the soonest; empty where nobody has one. */
        public OptionalInt lead(String part) {
            return offers.stream()
                    .filter(o -> o.of(part) > 0 && o.stock() > 0)
                    .mapToInt(Offer::leadDays)
                    .min();
        }
    }

    /**
     * A leg rebuilt in exchange for the old one.
     *
     * @param name what it is called
     * @param price of it
     * @param coreCharge what is kept when the old leg does not go back
     * @param minutes to fit it (min)
     * @param leadDays days until it is here (d)
     * @param expectedLifeH how long it should run (h)
     */
    public record Unit(
            @Given("the unit's name") String name,
            @Given(value = "its price", min = 0, max = 1e13) double price,
            @Given(value = "the core charge", min = 0, max = 1e13, orElse = "0") double coreCharge,
            @Given(value = "the minutes to fit it", kind = Kind.DURATION, min = 0, max = 100_000, orElse = "0")
                    double minutes,
            @Given(value = "the days until it is here", min = 0, max = 1_000, orElse = "0") double leadDays,
            @Given(value = "how long it lasts", kind = Kind.RUNNING, min = 0, minOpen = true, max = 100_000)
                    OptionalDouble expectedLifeH) {}
}
