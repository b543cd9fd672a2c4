package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.measure.Display;
import mussel.core.practice.Bench;
import mussel.core.practice.Exercise;
import mussel.core.verdict.Access;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.Together;
import mussel.core.verdict.VerdictWords;
import mussel.desktop.desk.Workshop;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SeeMe;
import mussel.desktop.kit.Texts;

/** A practice leg at the bench: what can be looked at and what that takes, what was seen, what is suspected, and what is to be done. */
final class PracticeBench extends Column {
    private static final double NAME = 190;
    private static final double HANDLE = 240;

    private final Workshop shop;
    private final Exercise exercise;
    private final Bench bench;
    private final Knowledge knowledge;
    private final BiConsumer<Exercise, List<Fact>> note;
    private final BiConsumer<Exercise, Fact> keep;
    private final Consumer<Exercise> back;

    PracticeBench(
            Workshop shop,
            Exercise exercise,
            BiConsumer<Exercise, List<Fact>> note,
            BiConsumer<Exercise, Fact> keep,
            Consumer<Exercise> back) {
        super(8);
        this.shop = shop;
        this.exercise = exercise;
        this.bench = exercise.bench();
        this.knowledge = exercise.knowledge();
        this.note = note;
        this.keep = keep;
        this.back = back;
        setId("practice-bench");
        getChildren()
                .add(Texts.heading(exercise.job().leg().boat()
                        + exercise.lesson().map(l -> ": " + l.title()).orElse("")));
        getChildren().add(Texts.sentence(known(exercise.context())));
        Label clock = Texts.wrapped(
                "Bench clock: " + Display.workTime(bench.minutes()) + ", " + bench.looks()
                        + (bench.looks() == 1 ? " look." : " looks."),
                "strong");
        clock.setId("practice-clock");
        getChildren().add(clock);
        if (exercise.coached()) {
            coached();
        }
        seen();
        looks();
        if (!exercise.coached()) {
            suspicions();
        }
        handBack();
    }

    /** What is known before anyone looks, in a sentence. */
    static String known(Context context) {
        List<String> known = new ArrayList<>();
        context.complaint().forEach(c -> known.add("came in for: " + c.title()));
        context.water().ifPresent(w -> known.add("runs in " + plain(w)));
        context.sand().filter(s -> s).ifPresent(s -> known.add("in sand or shallows"));
        context.ageYears().ifPresent(a -> known.add(Math.round(a) + " years old"));
        context.hoursSinceChange().ifPresent(h -> known.add(Math.round(h) + " h on its oil"));
        context.pumpMonths().ifPresent(m -> known.add("impeller " + Math.round(m) + " months old"));
        context.lastJob().ifPresent(j -> known.add("last time: " + plain(j)));
        String all = String.join("; ", known);
        return all.isEmpty() ? "" : all.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + all.substring(1) + ".";
    }

    private static String plain(Enum<?> of) {
        return of.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    private void coached() {
        VerdictResult now = bench.ranked();
        VerdictWords words = new VerdictWords(
                knowledge, exercise.context(), now, shop.units().money());
        Column card = new Column(3, Texts.wrapped(words.head(), "strong"), Texts.sentence(words.next()));
        card.getStyleClass().add("card");
        card.setId("practice-coach");
        getChildren().add(card);
    }

    private void seen() {
        if (bench.looks() == 0) {
            return;
        }
        Column seen = new Column(2);
        seen.setId("practice-seen");
        seen.getChildren().add(Texts.heading("Seen"));
        for (Finding finding : knowledge.findings()) {
            Optional.ofNullable(bench.findings().get(finding.id())).ifPresent(shows -> seen.getChildren()
                    .add(Texts.sentence(finding.title() + ": " + shows.replace('_', ' '))));
        }
        getChildren().add(seen);
    }

    private void looks() {
        Optional<Together> advised = exercise.coached() ? bench.ranked().advised(knowledge) : Optional.empty();
        for (Access access : knowledge.access()) {
            List<Finding> open = knowledge.findings().stream()
                    .filter(f -> f.access().equals(access.id()))
                    .filter(bench::offered)
                    .toList();
            if (open.isEmpty()) {
                continue;
            }
            double setUp = bench.takes(open.get(0)) - open.get(0).minutes();
            getChildren()
                    .add(Texts.heading(
                            access.title() + (setUp > 0 ? ", " + Display.workTime(setUp) + " to get there" : "")));
            FlowPane looks = new Flow(6, 6);
            for (Finding finding : open) {
                Button look = new Button(finding.title() + " · " + Display.workTime(finding.minutes()));
                look.setId("look-" + finding.id());
                look.getStyleClass().add("look");
                if (advised.map(a -> a.findings().contains(finding.id())).orElse(false)) {
                    look.getStyleClass().add("act");
                }
                look.setOnAction(e -> note.accept(exercise, exercise.look(finding.id())));
                looks.getChildren().add(look);
            }
            getChildren().add(looks);
        }
    }

    /** Puts the focus where work goes on: the look that is advised, else the first that can be made; with nothing advised any more, what is to be done. */
    void goOn() {
        Optional<Node> advised = lookupAll(".act").stream()
                .filter(n -> n.getId() != null && n.getId().startsWith("look-"))
                .findFirst();
        Node first = lookup(exercise.coached() && bench.looks() > 0 ? ".text-tile" : ".look");
        Optional<Node> to = advised.or(() -> Optional.ofNullable(first));
        to.ifPresent(n -> {
            n.requestFocus();
            n.fireEvent(new SeeMe());
        });
    }

    private void suspicions() {
        getChildren().add(Texts.heading("What you suspect, in per cent, before anything is opened"));
        Map<String, Double> said = exercise.suspected();
        FlowPane handles = new Flow(18, 4);
        handles.setId("practice-suspicions");
        for (RepairGoal goal : knowledge.goals()) {
            Label name = Texts.sentence(goal.title());
            name.setMinWidth(NAME);
            name.setPrefWidth(NAME);
            Slider handle = new Slider(0, 100, 100 * said.getOrDefault(goal.id(), 0.0));
            handle.setId("suspect-" + goal.id());
            handle.setPrefWidth(HANDLE);
            handle.setBlockIncrement(10);
            handle.setAccessibleText("how sure: " + goal.title());
            Label percent = Texts.sentence(said.containsKey(goal.id()) ? Math.round(handle.getValue()) + " %" : "–");
            percent.setMinWidth(Label.USE_PREF_SIZE);
            handle.valueProperty().addListener((o, was, is) -> percent.setText(Math.round(is.doubleValue()) + " %"));
            // Entered once the handle rests: every place it passes would be an entry.
            double[] entered = {said.containsKey(goal.id()) ? Math.round(handle.getValue()) : -1};
            Runnable rests = () -> {
                double sure = Math.round(handle.getValue());
                if (sure != entered[0] && (entered[0] >= 0 || sure > 0)) {
                    entered[0] = sure;
                    keep.accept(exercise, Fact.Read.byHand(Field.SUSPECTED.of(goal.id()), sure, (int) sure + " %"));
                }
            };
            handle.setOnMouseReleased(e -> rests.run());
            handle.setOnKeyReleased(e -> rests.run());
            HBox row = new Row(8, name, handle, percent);
            row.setAlignment(Pos.CENTER_LEFT);
            handles.getChildren().add(row);
        }
        getChildren().add(handles);
    }

    private void handBack() {
        getChildren().add(Texts.heading("To be done"));
        FlowPane goals = new Flow(6, 6);
        for (RepairGoal goal : knowledge.goals()) {
            goals.getChildren().add(tile("do-" + goal.id(), goal.title(), Scale.GOAL.of(goal.id())));
        }
        goals.getChildren().add(tile("do-hand-over", "Stop and hand over", Scale.HANDED_OVER.address()));
        Button done = new Button("Hand it back");
        done.setId("practice-back");
        done.getStyleClass().add("act");
        done.setOnAction(e -> back.accept(exercise));
        getChildren().addAll(goals, done);
    }

    /** A tile whose pick is kept at once, so that a further look does not lose it. */
    private ToggleButton tile(String id, String title, Address about) {
        ToggleButton tile = new ToggleButton(title);
        tile.setId(id);
        tile.getStyleClass().addAll("tile", "text-tile");
        tile.setSelected(exercise.job().choice(about).equals(Optional.of("yes")));
        tile.setOnAction(e ->
                keep.accept(exercise, tile.isSelected() ? new Fact.Chosen(about, "yes") : new Fact.Cleared(about)));
        return tile;
    }
}
