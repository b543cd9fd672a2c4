package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.book.Comebacks;
import mussel.core.book.LogBook.Renewed;
import mussel.core.book.YardLives;
import mussel.core.job.OwnRecord;
import mussel.core.language.Messages;
import mussel.core.lives.LivesEngine;
import mussel.core.lives.LivesInput;
import mussel.core.lives.LivesResult;
import mussel.core.lives.LivesWords;
import mussel.core.log.MeterReading;
import mussel.core.log.Visit.Wearing;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Range;
import mussel.core.sheet.Interval;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** How long parts last in this yard, and what that says of the interval. */
final class LivesPage implements BookPage {
    private static final Messages TEXT = Messages.of(LivesPage.class);

    private static final double CONFIDENCE = 0.95;
    private static final double PLANNED = 85;
    private static final double FAILURE = 420;
    private static final double RISK = 0.1;
    private static final int POINTS = 60;
    private static final int MOST_RATES = 12;
    private static final int MANY = 5_000;

    private final Workshop shop;
    private final BackgroundQuery aside;
    private final VBox page = new Column(10);
    private final VBox says = new Column(4);
    private final VBox came = new Column(3);
    private final VBox record = new Column(3);
    private final PickRow counting;
    private final LineChart<Number, Number> failing = chart("age (h)", "failed by then (%)");
    private final LineChart<Number, Number> costing = chart("replaced every (h)", "cost per hour");
    private final QuantityField planned = field("life-planned", "planned, assumed", Kind.MONEY, Range.above(0, 1e6));
    private final QuantityField failure = field("life-failure", "failure, assumed", Kind.MONEY, Range.above(0, 1e6));
    private final QuantityField risk = field("life-risk", "may fail earlier (%)", Kind.COUNT, Range.of(0.1, 90));
    private final WhyButton why;
    private Wearing what = Wearing.IMPELLER;
    private Optional<String> where = Optional.empty();
    private Answer last;

    /** Lives with what was asked and what came of it. */
    private record Answer(YardLives lives, LivesInput in, LivesResult out, Comebacks comebacks) {}

    LivesPage(Workshop shop, BackgroundQuery aside) {
        this.shop = shop;
        this.aside = aside;
        List<PickRow.Choice> kinds = new ArrayList<>();
        for (Wearing each : Wearing.values()) {
            kinds.add(PickRow.Choice.text(NamedBy.file(each), each.title()));
        }
        PickRow of = new PickRow("lives-of", TEXT.get("lives_page.lives_of"), kinds)
                .keepsOne()
                .onPick(k -> {
                    what = Wearing.valueOf(k.orElseThrow().toUpperCase(java.util.Locale.ROOT));
                    show();
                });
        of.show(Optional.of(NamedBy.file(what)));
        PickRow in = new PickRow(
                        "lives-in",
                        TEXT.get("lives_page.only_those_that_ran_in"),
                        List.of(
                                PickRow.Choice.text("sand", TEXT.get("lives_page.sand_or_shallows")),
                                PickRow.Choice.text("clean", TEXT.get("lives_page.no_sand")),
                                PickRow.Choice.text("sea", "sea"),
                                PickRow.Choice.text("brackish", "brackish"),
                                PickRow.Choice.text("fresh", "fresh")))
                .onPick(w -> {
                    where = w;
                    show();
                });
        counting = new PickRow(
                        "count-comebacks",
                        TEXT.get("lives_page.what_comebacks_cost_in_the_cost"),
                        List.of(
                                PickRow.Choice.text("off", TEXT.get("lives_page.only_shown")),
                                PickRow.Choice.text("on", "counted")))
                .keepsOne()
                .onPick(on -> {
                    shop.setCountingComebacks(on.equals(Optional.of("on")));
                    show();
                });
        why = new WhyButton(
                "why-lives",
                () -> last == null || last.out().interval().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new LivesWords(
                                        last.in(), last.out(), shop.units().money())
                                .explainInterval()));
        HBox charts = new Row(12, failing, costing);
        HBox.setHgrow(failing, Priority.ALWAYS);
        HBox.setHgrow(costing, Priority.ALWAYS);
        failing.setPrefWidth(0);
        costing.setPrefWidth(0);
        failing.setMinWidth(0);
        costing.setMinWidth(0);
        HBox asked = new Row(14, risk, planned, failure, why);
        asked.setAlignment(Pos.BOTTOM_LEFT);
        page.getChildren()
                .addAll(
                        Texts.title(TEXT.get("lives_page.lives")),
                        new Row(24, of, in),
                        asked,
                        says,
                        charts,
                        came,
                        record,
                        Texts.dim(TEXT.get("lives_page.estimates_from_this_yards_own_logbook")));
        says.setId("lives-says");
        came.setId("lives-came");
        record.setId("lives-record");
    }

    private QuantityField field(String id, String label, Kind kind, Range range) {
        QuantityField field = new QuantityField(id, label, kind, range).wide();
        return field.onEnter((typed, value) -> {
                    shop.decisions().keep(shop.by(), id, String.valueOf(value));
                    show();
                })
                .onClear(() -> {
                    shop.decisions().keep(shop.by(), id, "");
                    show();
                });
    }

    private static LineChart<Number, Number> chart(String x, String y) {
        NumberAxis across = new NumberAxis();
        NumberAxis up = y.endsWith("(%)") ? new NumberAxis(0, 100, 25) : new NumberAxis();
        across.setLabel(x);
        up.setLabel(y);
        LineChart<Number, Number> chart = new LineChart<>(across, up);
        chart.getStyleClass().add("lives-chart");
        chart.setAnimated(false);
        chart.setCreateSymbols(false);
        chart.setLegendVisible(false);
        chart.setPrefHeight(250);
        chart.setMinHeight(200);
        return chart;
    }

    private double asked(String id, double otherwise) {
        String kept = shop.journal().setting(id, "");
        return kept.isEmpty() ? otherwise : Double.parseDouble(kept);
    }

    @Override
    public Node node() {
        ScrollPane scroll = new ScrollArea(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        return scroll;
    }

    @Override
    public void show() {
        double plan = asked("life-planned", PLANNED);
        double fail = asked("life-failure", FAILURE);
        double share = asked("life-risk", RISK * 100);
        planned.show(OptionalDouble.of(plan), shop.units());
        failure.show(OptionalDouble.of(fail), shop.units());
        risk.show(OptionalDouble.of(share), shop.units());
        OptionalDouble months = calendar();
        Wearing of = what;
        Predicate<Renewed> filter = filter(where.orElse(""));
        aside.ask(
                stop -> shop.book().aside(book -> {
                    // It reads every visit there is: in a long log once a sitting.
                    Comebacks back = last == null || book.jobs() < MANY ? Comebacks.of(book.every()) : last.comebacks();
                    Map<String, MeterReading> readings = book.lastReadings();
                    YardLives lives = YardLives.of(book.renewals(), readings, of, filter);
                    OptionalDouble perMonth = YardLives.hoursPerMonth(book.due(200));
                    LivesInput in = new LivesInput(
                            lives.lives(),
                            CONFIDENCE,
                            share / 100,
                            months,
                            perMonth,
                            OptionalDouble.of(plan),
                            OptionalDouble.of(fail));
                    return new Answer(lives, in, LivesEngine.run(in), back);
                }),
                this::answer);
    }

    private void comebacks(Comebacks known) {
        came.getChildren().clear();
        if (!known.any()) {
            return;
        }
        came.getChildren().add(Texts.heading(TEXT.get("lives_page.what_came_back")));
        List.of(known.held(), known.unheld()).forEach(r -> came.getChildren().add(Texts.sentence(r.says())));
        known.rates().stream().limit(MOST_RATES).forEach(r -> came.getChildren().add(Texts.dim(r.says())));
        known.parts().stream().filter(r -> r.came() > 0).forEach(r -> came.getChildren()
                .add(Texts.dim(TEXT.get("lives_page.where_renewed", r.says()))));
        came.getChildren().add(Texts.dim(TEXT.get("lives_page.of_repairs_whose_leg_was_marked")));
        counting.show(Optional.of(shop.countingComebacks() ? "on" : "off"));
        came.getChildren().add(counting);
        shop.families().stream()
                .flatMap(f ->
                        shop.ownRecord(f.id()).costs(f.title(), shop.units().money()).stream())
                .forEach(c -> came.getChildren().add(Texts.sentence(c)));
    }

    /** How often estimates held, and how many steps take the yard's own time, family by family. */
    private void record() {
        record.getChildren().clear();
        for (SpecSheet family : shop.families()) {
            OwnRecord own = shop.ownRecord(family.id());
            int steps = own.times().counted(family);
            String says = (own.quoted() + " "
                            + (steps > 0 ? steps + " of " + family.steps().size() + " steps use your own times." : ""))
                    .strip();
            if (!says.isEmpty()) {
                record.getChildren().add(Texts.sentence(family.title() + ": " + says));
            }
        }
        if (!record.getChildren().isEmpty()) {
            record.getChildren().add(0, Texts.heading(TEXT.get("lives_page.times_and_estimates")));
        }
    }

    private static Predicate<Renewed> filter(String where) {
        return switch (where) {
            case "" -> r -> true;
            case "sand" -> Renewed::sand;
            case "clean" -> r -> !r.sand();
            default -> r -> r.water().equals(Optional.of(where));
        };
    }

    /** The yard's present interval: its habit for impellers, the sheets' for gear oil; seals have none. */
    private OptionalDouble calendar() {
        return switch (what) {
            case IMPELLER -> OptionalDouble.of(shop.yard().pump().calendarMonths());
            case GEAR_OIL ->
                shop.families().stream()
                        .flatMap(f -> f.intervals().stream())
                        .filter(i -> i.counts() == Interval.Counts.GEAR_OIL)
                        .mapToDouble(Interval::months)
                        .min();
            default -> OptionalDouble.empty();
        };
    }

    private void answer(Answer answer) {
        last = answer;
        comebacks(answer.comebacks());
        record();
        says.getChildren().clear();
        String basis = TEXT.get(
                "lives_page.lives_of_them_failed_h_of",
                answer.out().count(),
                answer.out().failures(),
                Math.round(answer.out().hours()),
                (answer.lives().unlooked() > 0
                        ? TEXT.get(
                                "lives_page.ended_with_nobodys_word",
                                answer.lives().unlooked())
                        : ""));
        says.getChildren().add(Texts.heading(what.title() + ": " + basis));
        for (String note :
                new LivesWords(answer.in(), answer.out(), shop.units().money()).notes()) {
            says.getChildren().add(Texts.sentence(note));
        }
        why.setDisable(answer.out().interval().isEmpty());
        failing.getData().clear();
        costing.getData().clear();
        answer.out().fit().ifPresent(fit -> {
            XYChart.Series<Number, Number> curve = new XYChart.Series<>();
            for (int i = 0; i <= POINTS; i++) {
                double age = fit.scale().value() * 2 * i / POINTS;
                curve.getData().add(new XYChart.Data<>(age, fit.failedBy(age) * 100));
            }
            XYChart.Series<Number, Number> band = new XYChart.Series<>();
            answer.out().interval().ifPresent(i -> {
                band.getData().add(new XYChart.Data<>(i.low(), answer.in().risk() * 100));
                band.getData().add(new XYChart.Data<>(i.high(), answer.in().risk() * 100));
            });
            failing.getData().add(curve);
            failing.getData().add(band);
            XYChart.Series<Number, Number> cost = new XYChart.Series<>();
            answer.out().costs().stream().skip(3).forEach(c -> cost.getData()
                    .add(new XYChart.Data<>(c.hours(), c.costPerHour())));
            costing.getData().add(cost);
            answer.out().calendar().filter(c -> c.costPerHour().isPresent()).ifPresent(c -> {
                XYChart.Series<Number, Number> now = new XYChart.Series<>();
                now.getData().add(new XYChart.Data<>(c.hours(), 0));
                now.getData().add(new XYChart.Data<>(c.hours(), c.costPerHour().getAsDouble()));
                costing.getData().add(now);
            });
        });
        failing.setVisible(answer.out().fit().isPresent());
        costing.setVisible(!answer.out().costs().isEmpty());
        failing.setAccessibleText(TEXT.get("lives_page.share_failed_over_age"));
        costing.setAccessibleText(TEXT.get("lives_page.cost_for_each_hour_over_the"));
    }
}
