package mussel.desktop.practice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.NamedBy;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.YardUnits;
import mussel.core.practice.Exercise;
import mussel.core.practice.LastLook;
import mussel.core.verdict.Finding;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What stands over a station while a practice leg is gone about: that it is not there, the bench clock, what was seen last, and what can be looked at here. */
final class LookBar extends Column {
    private static final Messages TEXT = Messages.of(LookBar.class);

    private final Desk desk;
    private final Station station;
    private final Consumer<String> onLook;
    private final Label clock = Texts.wrapped("", "strong");
    private final Label last = Texts.sentence("");
    private final Label against = Texts.dim("");
    private final FlowPane looks = new Flow(6, 6);
    private Shown shown;
    private final Map<String, Button> buttons = new LinkedHashMap<>();

    LookBar(Desk desk, Station station, Consumer<String> onLook) {
        super(5);
        this.desk = desk;
        this.station = station;
        this.onLook = onLook;
        setId("practice-bar");
        getStyleClass().addAll("card", "simulated");
        Label mark = Texts.wrapped(TEXT.get("look_bar.practice_this_leg_is_not_there"), "refusal");
        mark.setId("practice-mark");
        mark.setMinWidth(USE_PREF_SIZE);
        clock.setId("practice-clock");
        clock.setMaxWidth(Double.MAX_VALUE);
        clock.setMinWidth(0);
        HBox.setHgrow(clock, Priority.ALWAYS);
        HBox head = new Row(14, mark, clock);
        head.setAlignment(Pos.BASELINE_LEFT);
        last.setId("practice-last");
        against.setId("practice-against");
        for (Label optional : List.of(last, against)) {
            optional.managedProperty().bind(optional.textProperty().isNotEmpty());
            optional.visibleProperty().bind(optional.textProperty().isNotEmpty());
        }
        looks.setId("practice-looks");
        getChildren().addAll(head, last, against, looks);
    }

    void show() {
        desk.exercise().ifPresent(this::show);
    }

    private void show(Exercise exercise) {
        Shown now = new Shown(
                exercise.job().id(),
                exercise.bench().findings(),
                exercise.back(),
                desk.now().yard().reads());
        if (now.equals(shown)) {
            // Entries that are no looks, as the readings of a hold that runs, change nothing here.
            return;
        }
        shown = now;
        clock.setText(TEXT.get(
                "look_bar.clock",
                exercise.lesson().map(l -> l.title() + ". ").orElse(""),
                Display.workTime(exercise.bench().minutes()),
                exercise.bench().looks(),
                (exercise.bench().looks() == 1 ? " look." : " looks.")));
        boolean open = !exercise.back();
        Optional<LastLook> made = open ? exercise.lastLook() : Optional.empty();
        last.setText(
                made.map(l -> TEXT.get("look_bar.seen_last", seen(exercise, l))).orElse(""));
        against.setText(made.filter(l -> exercise.coached())
                .map(l -> against(exercise, l))
                .orElse(""));
        looks(exercise);
    }

    /** What the bar shows rests on this alone. */
    private record Shown(int job, Map<String, String> findings, boolean back, YardUnits units) {
        Shown {
            findings = OrderedMap.copyOf(findings);
        }
    }

    private static String name(Exercise exercise, String finding) {
        return exercise.knowledge().finding(finding).map(Finding::title).orElse(finding);
    }

    private static String seen(Exercise exercise, LastLook look) {
        return look.made().stream()
                .map(f -> name(exercise, f) + ": "
                        + exercise.bench().findings().get(f).replace('_', ' '))
                .collect(Collectors.joining("; "));
    }

    /** What the advice would have done instead, and why. */
    private String against(Exercise exercise, LastLook look) {
        var money = desk.now().yard().money();
        String yours = TEXT.get(
                "look_bar.for_bits_worth_than_its_time",
                Display.workTime(look.minutes()),
                Display.significant(look.bits()),
                money.sum(Math.abs(look.value())),
                (look.value() < 0 ? " less" : " more"));
        if (look.asAdvised()) {
            return TEXT.get("look_bar.as_advised", yours);
        }
        if (look.advised().isEmpty()) {
            return TEXT.get("look_bar.the_advice_would_have_looked_no", yours);
        }
        String other = look.advised().stream().map(f -> name(exercise, f)).collect(Collectors.joining(" with "));
        return TEXT.get("look_bar.the_advice_would_have_looked_at", other, money.sum(look.advisedValue()), yours);
    }

    private void looks(Exercise exercise) {
        List<Finding> here = exercise.back()
                ? List.of()
                : exercise.knowledge().findings().stream()
                        .filter(f -> f.station().equals(NamedBy.file(station)))
                        .filter(exercise::offered)
                        .toList();
        looks.getChildren().setAll(here.stream().map(f -> button(exercise, f)).toList());
        looks.setManaged(!here.isEmpty());
    }

    private Button button(Exercise exercise, Finding finding) {
        Button look = buttons.computeIfAbsent(finding.id(), id -> {
            Button made = new Button();
            made.setId("look-" + id);
            made.getStyleClass().add("look");
            made.setOnAction(e -> {
                int at = looks.getChildren().indexOf(made);
                desk.look(id);
                onLook.accept(id);
                goOn(at);
            });
            return made;
        });
        look.setText(finding.title() + " · " + Display.workTime(exercise.bench().takes(finding)));
        return look;
    }

    /** The focus goes on to the look that stands where the last one stood, with what that one showed in sight. */
    private void goOn(int at) {
        List<Node> left = looks.getChildren();
        if (!left.isEmpty()) {
            left.get(Math.max(0, Math.min(at, left.size() - 1))).requestFocus();
        }
        fireEvent(new ScrollIntoView());
    }

    /** Where a look is made; empty where it cannot be made here. */
    Optional<Node> at(String finding) {
        return Optional.<Node>ofNullable(buttons.get(finding)).filter(looks.getChildren()::contains);
    }

    /** The look to begin with. */
    Optional<Node> first() {
        return looks.getChildren().stream().findFirst();
    }
}
