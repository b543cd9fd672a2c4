package mussel.desktop.shell;

import java.util.Iterator;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.input.InputEvent;
import javafx.util.Duration;

/** Does small works one by one while nobody uses the window: after a key or a click it waits until it is quiet again. */
final class Preparation {
    private static final double QUIET_MS = 500;
    private static final double STEP_MS = 20;

    private final Iterator<Runnable> works;
    private final Runnable whenDone;
    private final PauseTransition pause = new PauseTransition(Duration.millis(STEP_MS));
    private long lastInput;

    Preparation(Node watched, Iterator<Runnable> works, Runnable whenDone) {
        this.works = works;
        this.whenDone = whenDone;
        watched.addEventFilter(InputEvent.ANY, e -> lastInput = System.nanoTime());
        pause.setOnFinished(e -> step());
    }

    void begin() {
        pause.play();
    }

    private void step() {
        if (System.nanoTime() - lastInput > QUIET_MS * 1e6) {
            if (!works.hasNext()) {
                whenDone.run();
                return;
            }
            works.next().run();
        }
        pause.playFromStart();
    }
}
