package mussel.bench;

import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.Scene;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.work.shop.Workshop;

/** The real window, in this process. */
final class OnScreen {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 800;

    private static boolean started;

    private OnScreen() {}

    /** Shows a shop in a window. */
    static MusselWindow window(Workshop shop) {
        if (!started) {
            started = true;
            Platform.startup(() -> {});
        }
        Platform.setImplicitExit(false);
        return on(() -> {
            Look.loadType();
            MusselWindow made = new MusselWindow(shop, Look.of(shop.journal()));
            javafx.stage.Stage stage = new javafx.stage.Stage();
            stage.setScene(new Scene(made, WIDTH, HEIGHT));
            stage.show();
            stage.toFront();
            stage.requestFocus();
            return made;
        });
    }

    /** Does work on the interface thread and waits for it. */
    static <T> T on(Callable<T> work) {
        CompletableFuture<T> result = new CompletableFuture<>();
        Runnable doing = () -> {
            try {
                result.complete(work.call());
            } catch (Exception e) {
                result.completeExceptionally(e);
            }
        };
        if (Platform.isFxApplicationThread()) {
            doing.run();
        } else {
            Platform.runLater(doing);
        }
        return result.join();
    }
}
