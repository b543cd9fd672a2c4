package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.layout.HBox;

/** One beside the other; how high that is at a width is measured once. */
public class Row extends HBox {
    private final Heights least = new Heights();
    private final Heights wanted = new Heights();

    /** With nothing in it yet. */
    public Row() {}

    /** With room between what stands in it (px). */
    public Row(double spacing, Node... content) {
        super(spacing, content);
    }

    /** With no room between what stands in it. */
    public Row(Node... content) {
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
