package mussel.desktop.drain;

import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.desktop.kit.Words;

/** A volume line: what the case should have given with its doubt, what went in, and what came out. */
final class BalanceStrip extends Pane {
    private static final Messages TEXT = Messages.of(BalanceStrip.class);

    private static final double MARGIN = 16;
    private static final double LINE_Y = 60;
    private static final double ROW = 19;

    private DrainInput in;
    private DrainResult out;
    private YardUnits units;

    BalanceStrip() {
        getStyleClass().add("strip");
        setPrefHeight(84);
        setMinHeight(84);
        widthProperty().addListener((o, was, is) -> draw());
    }

    void show(DrainInput input, DrainResult result, YardUnits yardUnits) {
        in = input;
        out = result;
        units = yardUnits;
        draw();
    }

    private void draw() {
        getChildren().clear();
        if (in == null || getWidth() < 4 * MARGIN) {
            return;
        }
        double expected = out.balance().expectedMl();
        double least = out.balance().lowMl();
        double most = out.balance().highMl();
        double low = Math.min(least, in.drainedMl());
        double high = Math.max(most, in.drainedMl());
        double pad = Math.max(1, (high - low) * 0.12);
        Axis axis = new Axis(low - pad, high + pad, getWidth());
        Rectangle band = new Rectangle(axis.x(least), LINE_Y - 20, axis.x(most) - axis.x(least), 18);
        band.getStyleClass().add("band");
        Line middle = new Line(axis.x(expected), LINE_Y - 22, axis.x(expected), LINE_Y);
        middle.getStyleClass().add("expected-line");
        Line base = new Line(MARGIN, LINE_Y, getWidth() - MARGIN, LINE_Y);
        base.getStyleClass().add("axis");
        Line filled = new Line(axis.x(in.filledMl()), LINE_Y - 12, axis.x(in.filledMl()), LINE_Y + 4);
        filled.getStyleClass().add("filled-line");
        double x = axis.x(in.drainedMl());
        Polygon came = new Polygon(x - 7, LINE_Y - 18, x + 7, LINE_Y - 18, x, LINE_Y - 4);
        came.getStyleClass().add("came");
        getChildren().addAll(band, middle, base, filled, came);
        label(
                TEXT.get(
                        "balance_strip.as_expected_to",
                        Display.rounded(
                                units.fromCanonical(Kind.VOLUME, least),
                                out.balance().uMl()),
                        Display.estimate(Kind.VOLUME, most, units)),
                axis.x((least + most) / 2),
                0,
                "good-text");
        label(TEXT.get("balance_strip.came_out", Display.exact(Kind.VOLUME, in.drainedMl(), units)), x, ROW, "strong");
        label(
                TEXT.get("balance_strip.went_in", Display.exact(Kind.VOLUME, in.filledMl(), units)),
                axis.x(in.filledMl()),
                LINE_Y + 5,
                "dim");
    }

    private void label(String text, double x, double y, String style) {
        Label label = new Words(text);
        label.getStyleClass().addAll(style, "small");
        getChildren().add(label);
        label.applyCss();
        double width = label.prefWidth(-1);
        label.relocate(Math.max(2, Math.min(getWidth() - width - 2, x - width / 2)), y);
    }

    private record Axis(double from, double to, double width) {
        double x(double ml) {
            return MARGIN + (ml - from) / (to - from) * (width - 2 * MARGIN);
        }
    }
}
