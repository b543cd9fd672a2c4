package mussel.desktop.kit;

import javafx.scene.control.Label;

/** Words on the page; how high they are at a width is measured once. */
public class Words extends Label {
    private final Heights least = new Heights();
    private final Heights wanted = new Heights();

    /** With nothing to say yet. */
    public Words() {}

    /** With something to say. */
    public Words(String text) {
        super(text);
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
