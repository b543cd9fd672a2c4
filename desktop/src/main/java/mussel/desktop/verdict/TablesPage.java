package mussel.desktop.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import mussel.core.job.Assessment;
import mussel.core.measure.Display;
import mussel.core.verdict.Calibration;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Learned;
import mussel.core.verdict.Overrides;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** The diagnosis tables: every number with its reason, the yard's own among them, and how often they were right here. */
final class TablesPage {
    private static final double CHART = 260;

    private TablesPage() {}

    static void fill(VBox page, Workshop shop, Assessment now) {
        List<Node> rows = new ArrayList<>();
        rows.add(Texts.sentence("Diagnosis tables " + now.knowledge().knowledgeVersion()
                + ". Every number is an estimate of experience with its reason beside it. Put your own into knowledge.yaml in the"
                + " data folder; what it changes stands here."));
        changes(
                rows,
                "The yard's own numbers",
                shop.tables().ownNumbers().changes(shop.tables().shippedTables()),
                "None.");
        shop.refreshBench();
        List<Calibration.Judged> judged = shop.tables().judgedCauses();
        learning(rows, page, shop, judged);
        calibration(rows, Calibration.of(judged));
        rows.add(Texts.heading("A finding"));
        VBox finding = new Column(4);
        rows.add(chooser(now, finding));
        rows.add(finding);
        rows.add(Texts.heading("The causes"));
        rows.add(causes(now));
        page.getChildren().setAll(rows);
    }

    private static void changes(List<Node> rows, String heading, List<Overrides.Change> changes, String none) {
        rows.add(Texts.heading(heading));
        if (changes.isEmpty()) {
            rows.add(Texts.dim(none));
        }
        changes.forEach(c -> rows.add(Texts.sentence(c.what() + ": " + c.was() + " → " + c.is() + ". " + c.why())));
    }

    private static void learning(List<Node> rows, VBox page, Workshop shop, List<Calibration.Judged> judged) {
        List<Overrides.Change> moved = Learned.from(
                        shop.tables().own(shop.tables().shippedTables()), judged)
                .changes();
        changes(rows, "What this yard has found", moved, "Nothing was confirmed when opened so far.");
        if (!moved.isEmpty()) {
            PickRow use = new PickRow(
                    "learn",
                    "",
                    List.of(Choice.text("off", "keep the tables' priors"), Choice.text("on", "use the yard's counts")));
            use.keepsOne();
            use.show(java.util.Optional.of(shop.tables().learning() ? "on" : "off"));
            use.onPick(which -> which.ifPresent(w -> shop.tables().setLearning(w.equals("on"))));
            rows.add(use);
        }
    }

    private static void calibration(List<Node> rows, Calibration calibration) {
        rows.add(Texts.heading("Were they right?"));
        if (calibration.judged() == 0) {
            rows.add(Texts.dim("No cause was confirmed or found absent yet, so nobody knows."));
            return;
        }
        rows.add(Texts.sentence("Brier score " + Display.significant(calibration.brier()) + " over "
                + calibration.judged() + " causes looked at, against "
                + Display.significant(calibration.brierOfPriors()) + " for the priors alone; 0 is perfect."
                + (calibration.judged() < Calibration.ENOUGH
                        ? " Fewer than " + Calibration.ENOUGH + " say little."
                        : "")));
        rows.add(reliability(calibration));
    }

    private static Node reliability(Calibration calibration) {
        NumberAxis x = new NumberAxis("expected, %", 0, 100, 20);
        NumberAxis y = new NumberAxis("found, %", 0, 100, 20);
        LineChart<Number, Number> chart = new LineChart<>(x, y);
        chart.setAnimated(false);
        chart.setLegendVisible(false);
        chart.setPrefHeight(CHART);
        chart.setMinHeight(CHART);
        chart.getStyleClass().add("reliability");
        XYChart.Series<Number, Number> ideal = new XYChart.Series<>();
        ideal.getData().add(new XYChart.Data<>(0, 0));
        ideal.getData().add(new XYChart.Data<>(100, 100));
        XYChart.Series<Number, Number> found = new XYChart.Series<>();
        calibration.bins().forEach(b -> found.getData().add(new XYChart.Data<>(100 * b.expected(), 100 * b.found())));
        chart.getData().add(ideal);
        chart.getData().add(found);
        String words = calibration.bins().stream()
                .map(b -> "expected " + Display.percent(b.expected()) + ", found " + Display.percent(b.found()) + " of "
                        + b.count() + " (" + Display.percent(b.low()) + " to " + Display.percent(b.high()) + ")")
                .collect(Collectors.joining("; "));
        chart.setAccessibleText(words);
        return new Column(2, chart, Texts.dim(words + ". Bounds: Wilson, 95 %."));
    }

    private static Node chooser(Assessment now, VBox target) {
        ComboBox<Finding> box = new ComboBox<>();
        box.setId("tables-finding");
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(Finding finding) {
                return finding == null ? "" : finding.title();
            }

            @Override
            public Finding fromString(String text) {
                return null;
            }
        });
        box.getItems().setAll(now.knowledge().findings());
        box.setMaxWidth(Double.MAX_VALUE);
        box.valueProperty().addListener((o, was, is) -> target.getChildren().setAll(table(now, is)));
        box.setValue(now.knowledge().findings().get(0));
        return box;
    }

    private static List<Node> table(Assessment now, Finding finding) {
        GridPane grid = new GridPane(14, 3);
        List<Node> head = new ArrayList<>(List.of(Texts.dim("")));
        finding.outcomes().forEach(o -> head.add(Texts.dim(o.replace('_', ' '))));
        head.add(Texts.dim("why"));
        grid.addRow(0, head.toArray(Node[]::new));
        row(grid, 1, "no cause", finding.base(), finding.why());
        int at = 2;
        for (Finding.Share share : finding.given(now.context()).values()) {
            String title = now.knowledge()
                    .cause(share.cause())
                    .map(c -> c.title(now.context()))
                    .orElse(share.cause());
            row(grid, at++, title, share.shares(), share.why());
        }
        String gate = finding.gate().stream()
                .map(g -> now.knowledge().finding(g.finding()).orElseThrow().title() + " "
                        + String.join(" or ", g.outcomes()))
                .collect(Collectors.joining("; "));
        return List.of(
                grid,
                Texts.dim("Takes " + Display.workTime(finding.minutes()) + " ("
                        + now.knowledge().access(finding.access()).orElseThrow().title() + ")."
                        + (gate.isEmpty() ? "" : " Counts as benign only after: " + gate + ".")));
    }

    private static void row(GridPane grid, int at, String title, List<Double> shares, String why) {
        List<Node> cells = new ArrayList<>(List.of(Texts.wrapped(title, "strong")));
        shares.forEach(s -> cells.add(Texts.wrapped(percent(s), "plain")));
        cells.add(Texts.dim(why));
        grid.addRow(at, cells.toArray(Node[]::new));
    }

    private static Node causes(Assessment now) {
        GridPane grid = new GridPane(14, 3);
        int at = 0;
        for (Cause cause : now.knowledge().causes()) {
            double prior = cause.prior(now.context());
            String moved = Math.abs(prior - cause.prior()) < 1e-9 ? "" : " (here " + percent(prior) + ")";
            grid.addRow(
                    at++,
                    Texts.wrapped(cause.title(now.context()), "strong"),
                    Texts.wrapped(percent(cause.prior()) + moved, "plain"),
                    Texts.dim(cause.why()));
        }
        return grid;
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, share < 0.01 ? "%.2f %%" : "%.1f %%", 100 * share);
    }
}
