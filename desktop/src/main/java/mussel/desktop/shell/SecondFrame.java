package mussel.desktop.shell;

import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;

/** Keeps the place of what comes with the second frame, since making it would hold up the first. */
final class SecondFrame extends StackPane {
    private boolean come;

    SecondFrame(double width, Supplier<Node> content) {
        setMinWidth(width);
        sceneProperty().addListener((o, was, is) -> {
            if (is != null && !come) {
                come = true;
                afterFirstFrame(is, () -> {
                    getChildren().setAll(content.get());
                    setMinWidth(USE_PREF_SIZE);
                });
            }
        });
    }

    /** Runs work once a scene has been laid out. */
    static void afterFirstFrame(Scene scene, Runnable work) {
        Runnable[] once = new Runnable[1];
        once[0] = () -> {
            scene.removePostLayoutPulseListener(once[0]);
            Platform.runLater(work);
        };
        scene.addPostLayoutPulseListener(once[0]);
    }
}
