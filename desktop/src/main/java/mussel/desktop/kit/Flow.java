package mussel.desktop.kit;

import javafx.scene.Node;
import javafx.scene.layout.FlowPane;

/** Beside each other as far as there is room, then in the next line; how high that is at a width is measured once. */
public class Flow extends FlowPane {
    private final Heights least = new Heights();
    private final Heights wanted = new Heights();

    /** With no room between what stands in it. */
    public Flow(Node... content) {
        super(content);
    }

    /** With room between columns and lines (px). */
    public Flow(double across, double down, Node... content) {
        super(across, down, content);
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
