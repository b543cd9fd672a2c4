package mussel.desktop.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Control;
import javafx.scene.control.ScrollPane;

/** Where the Tab key stops on a page, in the order it is read. A question is one stop, however many tiles it has. */
public final class FocusStops {
    private final List<Node> order = new ArrayList<>();
    private final List<Question> questions = new ArrayList<>();

    private FocusStops() {}

    /** The stops of a page as it is seen now: what is hidden or cannot be used is none. */
    public static FocusStops of(Node page) {
        FocusStops stops = new FocusStops();
        stops.walk(page);
        return stops;
    }

    private void walk(Node node) {
        if (!node.isVisible() || node.isDisabled()) {
            return;
        }
        if (node instanceof Question question) {
            if (!question.stop().isDisabled() && question.stop().isVisible()) {
                order.add(question.stop());
                questions.add(question);
            }
            return;
        }
        boolean stop = node.isFocusTraversable() && !(node instanceof ScrollPane);
        if (stop) {
            order.add(node);
            questions.add(null);
        }
        if (node instanceof Parent parent && !(stop && node instanceof Control)) {
            parent.getChildrenUnmodifiable().forEach(this::walk);
        }
    }

    /** The first that waits for an answer; else the first there is. */
    public Optional<Node> first() {
        return next(-1, this::open).or(() -> order.stream().findFirst());
    }

    /** The stop after the one that holds this node, or before it; round the page's end. */
    public Optional<Node> beside(Node from, boolean after) {
        if (order.isEmpty()) {
            return Optional.empty();
        }
        int at = index(from);
        int there = at < 0 ? (after ? 0 : order.size() - 1) : at + (after ? 1 : -1);
        return Optional.of(order.get(Math.floorMod(there, order.size())));
    }

    /** The next that waits for an answer after the one that holds this node; else the next act, as a button. Empty where neither comes. */
    public Optional<Node> nextOpen(Node from) {
        int at = index(from);
        return next(at, this::open).or(() -> next(at, i -> questions.get(i) == null));
    }

    /** The next figure that waits, from this node on and round the page's end; it itself does not count. */
    public Optional<QuantityField> nextFigure(Node from) {
        int at = index(from);
        for (int i = 1; i <= order.size(); i++) {
            int there = Math.floorMod(at + i, order.size());
            if (questions.get(there) instanceof QuantityField field && field.open()) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    private boolean open(int index) {
        return questions.get(index) != null && questions.get(index).open();
    }

    private Optional<Node> next(int after, Predicate<Integer> wanted) {
        for (int i = after + 1; i < order.size(); i++) {
            if (wanted.test(i)) {
                return Optional.of(order.get(i));
            }
        }
        return Optional.empty();
    }

    /** Which stop holds this node; -1 where none does. */
    private int index(Node from) {
        for (int i = 0; i < order.size(); i++) {
            Node outer = questions.get(i) instanceof Node question ? question : order.get(i);
            for (Node at = from; at != null; at = at.getParent()) {
                if (at == outer) {
                    return i;
                }
            }
        }
        return -1;
    }
}
