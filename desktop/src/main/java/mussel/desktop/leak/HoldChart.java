package mussel.desktop.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import javafx.collections.FXCollections;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Polygon;
import mussel.core.language.Messages;
import mussel.core.leak.LeakTrace;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;

/** The hold over time: what the gauge showed with the temperature taken out, the fitted line with its band, and how far it may move. */
final class HoldChart extends XYChart<Number, Number> {
    private static final Messages TEXT = Messages.of(HoldChart.class);

    private static final double HEIGHT = 215;

    private final Polygon allowed = new Polygon();
    private final Polygon band = new Polygon();
    private final Path line = new Path();
    private final Path readings = new Path();
    private final Path left = new Path();
    private LeakTrace trace = new LeakTrace(List.of(), List.of(), List.of(), 5);
    private YardUnits units = YardUnits.METRIC;

    HoldChart() {
        super(new NumberAxis(0, 5, 1), new NumberAxis(0, 80, 10));
        setId("hold-chart");
        getStyleClass().add("hold-chart");
        setData(FXCollections.observableArrayList());
        setAnimated(false);
        setLegendVisible(false);
        setPrefHeight(HEIGHT);
        setMinHeight(HEIGHT);
        time().setAnimated(false);
        time().setAutoRanging(false);
        time().setLabel("minutes");
        pressure().setAnimated(false);
        pressure().setAutoRanging(false);
        allowed.getStyleClass().add("hold-allowed");
        band.getStyleClass().add("hold-band");
        line.getStyleClass().add("hold-line");
        readings.getStyleClass().add("hold-readings");
        left.getStyleClass().add("hold-left-out");
        getPlotChildren().addAll(allowed, band, left, readings, line);
    }

    private NumberAxis time() {
        return (NumberAxis) getXAxis();
    }

    private NumberAxis pressure() {
        return (NumberAxis) getYAxis();
    }

    void show(LeakTrace shown, YardUnits yardUnits) {
        trace = shown;
        units = yardUnits;
        pressure().setLabel(TEXT.get("hold_chart.gauge", units.symbol(Kind.PRESSURE)));
        double last = trace.readings().stream()
                .mapToDouble(LeakTrace.Point::minutes)
                .max()
                .orElse(0);
        double span = Math.ceil(2 * Math.max(trace.holdMin() + 0.5, last * 1.04)) / 2;
        range(time(), 0, span, false);
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (LeakTrace.Point p : trace.readings()) {
            low = Math.min(low, yard(p.gaugeKpa()));
            high = Math.max(high, yard(p.gaugeKpa()));
        }
        for (LeakTrace.Point p : trace.allowed()) {
            low = Math.min(low, yard(p.gaugeKpa()));
            high = Math.max(high, yard(p.gaugeKpa()));
        }
        if (low <= high) {
            double pad = Math.max((high - low) * 0.15, yard(1) - yard(0));
            range(pressure(), low - pad, high + pad, true);
        }
        requestChartLayout();
    }

    private static void range(NumberAxis axis, double from, double to, boolean fine) {
        double tick = tick((to - from) / (fine ? 5 : 8));
        axis.setLowerBound(fine ? Math.floor(from / tick) * tick : from);
        axis.setUpperBound(fine ? Math.ceil(to / tick) * tick : to);
        axis.setTickUnit(tick);
        axis.setMinorTickVisible(false);
    }

    /** The next of 1, 2, 5 and their tens. */
    private static double tick(double rough) {
        double ten = Math.pow(10, Math.floor(Math.log10(rough)));
        double share = rough / ten;
        return ten * (share <= 1 ? 1 : share <= 2 ? 2 : share <= 5 ? 5 : 10);
    }

    private double yard(double kpa) {
        return units.fromCanonical(Kind.PRESSURE, kpa);
    }

    private double x(double minutes) {
        return time().getDisplayPosition(minutes);
    }

    private double y(double kpa) {
        double at = pressure().getDisplayPosition(yard(kpa));
        return Math.max(-20, Math.min(pressure().getHeight() + 20, at));
    }

    @Override
    protected void layoutPlotChildren() {
        dots(readings, true);
        dots(left, false);
        List<PathElement> fitted = new ArrayList<>();
        trace.fit()
                .forEach(b -> fitted.add(
                        fitted.isEmpty()
                                ? new MoveTo(x(b.minutes()), y(b.gaugeKpa()))
                                : new LineTo(x(b.minutes()), y(b.gaugeKpa()))));
        line.getElements().setAll(fitted);
        outline(band, trace.fit(), b -> x(b.minutes()), b -> y(b.oneSide()), b -> y(b.otherSide()));
        double start = trace.allowed().isEmpty() ? 0 : trace.allowed().get(0).gaugeKpa();
        outline(allowed, trace.allowed(), p -> x(p.minutes()), p -> y(p.gaugeKpa()), p -> y(start));
    }

    /** Small crosses: of readings that count, or of those before it had settled. */
    private void dots(Path path, boolean used) {
        // All at once: each change of a path is told to whoever draws it.
        List<PathElement> crosses = new ArrayList<>();
        for (LeakTrace.Point p : trace.readings()) {
            if (p.used() == used) {
                double cx = x(p.minutes());
                double cy = y(p.gaugeKpa());
                crosses.add(new MoveTo(cx - 2, cy));
                crosses.add(new LineTo(cx + 2, cy));
                crosses.add(new MoveTo(cx, cy - 2));
                crosses.add(new LineTo(cx, cy + 2));
            }
        }
        path.getElements().setAll(crosses);
    }

    private static <T> void outline(
            Polygon polygon,
            List<T> points,
            ToDoubleFunction<T> x,
            ToDoubleFunction<T> one,
            ToDoubleFunction<T> other) {
        List<Double> corners = new ArrayList<>();
        for (T p : points) {
            corners.addAll(List.of(x.applyAsDouble(p), one.applyAsDouble(p)));
        }
        for (int i = points.size() - 1; i >= 0; i--) {
            corners.addAll(List.of(x.applyAsDouble(points.get(i)), other.applyAsDouble(points.get(i))));
        }
        polygon.getPoints().setAll(corners);
    }

    @Override
    protected void dataItemAdded(Series<Number, Number> series, int at, Data<Number, Number> item) {
        requestChartLayout();
    }

    @Override
    protected void dataItemRemoved(Data<Number, Number> item, Series<Number, Number> series) {
        requestChartLayout();
    }

    @Override
    protected void dataItemChanged(Data<Number, Number> item) {
        requestChartLayout();
    }

    @Override
    protected void seriesAdded(Series<Number, Number> series, int at) {
        requestChartLayout();
    }

    @Override
    protected void seriesRemoved(Series<Number, Number> series) {
        requestChartLayout();
    }
}
