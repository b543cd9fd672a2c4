package mussel.desktop.book;

import java.time.LocalDate;
import java.util.List;
import java.util.function.DoubleFunction;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.util.StringConverter;
import mussel.core.log.Trend;

/** One quantity of a leg over its years. */
final class TrendChart extends LineChart<Number, Number> {
    private static final double EDGE_DAYS = 20;
    private static final double QUARTER = 91.3;

    TrendChart(Trend trend) {
        super(days(trend), new NumberAxis());
        getStyleClass().add("trend-chart");
        setAnimated(false);
        setLegendVisible(false);
        setMinHeight(150);
        setPrefHeight(160);
        NumberAxis value = (NumberAxis) getYAxis();
        value.setForceZeroInRange(true);
        value.setLabel(trend.quantity().unit());
        List<String> steps = trend.quantity().steps();
        if (!steps.isEmpty()) {
            value.setAutoRanging(false);
            value.setUpperBound(steps.size() - 1.0);
            value.setTickUnit(1);
            value.setMinorTickVisible(false);
            value.setTickLabelFormatter(written(step -> trend.quantity().figure(step)));
        }
        XYChart.Series<Number, Number> line = new XYChart.Series<>();
        trend.points().forEach(p -> line.getData()
                .add(new XYChart.Data<>(p.visit().day().toEpochDay(), p.shown())));
        getData().add(line);
        setAccessibleText(trend.quantity().title() + ". " + trend.says());
    }

    private static NumberAxis days(Trend trend) {
        double first = trend.points().get(0).visit().day().toEpochDay();
        double last =
                trend.points().get(trend.points().size() - 1).visit().day().toEpochDay();
        double quarters = Math.max(1, Math.ceil((last - first) / QUARTER / 4));
        NumberAxis axis = new NumberAxis(first - EDGE_DAYS, last + EDGE_DAYS, QUARTER * quarters);
        axis.setMinorTickVisible(false);
        axis.setTickLabelFormatter(written(day -> {
            LocalDate date = LocalDate.ofEpochDay((long) day);
            return date.getYear() + "-" + (date.getMonthValue() < 10 ? "0" : "") + date.getMonthValue();
        }));
        return axis;
    }

    private static StringConverter<Number> written(DoubleFunction<String> words) {
        return new StringConverter<>() {
            @Override
            public String toString(Number tick) {
                return words.apply(tick.doubleValue());
            }

            @Override
            public Number fromString(String text) {
                throw new UnsupportedOperationException("An axis is only read");
            }
        };
    }
}
