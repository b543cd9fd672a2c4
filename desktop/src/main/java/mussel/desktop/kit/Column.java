package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** One below the other; how high that is at a width is measured once. */
public class Column extends VBox {
    private final Heights least = new Heights();
    private final Heights wanted = new Heights();

    /** With nothing in it yet. */
    public Column() {}

    /** With room between what stands in it (px). */
    public Column(double spacing, Node... content) {
        super(spacing, content);
    }

    /** With no room between what stands in it. */
    public Column(Node... content) {
        super(content);
    }

    @Override
    protected double computeMinHeight(double width) {
        return least.at(width, super::computeMinHeight);
    }

    @Override
    protected double computePrefHeight(double width) {
        return wanted.at(width, super::computePrefHeight);
    }

    @Override
    public void requestLayout() {
        // The constructor above asks for layout before there is anything to forget.
        if (wanted != null) {
            least.forget();
            wanted.forget();
        }
        super.requestLayout();
    }
}
