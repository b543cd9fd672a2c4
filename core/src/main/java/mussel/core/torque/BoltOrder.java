package mussel.core.torque;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import mussel.core.torque.TorqueInput.Layout;

/**
 * The order in which bolts are tightened. Rings: each next bolt as far across as can be, never nearer than a quarter turn. Grids and lines:
 * from the middle outward, across.
 */
final class BoltOrder {
    private static final double QUARTER = 90;
    /** Bolts are equally near the middle within this share of the farthest. */
    private static final double SAME_PLACE = 0.05;

    private static final double ROUNDING = 1e-9;
    private static final int FEW = 4;

    private BoltOrder() {}

    /** The bolts, numbered from 1: rings clockwise, grids row by row, lines along. */
    static List<Integer> of(Layout layout, int count, int columns) {
        return switch (layout) {
            case RING -> ring(count);
            case GRID -> outward(count, columns);
            case LINE -> outward(count, count);
        };
    }

    /**
     * Bolts by their places, from the middle out: of those equally near the middle the one across from the last. One that has none across from it is left
     * for last.
     */
    static List<Integer> of(List<TorqueInput.Spot> places) {
        double x = places.stream().mapToDouble(TorqueInput.Spot::x).average().orElse(0);
        double y = places.stream().mapToDouble(TorqueInput.Spot::y).average().orElse(0);
        double near = SAME_PLACE
                * places.stream()
                        .mapToDouble(s -> Math.hypot(s.x() - x, s.y() - y))
                        .max()
                        .orElse(0);
        List<Integer> left =
                new ArrayList<>(IntStream.rangeClosed(1, places.size()).boxed().toList());
        List<Integer> order = new ArrayList<>();
        while (!left.isEmpty()) {
            TorqueInput.Spot last =
                    order.isEmpty() ? new TorqueInput.Spot(x, y) : places.get(order.get(order.size() - 1) - 1);
            double least = left.stream()
                    .mapToDouble(b -> away(places.get(b - 1), x, y))
                    .min()
                    .orElseThrow();
            int next = left.stream()
                    .filter(b -> away(places.get(b - 1), x, y) <= least + near)
                    .max(Comparator.comparingDouble((Integer b) -> away(places.get(b - 1), last.x(), last.y()))
                            .thenComparing(Collections.reverseOrder()))
                    .orElseThrow();
            order.add(next);
            left.remove(Integer.valueOf(next));
        }
        return order;
    }

    private static double away(TorqueInput.Spot of, double x, double y) {
        return Math.hypot(of.x() - x, of.y() - y);
    }

    private static List<Integer> ring(int count) {
        List<Integer> order = new ArrayList<>(List.of(1));
        boolean[] used = new boolean[count + 1];
        used[1] = true;
        if (count < FEW || !complete(order, used, count)) {
            return IntStream.rangeClosed(1, count).boxed().toList();
        }
        return order;
    }

    /** Goes on with the bolt farthest across; turns back where that leaves a rest that cannot be reached. */
    private static boolean complete(List<Integer> order, boolean[] used, int count) {
        if (order.size() == count) {
            return true;
        }
        int last = order.get(order.size() - 1);
        int before = order.size() > 1 ? order.get(order.size() - 2) : last;
        List<Integer> next = IntStream.rangeClosed(1, count)
                .filter(b -> !used[b] && apart(last, b, count) >= QUARTER - ROUNDING)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer b) -> -apart(last, b, count))
                        .thenComparingDouble(b -> -apart(before, b, count))
                        .thenComparingInt(b -> b))
                .toList();
        for (int bolt : next) {
            used[bolt] = true;
            order.add(bolt);
            if (complete(order, used, count)) {
                return true;
            }
            order.remove(order.size() - 1);
            used[bolt] = false;
        }
        return false;
    }

    /** The angle between two bolts of a ring (degrees). */
    static double apart(int one, int other, int count) {
        double angle = Math.abs(one - other) * 360.0 / count;
        return Math.min(angle, 360 - angle);
    }

    /** Nearest the middle first; of those equally near, always across from the last. What does not fill a row is left for last. */
    private static List<Integer> outward(int count, int columns) {
        int rows = count / columns;
        List<Integer> left =
                new ArrayList<>(IntStream.rangeClosed(1, rows * columns).boxed().toList());
        List<Integer> order = new ArrayList<>();
        while (!left.isEmpty()) {
            double near = left.stream()
                    .mapToDouble(b -> middle(b, rows, columns))
                    .min()
                    .orElseThrow();
            Integer last = order.isEmpty() ? null : order.get(order.size() - 1);
            int next = left.stream()
                    .filter(b -> middle(b, rows, columns) <= near + ROUNDING)
                    .max(Comparator.comparingDouble((Integer b) -> last == null ? 0 : between(b, last, columns))
                            .thenComparing(Collections.reverseOrder()))
                    .orElseThrow();
            order.add(next);
            left.remove(Integer.valueOf(next));
        }
        IntStream.rangeClosed(rows * columns + 1, count).forEach(order::add);
        return order;
    }

    private static double middle(int bolt, int rows, int columns) {
        double row = (bolt - 1) / columns - (rows - 1) / 2.0;
        double column = (bolt - 1) % columns - (columns - 1) / 2.0;
        return Math.hypot(row, column);
    }

    private static double between(int one, int other, int columns) {
        return Math.hypot((one - 1) / columns - (other - 1) / columns, (one - 1) % columns - (other - 1) % columns);
    }
}
