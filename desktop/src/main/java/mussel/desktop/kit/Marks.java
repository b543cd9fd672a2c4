package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.SVGPath;

/** Mussel's own marks of state. Each has a shape of its own, so that none is told by colour alone. */
public final class Marks {
    private Marks() {}

    /** Done: a filled round with a tick cut into it. */
    public static Node done() {
        return mark("M8,0 a8,8 0 1 0 .01,0 z M4,8.2 l1.6,-1.6 l1.8,1.8 l3.4,-3.8 l1.6,1.5 l-5,5.5 z", "mark-done");
    }

    /** Open: a hollow round. */
    public static Node open() {
        return mark("M8,0 a8,8 0 1 0 .01,0 z M8,2 a6,6 0 1 1 -.01,0 z", "mark-open");
    }

    /** Take care: a shackle-shaped ring with a bar. */
    public static Node caution() {
        return mark("M8,0 L16,8 L8,16 L0,8 Z M7,3.5 h2 l-.4,5.5 h-1.2 z M7,10.5 h2 v2 h-2 z", "mark-caution");
    }

    /** Hidden: a bolt head behind a bar. */
    public static Node hidden() {
        return mark("M4,0 h8 l4,7 h-16 z M0,9 h16 v2 h-16 z M5,13 h6 v3 h-6 z", "mark-hidden");
    }

    private static Node mark(String path, String style) {
        SVGPath shape = new SVGPath();
        shape.setContent(path);
        shape.setFillRule(javafx.scene.shape.FillRule.EVEN_ODD);
        shape.getStyleClass().add(style);
        StackPane holder = new StackPane(shape);
        holder.setMinSize(18, 18);
        holder.setMaxSize(18, 18);
        return holder;
    }
}
