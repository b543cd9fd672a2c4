package mussel.desktop.book;

import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.concurrent.Task;
import mussel.core.job.JournalException;

/** Work off the interface thread, answered on it; a later question makes an earlier answer void. */
public final class Aside {
    private final Consumer<String> trouble;
    private Task<?> running;

    /** Troubles are told in a sentence. */
    public Aside(Consumer<String> trouble) {
        this.trouble = trouble;
    }

    /** Does work and answers, unless something else was asked meanwhile. */
    public <T> void ask(Callable<T> work, Consumer<T> answer) {
        cancel();
        Task<T> task = new Task<>() {
            @Override
            protected T call() throws Exception {
                return work.call();
            }
        };
        running = task;
        // What was done already when it was cancelled still arrives, and answers nothing any more.
        task.setOnSucceeded(e -> {
            if (running == task) {
                answer.accept(task.getValue());
            }
        });
        task.setOnFailed(e -> {
            if (running == task) {
                trouble.accept(sentence(task.getException()));
            }
        });
        Thread thread = new Thread(task, "book");
        thread.setDaemon(true);
        thread.start();
    }

    /** What a technician can read of it; the rest goes into the log file. */
    private static String sentence(Throwable failure) {
        if (failure instanceof JournalException) {
            return failure.getMessage();
        }
        Logger.getLogger("mussel").log(Level.SEVERE, "In the book", failure);
        return "That could not be worked out. The log in the data folder says more.";
    }

    /** Whether something is still at work. */
    public boolean busy() {
        return running != null && running.isRunning();
    }

    void cancel() {
        if (running != null) {
            running.cancel(false);
            running = null;
        }
    }
}
