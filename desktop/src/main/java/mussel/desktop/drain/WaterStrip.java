package mussel.desktop.drain;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import mussel.core.drain.DrainResult.Source;
import mussel.core.drain.DrainResult.WaterShare;
import mussel.core.measure.Display;
import mussel.desktop.kit.Words;

/** A line of the water share: each way to judge it as a round (hollow when it is not used), the combined share as a band. */
final class WaterStrip extends Pane {
    private static final double MARGIN = 22;
    private static final double LINE_Y = 26;
    private static final double LABELS_Y = 36;
    private static final int LABEL_ROWS = 2;

    private WaterShare water;

    WaterStrip() {
        getStyleClass().add("strip");
        setPrefHeight(72);
        setMinHeight(72);
        widthProperty().addListener((o, was, is) -> draw());
    }

    void show(WaterShare share) {
        water = share;
        draw();
    }

    private void draw() {
        getChildren().clear();
        if (water == null || getWidth() < 4 * MARGIN) {
            return;
        }
        double most = Math.max(
                0.01,
                water.sources().stream().mapToDouble(Source::fraction).max().orElse(0.01));
        double to = Math.max(most, water.high().orElse(most)) * 1.1;
        double from = Math.min(
                        0,
                        water.sources().stream()
                                .mapToDouble(Source::fraction)
                                .min()
                                .orElse(0))
                * 1.1;
        Line base = new Line(MARGIN, LINE_Y, getWidth() - MARGIN, LINE_Y);
        base.getStyleClass().add("axis");
        getChildren().add(base);
        if (water.high().isPresent()) {
            double low = x(water.low().getAsDouble(), from, to);
            double high = x(water.high().getAsDouble(), from, to);
            Rectangle band = new Rectangle(low, LINE_Y - 9, Math.max(2, high - low), 18);
            band.getStyleClass().add("water-band");
            double at = x(water.fraction().getAsDouble(), from, to);
            Line mean = new Line(at, LINE_Y - 13, at, LINE_Y + 13);
            mean.getStyleClass().add("mean-line");
            getChildren().addAll(band, mean);
        }
        List<Source> sorted = water.sources().stream()
                .sorted(java.util.Comparator.comparingDouble(Source::fraction))
                .toList();
        double[] freeFrom = new double[LABEL_ROWS];
        for (Source source : sorted) {
            double at = x(source.fraction(), from, to);
            Circle round = new Circle(at, LINE_Y, 5);
            round.getStyleClass().add(source.used() ? "source-used" : "source-unused");
            Label label =
                    new Words(source.name().name().toLowerCase(Locale.ROOT) + " " + Display.percent(source.fraction()));
            label.getStyleClass().addAll("dim", "small");
            getChildren().addAll(round, label);
            label.applyCss();
            double width = label.prefWidth(-1);
            double left = Math.max(2, Math.min(getWidth() - width - 2, at - width / 2));
            int row = left >= freeFrom[0] ? 0 : 1;
            label.relocate(Math.max(left, freeFrom[row]), LABELS_Y + row * 16);
            freeFrom[row] = Math.max(left, freeFrom[row]) + width + 10;
        }
    }

    private double x(double share, double from, double to) {
        return MARGIN + (share - from) / (to - from) * (getWidth() - 2 * MARGIN);
    }
}
