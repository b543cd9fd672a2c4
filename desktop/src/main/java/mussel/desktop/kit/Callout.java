package mussel.desktop.kit;

import atlantafx.base.controls.Popover;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Scene;

/** A page that points at what it explains. It closes by Escape, by a click elsewhere, when the focus moves on, and when the next one opens. */
public final class Callout {
    private final Popover popover = new Popover();
    private final ChangeListener<Node> moved = (o, was, is) -> close();

    /**
     * A callout that is not open yet.
     *
     * @param title what it is about
     * @param arrow the edge of the callout that points at the node
     */
    public Callout(String title, Popover.ArrowLocation arrow) {
        popover.setTitle(title);
        popover.setHeaderAlwaysVisible(false);
        popover.setDetachable(false);
        // One that fades away takes the next key as well.
        popover.setAnimated(false);
        popover.setArrowLocation(arrow);
    }

    /** Opens beside a node, with this content. */
    public void open(Node beside, Node content) {
        Scene scene = beside.getScene();
        if (scene.getProperties().put(Callout.class, this) instanceof Callout before) {
            before.close();
        }
        popover.setContentNode(content);
        scene.focusOwnerProperty().addListener(moved);
        popover.setOnHidden(e -> {
            scene.focusOwnerProperty().removeListener(moved);
            scene.getProperties().remove(Callout.class, this);
        });
        popover.show(beside);
    }

    /** Closes, where it is open. */
    public void close() {
        popover.hide();
    }
}
