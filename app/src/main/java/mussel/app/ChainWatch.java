package mussel.app;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import mussel.core.book.LogStore;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;

/**
 * Follows the chains of the whole log beside the work, once after each start, and tells what does not fit. It rests longer than it works, so that
 * it takes less than half of one core however large the log is.
 */
final class ChainWatch {
    private static final Messages TEXT = Messages.of(ChainWatch.class);

    private static final double REST = 1.5;
    private static final long FIRST_NANOS = TimeUnit.SECONDS.toNanos(2);

    private volatile boolean stopped;
    private long worked = System.nanoTime();

    private ChainWatch() {}

    /** Begins, a little after the start; what is wrong is told once, in a sentence. */
    static ChainWatch begin(LogStore log, Consumer<String> tell) {
        ChainWatch watch = new ChainWatch();
        Thread thread = new Thread(() -> watch.follow(log, tell), "chain watch");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
        return watch;
    }

    private void follow(LogStore log, Consumer<String> tell) {
        LockSupport.parkNanos(FIRST_NANOS);
        try {
            worked = System.nanoTime();
            List<String> troubles = log.checkChains(this::rest);
            if (!troubles.isEmpty() && !stopped) {
                tell.accept(TEXT.get(
                        "chain_watch.the_logbook_was_changed_by_another",
                        troubles.get(0),
                        (troubles.size() > 1 ? TEXT.get("chain_watch.and_more", (troubles.size() - 1)) : "")));
            }
        } catch (JournalException e) {
            if (!stopped) {
                tell.accept(e.getMessage());
            }
        }
    }

    private boolean rest(int jobs) {
        long spent = System.nanoTime() - worked;
        LockSupport.parkNanos((long) (spent * REST));
        worked = System.nanoTime();
        return !stopped;
    }

    void stop() {
        stopped = true;
    }
}
