package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.event.EventTarget;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.RepairWorth;
import mussel.core.job.StopPoint;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Step;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.AnsweredByKey;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Steps of the plan to tick: the open one in full, the others as a line each, those done before folded away. */
public final class StepList extends Column {
    private static final Messages TEXT = Messages.of(StepList.class);

    private final Desk desk;
    private final Predicate<Step> shown;
    /** By the step as its own sheet has it: steps of one id are done otherwise on legs of another family. */
    private final Map<Step, StepCard> cards = new HashMap<>();

    private String family = "";
    private final Map<String, Label> stopLines = new HashMap<>();
    private final Button fold = new Button();
    private Optional<String> opened = Optional.empty();
    private boolean showDone;
    private int job;

    /** A list of those steps of the plan that satisfy the test. */
    public StepList(Desk desk, Predicate<Step> shown) {
        super(4);
        this.desk = desk;
        this.shown = shown;
        getStyleClass().add("steps");
        fold.getStyleClass().add("fold");
        fold.setOnAction(e -> {
            showDone = !showDone;
            show(desk.now());
        });
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    }

    /** The keys of a list of steps. */
    public static List<StationView.Key> keys() {
        return List.of(
                new StationView.Key("Space", TEXT.get("step_list.tick_the_step_or_take_its")),
                new StationView.Key(
                        TEXT.get("step_list.shift_space_shift_end"), TEXT.get("step_list.tick_all_steps_down_to_this")),
                new StationView.Key(TEXT.get("step_list.up_down_end"), TEXT.get("step_list.from_step_to_step")),
                new StationView.Key("Enter", TEXT.get("step_list.how_a_step_is_done")));
    }

    private void pressed(KeyEvent e) {
        Optional<StepCard> card = holding(e.getTarget());
        boolean onTick = card.isPresent() && e.getTarget() == card.get().tick();
        if (!onTick) {
            return;
        }
        if (e.getCode() == KeyCode.ENTER) {
            card.get().open();
            e.consume();
        } else if (e.getCode() == KeyCode.SPACE && e.isShiftDown()) {
            tickDownTo(card.get());
            e.consume();
        } else if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
            List<StepCard> seen = seen();
            int there = seen.indexOf(card.get()) + (e.getCode() == KeyCode.UP ? -1 : 1);
            if (there >= 0 && there < seen.size()) {
                to(seen.get(there));
            }
            e.consume();
        } else if (e.getCode() == KeyCode.END && e.isShiftDown()) {
            tickDownTo(seen().get(seen().size() - 1));
            e.consume();
        } else if (e.getCode() == KeyCode.END) {
            to(seen().get(seen().size() - 1));
            e.consume();
        }
    }

    private static void to(StepCard card) {
        card.tick().requestFocus();
        card.tick().fireEvent(new ScrollIntoView());
    }

    /** To the step that is to be done next; after the last, on from here. */
    private void goOn() {
        seen().stream()
                .filter(c -> !c.done())
                .findFirst()
                .ifPresentOrElse(StepList::to, () -> fireEvent(new AnsweredByKey()));
    }

    private void tickDownTo(StepCard last) {
        List<Fact> ticks = new ArrayList<>();
        for (StepCard card : seen()) {
            if (!card.done()) {
                ticks.add(new Fact.Ticked(card.step().id(), true));
            }
            if (card == last) {
                break;
            }
        }
        opened = Optional.empty();
        desk.note(ticks);
        goOn();
    }

    private List<StepCard> seen() {
        return getChildren().stream()
                .filter(StepCard.class::isInstance)
                .map(StepCard.class::cast)
                .toList();
    }

    private Optional<StepCard> holding(EventTarget target) {
        for (Node at = target instanceof Node node ? node : null; at != null; at = at.getParent()) {
            if (at instanceof StepCard card) {
                return Optional.of(card);
            }
        }
        return Optional.empty();
    }

    /** Shows the plan as it stands. */
    public void show(Assessment now) {
        if (now.job().id() != job) {
            job = now.job().id();
            opened = Optional.empty();
            showDone = false;
        }
        if (!now.sheet().id().equals(family)) {
            family = now.sheet().id();
            cards.clear();
        }
        List<PlannedStep> steps =
                now.plan().steps().stream().filter(s -> shown.test(s.step())).toList();
        String current = steps.stream()
                .map(s -> s.step().id())
                .filter(id -> now.job().ticked(id).isEmpty())
                .findFirst()
                .orElse("");
        String open = opened.filter(
                        id -> steps.stream().anyMatch(s -> s.step().id().equals(id)))
                .orElse(current);
        List<StopPoint> stops = now.worth().map(RepairWorth::stops).orElse(List.of());
        int folded = folded(now, steps);
        List<Node> rows = new ArrayList<>();
        if (folded > 0) {
            fold.setText(
                    showDone
                            ? TEXT.get("step_list.fold_the_steps_done", folded)
                            : TEXT.get("step_list.show_the_steps_done_before", folded));
            rows.add(fold);
        }
        for (int i = showDone ? 0 : folded; i < steps.size(); i++) {
            Step step = steps.get(i).step();
            StepCard card = cards.computeIfAbsent(step, this::made);
            card.show(
                    now,
                    steps.get(i),
                    i + 1,
                    step.id().equals(current),
                    step.id().equals(open));
            rows.add(card);
            stops.stream()
                    .filter(s -> s.afterStep().equals(Optional.of(step.id())))
                    .map(s -> stop(step, s.says(now.yard().money())))
                    .forEach(rows::add);
        }
        if (!rows.equals(getChildren())) {
            getChildren().setAll(rows);
        }
    }

    /** A stop point after its step. */
    private Label stop(Step step, String says) {
        Label line = stopLines.computeIfAbsent(step.id(), id -> {
            Label made = Texts.sentence("");
            made.setId("stop-" + id);
            made.getStyleClass().add("stop-point");
            made.setMaxWidth(Double.MAX_VALUE);
            return made;
        });
        line.setText(says);
        return line;
    }

    private StepCard made(Step step) {
        return new StepCard(desk, step, () -> opened = Optional.empty(), this::goOn, () -> {
            opened = Optional.of(step.id());
            show(desk.now());
        });
    }

    /** How many steps at the beginning are done and may be folded away; the last of them stays in sight. */
    private static int folded(Assessment now, List<PlannedStep> steps) {
        int done = 0;
        while (done < steps.size()
                && now.job().ticked(steps.get(done).step().id()).isPresent()) {
            done++;
        }
        return done > 2 ? done - 1 : 0;
    }
}
