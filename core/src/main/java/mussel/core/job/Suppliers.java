package mussel.core.job;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import mussel.core.language.Messages;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Catalogue.FamilyOffers;
import mussel.core.parts.Offer;
import mussel.core.parts.Price;
import mussel.core.parts.Seller;
import mussel.core.parts.Supplier;
import mussel.core.parts.Wanted;
import mussel.core.sheet.Kit;
import mussel.core.sheet.Part;
import mussel.core.sheet.SpecSheet;

/**
 * What the yard's own suppliers ask, put over its catalogue: his price, stock and days for a number replace the catalogue's; a number that the catalogue does not
 * have is the part of that number in the leg's sheet, or the kit. Asked in another money, a price counts at the rate that was typed, and not at all without one.
 */
public final class Suppliers {
    private static final int ENOUGH = 1_000;
    private static final int CENTS = 100;
    private static final Messages TEXT = Messages.of(Suppliers.class);

    private Suppliers() {}

    /** What can be bought for a leg, in the yard's money. */
    public static Catalogue of(Catalogue base, Yard yard, SpecSheet sheet) {
        if (yard.suppliers().isEmpty() && yard.exchange().isEmpty()) {
            return base;
        }
        FamilyOffers listed = base.of(sheet.id());
        Map<String, Offer> offers = new LinkedHashMap<>();
        listed.offers().forEach(o -> offers.put(key(o.supplier(), o.sku()), o));
        Map<String, List<Wanted>> contents = contents(sheet);
        for (Price price : yard.prices()) {
            Seller seller = yard.supplier(price.supplier()).orElseThrow();
            OptionalDouble rate = seller.at(yard.money().code());
            String key = key(seller.id(), price.number());
            if (rate.isEmpty()) {
                offers.remove(key);
                continue;
            }
            Optional<Offer> was = Optional.ofNullable(offers.get(key));
            List<Wanted> holds = was.map(Offer::contains)
                    .orElseGet(() -> times(contents.getOrDefault(Price.same(price.number()), List.of()), price.pack()));
            if (!holds.isEmpty()) {
                offers.put(
                        key,
                        new Offer(
                                was.map(Offer::sku).orElse(price.number()),
                                was.map(Offer::supplier).orElse(seller.id()),
                                money(price.price(), rate.getAsDouble()),
                                holds,
                                (int) price.stock().orElse(was.map(Offer::stock).orElse(ENOUGH)),
                                (int) price.days()
                                        .orElse(was.map(Offer::leadDays).orElse(seller.days()))));
            }
        }
        List<Catalogue.Unit> units = new ArrayList<>(listed.exchange());
        yard.exchange().stream()
                .filter(e -> e.family().equals(sheet.id()))
                .map(Yard.Exchange::unit)
                .forEach(units::add);
        return new Catalogue(
                parcels(base, yard), List.of(new FamilyOffers(sheet.id(), List.copyOf(offers.values()), units)));
    }

    /** Who sends parcels: the yard's own word on a supplier counts. */
    private static List<Supplier> parcels(Catalogue base, Yard yard) {
        Map<String, Supplier> parcels = new LinkedHashMap<>();
        base.suppliers().forEach(s -> parcels.put(key(s.id(), ""), s));
        for (Seller seller : yard.suppliers()) {
            Optional<String> named =
                    Optional.ofNullable(parcels.get(key(seller.id(), ""))).map(Supplier::id);
            seller.at(yard.money().code())
                    .ifPresent(rate -> parcels.put(
                            key(seller.id(), ""),
                            new Supplier(
                                    named.orElse(seller.id()),
                                    money(seller.shipping(), rate),
                                    seller.freeOver().isPresent()
                                            ? OptionalDouble.of(
                                                    money(seller.freeOver().getAsDouble(), rate))
                                            : OptionalDouble.empty())));
        }
        return List.copyOf(parcels.values());
    }

    /** His money in the yard's, to the hundredth. */
    private static double money(double his, double rate) {
        return rate == 1 ? his : (double) Math.round(his * rate * CENTS) / CENTS;
    }

    private static String key(String supplier, String number) {
        return supplier.toLowerCase(Locale.ROOT) + "\n" + Price.same(number);
    }

    private static List<Wanted> times(List<Wanted> contents, int pack) {
        return contents.stream().map(w -> new Wanted(w.part(), w.qty() * pack)).toList();
    }

    /** What a number is on a leg: a part, or what is in a kit. */
    private static Map<String, List<Wanted>> contents(SpecSheet sheet) {
        Map<String, List<Wanted>> contents = new HashMap<>();
        for (Kit kit : sheet.kits()) {
            contents.put(
                    Price.same(kit.id()),
                    kit.contains().stream()
                            .map(c -> new Wanted(c.part(), c.qty()))
                            .toList());
        }
        sheet.parts().stream()
                .filter(p -> mussel.core.sheet.Step.says(p.number()))
                .forEach(p -> contents.put(Price.same(p.number()), List.of(new Wanted(p.id(), 1))));
        return contents;
    }

    /** Which numbers of a supplier's list mean something here: those of the sheets' parts and kits, and those the catalogue has of him. */
    public static Predicate<String> known(Catalogue base, List<SpecSheet> sheets, String supplier) {
        Set<String> known = new TreeSet<>();
        sheets.forEach(s -> known.addAll(contents(s).keySet()));
        base.families().forEach(f -> f.offers().stream()
                .filter(o -> o.supplier().equalsIgnoreCase(supplier))
                .forEach(o -> known.add(Price.same(o.sku()))));
        return number -> known.contains(Price.same(number));
    }

    /** Whose prices count for nothing since they are in another money and nobody typed a rate, each in a sentence. */
    public static List<String> unrated(Yard yard) {
        return yard.suppliers().stream()
                .filter(s -> s.at(yard.money().code()).isEmpty())
                .map(s -> TEXT.get("supplier.unrated", s.id(), s.currency().orElseThrow()))
                .toList();
    }

    /** At which rate a supplier's prices were reckoned; empty where they are in the yard's money. */
    public static Optional<String> rate(Yard yard, String supplier) {
        return yard.supplier(supplier)
                .filter(s -> s.currency().isPresent()
                        && !s.currency().get().equals(yard.money().code()))
                .filter(s -> s.rate().isPresent())
                .map(s -> TEXT.get(
                        "supplier.rate",
                        s.id(),
                        s.currency().orElseThrow(),
                        BigDecimal.valueOf(s.rate().getAsDouble())
                                .stripTrailingZeros()
                                .toPlainString(),
                        s.rateOn().orElse(TEXT.get("supplier.some_day"))));
    }

    /** A part's number as the sheet has it; its id where it has none. */
    public static String number(Part part) {
        return mussel.core.sheet.Step.says(part.number()) ? part.number() : part.id();
    }

    /** Who sells to a yard: those it has written down, and those of a catalogue. */
    public static List<Seller> sellers(Catalogue listed, Yard yard) {
        List<Seller> sellers = new ArrayList<>(yard.suppliers());
        listed.suppliers().stream()
                .filter(s -> yard.supplier(s.id()).isEmpty())
                .map(s -> Seller.named(s.id()).sending(s.shipping(), s.freeOver()))
                .forEach(sellers::add);
        return sellers;
    }
}
