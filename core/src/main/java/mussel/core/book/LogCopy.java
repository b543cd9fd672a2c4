package mussel.core.book;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import mussel.core.job.Entry;
import mussel.core.measure.OrderedMap;

/**
 * A log, or some of its jobs, outside a journal and in memory.
 *
 * @param settings the yard's settings; empty where only jobs were taken
 * @param jobs the entries of each job, in their order
 */
public record LogCopy(Map<String, String> settings, List<List<Entry>> jobs) implements LogSource {
    /** Keeps its own copies. */
    public LogCopy {
        settings = OrderedMap.copyOf(settings);
        jobs = jobs.stream().map(List::copyOf).toList();
    }

    @Override
    public Map<String, String> walk(Consumer<List<Entry>> job) {
        jobs.forEach(job);
        return settings;
    }
}
