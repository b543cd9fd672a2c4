package mussel.work.background;

import java.util.concurrent.Executor;
import java.util.function.Consumer;
import mussel.core.measure.StopToken;

/** Work that was begun in the background. Once it is stopped, neither an answer nor a failure of it arrives any more. */
public final class BackgroundTask {
    private final StopToken token = new StopToken();
    private final Runnable whenStopped;
    private volatile boolean running = true;
    private boolean stopped;

    BackgroundTask(Runnable whenStopped) {
        this.whenStopped = whenStopped;
    }

    /** Does the work on this thread and brings what came of it to the interface thread. */
    <T> void run(Background.Work<T> work, Consumer<T> answer, Consumer<Throwable> failed, Executor interfaceThread) {
        Runnable arrival;
        try {
            T found = work.run(token);
            arrival = () -> answer.accept(found);
        } catch (Exception | Error e) {
            arrival = () -> failed.accept(e);
        }
        Runnable told = arrival;
        interfaceThread.execute(() -> {
            running = false;
            if (!stopped) {
                told.run();
            }
        });
    }

    /** Whether it is neither done nor stopped. */
    public boolean running() {
        return running;
    }

    /** Stops it; to be called on the interface thread. */
    public void stop() {
        stopped = true;
        running = false;
        token.stop();
        whenStopped.run();
    }
}
