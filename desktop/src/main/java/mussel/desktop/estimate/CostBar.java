package mussel.desktop.estimate;

import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.estimate.EstimateWords;
import mussel.core.measure.Display;
import mussel.desktop.kit.Texts;

/** One way and what it costs: where eight of ten cases lie as a bar, the mean as a line across it, all ways on one scale. */
final class CostBar extends VBox {
    private static final PseudoClass CHEAPEST = PseudoClass.getPseudoClass("cheapest");
    private static final double HEIGHT = 26;
    private static final double LEAST = 3;
    private static final double LEAST_SPREAD = 0.005;

    private final Label head = Texts.wrapped("", "strong");
    private final Label detail = Texts.dim("");
    private final Rectangle range = new Rectangle();
    private final Line mean = new Line();
    private double from;
    private double to;
    private double at;

    CostBar() {
        super(2);
        Rectangle room = new Rectangle();
        room.getStyleClass().add("probability-room");
        range.getStyleClass().add("cost-range");
        mean.getStyleClass().add("mean-line");
        Pane strip = new Pane(room, range, mean) {
            @Override
            protected void layoutChildren() {
                double width = getWidth();
                room.setWidth(width);
                room.setHeight(HEIGHT);
                range.setX(from * width);
                range.setWidth(Math.max(LEAST, (to - from) * width));
                range.setY(5);
                range.setHeight(HEIGHT - 10);
                mean.setStartX(at * width);
                mean.setEndX(at * width);
                mean.setStartY(1);
                mean.setEndY(HEIGHT - 1);
            }
        };
        strip.setMinHeight(HEIGHT);
        strip.setPrefHeight(HEIGHT);
        strip.setMaxHeight(HEIGHT);
        getChildren().addAll(head, strip, detail);
    }

    void show(Option option, double most, boolean cheapest) {
        from = option.p10() / most;
        to = option.p90() / most;
        at = option.mean() / most;
        range.pseudoClassStateChanged(CHEAPEST, cheapest);
        String title = EstimateWords.title(option.name());
        head.setText(title.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + title.substring(1) + ": "
                + Display.money(option.mean()) + (cheapest ? ", the least on the mean" : " on the mean"));
        detail.setText(spread(option)
                + (option.perLifeHour().isPresent()
                        ? "; " + Display.money(option.perLifeHour().getAsDouble()) + " for each hour it should last"
                        : "")
                + (option.leadDays() > 0 ? "; " + Math.round(option.leadDays()) + " days" : "") + ".");
        setAccessibleText(head.getText() + ". " + detail.getText());
        ((Pane) getChildren().get(1)).requestLayout();
    }

    private static String spread(Option option) {
        if (option.name().equals(EstimateEngine.LEAVE)) {
            return "Nothing if it holds, " + Display.money(option.p90()) + " if it comes back";
        }
        return option.p90() - option.p10() < LEAST_SPREAD
                ? "A fixed price"
                : Display.money(option.p10()) + " to " + Display.money(option.p90()) + " in eight of ten cases";
    }
}
