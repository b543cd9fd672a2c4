package mussel.desktop.desk;

import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.concurrent.Task;
import mussel.core.job.JournalException;
import mussel.core.measure.WorkStoppedException;
import mussel.desktop.desk.Background.Work;

/** A question worked out in the background; a later one stops the one before and takes its place. */
public final class BackgroundQuery {
    private final Background background;
    private final Consumer<String> trouble;
    private Task<?> running;

    /** Troubles are told in a sentence. */
    public BackgroundQuery(Background background, Consumer<String> trouble) {
        this.background = background;
        this.trouble = trouble;
    }

    /** Does work and answers, unless something else is asked meanwhile. */
    public <T> void ask(Work<T> work, Consumer<T> answer) {
        cancel();
        Task<?>[] mine = new Task<?>[1];
        // What was done already when it was stopped still arrives, and answers nothing any more.
        mine[0] = background.begin(
                work,
                found -> {
                    if (running == mine[0]) {
                        answer.accept(found);
                    }
                },
                failure -> {
                    if (running == mine[0] && !(failure instanceof WorkStoppedException)) {
                        trouble.accept(sentence(failure));
                    }
                });
        running = mine[0];
    }

    /** What a technician can read of it; the rest goes into the log file. */
    private static String sentence(Throwable failure) {
        if (failure instanceof JournalException) {
            return failure.getMessage();
        }
        Logger.getLogger("mussel").log(Level.SEVERE, "In the background", failure);
        return "That could not be worked out. The log in the data folder says more.";
    }

    /** Whether something is still at work. */
    public boolean busy() {
        return running != null && !running.isDone();
    }

    /** Stops what is at work. */
    public void cancel() {
        if (running != null) {
            running.cancel(false);
            running = null;
        }
    }
}
