package mussel.desktop.kit;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.layout.Region;

/** A page that is taller than its room. What has the focus stays where it is seen, whatever is shown or hidden above it. */
public final class SheetPane extends ScrollArea {
    private static final double AIR = 28;

    private final Region sheet;
    private double top;
    private boolean placing;

    /** The pane of a page that is as wide as there is room. */
    public SheetPane(Region sheet) {
        super(sheet);
        this.sheet = sheet;
        setFitToWidth(true);
        setMinHeight(0);
        setPrefHeight(0);
        setFocusTraversable(false);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        vvalueProperty().addListener((o, was, is) -> {
            if (!placing) {
                top = is.doubleValue() * beyond();
            }
        });
        sheet.heightProperty().addListener((o, was, is) -> place(top));
        viewportBoundsProperty().addListener((o, was, is) -> place(top));
        addEventHandler(ScrollIntoView.SEEN, e -> {
            if (e.getTarget() instanceof Node node) {
                see(node);
            }
        });
    }

    /** How far the page is scrolled (px). */
    public double top() {
        return top;
    }

    /** Scrolls the page so far (px), as far as it goes. */
    public void place(double wanted) {
        placing = true;
        top = wanted;
        double beyond = beyond();
        setVvalue(beyond <= 0 ? 0 : Math.max(0, Math.min(1, wanted / beyond)));
        placing = false;
    }

    private double beyond() {
        return Math.max(0, sheet.getHeight() - getViewportBounds().getHeight());
    }

    /** Does work that changes the page, and keeps a node of it at the height it was seen at. */
    public void keeping(Node anchor, Runnable work) {
        double before = height(anchor);
        work.run();
        if (!Double.isNaN(before)) {
            Pulse.laidOut(this, () -> {
                double moved = height(anchor) - before;
                if (!Double.isNaN(moved) && Math.abs(moved) > 0.5) {
                    place(Math.max(0, Math.min(beyond(), top)) + moved);
                    layout();
                }
            });
        }
    }

    /** Where a node of the page is seen from the top of the room (px); NaN for what is not on it. */
    private double height(Node node) {
        boolean on = false;
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return Double.NaN;
            }
            on |= at == sheet;
        }
        return on ? sceneToLocal(node.localToScene(node.getBoundsInLocal())).getMinY() : Double.NaN;
    }

    /** Scrolls as little as it takes to see a node of the page whole, before the next frame is drawn. */
    public void see(Node node) {
        Pulse.laidOut(this, () -> {
            if (!Double.isNaN(height(node))) {
                bring(node);
                layout();
            }
        });
    }

    private void bring(Node node) {
        Bounds there = sheet.sceneToLocal(node.localToScene(node.getBoundsInLocal()));
        double room = getViewportBounds().getHeight();
        double from = Math.max(0, Math.min(beyond(), top));
        if (there.getMinY() - AIR < from) {
            place(Math.max(0, there.getMinY() - AIR));
        } else if (there.getMaxY() + AIR > from + room) {
            place(Math.min(there.getMinY() - AIR, there.getMaxY() + AIR - room));
        }
    }
}
