package mussel.app;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
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
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Hands at the keyboard and the mouse: real keys and clicks through the display, each waited for until the window has got it and has drawn what came of it,
 * instead of for a fixed while.
 */
final class Hands extends FxRobot {
    /** Turns of the interface thread in which a key that has not arrived is taken for gone: its window closed meanwhile. */
    private static final int TURNS = 2_000;

    /** Long enough for the slowest machine: how quick something is, is no matter of these tests. */
    private static final int PATIENCE_S = 180;

    private static final AtomicInteger SEEN = new AtomicInteger();
    private static boolean listening;

    private BooleanSupplier busy = () -> false;
    private Robot robot;

    Hands() {
        onItsThread(() -> {
            robot = new Robot();
            listen();
        });
    }

    private static void listen() {
        if (listening) {
            return;
        }
        listening = true;
        Window.getWindows().forEach(Hands::listen);
        Window.getWindows().addListener((ListChangeListener<Window>) change -> {
            while (change.next()) {
                change.getAddedSubList().forEach(Hands::listen);
            }
        });
    }

    private static void listen(Window window) {
        EventHandler<Event> seen = e -> SEEN.incrementAndGet();
        window.addEventFilter(KeyEvent.KEY_RELEASED, seen);
        window.addEventFilter(MouseEvent.MOUSE_RELEASED, seen);
    }

    @Override
    public FxRobot push(KeyCode... chord) {
        boolean acts = List.of(chord).contains(KeyCode.F5);
        if (acts) {
            // What it does may still be worked out; and what it begins is.
            until(() -> !busy.getAsBoolean());
        }
        sent(chord.length, () -> press(robot, chord));
        if (acts) {
            until(() -> !busy.getAsBoolean());
        }
        return this;
    }

    /** Tells whether something is worked out in the background: the key of the act waits for it, as hands do. */
    void waitWhile(BooleanSupplier works) {
        busy = works;
    }

    private static void press(Robot robot, KeyCode... chord) {
        for (KeyCode key : chord) {
            robot.keyPress(key);
        }
        for (int i = chord.length - 1; i >= 0; i--) {
            robot.keyRelease(chord[i]);
        }
    }

    @Override
    public FxRobot type(KeyCode... keys) {
        for (KeyCode key : keys) {
            push(key);
        }
        return this;
    }

    @Override
    public FxRobot write(String text) {
        text.chars().forEach(c -> {
            KeyCode key = keyOf((char) c);
            if (key == null) {
                super.write((char) c);
            } else if (Character.isUpperCase(c)) {
                push(KeyCode.SHIFT, key);
            } else {
                push(key);
            }
        });
        return this;
    }

    @Override
    public FxRobot write(String text, int sleepMillis) {
        return write(text);
    }

    private static KeyCode keyOf(char letter) {
        return switch (letter) {
            case ' ' -> KeyCode.SPACE;
            case '.' -> KeyCode.PERIOD;
            case ',' -> KeyCode.COMMA;
            case '-' -> KeyCode.MINUS;
            case '/' -> KeyCode.SLASH;
            case '\n' -> KeyCode.ENTER;
            default ->
                letter < 128 && Character.isLetterOrDigit(letter)
                        ? KeyCode.getKeyCode(String.valueOf(Character.toUpperCase(letter)))
                        : null;
        };
    }

    @Override
    public FxRobot clickOn(Node node, MouseButton... buttons) {
        sent(1, () -> {
            Bounds there = node.localToScreen(node.getBoundsInLocal());
            robot.mouseMove(there.getCenterX(), there.getCenterY());
            robot.mouseClick(buttons.length == 0 ? MouseButton.PRIMARY : buttons[0]);
        });
        return this;
    }

    @Override
    public FxRobot clickOn(String query, MouseButton... buttons) {
        return clickOn(lookup(query).<Node>query(), buttons);
    }

    private void sent(int releases, Runnable work) {
        int before = SEEN.get();
        onItsThread(work);
        for (int turn = 0; turn < TURNS && SEEN.get() - before < releases; turn++) {
            sleep(5);
            onItsThread(() -> {});
        }
        settle();
    }

    @Override
    public FxRobot interact(Runnable work) {
        onItsThread(work);
        settle();
        return this;
    }

    private static void onItsThread(Runnable work) {
        WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    }

    /** Waits until something holds, which is asked on the interface thread: elsewhere the scene changes while it is looked through. */
    static void until(BooleanSupplier holds) {
        try {
            WaitForAsyncUtils.waitFor(
                    PATIENCE_S,
                    TimeUnit.SECONDS,
                    () -> WaitForAsyncUtils.waitForAsyncFx(TimeUnit.SECONDS.toMillis(PATIENCE_S), holds::getAsBoolean));
        } catch (TimeoutException e) {
            throw new AssertionError("what was waited for did not come in " + PATIENCE_S + " s", e);
        }
        settle();
    }

    /** Waits until what was asked for has been done and drawn. */
    static void settle() {
        settled(() -> {});
    }

    /** The same, and does work at the moment all is laid out, before anything can change it. */
    static void settled(Runnable work) {
        // A frame may ask for the focus, which another frame places.
        drawn(() -> {});
        drawn(work);
    }

    private static void drawn(Runnable work) {
        CountDownLatch done = new CountDownLatch(1);
        AtomicReference<RuntimeException> failed = new AtomicReference<>();
        Runnable last = () -> {
            try {
                work.run();
            } catch (RuntimeException e) {
                failed.set(e);
            } finally {
                done.countDown();
            }
        };
        Platform.runLater(() -> Window.getWindows().stream()
                .map(Window::getScene)
                .filter(s -> s != null)
                .findFirst()
                .ifPresentOrElse(scene -> after(scene, last), last));
        try {
            if (!done.await(PATIENCE_S, TimeUnit.SECONDS)) {
                throw new AssertionError("the window has drawn nothing for " + PATIENCE_S + " s");
            }
            if (failed.get() != null) {
                throw failed.get();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    private static void after(Scene scene, Runnable work) {
        Runnable[] once = new Runnable[1];
        once[0] = () -> {
            scene.removePostLayoutPulseListener(once[0]);
            work.run();
        };
        scene.addPostLayoutPulseListener(once[0]);
        Platform.requestNextPulse();
    }
}
