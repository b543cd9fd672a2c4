package mussel.desktop.kit;

import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;

/** Work that wants the page laid out and must not lay it out a second time for that. */
public final class Pulse {
    private Pulse() {}

    /** Does work once the scene of a node has been laid out for the next frame, before that is drawn; at once where it is in none. */
    public static void laidOut(Node node, Runnable work) {
        Scene scene = node.getScene();
        if (scene == null) {
            work.run();
            return;
        }
        Runnable[] once = new Runnable[1];
        once[0] = () -> {
            scene.removePostLayoutPulseListener(once[0]);
            work.run();
        };
        scene.addPostLayoutPulseListener(once[0]);
        Platform.requestNextPulse();
    }
}
