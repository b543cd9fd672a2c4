package mussel.desktop.shell;

import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.IntConsumer;
import java.util.function.IntPredicate;
import javafx.application.Platform;

/** Goes between long work on another thread and the window: tells how far it is, at most one word waiting, and whether to go on. */
final class ProgressReport implements IntPredicate {
    private final IntConsumer tell;
    private final AtomicBoolean telling = new AtomicBoolean();
    private volatile boolean stopped;
    private volatile int done;

    /** Tells, on the interface thread, how many are done. */
    ProgressReport(IntConsumer tell) {
        this.tell = tell;
    }

    /** The work is to stop where it can. */
    void stop() {
        stopped = true;
    }

    @Override
    public boolean test(int soFar) {
        done = soFar;
        if (telling.compareAndSet(false, true)) {
            Platform.runLater(() -> {
                telling.set(false);
                if (!stopped) {
                    tell.accept(done);
                }
            });
        }
        return !stopped;
    }
}
