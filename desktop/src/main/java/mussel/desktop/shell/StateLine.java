package mussel.desktop.shell;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import mussel.core.job.Assessment;
import mussel.core.job.LegStates;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/**
 * The state of the lower unit in one line. What differs from a whole one stands as a button that puts it right with one pick; the others come with
 * <i>Correct</i>.
 */
final class StateLine extends Column {
    private static final Messages TEXT = Messages.of(StateLine.class);

    private static final Map<Condition, List<String>> WORDS = Map.ofEntries(
            Map.entry(Condition.ENGINE, List.of("engine here", "leg only")),
            Map.entry(Condition.LEG, List.of("on the engine", "off the engine")),
            Map.entry(Condition.OIL, List.of("oil in", "oil out")),
            Map.entry(Condition.PLUGS, List.of("plugs in", "plugs out")),
            Map.entry(Condition.PROPELLER, List.of("propeller on", "propeller off")),
            Map.entry(Condition.PUMP, List.of("pump on", "pump off")),
            Map.entry(Condition.SEAL_CARRIER, List.of("driveshaft seals in", "driveshaft seals out")),
            Map.entry(Condition.PROP_CARRIER, List.of("prop carrier in", "prop carrier out")),
            Map.entry(Condition.SHIFT_COVER, List.of("shift cover on", "shift cover off")),
            Map.entry(Condition.GEARS, List.of("gears in", "gears out")),
            Map.entry(Condition.CASE, List.of("case closed", "case open")),
            Map.entry(Condition.LINKAGE, List.of("linkage joined", "linkage open")),
            Map.entry(Condition.TURNS, List.of("turns", "locked")));
    private static final DateTimeFormatter UNTIL = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    private final Desk desk;
    private final Runnable onLeave;
    private final FlowPane line = new Flow(5, 5);
    private final FlowPane others = new Flow(5, 5);
    private final Button correct = new Button("Correct…");
    private LegState shown = LegState.UNKNOWN;
    private Optional<LegStates.Cure> shownCure = Optional.empty();

    /** A line; called back when Tab or Escape leaves it. */
    StateLine(Desk desk, Runnable onLeave) {
        super(4);
        this.desk = desk;
        this.onLeave = onLeave;
        setId("state-line");
        getStyleClass().add("state-line");
        correct.setId("state-correct");
        correct.getStyleClass().add("state-chip");
        correct.setAccessibleText(TEXT.get("state_line.correct_the_state_of_the_lower"));
        correct.setOnAction(e -> {
            others.setVisible(!others.isVisible());
            others.setManaged(others.isVisible());
            if (others.isVisible()) {
                others.getChildren().stream().findFirst().ifPresent(Node::requestFocus);
            }
        });
        others.setVisible(false);
        others.setManaged(false);
        getChildren().addAll(line, others);
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    }

    /** Puts the focus on it and opens what can be corrected. */
    void begin() {
        if (!others.isVisible()) {
            correct.fire();
        } else {
            chips().stream().findFirst().ifPresent(Node::requestFocus);
        }
    }

    private List<Node> chips() {
        return Stream.concat(
                        line.getChildren().stream(),
                        others.isVisible() ? others.getChildren().stream() : Stream.<Node>empty())
                .filter(Button.class::isInstance)
                .toList();
    }

    /** Arrows go from one condition to the next, Tab and Escape back to the station. */
    private void pressed(KeyEvent e) {
        if (e.getCode() == KeyCode.TAB || e.getCode() == KeyCode.ESCAPE) {
            others.setVisible(false);
            others.setManaged(false);
            onLeave.run();
            e.consume();
            return;
        }
        int step =
                switch (e.getCode()) {
                    case RIGHT, DOWN -> 1;
                    case LEFT, UP -> -1;
                    default -> 0;
                };
        List<Node> chips = chips();
        int at = step == 0 ? -1 : chips.indexOf(e.getTarget());
        if (at >= 0) {
            chips.get(Math.floorMod(at + step, chips.size())).requestFocus();
            e.consume();
        }
    }

    void show(Assessment now) {
        LegState state = LegStates.of(now);
        Optional<LegStates.Cure> cure =
                LegStates.cure(now).filter(c -> desk.shop().moment().isBefore(c.until()));
        if (state.equals(shown) && cure.equals(shownCure) && !line.getChildren().isEmpty()) {
            return;
        }
        shown = state;
        shownCure = cure;
        List<Map.Entry<Condition, String>> changed = LegStates.changed(state);
        List<Node> said = new ArrayList<>();
        if (changed.isEmpty() && cure.isEmpty()) {
            said.add(Texts.dim(TEXT.get("state_line.the_unit_is_whole_on_its")));
        }
        changed.forEach(c -> said.add(
                LegStates.correctable(c.getKey())
                        ? chip(c.getKey(), c.getValue(), other(c.getKey(), c.getValue()))
                        : Texts.dim(word(c.getKey(), c.getValue()))));
        cure.ifPresent(c -> said.add(Texts.dim(TEXT.get(
                "state_line.sealant_cures_until", UNTIL.format(c.until().atZone(now.zone()))))));
        said.add(correct);
        line.getChildren().setAll(said);
        others.getChildren()
                .setAll(List.of(Condition.values()).stream()
                        .filter(LegStates::correctable)
                        .filter(c -> changed.stream().noneMatch(x -> x.getKey() == c))
                        .map(c -> (Node) chip(c, c.states().get(0), c.states().get(1)))
                        .toList());
    }

    private static String word(Condition condition, String value) {
        return WORDS.get(condition).get(condition.states().indexOf(value));
    }

    private static String other(Condition condition, String value) {
        return condition.states().get(1 - condition.states().indexOf(value));
    }

    private Button chip(Condition condition, String is, String becomes) {
        Button chip = new Button(word(condition, is));
        chip.setId("state-" + condition.id());
        chip.getStyleClass().add("state-chip");
        if (!is.equals(condition.states().get(0))) {
            chip.getStyleClass().add("state-out");
        }
        chip.setAccessibleText(TEXT.get("state_line.correct_to", word(condition, is), word(condition, becomes)));
        chip.setOnAction(e -> {
            correct.requestFocus();
            desk.choose(Scale.STATE.of(condition.id()), Optional.of(becomes));
        });
        return chip;
    }
}
