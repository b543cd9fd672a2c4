package mussel.core.book;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import mussel.core.job.Entry;

/** A log outside a journal, of any size: gone through job by job, as often as wanted, so that it need not fit into memory. */
@FunctionalInterface
public interface LogSource {
    /** Hands over each job with all its entries, and returns the yard's settings; empty where only jobs were taken. */
    Map<String, String> walk(Consumer<List<Entry>> job);
}
