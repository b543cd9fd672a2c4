package mussel.app.data;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.IntPredicate;
import mussel.core.book.LogSource;
import mussel.core.job.Entry;

/** A log that tells how far it has been gone through, and stops when asked to. */
final class ProgressLog implements LogSource {
    private static final int STRIDE = 5;

    private final LogSource log;
    private final IntPredicate goOn;

    /** Tells after every few jobs how many are done; false stops. */
    ProgressLog(LogSource log, IntPredicate goOn) {
        this.log = log;
        this.goOn = goOn;
    }

    /** Counts the jobs of one walk. */
    private final class Counted implements Consumer<List<Entry>> {
        private final Consumer<List<Entry>> job;
        private int done;

        Counted(Consumer<List<Entry>> job) {
            this.job = job;
        }

        @Override
        public void accept(List<Entry> entries) {
            job.accept(entries);
            done++;
            if (done % STRIDE == 0 && !goOn.test(done)) {
                throw new StoppedException();
            }
        }
    }

    @Override
    public Map<String, String> walk(Consumer<List<Entry>> job) {
        return log.walk(new Counted(job));
    }

    @Override
    public void sheets(BiConsumer<String, String> each) {
        log.sheets(each);
    }
}
