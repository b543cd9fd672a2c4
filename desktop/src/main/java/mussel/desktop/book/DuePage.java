package mussel.desktop.book;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.book.LayUp;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.job.BenchLine;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.log.DueForecast;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.shop.Workshop;

/** What is due on every leg, with what the hours will be by then; and what a leg needs before frost. */
final class DuePage implements BookPage {
    private static final Messages TEXT = Messages.of(DuePage.class);

    private static final int MOST = 400;
    private static final int MOST_SHOWN = 60;
    private static final double SIDE = 430;
    private static final double LEAST_SIDE = 396;
    private static final double LEAST_LIST = 570;
    private static final double MOST_TANK_ML = 2_000_000;

    private final Workshop shop;
    private final Consumer<String> onLeg;
    private final RoundCard round;
    private final HBox page = new Row(14);
    private final VBox lines = new Column(0);
    private final Label said = Texts.dim("");
    private final VBox layUp = new Column(8);
    private final VBox steps = new Column(6);
    private Optional<SpecSheet> family = Optional.empty();
    private OptionalDouble tank = OptionalDouble.empty();
    private OptionalDouble dose = OptionalDouble.empty();
    private OptionalDouble oil = OptionalDouble.empty();
    private OptionalDouble filter = OptionalDouble.empty();

    DuePage(Workshop shop, Consumer<String> onLeg, Consumer<Integer> onOpen) {
        this.shop = shop;
        this.onLeg = onLeg;
        this.round = new RoundCard(shop, onOpen);
        Button calendar = new Button(TEXT.get("due_page.calendar_for_other_programs"));
        calendar.setId("due-ics");
        calendar.setOnAction(e -> Paper.place(page, "Calendar", "due.ics").ifPresent(this::calendar));
        HBox head = new Row(12, Texts.title(TEXT.get("due_page.due")), calendar, said);
        head.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new ScrollArea(lines);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox left = new Column(10, head, scroll);
        HBox.setHgrow(left, Priority.ALWAYS);
        layUp.getStyleClass().add("side");
        Column aside = new Column(14, round, layUp);
        ScrollPane side = new ScrollArea(aside);
        side.setFitToWidth(true);
        side.setMinWidth(LEAST_SIDE);
        side.setPrefWidth(SIDE);
        side.setMaxWidth(SIDE);
        left.setMinWidth(LEAST_LIST);
        side.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        page.getChildren().addAll(left, side);
    }

    private void calendar(Path file) {
        Paper.write(
                shop, TEXT.get("due_page.the_calendar"), file, () -> shop.data().calendar(file), said::setText);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void show() {
        LocalDate today = shop.today();
        List<Awaiting> due = shop.book().due(MOST);
        record Line(Awaiting each, DueForecast forecast) {}
        List<Line> sorted = due.stream()
                .map(a -> new Line(a, DueForecast.of(a.due(), a.readings(), today)))
                .sorted(Comparator.comparing((Line l) -> l.forecast().by())
                        .thenComparing(l -> l.each().leg().title()))
                .toList();
        Map<String, Integer> onBench = shop.journal().benchLines().open().stream()
                .collect(Collectors.toMap(l -> l.leg().id(), BenchLine::job, (first, later) -> later));
        lines.getChildren().clear();
        shop.yard().wrenches().stream()
                .filter(w -> w.overdue(today.plusMonths(1)))
                .map(w -> w.overdue(today) ? Texts.caution(w.says(today)) : Texts.sentence(w.says(today)))
                .forEach(lines.getChildren()::add);
        sorted.stream().limit(MOST_SHOWN).forEach(l -> {
            String here = onBench.containsKey(l.each().leg().id())
                    ? TEXT.get(
                            "due_page.it_is_on_the_bench_now",
                            onBench.get(l.each().leg().id()))
                    : "";
            lines.getChildren().add(line(l.each(), l.forecast(), today, here));
        });
        if (sorted.isEmpty()) {
            lines.getChildren().add(Texts.dim(TEXT.get("due_page.nothing_yet_once_a_leg_is")));
        } else if (sorted.size() > MOST_SHOWN) {
            lines.getChildren()
                    .add(Texts.dim(TEXT.get("due_page.and_later_the_calendar_and_the", (sorted.size() - MOST_SHOWN))));
        }
        if (layUp.getChildren().isEmpty()) {
            layUp();
        }
        round.show(sorted.stream().map(Line::each).toList());
        family = family.or(() -> shop.families().stream().findFirst());
        showSteps();
    }

    private Region line(Awaiting each, DueForecast forecast, LocalDate today, String here) {
        Label when = Texts.wrapped(forecast.by().toString(), "strong");
        Label mark = Texts.wrapped(
                switch (forecast.urgency()) {
                    case OVERDUE -> "overdue";
                    case SOON -> "soon";
                    case LATER -> "";
                },
                "urgent");
        if (forecast.urgency() != Due.Urgency.LATER) {
            mark.setGraphic(Marks.caution());
        }
        mark.setManaged(forecast.urgency() != Due.Urgency.LATER);
        VBox day = new Column(2, when, mark);
        day.setAlignment(Pos.CENTER_LEFT);
        day.setMinWidth(112);
        VBox what = new Column(
                1,
                Texts.wrapped(each.leg().title() + " · " + each.due().what(), "strong"),
                Texts.dim(forecast.says(today) + here));
        HBox.setHgrow(what, Priority.ALWAYS);
        Button leg = new Button(TEXT.get("due_page.its_life"));
        leg.setAccessibleText(TEXT.get("due_page.the_life_of", each.leg().title()));
        leg.setOnAction(e -> onLeg.accept(each.leg().id()));
        leg.setMinWidth(Region.USE_PREF_SIZE);
        WhyButton why = new WhyButton("why-due-" + each.job(), () -> Optional.of(forecast.explain(today)));
        why.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new Row(10, day, what, why, leg);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add("due-line");
        return line;
    }

    private void layUp() {
        Range volume = Range.of(0, MOST_TANK_ML);
        List<PickRow.Choice> families = shop.families().stream()
                .map(f -> PickRow.Choice.text(f.id(), f.title()))
                .toList();
        PickRow of = new PickRow("layup-family", TEXT.get("due_page.leg"), families)
                .keepsOne()
                .onPick(id -> {
                    family = shop.families().stream()
                            .filter(f -> id.equals(Optional.of(f.id())))
                            .findFirst();
                    showSteps();
                });
        of.show(shop.families().stream().findFirst().map(SpecSheet::id));
        layUp.getChildren()
                .addAll(
                        Texts.heading(TEXT.get("due_page.lay_up_before_frost")),
                        of,
                        new Row(
                                10,
                                field(
                                        "tank",
                                        TEXT.get("due_page.fuel_in_the_tank"),
                                        Kind.VOLUME,
                                        volume,
                                        v -> tank = v),
                                field(
                                        "dose",
                                        TEXT.get("due_page.stabiliser_ml_l"),
                                        Kind.COUNT,
                                        Range.above(0, 100),
                                        v -> dose = v)),
                        new Row(
                                10,
                                field("engine-oil", TEXT.get("due_page.engine_oil"), Kind.VOLUME, volume, v -> oil = v),
                                field(
                                        "filter",
                                        TEXT.get("due_page.filter_takes"),
                                        Kind.VOLUME,
                                        volume,
                                        v -> filter = v)),
                        steps,
                        Texts.dim(TEXT.get("due_page.the_makers_manual_for_the_exact")));
    }

    private QuantityField field(String id, String label, Kind kind, Range range, Consumer<OptionalDouble> set) {
        QuantityField field = new QuantityField("layup-" + id, label, kind, range).wide();
        return field.onEnter((typed, value) -> {
                    set.accept(OptionalDouble.of(value));
                    field.show(OptionalDouble.of(value), shop.units());
                    showSteps();
                })
                .onClear(() -> {
                    set.accept(OptionalDouble.empty());
                    field.show(OptionalDouble.empty(), shop.units());
                    showSteps();
                });
    }

    private void showSteps() {
        LayUp needs = new LayUp(tank, dose, oil, filter, shop.yard().bottles());
        steps.getChildren().clear();
        family.ifPresent(sheet -> needs.steps(sheet, shop.units())
                .forEach(step -> steps.getChildren().add(Texts.sentence(step))));
    }
}
