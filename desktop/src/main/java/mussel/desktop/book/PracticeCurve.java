package mussel.desktop.book;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Money;
import mussel.core.practice.Curve;
import mussel.core.practice.Exercise;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Texts;

/** How somebody gets on in practice, leg by leg, with the mean of the last few and its band: money lost, goals got wrong, or how true what was suspected is. */
final class PracticeCurve extends Column {
    private static final Messages TEXT = Messages.of(PracticeCurve.class);

    /** The most legs of a curve. */
    private static final int MOST_SHOWN = 40;

    private final String who;
    private final Money money;
    private final List<Exercise> back;
    private final Column body = new Column(4);
    private final PickRow measures;

    /**
     * The curve of exercises.
     *
     * @param who did them
     * @param back those handed back, the earliest first
     */
    PracticeCurve(String who, Money money, List<Exercise> back) {
        super(6);
        this.who = who;
        this.money = money;
        this.back = back;
        setId("practice-curve");
        measures = new PickRow(
                        "practice-measure",
                        TEXT.get("practice_curve.how_it_goes"),
                        Stream.of(Measure.values())
                                .map(m -> PickRow.Choice.text(m.name().toLowerCase(Locale.ROOT), m.title))
                                .toList())
                .keepsOne()
                .onPick(m -> show(Measure.valueOf(m.orElseThrow().toUpperCase(Locale.ROOT))));
        if (!back.isEmpty()) {
            getChildren().addAll(measures, body);
            show(Measure.MONEY);
        }
    }

    /** What is drawn. */
    private enum Measure {
        MONEY("extra cost", "cost compared with the advice", "money", Exercise::lost),
        GOALS(
                "missed or unneeded",
                "repairs missed or unneeded",
                "goals",
                e -> Optional.of((double) e.wrong().size())),
        SUSPECTED("suspicions", "bits per repair", "bits", Exercise::score);

        private final String title;
        private final String says;
        private final String axis;
        private final Function<Exercise, Optional<Double>> of;

        Measure(String title, String says, String axis, Function<Exercise, Optional<Double>> of) {
            this.title = title;
            this.says = says;
            this.axis = axis;
            this.of = of;
        }
    }

    private void show(Measure measure) {
        measures.show(Optional.of(measure.name().toLowerCase(Locale.ROOT)));
        List<Double> values = back.subList(Math.max(0, back.size() - MOST_SHOWN), back.size()).stream()
                .map(measure.of)
                .flatMap(Optional::stream)
                .toList();
        String legs =
                TEXT.get("practice_curve.handed_back_by", back.size(), (back.size() == 1 ? " leg" : " legs"), who);
        if (values.isEmpty()) {
            body.getChildren().setAll(Texts.sentence(TEXT.get("practice_curve.nothing_was_said_of_what_is", legs)));
            return;
        }
        List<Curve.Point> points = Curve.of(values).points();
        Curve.Point now = points.get(points.size() - 1);
        DoubleFunction<String> figure = measure == Measure.MONEY ? money::sum : Display::significant;
        body.getChildren()
                .setAll(
                        Texts.sentence(TEXT.get(
                                "practice_curve.the_last_the_last_few_on",
                                legs,
                                last(measure, now.value(), figure),
                                figure.apply(now.mean()),
                                figure.apply(now.low()),
                                figure.apply(now.high()))),
                        chart(measure, points),
                        Texts.dim(TEXT.get("practice_curve.thin_each_leg_thick_the_mean")));
    }

    private static String last(Measure measure, double value, DoubleFunction<String> figure) {
        return measure == Measure.MONEY && value < 0
                ? TEXT.get("practice_curve.better_than_the_advice", figure.apply(-value))
                : figure.apply(value) + " " + measure.says;
    }

    private Node chart(Measure measure, List<Curve.Point> points) {
        NumberAxis across = new NumberAxis(1, Math.max(2, points.size()), 1);
        across.setLabel("leg");
        NumberAxis up = new NumberAxis();
        up.setLabel(measure == Measure.MONEY && money.said() ? money.symbol() : measure.axis);
        LineChart<Number, Number> chart = new LineChart<>(across, up);
        chart.getStyleClass().addAll("lives-chart", "practice-chart");
        chart.setAnimated(false);
        chart.setCreateSymbols(points.size() < 2);
        chart.setLegendVisible(false);
        chart.setPrefHeight(200);
        chart.setMinHeight(180);
        chart.setAccessibleText(TEXT.get("practice_curve.leg_by_leg_the_mean_of", measure.says));
        XYChart.Series<Number, Number> mean = new XYChart.Series<>();
        XYChart.Series<Number, Number> each = new XYChart.Series<>();
        XYChart.Series<Number, Number> low = new XYChart.Series<>();
        XYChart.Series<Number, Number> high = new XYChart.Series<>();
        for (int i = 0; i < points.size(); i++) {
            Curve.Point point = points.get(i);
            mean.getData().add(new XYChart.Data<>(i + 1, point.mean()));
            each.getData().add(new XYChart.Data<>(i + 1, point.value()));
            low.getData().add(new XYChart.Data<>(i + 1, point.low()));
            high.getData().add(new XYChart.Data<>(i + 1, point.high()));
        }
        chart.getData().addAll(List.of(each, mean, low, high));
        return chart;
    }
}
