package mussel.work.background;

import java.util.Map;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
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

    private final Map<BackgroundTask, Runnable> running = new ConcurrentHashMap<>();
    private final Executor threads;
    private final Executor interfaceThread;
    private boolean closed;

    /**
     * A runner without threads; they come with the first work and go when there is none.
     *
     * @param interfaceThread runs on the thread that the window lives on, in the order given
     */
    public Background(Executor interfaceThread) {
        this(pool(), interfaceThread);
    }

    private Background(Executor threads, Executor interfaceThread) {
        this.threads = threads;
        this.interfaceThread = interfaceThread;
    }

    /** A runner that does everything at once, on the thread that begins it. */
    public static Background atOnce() {
        return new Background(Runnable::run, Runnable::run);
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
    public <T> BackgroundTask begin(Work<T> work, Consumer<T> answer, Consumer<Throwable> failed) {
        BackgroundTask[] begun = new BackgroundTask[1];
        BackgroundTask task = new BackgroundTask(() -> takeOff(begun[0]));
        begun[0] = task;
        Runnable run = () -> {
            try {
                task.run(work, answer, failed, interfaceThread);
            } finally {
                running.remove(task);
            }
        };
        running.put(task, run);
        try {
            threads.execute(run);
        } catch (RejectedExecutionException e) {
            running.remove(task);
            task.stop();
            if (!closed) {
                failed.accept(new JournalException(TOO_MUCH, e));
            }
        }
        return task;
    }

    /** Takes work that has not begun off the queue. */
    private void takeOff(BackgroundTask task) {
        Runnable run = running.get(task);
        if (run != null && threads instanceof ThreadPoolExecutor pool && pool.remove(run)) {
            running.remove(task);
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
        running.keySet().forEach(BackgroundTask::stop);
    }
}
