package mussel.core.parts;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mussel.core.measure.Sentences;

/**
 * What a supplier's price list says of numbers that mean something here.
 *
 * @param lines how many lines it has
 * @param prices what he asks for what is known here
 * @param open whether its decimal mark has to be asked for: prices can be read in two ways, and none of them tells which
 * @param told what could not be taken, each with its line
 * @param untold how many more of that kind there are
 */
public record PriceList(int lines, List<Price> prices, boolean open, List<String> told, int untold) {
    private static final Sentences SAY = Sentences.beside(PriceList.class);
    private static final double DEARER = 1.25;

    /** Keeps its own copies. */
    public PriceList {
        prices = List.copyOf(prices);
        told = List.copyOf(told);
    }

    /** The yard's prices with these over those of the same supplier; what the list no longer has stays as it was. */
    public List<Price> over(List<Price> before) {
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
                    much.add(SAY.say("list.much", price.number(), plain(price.price()), plain(old.price())));
                }
            } else if (price.price() < old.price()) {
                cheaper++;
            }
        }
        List<String> says = new ArrayList<>();
        says.add(SAY.say("list.lines", lines, prices.size()));
        if (!prices.isEmpty()) {
            says.add(SAY.say("list.changes", fresh, dearer, cheaper));
        }
        says.addAll(much);
        long gone = before.stream()
                .filter(p -> prices.stream().noneMatch(n -> key(n).equals(key(p))))
                .filter(p ->
                        !prices.isEmpty() && p.supplier().equals(prices.get(0).supplier()))
                .count();
        if (gone > 0) {
            says.add(SAY.say("list.gone", gone));
        }
        return says;
    }

    private static String plain(double price) {
        return java.math.BigDecimal.valueOf(price).toPlainString();
    }
}
