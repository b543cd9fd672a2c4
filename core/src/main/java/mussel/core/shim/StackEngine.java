package mussel.core.shim;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.TreeMap;

/**
 * The stack of shims that makes a thickness: within the tolerance the fewest pieces, then nearest the target, then the one whose pieces,
 * thickest first, compare larger; else the nearest of all. Exact: every reachable thickness is known, in whole micrometres.
 */
public final class StackEngine {
    private static final double UM = 1_000;

    private final List<Integer> sizes;
    private final List<Integer> counts;
    private final int most;
    /** Reachable sums by first size still to use and pieces taken. */
    private final BitSet[][] reachable;

    private StackEngine(StackInput in, int farthest) {
        TreeMap<Integer, Integer> drawer = new TreeMap<>(Collections.reverseOrder());
        in.drawer().stream()
                .filter(s -> s.count() > 0)
                .forEach(s -> drawer.merge(s.micrometres(), s.count(), Integer::sum));
        sizes = List.copyOf(drawer.keySet());
        counts = List.copyOf(drawer.values());
        most = in.maxPieces();
        reachable = new BitSet[sizes.size() + 1][most + 1];
        for (BitSet[] row : reachable) {
            for (int k = 0; k <= most; k++) {
                row[k] = new BitSet(farthest + 1);
            }
        }
        reachable[sizes.size()][0].set(0);
        for (int i = sizes.size() - 1; i >= 0; i--) {
            for (int k = 0; k <= most; k++) {
                for (int c = 0; c <= Math.min(k, counts.get(i)); c++) {
                    shiftOr(reachable[i][k], reachable[i + 1][k - c], c * sizes.get(i), farthest);
                }
            }
        }
    }

    private static void shiftOr(BitSet into, BitSet from, int by, int farthest) {
        for (int s = from.nextSetBit(0); s >= 0 && s + by <= farthest; s = from.nextSetBit(s + 1)) {
            into.set(s + by);
        }
    }

    /** Computes the stack; the input has been checked. */
    public static StackResult run(StackInput in) {
        int target = (int) Math.round(in.targetMm() * UM);
        int tolerance = (int) Math.round(in.toleranceMm() * UM);
        int farthest = Math.max(0, 2 * target + tolerance);
        StackEngine engine = new StackEngine(in, farthest);
        for (int k = 0; k <= engine.most; k++) {
            int off = engine.nearest(target, k);
            if (off <= tolerance) {
                return engine.result(target, off, k, true);
            }
        }
        int best = Integer.MAX_VALUE;
        int pieces = 0;
        for (int k = 0; k <= engine.most; k++) {
            int off = engine.nearest(target, k);
            if (off < best) {
                best = off;
                pieces = k;
            }
        }
        return engine.result(target, best, pieces, false);
    }

    /** How far the nearest stack of so many pieces is off the target; very far where there is none. */
    private int nearest(int target, int pieces) {
        BitSet sums = reachable[0][pieces];
        int from = Math.max(0, target);
        int above = sums.nextSetBit(from);
        int below = sums.previousSetBit(from);
        int off = Integer.MAX_VALUE;
        if (above >= 0) {
            off = Math.abs(above - target);
        }
        if (below >= 0) {
            off = Math.min(off, Math.abs(below - target));
        }
        return off;
    }

    /** The stack of so many pieces so far off, above or below: the one whose pieces compare larger. */
    private StackResult result(int target, int off, int pieces, boolean feasible) {
        List<Integer> best = List.of();
        int sum = 0;
        for (int at : new int[] {target - off, target + off}) {
            if (at >= 0 && reachable[0][pieces].get(at)) {
                List<Integer> stack = largest(at, pieces);
                if (best.isEmpty() || larger(stack, best)) {
                    best = stack;
                    sum = at;
                }
            }
        }
        List<Shim> shims = new ArrayList<>();
        for (int size : best.stream().distinct().toList()) {
            shims.add(new Shim(size / UM, Collections.frequency(best, size)));
        }
        return new StackResult(shims, sum / UM, (sum - target) / UM, feasible);
    }

    private static boolean larger(List<Integer> one, List<Integer> other) {
        for (int i = 0; i < one.size(); i++) {
            int order = Integer.compare(one.get(i), other.get(i));
            if (order != 0) {
                return order > 0;
            }
        }
        return false;
    }

    /** The pieces of a sum, thickest first: as many as can be of the thickest, then of the next. */
    private List<Integer> largest(int sum, int pieces) {
        List<Integer> stack = new ArrayList<>();
        int left = sum;
        int k = pieces;
        for (int i = 0; i < sizes.size(); i++) {
            int c = Math.min(k, counts.get(i));
            while (c > 0 && (left - c * sizes.get(i) < 0 || !reachable[i + 1][k - c].get(left - c * sizes.get(i)))) {
                c--;
            }
            stack.addAll(Collections.nCopies(c, sizes.get(i)));
            left -= c * sizes.get(i);
            k -= c;
        }
        return stack;
    }
}
