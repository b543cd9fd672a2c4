package mussel.desktop.kit;

import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** The keys of every page: Tab stays on it, Enter presses a button, an answer by key goes on to the next open one. */
public final class PageKeys {
    private final Supplier<Node> page;
    private final Consumer<Node> to;

    private PageKeys(Supplier<Node> page, Consumer<Node> to) {
        this.page = page;
        this.to = to;
    }

    /** Gives the keys to what lies around a page. */
    public static void on(Node around, Supplier<Node> page) {
        on(around, page, Node::requestFocus);
    }

    /**
     * The same with more to do when the focus moves, as to scroll there.
     *
     * @param around what the keys are taken from
     * @param page the page shown
     * @param to puts the focus on a stop of it
     */
    public static void on(Node around, Supplier<Node> page, Consumer<Node> to) {
        PageKeys keys = new PageKeys(page, to);
        around.addEventFilter(KeyEvent.KEY_PRESSED, keys::pressed);
        around.addEventHandler(AnsweredByKey.ANSWERED, e -> {
            if (e.getTarget() instanceof Node answered) {
                FocusStops.of(page.get()).nextOpen(answered).ifPresent(to);
            }
        });
    }

    private void pressed(KeyEvent e) {
        if (e.isShortcutDown() || e.isAltDown() || !(e.getTarget() instanceof Node from)) {
            return;
        }
        if (e.getCode() == KeyCode.TAB) {
            FocusStops.of(page.get()).beside(from, !e.isShiftDown()).ifPresent(to);
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER && from instanceof Button button && !(from instanceof Question)) {
            button.fire();
            e.consume();
        }
    }
}
