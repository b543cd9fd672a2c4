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
 * @param arrived the day it was here; empty while it is on its way
 */
public record Order(Fact.Ordered placed, Optional<LocalDate> arrived) {
    /** What it brings, by part. */
    public Map<String, Integer> brings() {
        Map<String, Integer> brings = new LinkedHashMap<>();
        for (Line line : placed.lines()) {
            line.contains().forEach(c -> brings.merge(c.part(), c.qty() * line.qty(), Integer::sum));
        }
        return brings;
    }

    /** The day the last of it is here. */
    public LocalDate due() {
        return placed.lines().stream().map(Line::due).max(LocalDate::compareTo).orElseThrow();
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
