package mussel.core.parts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.measure.DecimalMark;

/**
 * What a supplier's price list says of numbers that mean something here.
 *
 * @param supplier whose list it is
 * @param read how many lines it has
 * @param lines what those lines come to that have a known number or that something is wrong with, in their order
 * @param open whether its decimal mark has to be asked for: prices can be read in two ways, and none of them tells which
 * @param decimal what stands before its decimals; empty where no price has any, or where that is open
 * @param told what is to be known of the whole file, each in a sentence
 */
public record PriceList(
        String supplier,
        int read,
        List<PriceLine> lines,
        boolean open,
        Optional<DecimalMark> decimal,
        List<String> told) {
    /** The most a pack costs, in a currency whose unit is about a euro. */
    public static final double MOST = 1_000_000;

    private static final Messages TEXT = Messages.of(PriceList.class);
    private static final double DEARER = 1.25;

    /** Keeps its own copies. */
    public PriceList {
        lines = List.copyOf(lines);
        told = List.copyOf(told);
    }

    /** The prices that count; none while the decimal mark is open. */
    public List<Price> prices() {
        return open
                ? List.of()
                : lines.stream()
                        .filter(PriceLine::counts)
                        .map(l ->
                                new Price(supplier, l.number(), l.price().getAsDouble(), l.pack(), l.stock(), l.days()))
                        .toList();
    }

    /** What is left out and why, by its line. */
    public List<String> problems() {
        return lines.stream()
                .filter(l -> !l.problem().isEmpty())
                .map(l -> TEXT.get(
                        "list.problem",
                        String.valueOf(l.line()),
                        l.number().isEmpty() ? "" : l.number() + ". ",
                        l.problem()))
                .toList();
    }

    /** The yard's prices with these over those of the same supplier; what the list no longer has stays as it was. */
    public List<Price> over(List<Price> before) {
        List<Price> prices = prices();
        Map<String, Price> mine = new HashMap<>();
        prices.forEach(p -> mine.put(key(p), p));
        List<Price> all = new ArrayList<>();
        Set<String> had = new HashSet<>();
        for (Price price : before) {
            had.add(key(price));
            all.add(mine.getOrDefault(key(price), price));
        }
        prices.stream().filter(p -> !had.contains(key(p))).forEach(all::add);
        return all;
    }

    private static String key(Price price) {
        return price.supplier() + "\n" + Price.same(price.number());
    }

    /** What taking it in would change, in sentences. */
    public List<String> says(List<Price> before) {
        List<Price> prices = prices();
        Map<String, Price> was = new HashMap<>();
        before.forEach(p -> was.put(key(p), p));
        int fresh = 0;
        int dearer = 0;
        int cheaper = 0;
        List<String> much = new ArrayList<>();
        for (Price price : prices) {
            Price old = was.get(key(price));
            if (old == null) {
                fresh++;
            } else if (price.price() > old.price()) {
                dearer++;
                if (price.price() > old.price() * DEARER) {
                    much.add(TEXT.get("list.much", price.number(), plain(price.price()), plain(old.price())));
                }
            } else if (price.price() < old.price()) {
                cheaper++;
            }
        }
        List<String> says = new ArrayList<>();
        says.add(TEXT.get("list.lines", read, prices.size()));
        if (!prices.isEmpty()) {
            says.add(TEXT.get("list.changes", fresh, dearer, cheaper));
        }
        says.addAll(much);
        long gone = before.stream()
                .filter(p -> prices.stream().noneMatch(n -> key(n).equals(key(p))))
                .filter(p ->
                        !prices.isEmpty() && p.supplier().equals(prices.get(0).supplier()))
                .count();
        if (gone > 0) {
            says.add(TEXT.get("list.gone", gone));
        }
        return says;
    }

    private static String plain(double price) {
        return java.math.BigDecimal.valueOf(price).toPlainString();
    }
}
