package mussel.app;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.chart.Chart;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;

/** Looks through what is shown for words that are cut, lie on each other or leave what holds them. */
final class Fits {
    private static final double SLACK = 3;
    private static final double AIR = 0.3;
    /** Stations on the longline reach into each other by design: their names stand in rows. */
    private static final String FLOAT = "station-float";

    private final List<String> troubles = new ArrayList<>();
    private final List<Node> words = new ArrayList<>();
    private final List<Node> controls = new ArrayList<>();
    private final String view;

    private Fits(String view) {
        this.view = view;
    }

    /** What does not fit of all that is seen under a node, each in a sentence; empty where everything does. */
    static List<String> troubles(String view, Parent root) {
        Fits fits = new Fits(view);
        fits.walk(root, false, false);
        fits.overlaps();
        fits.controlsApart();
        return fits.troubles;
    }

    private void walk(Node node, boolean scrolled, boolean drawn) {
        if (!node.isVisible()) {
            return;
        }
        if (node instanceof Labeled labeled
                && labeled.getText() != null
                && !labeled.getText().isEmpty()) {
            cut(labeled);
            words.add(labeled);
        } else if (node instanceof TextField field) {
            cut(field);
            words.add(field);
        } else if (node instanceof TextInputControl) {
            words.add(node);
        } else if (node instanceof Text text && !drawn && !text.getText().isEmpty()) {
            words.add(text);
        }
        if (!drawn) {
            leaves(node);
        }
        if (node instanceof ButtonBase || node instanceof TextInputControl) {
            if (!node.getStyleClass().contains(FLOAT)) {
                controls.add(node);
            }
            if (!scrolled) {
                inWindow(node);
            }
        }
        boolean bar = false;
        if (node instanceof ScrollPane pane) {
            bar = pane.lookupAll(".scroll-bar").stream()
                    .filter(n ->
                            n.isVisible() && n instanceof ScrollBar s && s.getOrientation() == Orientation.VERTICAL)
                    .anyMatch(n -> n.getParent() == pane);
            if (bar && scrolled) {
                say(node, "scrolls within what scrolls");
            }
        }
        boolean inDrawing =
                drawn || node instanceof Chart || node.getStyleClass().contains("cutaway");
        if (node instanceof Parent parent && !(node instanceof Labeled) && !(node instanceof TextInputControl)) {
            for (Node child : parent.getChildrenUnmodifiable()) {
                walk(child, scrolled || bar, inDrawing);
            }
        } else if (node instanceof Labeled labeled && labeled.getGraphic() instanceof Parent graphic) {
            walk(graphic, scrolled, inDrawing);
        }
    }

    private void cut(Labeled labeled) {
        Node text = labeled.lookup(".text");
        if (text instanceof Text shown && !shown.getText().equals(labeled.getText())) {
            say(labeled, "is cut to “" + shown.getText() + "”");
        }
    }

    private void cut(TextField field) {
        String text = field.getLength() == 0 ? field.getPromptText() : field.getText();
        if (text == null || text.isEmpty()) {
            return;
        }
        Text measured = new Text(text);
        measured.setFont(field.getFont());
        double room = field.getWidth()
                - field.getInsets().getLeft()
                - field.getInsets().getRight()
                - 2;
        if (measured.getLayoutBounds().getWidth() > room) {
            say(field, "has no room for “" + text + "”");
        }
    }

    /** A node that stands outside of what holds it, to the side or below. */
    private void leaves(Node node) {
        Parent parent = node.getParent();
        boolean held = parent instanceof Region && !(parent instanceof ScrollPane) && node.isManaged();
        if (!held || !(node instanceof Region) || node instanceof ScrollBar) {
            return;
        }
        Region inner = (Region) node;
        Bounds in = new BoundingBox(inner.getLayoutX(), inner.getLayoutY(), inner.getWidth(), inner.getHeight());
        Region outer = (Region) parent;
        if (in.getWidth() <= 0
                || in.getHeight() <= 0
                || outer.getClass().getSimpleName().isEmpty()) {
            return;
        }
        boolean out = in.getMinX() < -SLACK
                || in.getMaxX() > outer.getWidth() + SLACK
                || in.getMinY() < -SLACK
                || in.getMaxY() > outer.getHeight() + SLACK;
        if (out && outer.getWidth() > 0) {
            say(
                    node,
                    String.format(
                            "leaves its %s of %.0f x %.0f: %.0f..%.0f, %.0f..%.0f",
                            outer.getClass().getSimpleName(),
                            outer.getWidth(),
                            outer.getHeight(),
                            in.getMinX(),
                            in.getMaxX(),
                            in.getMinY(),
                            in.getMaxY()));
        }
    }

    /** What is pressed or typed into and is not scrolled stands wholly in the window. */
    private void inWindow(Node node) {
        Bounds at = node.localToScene(node.getLayoutBounds());
        boolean out = at.getMinX() < -SLACK
                || at.getMinY() < -SLACK
                || at.getMaxX() > node.getScene().getWidth() + SLACK
                || at.getMaxY() > node.getScene().getHeight() + SLACK;
        if (out) {
            say(node, "stands outside the window at " + box(at));
        }
    }

    private void controlsApart() {
        List<Bounds> at =
                controls.stream().map(c -> c.localToScene(c.getLayoutBounds())).toList();
        List<Optional<Node>> scrolledBy = controls.stream().map(Fits::pane).toList();
        for (int a = 0; a < controls.size(); a++) {
            for (int b = a + 1; b < controls.size(); b++) {
                boolean together = scrolledBy.get(a).equals(scrolledBy.get(b));
                if (together && overlap(at.get(a), at.get(b)) && !holds(controls.get(a), controls.get(b))) {
                    say(controls.get(a), "lies under " + name(controls.get(b)) + " at " + box(at.get(b)));
                }
            }
        }
    }

    private void overlaps() {
        List<Bounds> at = words.stream().map(Fits::written).toList();
        List<Optional<Node>> scrolledBy = words.stream().map(Fits::pane).toList();
        for (int a = 0; a < words.size(); a++) {
            for (int b = a + 1; b < words.size(); b++) {
                boolean together = scrolledBy.get(a).equals(scrolledBy.get(b));
                if (together && overlap(at.get(a), at.get(b)) && !holds(words.get(a), words.get(b))) {
                    say(
                            words.get(a),
                            "lies on " + name(words.get(b)) + " at " + box(at.get(a)) + " and " + box(at.get(b)));
                }
            }
        }
    }

    /** Where the words themselves stand; nowhere for those that are not shown. */
    private static Bounds written(Node node) {
        if (!(node instanceof Labeled labeled)) {
            return node.localToScene(node.getLayoutBounds());
        }
        return labeled.getChildrenUnmodifiable().stream()
                .filter(Text.class::isInstance)
                .map(text -> text.localToScene(text.getLayoutBounds()))
                .findFirst()
                .orElse(new BoundingBox(-1, -1, 0, 0));
    }

    private static String box(Bounds b) {
        return String.format("%.0f..%.0f, %.0f..%.0f", b.getMinX(), b.getMaxX(), b.getMinY(), b.getMaxY());
    }

    /** What scrolls it: words that are scrolled out of sight lie on nothing. */
    private static Optional<Node> pane(Node node) {
        Node at = node;
        while (at != null && !(at instanceof ScrollPane)) {
            at = at.getParent();
        }
        return Optional.ofNullable(at);
    }

    private static boolean overlap(Bounds a, Bounds b) {
        double wide = Math.min(a.getMaxX(), b.getMaxX()) - Math.max(a.getMinX(), b.getMinX());
        double high = Math.min(a.getMaxY(), b.getMaxY()) - Math.max(a.getMinY(), b.getMinY());
        // A line of type has air above and below its letters: rows may share that.
        return wide > SLACK && high > Math.max(SLACK, AIR * Math.min(a.getHeight(), b.getHeight()));
    }

    private static boolean holds(Node a, Node b) {
        return under(a, b) || under(b, a);
    }

    private static boolean under(Node inner, Node outer) {
        for (Node at = inner; at != null; at = at.getParent()) {
            if (at == outer
                    || at.getStyleClass().contains("key-cap")
                            && outer.getStyleClass().contains("act")) {
                return true;
            }
        }
        return false;
    }

    private void say(Node node, String what) {
        troubles.add(view + ": " + name(node) + " " + what);
    }

    private static String name(Node node) {
        String text = node instanceof Labeled labeled
                ? labeled.getText()
                : node instanceof TextField field ? field.getText() : node instanceof Text t ? t.getText() : "";
        String id = node.getId() == null ? "" : "#" + node.getId();
        return node.getClass().getSimpleName() + id + " " + node.getStyleClass()
                + (text.isEmpty() ? "" : " “" + text + "”");
    }
}
