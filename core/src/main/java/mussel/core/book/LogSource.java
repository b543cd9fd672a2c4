package mussel.core.book;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import mussel.core.job.Entry;
import mussel.core.job.Journal;

/** A log outside a journal, of any size: gone through job by job, as often as wanted, so that it need not fit into memory. */
public interface LogSource {
    /** Hands over each job with all its entries, and as job 0 what the yard has decided, and returns the yard's settings; empty where only jobs were taken. */
    Map<String, String> walk(Consumer<List<Entry>> job);

    /** All a journal holds, without its settings. */
    static LogSource of(Journal journal) {
        return new LogSource() {
            @Override
            public Map<String, String> walk(Consumer<List<Entry>> job) {
                List<Entry> yard = journal.entries(Journal.YARD);
                if (!yard.isEmpty()) {
                    job.accept(yard);
                }
                journal.numbers().forEach(number -> job.accept(journal.entries(number)));
                return Map.of();
            }

            @Override
            public void sheets(BiConsumer<String, String> each) {
                journal.sheetNames().forEach(name -> journal.sheet(name).ifPresent(text -> each.accept(name, text)));
            }
        };
    }

    /** Hands over the sheets its jobs were worked by, name and text. */
    default void sheets(BiConsumer<String, String> each) {}
}
