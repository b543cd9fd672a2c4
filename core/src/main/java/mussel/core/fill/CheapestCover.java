package mussel.core.fill;

import java.util.List;
import mussel.core.fill.FillInput.Bottle;

/**
 * The cheapest whole bottles that together hold at least a volume, fewest on a tie: the unbounded knapsack cover by dynamic
 * programming (Kellerer, Pferschy and Pisinger, Knapsack Problems, 2004, section 8.5). Volumes are counted in a step fine enough
 * for any bottle's label: a tenth of a millilitre for a gearcase, coarser for tanks so that it never takes more than
 * {@value #MOST_STEPS} steps. Bottles are rounded down and the need up, so what is bought always suffices.
 */
final class CheapestCover {
    static final int MOST_STEPS = 400_000;
    private static final double FINEST_ML = 0.1;
    private static final double SLACK = 1e-6;
    private static final double PRICE_TIE = 1e-9;

    private CheapestCover() {}

    /** How many of each bottle to buy, in the order given. */
    static int[] of(List<Bottle> bottles, double needMl) {
        double step = Math.max(FINEST_ML, needMl / MOST_STEPS);
        int need = (int) Math.ceil(needMl / step - SLACK);
        int[] sizes = bottles.stream()
                .mapToInt(b -> Math.max(1, (int) Math.floor(b.ml() / step + SLACK)))
                .toArray();
        double[] cost = new double[need + 1];
        int[] pieces = new int[need + 1];
        int[] chosen = new int[need + 1];
        for (int v = 1; v <= need; v++) {
            cost[v] = Double.POSITIVE_INFINITY;
            for (int i = 0; i < sizes.length; i++) {
                int before = Math.max(0, v - sizes[i]);
                double candidate = cost[before] + bottles.get(i).price();
                boolean cheaper = candidate < cost[v] - PRICE_TIE;
                boolean fewer = candidate <= cost[v] + PRICE_TIE && pieces[before] + 1 < pieces[v];
                if (cheaper || fewer) {
                    cost[v] = candidate;
                    pieces[v] = pieces[before] + 1;
                    chosen[v] = i;
                }
            }
        }
        int[] counts = new int[sizes.length];
        for (int v = need; v > 0; v = Math.max(0, v - sizes[chosen[v]])) {
            counts[chosen[v]]++;
        }
        return counts;
    }
}
