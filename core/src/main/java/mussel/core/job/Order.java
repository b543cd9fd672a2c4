package mussel.core.job;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.parts.Wanted;

/**
 * An order placed for a job.
 *
 * @param placed the entry that says so
 * @param arrived the day all of it was here; empty while some is on its way
 * @param delivered what came of it in parts, in its order
 */
public record Order(Fact.Ordered placed, Optional<LocalDate> arrived, List<Fact.Delivered> delivered) {
    /** Keeps its own copy. */
    public Order {
        delivered = List.copyOf(delivered);
    }

    /** An order with what came of it: all of it once somebody said so, or once nothing of any line is missing. */
    static Order of(Fact.Ordered placed, Optional<LocalDate> said, List<Fact.Delivered> parts) {
        Order open = new Order(placed, said, parts);
        boolean complete = !parts.isEmpty() && placed.lines().stream().allMatch(l -> open.still(l) == 0);
        return complete && said.isEmpty()
                ? new Order(placed, Optional.of(parts.get(parts.size() - 1).on()), parts)
                : open;
    }

    /** How many of a line are still to come; what went back is. */
    public int still(Line line) {
        if (arrived.isPresent()) {
            return 0;
        }
        int kept = delivered.stream()
                .filter(d -> d.sku().equals(line.sku()) && d.supplier().equals(line.supplier()))
                .mapToInt(d -> d.came() - d.back())
                .sum();
        return Math.max(0, line.qty() - kept);
    }

    /** How many of a line went back. */
    public int back(Line line) {
        return delivered.stream()
                .filter(d -> d.sku().equals(line.sku()) && d.supplier().equals(line.supplier()))
                .mapToInt(Fact.Delivered::back)
                .sum();
    }

    /** What it brings, by part. */
    public Map<String, Integer> brings() {
        Map<String, Integer> brings = new LinkedHashMap<>();
        for (Line line : placed.lines()) {
            line.contains().forEach(c -> brings.merge(c.part(), c.qty() * line.qty(), Integer::sum));
        }
        return brings;
    }

    /** What of it is here, by part. */
    public Map<String, Integer> here() {
        Map<String, Integer> here = new LinkedHashMap<>();
        for (Line line : placed.lines()) {
            int kept = line.qty() - still(line);
            if (kept > 0) {
                line.contains().forEach(c -> here.merge(c.part(), c.qty() * kept, Integer::sum));
            }
        }
        return here;
    }

    /** The day the last of it is here; of what is still to come, where some is. */
    public LocalDate due() {
        return placed.lines().stream()
                .filter(l -> still(l) > 0)
                .map(Line::due)
                .max(LocalDate::compareTo)
                .orElseGet(() -> placed.lines().stream()
                        .map(Line::due)
                        .max(LocalDate::compareTo)
                        .orElseThrow());
    }

    /**
     * One line.
     *
     * @param sku the number at the supplier
     * @param supplier who sells it
     * @param qty how many
     * @param cost of the line
     * @param contains what is in one
     * @param due the day it is here, as acknowledged
     */
    public record Line(String sku, String supplier, int qty, double cost, List<Wanted> contains, LocalDate due) {
        /** Keeps its own copy. */
        public Line {
            contains = List.copyOf(contains);
        }
    }
}
