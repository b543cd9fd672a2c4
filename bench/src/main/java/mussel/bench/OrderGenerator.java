package mussel.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import mussel.core.parts.Objective;
import mussel.core.parts.Offer;
import mussel.core.parts.PartsInput;
import mussel.core.parts.Supplier;
import mussel.core.parts.Wanted;

/**
 * Makes orders like a yard's out of a seed: parts at lognormal prices, most sold singly by several suppliers at prices a little apart, some
 * in packs, a quarter of the offers kits of neighbouring parts at a discount; half the suppliers ship free above a value.
 */
final class OrderGenerator {
    private static final double MEDIAN_PRICE = 8;

    private OrderGenerator() {}

    static PartsInput order(long seed, int needs, int offers, int suppliers) {
        Random random = new Random(seed);
        int[] qty = random.ints(needs, 0, 4).map(n -> n == 0 ? 3 : 1).toArray();
        double[] price = new double[needs];
        List<Wanted> need = new ArrayList<>();
        for (int i = 0; i < needs; i++) {
            price[i] = 1.5 + MEDIAN_PRICE * Math.exp(random.nextGaussian());
            need.add(new Wanted("part-" + i, qty[i]));
        }
        List<Supplier> sellers = new ArrayList<>();
        for (int k = 0; k < suppliers; k++) {
            sellers.add(new Supplier(
                    "supplier-" + k,
                    4 + random.nextInt(12),
                    random.nextBoolean() ? OptionalDouble.of(60 + 20 * random.nextInt(10)) : OptionalDouble.empty()));
        }
        List<Offer> offered = new ArrayList<>();
        for (int j = 0; j < offers; j++) {
            Map<String, Integer> contains = new LinkedHashMap<>();
            double cost = 0;
            if (j < offers - offers / 4) {
                int part = j % needs;
                int pack = random.nextInt(8) == 0 ? 5 : 1;
                contains.put("part-" + part, pack);
                cost = price[part] * (pack == 1 ? 1 : 0.85 * pack);
            } else {
                int from = random.nextInt(needs);
                for (int n = 0; n < 3 + random.nextInt(5); n++) {
                    int part = (from + n) % needs;
                    contains.put("part-" + part, qty[part]);
                    cost += price[part] * qty[part] * (0.7 + 0.2 * random.nextDouble());
                }
            }
            double marked = Math.round(20 * cost * (0.85 + 0.3 * random.nextDouble())) / 20.0;
            offered.add(new Offer(
                    "offer-" + j,
                    "supplier-" + random.nextInt(suppliers),
                    marked,
                    contains.entrySet().stream()
                            .map(e -> new Wanted(e.getKey(), e.getValue()))
                            .toList(),
                    j < needs ? 9 : 1 + random.nextInt(8),
                    1 + random.nextInt(7)));
        }
        return new PartsInput(need, List.of(), offered, sellers, Objective.COST, OptionalDouble.empty(), 0);
    }
}
