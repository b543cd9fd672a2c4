package mussel.desktop.book;

import java.util.concurrent.Callable;
import java.util.function.Consumer;
import javafx.concurrent.Task;

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
        task.setOnSucceeded(e -> answer.accept(task.getValue()));
        task.setOnFailed(e -> trouble.accept(String.valueOf(task.getException().getMessage())));
        Thread thread = new Thread(task, "book");
        thread.setDaemon(true);
        thread.start();
    }

    /** Whether something is still at work. */
    boolean busy() {
        return running != null && running.isRunning();
    }

    void cancel() {
        if (running != null) {
            running.cancel(false);
        }
    }
}
