package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.practice.Exercise;
import mussel.core.practice.LegName;
import mussel.core.practice.Lesson;
import mussel.core.practice.PracticeLeg;
import mussel.core.practice.Weak;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Context;
import mussel.core.verdict.RepairGoal;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollArea;
import mussel.desktop.kit.Texts;
import mussel.desktop.practice.PracticeReckoning;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** Practice: lessons and legs that are not there, in a log of their own. */
final class PracticePage implements BookPage {
    private static final Messages TEXT = Messages.of(PracticePage.class);

    /** Of every draw: the same number is the same leg for everybody. */
    private static final long SEED = 1;

    private static final String ANY = "any";
    private static final int MOST_NUMBER = 1_000_000;

    private final Workshop shop;
    private final Consumer<Integer> onPractise;
    private final Consumer<String> onTrouble;
    private final VBox page = new Column(10);
    private final ScrollPane scroll;
    private final PickRow way;
    private final LearnerCard learners;
    private final TextField number = new TextField();
    /** Made once the practice log could be opened. */
    private Optional<PickRow> family = Optional.empty();

    private boolean coached = true;
    /** The family legs are drawn of; empty for any. */
    private Optional<String> of = Optional.empty();
    /** The exercise whose reckoning is looked at. */
    private Optional<Integer> reckoned = Optional.empty();

    PracticePage(Workshop shop, BackgroundQuery aside, Consumer<Integer> onPractise, Consumer<String> onTrouble) {
        this.shop = shop;
        this.learners = new LearnerCard(shop, aside);
        // What was done on real legs stands outside the frame of those that are not there.
        this.scroll = new ScrollArea(new Column(10, page, learners));
        this.onPractise = onPractise;
        this.onTrouble = onTrouble;
        page.setId("practice-page");
        page.getStyleClass().addAll("card", "simulated");
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        way = new PickRow(
                        "practice-way",
                        TEXT.get("practice_page.how"),
                        List.of(
                                PickRow.Choice.text(
                                        "coached", TEXT.get("practice_page.coached_the_conclusion_in_sight")),
                                PickRow.Choice.text("own", TEXT.get("practice_page.on_your_own"))))
                .keepsOne()
                .onPick(w -> coached = w.equals(Optional.of("coached")));
        number.setId("practice-number");
        number.setPromptText("4711");
        number.setPrefColumnCount(8);
        number.setAccessibleText(TEXT.get("practice_page.the_number_of_a_practice_leg"));
    }

    @Override
    public Node node() {
        return scroll;
    }

    private Journal log() {
        return shop.practice().journal();
    }

    private List<Lesson> lessons() {
        return shop.practice().lessons();
    }

    private Workshop bench() {
        return shop.practice().bench(shop);
    }

    private Optional<Exercise> exercise(int job) {
        return bench().exercise(Job.of(log().entries(job)));
    }

    /** The exercises of whoever stands here, the earliest first. */
    private List<Exercise> mine() {
        List<Exercise> mine = new ArrayList<>();
        for (int job : log().numbers()) {
            exercise(job).filter(e -> e.job().people().contains(shop.by())).ifPresent(mine::add);
        }
        return mine;
    }

    /** The sheet of the leg with that number: of the family picked, else of those there are in turn. */
    private SpecSheet sheet(int number) {
        List<SpecSheet> families = bench().families();
        return families.stream()
                .filter(f -> of.equals(Optional.of(f.id())))
                .findFirst()
                .orElseGet(() -> families.get(Math.floorMod(number, families.size())));
    }

    @Override
    public void show() {
        tried(() -> {
            List<Exercise> mine = mine();
            page.getChildren().setAll(head());
            if (reckoned.isPresent()) {
                learners.setVisible(false);
                exercise(reckoned.get()).ifPresent(e -> page.getChildren()
                        .add(new PracticeReckoning(shop, e, () -> like(e), this::lessonsAgain)));
                page.getChildren().add(curve(mine));
            } else {
                choose(mine);
            }
        });
    }

    /** Begins another leg like the one handed back last. */
    void another() {
        tried(() -> mine().stream()
                .filter(Exercise::back)
                .reduce((a, b) -> b.job().touched().isBefore(a.job().touched()) ? a : b)
                .ifPresent(this::like));
    }

    private void like(Exercise e) {
        coached = e.coached();
        begin(e.lesson(), e.bench().leg().number());
    }

    private Node head() {
        Label mark = Texts.wrapped(TEXT.get("practice_page.practice_these_legs_are_not_there"), "refusal");
        mark.setId("practice-mark");
        return new Column(4, Texts.title(TEXT.get("practice_page.practice")), mark);
    }

    private void choose(List<Exercise> mine) {
        way.show(Optional.of(coached ? "coached" : "own"));
        page.getChildren().addAll(way, families());
        goesOn(mine);
        int nr = 1;
        for (Lesson lesson : lessons()) {
            Button begin = new Button(nr++ + "  " + lesson.title());
            begin.setId("lesson-" + lesson.id());
            begin.setMinWidth(Button.USE_PREF_SIZE);
            begin.setOnAction(e -> begin(Optional.of(lesson), last(mine, lesson)));
            long done = mine.stream()
                    .filter(Exercise::back)
                    .filter(e -> e.lesson().equals(Optional.of(lesson)))
                    .count();
            Label says = Texts.dim((done > 0
                            ? done
                                    + (done == 1
                                            ? TEXT.get("practice_page.leg_done")
                                            : TEXT.get("practice_page.legs_done"))
                            : "")
                    + lesson.see());
            says.setMinWidth(0);
            HBox.setHgrow(says, Priority.ALWAYS);
            HBox row = new Row(12, begin, says);
            row.setAlignment(Pos.CENTER_LEFT);
            page.getChildren().add(row);
        }
        number.setOnAction(e -> shared());
        HBox free = new Row(
                12,
                button("practice-any", TEXT.get("practice_page.any_leg"), () -> begin(Optional.empty(), last(mine))),
                number,
                button("practice-shared", TEXT.get("practice_page.the_leg_of_this_number"), this::shared));
        free.setAlignment(Pos.CENTER_LEFT);
        page.getChildren().addAll(Texts.heading(TEXT.get("practice_page.free_practice")), free);
        weak(mine);
        page.getChildren().add(curve(mine));
        learners.show();
    }

    /** Legs for what whoever stands here gets wrong. */
    private void weak(List<Exercise> mine) {
        Weak weak = Weak.of(mine);
        if (weak.goals().isEmpty()) {
            return;
        }
        String goals = weak.goals().stream()
                .flatMap(g -> shop.tables().shippedTables().goal(g).stream())
                .map(RepairGoal::title)
                .collect(Collectors.joining(", "));
        Label says = Texts.dim(TEXT.get("practice_page.of_your_last_legs_such_legs", Weak.LAST, goals));
        says.setMinWidth(0);
        HBox.setHgrow(says, Priority.ALWAYS);
        HBox row = new Row(
                12,
                button(
                        "practice-weak",
                        TEXT.get("practice_page.one_for_what_you_got_wrong"),
                        () -> seek(weak, last(mine))),
                says);
        row.setAlignment(Pos.CENTER_LEFT);
        page.getChildren().add(row);
    }

    private void seek(Weak weak, int after) {
        weak.next(SEED, after, nr -> bench().tables().judge().tables(context(nr, Optional.empty())))
                .ifPresentOrElse(
                        l -> open(l.number(), Optional.empty()),
                        () -> onTrouble.accept(TEXT.get("practice_page.no_further_leg_of_this_kind")));
    }

    private PickRow families() {
        if (family.isEmpty()) {
            List<PickRow.Choice> families = new ArrayList<>(List.of(PickRow.Choice.text(ANY, "any")));
            bench().families().forEach(f -> families.add(PickRow.Choice.text(f.id(), f.title())));
            family = Optional.of(new PickRow("practice-family", TEXT.get("practice_page.legs_of"), families)
                    .keepsOne()
                    .onPick(f -> of = f.filter(id -> !id.equals(ANY))));
        }
        family.get().show(Optional.of(of.orElse(ANY)));
        return family.get();
    }

    /** What was begun and not handed back, and what was handed back last. */
    private void goesOn(List<Exercise> mine) {
        Row row = new Row(12);
        mine.stream()
                .filter(e -> !e.back() && e.onStations())
                .reduce((a, b) -> b)
                .ifPresent(e -> row.getChildren()
                        .add(button(
                                "practice-go-on",
                                TEXT.get("practice_page.go_on_with", titled(e)),
                                () -> onPractise.accept(e.job().id()))));
        mine.stream().filter(Exercise::back).reduce((a, b) -> b).ifPresent(e -> row.getChildren()
                .add(button("practice-last-told", TEXT.get("practice_page.the_last_reckoning"), () -> {
                    reckoned = Optional.of(e.job().id());
                    show();
                    scroll.setVvalue(0);
                })));
        if (!row.getChildren().isEmpty()) {
            page.getChildren().add(row);
        }
    }

    private static Button button(String id, String text, Runnable does) {
        Button button = new Button(text);
        button.setId(id);
        button.setMinWidth(Button.USE_PREF_SIZE);
        button.setOnAction(e -> does.run());
        return button;
    }

    private static String titled(Exercise e) {
        return e.job().leg().boat() + e.lesson().map(l -> ": " + l.title()).orElse("");
    }

    private static int last(List<Exercise> mine, Lesson lesson) {
        return mine.stream()
                .filter(e -> e.lesson().equals(Optional.of(lesson)))
                .mapToInt(e -> e.bench().leg().number())
                .max()
                .orElse(0);
    }

    private static int last(List<Exercise> mine) {
        return mine.stream()
                .filter(e -> e.lesson().isEmpty())
                .mapToInt(e -> e.bench().leg().number())
                .max()
                .orElse(0);
    }

    private void shared() {
        String typed = number.getText().strip();
        if (!typed.matches("[0-9]{1,7}") || Integer.parseInt(typed) < 1 || Integer.parseInt(typed) > MOST_NUMBER) {
            onTrouble.accept(TEXT.get("practice_page.is_no_number_of_a_practice", typed));
            return;
        }
        open(Integer.parseInt(typed), Optional.empty());
    }

    /** Begins the next leg after one. */
    private void begin(Optional<Lesson> lesson, int after) {
        if (lesson.isEmpty()) {
            open(after + 1, Optional.empty());
            return;
        }
        Optional<PracticeLeg> leg = lesson.get()
                .next(
                        SEED,
                        after,
                        nr -> bench().tables().judge().tables(context(nr, lesson)),
                        shop.yard().labourPerH());
        leg.ifPresentOrElse(
                l -> open(l.number(), lesson),
                () -> onTrouble.accept(TEXT.get("practice_page.no_further_leg_of_this_lesson")));
    }

    private LegName name(int number, Optional<Lesson> lesson) {
        return new LegName(
                SEED, number, lesson.map(Lesson::id), Optional.of(sheet(number).id()));
    }

    private Context context(int number, Optional<Lesson> lesson) {
        return Exercise.context(name(number, lesson), lesson, Optional.of(sheet(number)));
    }

    private void open(int number, Optional<Lesson> lesson) {
        tried(() -> {
            int job = log().open(name(number, lesson).leg(), shop.by()).job();
            Context context = context(number, lesson);
            PracticeLeg leg =
                    PracticeLeg.of(SEED, number, bench().tables().judge().tables(context));
            log().append(job, shop.by(), Exercise.opening(context, Exercise.came(leg, lesson), coached));
            reckoned = Optional.empty();
            onPractise.accept(job);
        });
    }

    /** Shows all lessons, whatever reckoning was looked at. */
    void lessonsAgain() {
        reckoned = Optional.empty();
        show();
    }

    private void tried(Runnable work) {
        try {
            work.run();
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
    }

    private Node curve(List<Exercise> mine) {
        return new PracticeCurve(
                shop.by(),
                shop.units().money(),
                mine.stream().filter(Exercise::back).toList());
    }
}
