package mussel.desktop.desk;

import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import javafx.concurrent.Task;
import mussel.core.job.JournalException;
import mussel.core.measure.StopToken;

/**
 * Everything the window does off the interface thread: a few threads and a bounded queue, closed when the window closes. Work that is stopped is
 * told so and its answer is dropped. Begin, stop and close on the interface thread.
 */
public final class Background implements AutoCloseable {
    private static final int THREADS = 4;
    private static final int MOST_WAITING = 64;
    private static final int IDLE_S = 20;
    private static final String TOO_MUCH =
            "Too much is being worked out at once. Wait until some of it is done, then try again.";

    private final Set<Running<?>> running = ConcurrentHashMap.newKeySet();
    private final Executor threads;
    private boolean closed;

    /** A runner without threads; they come with the first work and go when there is none. */
    public Background() {
        this(pool());
    }

    /** A runner over other threads, or over none: what is run where it is begun is done at once. */
    public Background(Executor threads) {
        this.threads = threads;
    }

    private static Executor pool() {
        AtomicInteger number = new AtomicInteger();
        ThreadPoolExecutor pool = new ThreadPoolExecutor(
                THREADS, THREADS, IDLE_S, TimeUnit.SECONDS, new ArrayBlockingQueue<>(MOST_WAITING), work -> {
                    Thread thread = new Thread(work, "background " + number.incrementAndGet());
                    thread.setDaemon(true);
                    return thread;
                });
        pool.allowCoreThreadTimeOut(true);
        return pool;
    }

    /** Work that can be stopped. */
    public interface Work<T> {
        /** Does it. What takes long asks the token now and then. */
        T run(StopToken stop) throws Exception;
    }

    /**
     * Begins work.
     *
     * @param answer given the result on the interface thread, unless the work was stopped
     * @param failed given the reason on the interface thread, unless the work was stopped
     */
    public <T> Task<T> begin(Work<T> work, Consumer<T> answer, Consumer<Throwable> failed) {
        Running<T> task = new Running<>(work);
        task.setOnSucceeded(e -> answer.accept(task.getValue()));
        task.setOnFailed(e -> failed.accept(task.getException()));
        running.add(task);
        try {
            threads.execute(task);
        } catch (RejectedExecutionException e) {
            running.remove(task);
            task.cancel(false);
            if (!closed) {
                failed.accept(new JournalException(TOO_MUCH, e));
            }
        }
        return task;
    }

    private final class Running<T> extends Task<T> {
        private final Work<T> work;
        private final StopToken stop = new StopToken();

        Running(Work<T> work) {
            this.work = work;
        }

        @Override
        protected T call() throws Exception {
            return work.run(stop);
        }

        @Override
        public boolean cancel(boolean interrupt) {
            boolean stopped = super.cancel(false);
            stop.stop();
            if (threads instanceof ThreadPoolExecutor pool) {
                pool.remove(this);
            }
            return stopped;
        }

        @Override
        protected void done() {
            running.remove(this);
        }
    }

    /** Whether anything is worked out or waits to be. */
    public boolean busy() {
        return !running.isEmpty();
    }

    @Override
    public void close() {
        closed = true;
        if (threads instanceof ThreadPoolExecutor pool) {
            pool.shutdown();
        }
        running.forEach(task -> task.cancel(false));
    }
}
