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
import mussel.core.language.Messages;
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
    private static final Messages TEXT = Messages.of(TablesPage.class);

    private static final double CHART = 260;

    private TablesPage() {}

    static void fill(VBox page, Workshop shop, Assessment now) {
        List<Node> rows = new ArrayList<>();
        rows.add(Texts.sentence(TEXT.get(
                "tables_page.diagnosis_tables_every_number_is_an",
                now.knowledge().knowledgeVersion())));
        changes(
                rows,
                TEXT.get("tables_page.the_yards_own_numbers"),
                shop.tables().ownNumbers().changes(shop.tables().shippedTables()),
                TEXT.get("tables_page.none"));
        shop.refreshBench();
        List<Calibration.Judged> judged = shop.tables().judgedCauses();
        learning(rows, page, shop, judged);
        calibration(rows, Calibration.of(judged));
        rows.add(Texts.heading("A finding"));
        VBox finding = new Column(4);
        rows.add(chooser(now, finding));
        rows.add(finding);
        rows.add(Texts.heading(TEXT.get("tables_page.the_causes")));
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
        changes(
                rows,
                TEXT.get("tables_page.what_this_yard_has_found"),
                moved,
                TEXT.get("tables_page.nothing_was_confirmed_when_opened_so"));
        if (!moved.isEmpty()) {
            PickRow use = new PickRow(
                    "learn",
                    "",
                    List.of(
                            Choice.text("off", TEXT.get("tables_page.keep_the_tables_priors")),
                            Choice.text("on", TEXT.get("tables_page.use_the_yards_counts"))));
            use.keepsOne();
            use.show(java.util.Optional.of(shop.tables().learning() ? "on" : "off"));
            use.onPick(which -> which.ifPresent(w -> shop.tables().setLearning(w.equals("on"))));
            rows.add(use);
        }
    }

    private static void calibration(List<Node> rows, Calibration calibration) {
        rows.add(Texts.heading(TEXT.get("tables_page.were_they_right")));
        if (calibration.judged() == 0) {
            rows.add(Texts.dim(TEXT.get("tables_page.no_cause_was_confirmed_or_found")));
            return;
        }
        rows.add(Texts.sentence(TEXT.get(
                "tables_page.brier_score_over_causes_looked_at",
                Display.significant(calibration.brier()),
                calibration.judged(),
                Display.significant(calibration.brierOfPriors()),
                (calibration.judged() < Calibration.ENOUGH
                        ? TEXT.get("tables_page.fewer_than_say_little", Calibration.ENOUGH)
                        : ""))));
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
                .map(b -> TEXT.get(
                        "tables_page.expected_found_of_to",
                        Display.percent(b.expected()),
                        Display.percent(b.found()),
                        b.count(),
                        Display.percent(b.low()),
                        Display.percent(b.high())))
                .collect(Collectors.joining("; "));
        chart.setAccessibleText(words);
        return new Column(2, chart, Texts.dim(TEXT.get("tables_page.bounds_wilson_95", words)));
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
        row(grid, 1, TEXT.get("tables_page.no_cause"), finding.base(), finding.why());
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
                Texts.dim(TEXT.get(
                        "tables_page.takes",
                        Display.workTime(finding.minutes()),
                        now.knowledge().access(finding.access()).orElseThrow().title(),
                        (gate.isEmpty() ? "" : TEXT.get("tables_page.counts_as_benign_only_after", gate)))));
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
            String moved = Math.abs(prior - cause.prior()) < 1e-9 ? "" : TEXT.get("tables_page.here", percent(prior));
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
