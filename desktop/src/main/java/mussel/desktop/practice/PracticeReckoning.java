package mussel.desktop.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mussel.core.book.WorkList;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Money;
import mussel.core.practice.Exercise;
import mussel.core.practice.PracticeReview;
import mussel.core.practice.Reckoning;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.RepairGoal;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** What a practice leg came to: what was wrong, each look with its time and what it could settle, and what the advice and one who knew would have cost. */
public final class PracticeReckoning extends Column {
    private static final Messages TEXT = Messages.of(PracticeReckoning.class);

    private static final double MINUTE = 3;

    private final Workshop shop;
    private final Exercise exercise;
    private final PracticeReview told;
    private final Label printed = Texts.dim("");

    /** The reckoning of an exercise that was handed back, with the way to another leg and to all lessons. */
    public PracticeReckoning(Workshop shop, Exercise exercise, Runnable another, Runnable lessons) {
        super(8);
        this.shop = shop;
        this.exercise = exercise;
        this.told = exercise.told().orElseThrow();
        setId("practice-told");
        getChildren()
                .add(Texts.heading(exercise.job().leg().boat()
                        + exercise.lesson().map(l -> ": " + l.title()).orElse("")));
        sentences().forEach(s -> getChildren().add(Texts.sentence(s)));
        getChildren().add(Texts.heading(TEXT.get("practice_reckoning.your_looks_minutes_what_each_could")));
        told.looks().forEach(l -> getChildren().add(look(l)));
        exercise.lesson().ifPresent(l -> getChildren()
                .addAll(
                        Texts.heading(TEXT.get("practice_reckoning.the_lesson")),
                        Texts.sentence(l.why()),
                        Texts.dim(TEXT.get("practice_reckoning.the_habit", l.habit()))));
        Button next = new Button(TEXT.get("practice_reckoning.another_leg"));
        next.setId("practice-another");
        next.getStyleClass().add("act");
        next.setOnAction(e -> another.run());
        Button all = new Button(TEXT.get("practice_reckoning.all_lessons"));
        all.setId("practice-lessons");
        all.setOnAction(e -> lessons.run());
        Button print = new Button(TEXT.get("practice_reckoning.print_it"));
        print.setId("practice-print");
        print.setOnAction(e -> print());
        HBox row = new Row(10, next, all, print, printed);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(row);
    }

    private Money money() {
        return shop.units().money();
    }

    private String title(String goal) {
        return exercise.knowledge().goal(goal).map(RepairGoal::title).orElse(goal);
    }

    private String titles(List<String> goals) {
        return goals.stream().map(this::title).collect(Collectors.joining(", "));
    }

    private String name(String finding) {
        return exercise.knowledge().finding(finding).map(Finding::title).orElse(finding);
    }

    private List<String> sentences() {
        List<String> says = new ArrayList<>();
        List<String> causes = exercise.causes();
        says.add(
                causes.isEmpty()
                        ? TEXT.get("practice_reckoning.nothing_was_wrong_with_it")
                        : TEXT.get("practice_reckoning.what_was_wrong", String.join("; ", causes)));
        Reckoning own = told.own();
        says.add(TEXT.get(
                "practice_reckoning.it_cost_you_of_looks_of",
                money().sum(own.cost()),
                money().sum(own.looking()),
                Display.workTime(own.minutes()),
                money().sum(own.work()),
                money().sum(own.comebacks())));
        if (!own.missed().isEmpty()) {
            says.add(TEXT.get("practice_reckoning.missed", titles(own.missed())));
        }
        if (!own.needless().isEmpty()) {
            says.add((told.right() ? "Needless: " : "Not yours to do: ") + titles(own.needless()) + ".");
        }
        if (!told.right()) {
            says.add(
                    exercise.handedOver()
                            ? TEXT.get("practice_reckoning.it_was_yours_to_mend_a")
                            : TEXT.get("practice_reckoning.here_it_was_right_to_stop"));
        }
        says.add(TEXT.get(
                "practice_reckoning.the_advice_would_have_cost_with",
                money().sum(told.advice().cost()),
                Display.workTime(told.advice().minutes()),
                told.advised().stream().map(this::name).collect(Collectors.joining(", ")),
                money().sum(told.knowing().cost())));
        says.add(
                told.lost() > 0
                        ? TEXT.get("practice_reckoning.against_the_advice_you_lost_on", money().sum(told.lost()))
                        : TEXT.get("practice_reckoning.you_did_better_than_the_advice", money().sum(-told.lost())));
        told.score()
                .ifPresent(s -> says.add(
                        TEXT.get("practice_reckoning.what_you_suspected_scores_bits_a", Display.significant(s))));
        return says;
    }

    private HBox look(PracticeReview.Made look) {
        Region bar = new Region();
        bar.getStyleClass().add("look-minutes");
        bar.setMinSize(Math.max(2, MINUTE * look.minutes()), 12);
        bar.setMaxSize(Math.max(2, MINUTE * look.minutes()), 12);
        Label says = Texts.sentence(name(look.finding()) + ": " + look.shows().replace('_', ' '));
        says.setMinWidth(0);
        says.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(says, Priority.ALWAYS);
        Label figures = Texts.dim(TEXT.get(
                "practice_reckoning.bits",
                Display.workTime(look.minutes()),
                Display.significant(look.bits()),
                money().sum(look.value())));
        figures.setMinWidth(USE_PREF_SIZE);
        HBox row = new Row(8, bar, says, figures);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** One page for the apprentice's folder. */
    private void print() {
        List<WorkList.Line> looks = told.looks().stream()
                .map(l -> new WorkList.Line(
                        name(l.finding()) + ": " + l.shows().replace('_', ' ') + " (" + Display.workTime(l.minutes())
                                + ")",
                        true))
                .toList();
        List<String> notes = new ArrayList<>(sentences());
        exercise.lesson().ifPresent(l -> notes.add(l.why()));
        WorkList list = new WorkList(
                TEXT.get(
                        "practice_reckoning.not_there",
                        exercise.job().leg().boat(),
                        exercise.lesson().map(l -> ": " + l.title()).orElse("")),
                TEXT.get(
                        "practice_reckoning.practice_a_leg_that_is_not",
                        exercise.family()
                                .map(f -> TEXT.get("practice_reckoning.of_a", f))
                                .orElse(""),
                        shop.by(),
                        known(exercise.context())),
                looks,
                notes);
        Paper.place(shop, this, "Practice", "practice-" + exercise.job().id() + ".pdf")
                .ifPresent(file -> Paper.write(
                        shop,
                        TEXT.get("practice_reckoning.the_page"),
                        file,
                        () -> shop.papers().list(shop.yard(), shop.today(), list, file),
                        printed::setText));
    }

    /** What is known before anyone looks, in a sentence. */
    static String known(Context context) {
        List<String> known = new ArrayList<>();
        context.complaint().forEach(c -> known.add(TEXT.get("practice_reckoning.came_in_for", c.title())));
        context.water().ifPresent(w -> known.add(TEXT.get("practice_reckoning.runs_in", plain(w))));
        context.sand().filter(s -> s).ifPresent(s -> known.add(TEXT.get("practice_reckoning.in_sand_or_shallows")));
        context.ageYears().ifPresent(a -> known.add(TEXT.get("practice_reckoning.years_old", Math.round(a))));
        context.hoursSinceChange()
                .ifPresent(h -> known.add(TEXT.get("practice_reckoning.h_on_its_oil", Math.round(h))));
        context.pumpMonths()
                .ifPresent(m -> known.add(TEXT.get("practice_reckoning.impeller_months_old", Math.round(m))));
        context.lastJob().ifPresent(j -> known.add(TEXT.get("practice_reckoning.last_time", plain(j))));
        String all = String.join("; ", known);
        return all.isEmpty() ? "" : all.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + all.substring(1) + ".";
    }

    private static String plain(Enum<?> of) {
        return of.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }
}
