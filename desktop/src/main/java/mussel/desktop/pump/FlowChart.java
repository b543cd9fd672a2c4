package mussel.desktop.pump;

import java.util.List;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.shape.Circle;
import mussel.core.language.Messages;
import mussel.core.pump.PumpResult;

/** The telltale over speed: what a new pump should give, what this one should as it is, and what was caught. */
final class FlowChart extends LineChart<Number, Number> {
    private static final Messages TEXT = Messages.of(FlowChart.class);

    private final XYChart.Series<Number, Number> asNew = new XYChart.Series<>();
    private final XYChart.Series<Number, Number> now = new XYChart.Series<>();
    private final XYChart.Series<Number, Number> caught = new XYChart.Series<>();
    private List<PumpResult.FlowPoint> curves = List.of();
    private List<PumpResult.MeasuredFlow> points = List.of();

    FlowChart() {
        super(new NumberAxis(0, 6_000, 1_000), new NumberAxis());
        getXAxis().setLabel(TEXT.get("flow_chart.engine_speed_rpm"));
        getYAxis().setLabel(TEXT.get("flow_chart.telltale_l_min"));
        getStyleClass().add("flow-chart");
        setAnimated(false);
        setCreateSymbols(false);
        setMinHeight(250);
        setPrefHeight(260);
        asNew.setName(TEXT.get("flow_chart.new_pump_estimate"));
        now.setName(TEXT.get("flow_chart.this_pump_estimate"));
        caught.setName("caught");
        getData().addAll(List.of(asNew, now, caught));
        setAccessibleText(TEXT.get("flow_chart.telltale_flow_over_engine_speed"));
    }

    /** A round mark: the curves have none. */
    private static XYChart.Data<Number, Number> point(PumpResult.MeasuredFlow flow) {
        XYChart.Data<Number, Number> point = new XYChart.Data<>(flow.rpm(), flow.measuredLMin());
        Circle round = new Circle(6);
        round.getStyleClass().add("caught-point");
        point.setNode(round);
        return point;
    }

    /** Shows the curves for a telltale that takes that share of the flow. */
    void show(PumpResult result, double share) {
        if (result.expected().equals(curves) && result.flows().equals(points)) {
            return;
        }
        curves = result.expected();
        points = result.flows();
        asNew.getData()
                .setAll(result.expected().stream()
                        .map(p -> new XYChart.Data<Number, Number>(p.rpm(), share * p.newLMin()))
                        .toList());
        now.getData()
                .setAll(result.expected().stream()
                        .map(p -> new XYChart.Data<Number, Number>(p.rpm(), share * p.nowLMin()))
                        .toList());
        caught.getData().setAll(result.flows().stream().map(FlowChart::point).toList());
    }
}
