package mussel.bench;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Window;

/** Keys and clicks that come by way of the display, each waited for until the window has received it and laid out the frame after it. */
final class RealKeys {
    private static final int PATIENCE_S = 60;
    private static final int POLLS = 500;
    private static final long POLL_NS = 2_000_000;

    private final Scene scene;
    private final Robot robot = OnScreen.on(Robot::new);
    private final AtomicInteger received = new AtomicInteger();
    private final long apartNs;

    /** Keys as quick as the window takes them. */
    RealKeys(Scene scene) {
        this(scene, 0);
    }

    /**
     * Keys as a hand presses them.
     *
     * @param apartNs how long the hand rests after each (ns)
     */
    RealKeys(Scene scene, long apartNs) {
        this.scene = scene;
        this.apartNs = apartNs;
        Window window = scene.getWindow();
        EventHandler<Event> count = e -> received.incrementAndGet();
        OnScreen.on(() -> {
            window.addEventFilter(KeyEvent.KEY_RELEASED, count);
            window.addEventFilter(MouseEvent.MOUSE_RELEASED, count);
            return null;
        });
    }

    /** Presses keys together, as Ctrl and a figure. */
    void push(KeyCode... chord) {
        sent(chord.length, () -> {
            for (KeyCode key : chord) {
                robot.keyPress(key);
            }
            for (int i = chord.length - 1; i >= 0; i--) {
                robot.keyRelease(chord[i]);
            }
        });
    }

    /** Types lower-case letters, figures and points. */
    void write(String text) {
        for (char c : text.toCharArray()) {
            push(c == '.' ? KeyCode.PERIOD : KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(c))));
        }
    }

    /** Clicks the middle of a node that is in sight. Returns false where it is not. */
    boolean click(Node node) {
        boolean inSight = OnScreen.on(() -> {
            Bounds there = node.localToScene(node.getBoundsInLocal());
            return there.getCenterX() > 0
                    && there.getCenterY() > 0
                    && there.getCenterX() < scene.getWidth()
                    && there.getCenterY() < scene.getHeight();
        });
        if (inSight) {
            sent(1, () -> {
                Bounds there = node.localToScreen(node.getBoundsInLocal());
                robot.mouseMove(there.getCenterX(), there.getCenterY());
                robot.mouseClick(MouseButton.PRIMARY);
            });
        }
        return inSight;
    }

    private void sent(int releases, Runnable work) {
        int before = received.get();
        OnScreen.on(() -> {
            work.run();
            return null;
        });
        for (int i = 0; i < POLLS && received.get() - before < releases; i++) {
            LockSupport.parkNanos(POLL_NS);
        }
        drawn();
        LockSupport.parkNanos(apartNs);
    }

    /** Waits until the window has laid out a frame. */
    void drawn() {
        CountDownLatch done = new CountDownLatch(1);
        Platform.runLater(() -> {
            Runnable[] once = new Runnable[1];
            once[0] = () -> {
                scene.removePostLayoutPulseListener(once[0]);
                done.countDown();
            };
            scene.addPostLayoutPulseListener(once[0]);
            Platform.requestNextPulse();
        });
        try {
            if (!done.await(PATIENCE_S, TimeUnit.SECONDS)) {
                throw new IllegalStateException("The window has drawn nothing for " + PATIENCE_S + " s");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
