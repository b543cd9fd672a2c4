package mussel.core.measure;

import java.util.ArrayList;
import java.util.List;

/** Tells long work that nobody waits for its answer any more. May be asked and told from any thread. */
public final class StopToken {
    private final List<Runnable> told = new ArrayList<>();
    private boolean stopped;

    /** Asks the work to stop. */
    public void stop() {
        List<Runnable> tell;
        synchronized (this) {
            stopped = true;
            tell = List.copyOf(told);
            told.clear();
        }
        tell.forEach(Runnable::run);
    }

    /** Whether the work was asked to stop. */
    public synchronized boolean stopped() {
        return stopped;
    }

    /**
     * Ends the work here if it was asked to stop.
     *
     * @throws WorkStoppedException if it was
     */
    public void check() {
        if (stopped()) {
            throw new WorkStoppedException();
        }
    }

    /** Has something done as soon as the work is asked to stop, on the thread that asks; at once if it was already. */
    public void onStop(Runnable stopping) {
        synchronized (this) {
            if (!stopped) {
                told.add(stopping);
                return;
            }
        }
        stopping.run();
    }
}
