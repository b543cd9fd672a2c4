package mussel.core.parts;

import java.util.HashMap;
import java.util.Map;

/** Tries every order there is. Slow, and plainly right. */
final class BruteForce {
    private BruteForce() {}

    /** The least that covers the need costs; infinite where nothing does. */
    static double least(PartsInput in) {
        return search(in, 0, new int[in.offers().size()]);
    }

    private static double search(PartsInput in, int at, int[] taken) {
        if (at == taken.length) {
            return covers(in, taken) ? cost(in, taken) : Double.POSITIVE_INFINITY;
        }
        double least = Double.POSITIVE_INFINITY;
        for (int n = 0; n <= in.offers().get(at).stock(); n++) {
            taken[at] = n;
            least = Math.min(least, search(in, at + 1, taken));
        }
        taken[at] = 0;
        return least;
    }

    private static boolean covers(PartsInput in, int[] taken) {
        Map<String, Integer> have = new HashMap<>();
        in.shelf().forEach(s -> have.merge(s.part(), s.qty(), Integer::sum));
        for (int i = 0; i < taken.length; i++) {
            int n = taken[i];
            in.offers().get(i).contains().forEach(c -> have.merge(c.part(), n * c.qty(), Integer::sum));
        }
        return in.need().stream().allMatch(n -> have.getOrDefault(n.part(), 0) >= n.qty());
    }

    private static double cost(PartsInput in, int[] taken) {
        double cost = 0;
        for (Supplier supplier : in.suppliers()) {
            double goods = 0;
            boolean used = false;
            for (int i = 0; i < taken.length; i++) {
                if (in.offers().get(i).supplier().equals(supplier.id()) && taken[i] > 0) {
                    goods += taken[i] * in.offers().get(i).price();
                    used = true;
                }
            }
            boolean free = supplier.freeOver().isPresent()
                    && goods >= supplier.freeOver().getAsDouble() - 1e-9;
            cost += goods + (used && !free ? supplier.shipping() : 0);
        }
        return cost;
    }
}
