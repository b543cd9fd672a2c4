package mussel.desktop.book;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import mussel.core.book.BenchPlan;
import mussel.core.fleet.Fleet;
import mussel.core.fleet.FleetEngine;
import mussel.core.fleet.FleetPlan;
import mussel.core.fleet.FleetPlan.Placement;
import mussel.core.fleet.FleetPlan.Ready;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.sheet.Step;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** The plan of the bench: who does what when, drawn as bars over the working days; which promise breaks, and why. */
final class PlanPage implements BookPage {
    private static final Messages TEXT = Messages.of(PlanPage.class);

    private static final double ROW = 40;
    private static final double NAMES = 210;
    private static final double LEAST_DAY = 104;
    private static final int MOST_DAYS = 12;
    /** Ways to draw bars, one a technician. */
    private static final int WAYS = 4;
    /** A bar narrower than this has no room for words (px). */
    private static final double BAR_AIR = 12;

    private final Workshop shop;
    private final BackgroundQuery aside;
    private final Consumer<Integer> onOpen;
    private final Consumer<String> trouble;
    private final VBox page = new Column(10);
    private final Label state = Texts.dim("");
    private final VBox first = new Column(4);
    private final VBox broken = new Column(4);
    private final GridPane bars = new GridPane();
    private final Label about = Texts.sentence("");
    private Fleet fleet;

    PlanPage(Workshop shop, BackgroundQuery aside, Consumer<Integer> onOpen, Consumer<String> trouble) {
        this.shop = shop;
        this.aside = aside;
        this.onOpen = onOpen;
        this.trouble = trouble;
        Label title = Texts.title(TEXT.get("plan_page.bench_plan"));
        title.setMinWidth(Label.USE_PREF_SIZE);
        HBox head = new Row(12, title, state);
        head.setAlignment(Pos.CENTER_LEFT);
        bars.setId("plan-bars");
        bars.getStyleClass().add("plan-bars");
        first.setId("plan-first");
        broken.setId("plan-broken");
        about.setId("plan-about");
        ScrollPane scroll = new ScrollArea(bars);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        HBox words = new Row(24, first, broken);
        HBox.setHgrow(first, Priority.ALWAYS);
        HBox.setHgrow(broken, Priority.ALWAYS);
        first.setPrefWidth(0);
        broken.setPrefWidth(0);
        page.getChildren().addAll(head, words, scroll, about);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void show() {
        state.setText(TEXT.get("plan_page.planning"));
        boolean empty = bars.getChildren().isEmpty();
        aside.ask(
                stop -> {
                    BenchPlan asked = shop.apart(Workshop::benchPlan);
                    return new First(asked, empty ? Optional.of(FleetEngine.first(asked.fleet())) : Optional.empty());
                },
                first -> {
                    fleet = first.asked().fleet();
                    first.plan()
                            .ifPresent(plan ->
                                    answer(first.asked(), plan, TEXT.get("plan_page.a_first_plan_a_better_one")));
                    search(first.asked());
                });
    }

    /** What there is to plan, and a plan made at once where none is shown yet. */
    private record First(BenchPlan asked, Optional<FleetPlan> plan) {}

    private void search(BenchPlan asked) {
        aside.ask(
                stop -> FleetEngine.plan(asked.fleet(), stop),
                plan -> answer(
                        asked,
                        plan,
                        plan.proven()
                                ? TEXT.get("plan_page.no_better_plan_exists")
                                : TEXT.get("plan_page.the_best_found_in_a_second")));
    }

    private void answer(BenchPlan asked, FleetPlan plan, String how) {
        state.setText(TEXT.get(
                "plan_page.legs_pieces_of_work_times_are",
                plan.legs().size(),
                plan.placements().size(),
                how));
        first.getChildren().setAll(Texts.heading(TEXT.get("plan_page.do_next")));
        plan.next().forEach(p -> first.getChildren().add(next(asked, p)));
        broken.getChildren().setAll(Texts.heading(TEXT.get("plan_page.promises")));
        plan.broken().forEach(r -> broken.getChildren().add(promise(r)));
        if (plan.broken().isEmpty()) {
            broken.getChildren().add(Texts.sentence(TEXT.get("plan_page.all_promised_days_hold")));
        }
        asked.left().forEach(l -> broken.getChildren().add(Texts.dim(l)));
        plan.unplanned()
                .forEach(l -> broken.getChildren().add(Texts.dim(TEXT.get("plan_page.fits_into_no_day_a_piece", l))));
        draw(plan);
        plan.placements().stream().findFirst().ifPresent(this::tell);
    }

    private Node next(BenchPlan asked, Placement p) {
        Button open = new Button(TEXT.get("plan_page.open"));
        open.setAccessibleText(TEXT.get("plan_page.open_2", p.leg()));
        open.setOnAction(e -> onOpen.accept(p.job()));
        open.setMinWidth(Region.USE_PREF_SIZE);
        VBox words = new Column(
                1,
                Texts.wrapped(p.technician() + ": " + p.leg(), "strong"),
                Texts.dim(p.task().title() + ", " + when(p)));
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox line = new Row(10, words, open);
        line.setAlignment(Pos.CENTER_LEFT);
        Optional.ofNullable(asked.next().get(p.job()))
                .filter(step -> isFirst(p))
                .ifPresent(step -> {
                    step.cautions().forEach(c -> words.getChildren().add(Texts.wrapped(c, "urgent")));
                    line.getChildren().add(1, done(p, step));
                });
        return line;
    }

    private boolean isFirst(Placement p) {
        return fleet.legs().stream()
                .anyMatch(l -> l.job() == p.job() && l.tasks().get(0).equals(p.task()));
    }

    /** Enters something and plans anew. */
    private void enter(Runnable entry) {
        try {
            entry.run();
        } catch (JournalException e) {
            trouble.accept(e.getMessage());
        }
        show();
    }

    /** Ticks the step that comes next; the bench is planned anew from there. */
    private Button done(Placement p, Step step) {
        Button done = new Button(TEXT.get("plan_page.step_done"));
        done.setId("plan-done-" + p.job());
        done.setAccessibleText(TEXT.get("plan_page.done", step.title(), p.leg()));
        done.setMinWidth(Region.USE_PREF_SIZE);
        done.setOnAction(e -> {
            done.setDisable(true);
            enter(() -> shop.tick(p.job(), step.id()));
        });
        return done;
    }

    private static Label promise(Ready ready) {
        Label label = Texts.wrapped(
                TEXT.get(
                        "plan_page.promised_ready",
                        ready.leg(),
                        ready.promised().orElseThrow(),
                        ready.at().toLocalDate(),
                        ready.why()),
                "urgent");
        label.setGraphic(Marks.caution());
        return label;
    }

    private static String when(Placement p) {
        return TEXT.get(
                "plan_page.to",
                day(p.start().toLocalDate()),
                p.start().toLocalTime(),
                (p.end().toLocalDate().equals(p.start().toLocalDate())
                        ? ""
                        : day(p.end().toLocalDate()) + " "),
                p.end().toLocalTime());
    }

    private static String day(LocalDate day) {
        return day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH) + " " + day.getDayOfMonth() + "."
                + day.getMonthValue() + ".";
    }

    private void tell(Placement p) {
        about.setText(TEXT.get(
                "plan_page.min_on_the_mean",
                p.leg(),
                p.task().title(),
                Math.round(p.task().minutes()),
                p.technician(),
                when(p),
                p.why()));
    }

    private void draw(FleetPlan plan) {
        bars.getChildren().clear();
        LocalDate lastDay = plan.placements().stream()
                .map(p -> p.end().toLocalDate())
                .max(LocalDate::compareTo)
                .orElse(shop.today());
        List<LocalDate> days = plan.days().stream()
                .filter(d -> !d.isAfter(lastDay))
                .limit(MOST_DAYS)
                .toList();
        HBox head = new Row();
        for (LocalDate each : days) {
            Label label = Texts.dim(day(each));
            label.setPrefWidth(0);
            label.setMinWidth(LEAST_DAY);
            HBox.setHgrow(label, Priority.ALWAYS);
            label.setMaxWidth(Double.MAX_VALUE);
            head.getChildren().add(label);
        }
        bars.add(head, 1, 0);
        GridPane.setHgrow(head, Priority.ALWAYS);
        int above = 1;
        for (int i = 0; i < fleet.technicians().size(); i++) {
            Fleet.Technician who = fleet.technicians().get(i);
            Label name = Texts.wrapped(who.name(), "small");
            name.getStyleClass().addAll("plan-who", "by-" + i % WAYS);
            name.setMaxWidth(Double.MAX_VALUE);
            bars.add(name, 0, above);
            bars.add(presence(who, days), 1, above++);
        }
        Map<Integer, Strip> strips = new LinkedHashMap<>();
        for (Ready ready : plan.legs()) {
            Label name = Texts.wrapped(
                    ready.leg()
                            + ready.promised()
                                    .map(d -> TEXT.get("plan_page.promised", day(d)))
                                    .orElse(""),
                    ready.broken() ? "urgent" : "small");
            name.setMinWidth(NAMES);
            name.setPrefWidth(NAMES);
            int row = strips.size() + above;
            Strip strip = new Strip(days);
            strips.put(ready.job(), strip);
            bars.add(name, 0, row);
            bars.add(strip, 1, row);
            ready.promised().ifPresent(strip::promised);
        }
        plan.placements().forEach(p -> strips.get(p.job()).add(p));
    }

    /** Whether somebody is here, day by day; a press says the other, and the bench is planned anew. */
    private HBox presence(Fleet.Technician who, List<LocalDate> days) {
        HBox row = new Row();
        for (LocalDate each : days) {
            boolean away = who.away().contains(each);
            Button here = new Button(away ? "away" : "here");
            here.setId("here-" + fleet.technicians().indexOf(who) + "-" + each);
            here.getStyleClass().add(away ? "plan-away" : "plan-here");
            here.setAccessibleText(TEXT.get("plan_page.is_on", who.name(), here.getText(), each));
            here.setPrefWidth(0);
            here.setMinWidth(LEAST_DAY);
            here.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(here, Priority.ALWAYS);
            here.setOnAction(e -> {
                here.setDisable(true);
                enter(() -> shop.absences().keep(who.name(), each, !away, shop.today()));
            });
            row.getChildren().add(here);
        }
        return row;
    }

    /** The bars of one leg over the working days. */
    private final class Strip extends Pane {
        private final List<LocalDate> days;

        Strip(List<LocalDate> days) {
            this.days = days;
            setMinHeight(ROW);
            setPrefHeight(ROW);
            setMinWidth(days.size() * LEAST_DAY);
            getStyleClass().add("plan-strip");
            for (int i = 1; i < days.size(); i++) {
                Line edge = new Line(0, 0, 0, ROW);
                edge.getStyleClass().add("plan-day");
                edge.layoutXProperty().bind(widthProperty().multiply((double) i / days.size()));
                getChildren().add(edge);
            }
        }

        private double at(java.time.LocalDateTime moment) {
            int day = days.indexOf(moment.toLocalDate());
            if (day < 0) {
                return -1;
            }
            double from = fleet.hours().from().toSecondOfDay();
            double to = fleet.hours().to().toSecondOfDay();
            double share = (moment.toLocalTime().toSecondOfDay() - from) / (to - from);
            return (day + Math.max(0, Math.min(1, share))) / days.size();
        }

        void promised(LocalDate day) {
            int at = days.indexOf(day);
            if (at >= 0) {
                Line mark = new Line(0, 2, 0, ROW - 2);
                mark.getStyleClass().add("plan-promise");
                mark.layoutXProperty()
                        .bind(widthProperty().multiply((at + 1.0) / days.size()).subtract(2));
                getChildren().add(mark);
            }
        }

        void add(Placement p) {
            double from = at(p.start());
            double to = at(p.end());
            if (from < 0 || to < 0) {
                return;
            }
            Button bar = new Button();
            bar.getStyleClass().addAll("plan-bar", "by-" + who(p.technician()));
            bar.setId("bar-" + p.job() + "-" + p.startSlot());
            bar.setMinWidth(0);
            bar.setMinHeight(ROW - 6);
            bar.setPrefHeight(ROW - 6);
            bar.setLayoutY(3);
            bar.setMnemonicParsing(false);
            bar.layoutXProperty().bind(widthProperty().multiply(from).add(1));
            bar.prefWidthProperty().bind(widthProperty().multiply(to - from).subtract(2));
            bar.widthProperty()
                    .addListener(
                            (o, was, is) -> bar.setText(fitting(bar, p.task().title())));
            bar.setAccessibleText(
                    p.leg() + ", " + p.task().title() + ", " + p.technician() + ", " + when(p) + ". " + p.why());
            bar.setOnAction(e -> tell(p));
            bar.focusedProperty().addListener((o, was, is) -> {
                if (is) {
                    tell(p);
                }
            });
            getChildren().add(bar);
        }

        /** The title where the bar has room for it, its first words where it has room for those, else nothing: under the bars it stands whole. */
        private static String fitting(Button bar, String title) {
            double room = bar.getWidth() - BAR_AIR;
            for (String words : new String[] {title, title.replaceFirst(":.*", "")}) {
                javafx.scene.text.Text measured = new javafx.scene.text.Text(words);
                measured.setFont(bar.getFont());
                if (measured.getLayoutBounds().getWidth() <= room) {
                    return words;
                }
            }
            return "";
        }

        private int who(String technician) {
            for (int i = 0; i < fleet.technicians().size(); i++) {
                if (fleet.technicians().get(i).name().equals(technician)) {
                    return i % WAYS;
                }
            }
            return 0;
        }
    }
}
