package mussel.core.parts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import mussel.core.measure.StopToken;
import mussel.core.parts.PartsResult.Alternative;
import mussel.core.parts.PartsResult.Line;

/**
 * The order that covers a need for the least money, or the soonest. The shelf is used first. Exact: the minimum is proven, or the gap to
 * the best possible is told. A pure function of its input.
 */
public final class PartsEngine {
    private PartsEngine() {}

    /** Computes the order; the input has been checked. */
    public static PartsResult run(PartsInput in) {
        return run(in, new StopToken());
    }

    /**
     * The same for somebody who may not wait for it.
     *
     * @throws mussel.core.measure.WorkStoppedException when it was stopped
     */
    public static PartsResult run(PartsInput in, StopToken stop) {
        Map<String, Integer> need = sum(in.need());
        List<Wanted> fromShelf = takeFromShelf(need, in.shelf());
        List<Offer> inTime = in.offers().stream()
                .filter(o -> o.stock() > 0)
                .filter(o -> o.leadDays() <= in.deadlineDays().orElse(Double.MAX_VALUE))
                .toList();
        List<Wanted> missing = missing(need, inTime);
        if (!missing.isEmpty()) {
            return new PartsResult(
                    false,
                    List.of(),
                    0,
                    OptionalDouble.empty(),
                    OptionalInt.empty(),
                    0,
                    List.of(),
                    missing,
                    fromShelf,
                    0,
                    List.of());
        }
        Alternative best = best(need, inTime, in, in.objective(), stop);
        Alternative other = best(need, inTime, in, in.objective().other(), stop);
        return new PartsResult(
                true,
                best.lines(),
                best.shipping(),
                OptionalDouble.of(best.total()),
                OptionalInt.of(best.leadDays()),
                in.dayCost() * best.leadDays(),
                best.spare(),
                List.of(),
                fromShelf,
                best.gap(),
                List.of(other));
    }

    private static Map<String, Integer> sum(List<Wanted> wanted) {
        Map<String, Integer> sum = new LinkedHashMap<>();
        wanted.forEach(w -> sum.merge(w.part(), w.qty(), Integer::sum));
        return sum;
    }

    /** Takes what the shelf has off the need, and says what that was. */
    private static List<Wanted> takeFromShelf(Map<String, Integer> need, List<Shelved> shelf) {
        List<Wanted> taken = new ArrayList<>();
        for (Shelved lies : shelf) {
            int qty = Math.min(lies.qty(), need.getOrDefault(lies.part(), 0));
            if (qty > 0) {
                taken.add(new Wanted(lies.part(), qty));
                need.computeIfPresent(
                        lies.part(), (part, wanted) -> wanted == qty ? null : Integer.valueOf(wanted - qty));
            }
        }
        return taken;
    }

    private static List<Wanted> missing(Map<String, Integer> need, List<Offer> offers) {
        List<Wanted> missing = new ArrayList<>();
        need.forEach((part, qty) -> {
            long there = offers.stream()
                    .mapToLong(o -> (long) o.stock() * o.of(part))
                    .sum();
            if (there < qty) {
                missing.add(new Wanted(part, (int) (qty - there)));
            }
        });
        return missing;
    }

    private static Alternative best(
            Map<String, Integer> need, List<Offer> offers, PartsInput in, Objective objective, StopToken stop) {
        if (need.isEmpty()) {
            return new Alternative(objective, List.of(), 0, 0, 0, List.of(), 0);
        }
        if (objective == Objective.SPEED) {
            return solved(need, soonest(need, offers), in, objective, stop);
        }
        if (in.dayCost() == 0) {
            return solved(need, offers, in, objective, stop);
        }
        // Days cost money: the cheapest order within each number of days, and of those the one that costs least with
        // its waiting.
        return days(offers)
                .mapToObj(days ->
                        offers.stream().filter(o -> o.leadDays() <= days).toList())
                .filter(within -> missing(need, within).isEmpty())
                .map(within -> solved(need, within, in, objective, stop))
                .min(Comparator.comparingDouble(a -> a.total() + in.dayCost() * a.leadDays()))
                .orElseThrow();
    }

    private static Alternative solved(
            Map<String, Integer> need, List<Offer> offers, PartsInput in, Objective objective, StopToken stop) {
        stop.check();
        CoverSolver.Solution found = CoverSolver.here().solve(need, offers, in.suppliers(), stop);
        return order(need, offers, in.suppliers(), found, objective);
    }

    private static IntStream days(List<Offer> offers) {
        return offers.stream().mapToInt(Offer::leadDays).distinct().sorted();
    }

    /** The offers within the fewest days in which everything can be here. */
    private static List<Offer> soonest(Map<String, Integer> need, List<Offer> offers) {
        return days(offers)
                .mapToObj(days ->
                        offers.stream().filter(o -> o.leadDays() <= days).toList())
                .filter(soon -> missing(need, soon).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private static Alternative order(
            Map<String, Integer> need,
            List<Offer> offers,
            List<Supplier> suppliers,
            CoverSolver.Solution found,
            Objective objective) {
        List<Line> lines = new ArrayList<>();
        Map<String, Double> value = new LinkedHashMap<>();
        Map<String, Integer> brought = new LinkedHashMap<>();
        for (int i : IntStream.range(0, offers.size())
                .filter(i -> found.taken()[i] > 0)
                .toArray()) {
            Offer offer = offers.get(i);
            int qty = found.taken()[i];
            lines.add(new Line(offer.sku(), offer.supplier(), qty, qty * offer.price(), offer.leadDays()));
            value.merge(offer.supplier(), qty * offer.price(), Double::sum);
            offer.contains().forEach(c -> brought.merge(c.part(), qty * c.qty(), Integer::sum));
        }
        double shipping = suppliers.stream()
                .filter(s -> value.containsKey(s.id()))
                .filter(s -> s.freeOver().isEmpty()
                        || value.get(s.id()) < s.freeOver().getAsDouble() - 1e-9)
                .mapToDouble(Supplier::shipping)
                .sum();
        List<Wanted> spare = new ArrayList<>();
        brought.forEach((part, qty) -> {
            int over = qty - need.getOrDefault(part, 0);
            if (over > 0) {
                spare.add(new Wanted(part, over));
            }
        });
        double goods = value.values().stream().mapToDouble(v -> v).sum();
        int days = lines.stream().mapToInt(Line::leadDays).max().orElse(0);
        return new Alternative(objective, lines, shipping, goods + shipping, days, spare, found.gap());
    }
}
