package mussel.core.book;

import java.util.List;
import java.util.Map;
import mussel.core.job.Entry;

/**
 * A whole log, or some of its jobs, outside a journal.
 *
 * @param settings the yard's settings; empty where only jobs were taken
 * @param jobs the entries of each job, in their order
 */
public record LogCopy(Map<String, String> settings, List<List<Entry>> jobs) {
    /** Keeps its own copies. */
    public LogCopy {
        settings = Map.copyOf(settings);
        jobs = jobs.stream().map(List::copyOf).toList();
    }

    /** How many entries there are. */
    public int entries() {
        return jobs.stream().mapToInt(List::size).sum();
    }
}
