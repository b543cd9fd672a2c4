package mussel.desktop;

import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;

/** Starts the window system once and runs test code on its thread. */
public final class FxThread {
    private static final CompletableFuture<Void> STARTED = new CompletableFuture<>();

    static {
        Platform.startup(() -> STARTED.complete(null));
        Platform.setImplicitExit(false);
    }

    private FxThread() {}

    /** Runs on the interface thread and hands the result or the failure back. */
    public static <T> T on(Callable<T> work) throws InterruptedException, TimeoutException {
        CompletableFuture<T> result = new CompletableFuture<>();
        STARTED.join();
        Platform.runLater(() -> {
            try {
                result.complete(work.call());
            } catch (Throwable e) {
                result.completeExceptionally(e);
            }
        });
        try {
            return result.get(30, TimeUnit.SECONDS);
        } catch (ExecutionException e) {
            throw new AssertionError(e.getCause().getMessage(), e.getCause());
        }
    }
}
