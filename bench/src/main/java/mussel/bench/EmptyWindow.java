package mussel.bench;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** The yardstick of the start: an empty window, started with the same flags, that says when it stands and leaves. */
public final class EmptyWindow extends Application {
    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new StackPane(), 1280, 800));
        stage.show();
        long started =
                ProcessHandle.current().info().startInstant().orElseThrow().toEpochMilli();
        Platform.runLater(() -> Platform.runLater(() -> {
            System.out.println("ready_ms " + (System.currentTimeMillis() - started));
            Platform.exit();
        }));
    }

    /** Launched by a class that is no Application. */
    public static final class Launcher {
        private Launcher() {}

        /** Starts the empty window. */
        public static void main(String[] args) {
            Application.launch(EmptyWindow.class);
        }
    }
}
