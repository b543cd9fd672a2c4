package mussel.desktop.shell;

import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.SVGPath;
import mussel.desktop.kit.Words;

/** The line of a fold: an arrow, its title, and what it comes to on the same line where there is room, else below. Pressed by click, Enter or Space. */
final class FoldLine extends Region {
    private static final double ARROW = 16;
    private static final double GAP = 8;

    private final SVGPath arrow = new SVGPath();
    private final Label title = new Words();
    private final Label value = new Words();
    private final Runnable onPress;

    FoldLine(Runnable onPress) {
        this.onPress = onPress;
        getStyleClass().add("fold-line");
        arrow.getStyleClass().add("fold-arrow");
        arrow.setContent("M0,0 l5,5 l-5,5");
        title.getStyleClass().add("strong");
        title.setWrapText(true);
        value.getStyleClass().add("fold-value");
        value.setWrapText(true);
        value.setTextAlignment(javafx.scene.text.TextAlignment.RIGHT);
        getChildren().addAll(arrow, title, value);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        setOnMouseClicked(e -> onPress.run());
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                e.consume();
                onPress.run();
            }
        });
    }

    void show(String says, String comesTo, boolean open) {
        title.setText(says);
        value.setText(comesTo);
        arrow.setRotate(open ? 90 : 0);
        setAccessibleText(says + ": " + comesTo + (open ? ", opened" : ", folded"));
        requestLayout();
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.FIRE) {
            onPress.run();
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    private double room(double width) {
        Insets in = getInsets();
        return Math.max(20, width - in.getLeft() - in.getRight() - ARROW);
    }

    private boolean oneLine(double width) {
        return title.prefWidth(-1) + GAP + value.prefWidth(-1) <= room(width);
    }

    @Override
    protected double computePrefHeight(double width) {
        double wide = width < 0 ? 260 : width;
        Insets in = getInsets();
        double words = oneLine(wide)
                ? Math.max(title.prefHeight(-1), value.prefHeight(-1))
                : title.prefHeight(room(wide)) + value.prefHeight(room(wide));
        return in.getTop() + in.getBottom() + words;
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    @Override
    protected void layoutChildren() {
        Insets in = getInsets();
        double room = room(getWidth());
        double left = in.getLeft() + ARROW;
        double high = getHeight() - in.getTop() - in.getBottom();
        arrow.relocate(in.getLeft(), in.getTop() + Math.min(high, title.prefHeight(room)) / 2 - 5);
        if (oneLine(getWidth())) {
            double titleHigh = title.prefHeight(-1);
            double valueWide = value.prefWidth(-1);
            double valueHigh = value.prefHeight(-1);
            title.resizeRelocate(left, in.getTop() + (high - titleHigh) / 2, title.prefWidth(-1), titleHigh);
            arrow.relocate(in.getLeft(), in.getTop() + high / 2 - 5);
            value.resizeRelocate(left + room - valueWide, in.getTop() + (high - valueHigh) / 2, valueWide, valueHigh);
        } else {
            double titleHigh = title.prefHeight(room);
            title.resizeRelocate(left, in.getTop(), room, titleHigh);
            value.resizeRelocate(left, in.getTop() + titleHigh, room, value.prefHeight(room));
        }
    }
}
