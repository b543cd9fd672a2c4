package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Step;
import mussel.desktop.desk.Desk;

/** Steps of the plan to tick: the open one in full, the others as a line each, those done before folded away. */
public final class StepList extends VBox {
    private final Desk desk;
    private final Predicate<Step> shown;
    private final Map<String, StepCard> cards = new HashMap<>();
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
            show(desk.now().get());
        });
    }

    /** Shows the plan as it stands. */
    public void show(Assessment now) {
        if (now.job().id() != job) {
            job = now.job().id();
            opened = Optional.empty();
            showDone = false;
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
        int folded = folded(now, steps);
        List<Node> rows = new ArrayList<>();
        if (folded > 0) {
            fold.setText(showDone ? "Fold the " + folded + " steps done" : "Show the " + folded + " steps done before");
            rows.add(fold);
        }
        for (int i = showDone ? 0 : folded; i < steps.size(); i++) {
            Step step = steps.get(i).step();
            StepCard card = cards.computeIfAbsent(step.id(), id -> made(step));
            card.show(
                    now,
                    steps.get(i),
                    i + 1,
                    step.id().equals(current),
                    step.id().equals(open));
            rows.add(card);
        }
        if (!rows.equals(getChildren())) {
            getChildren().setAll(rows);
        }
    }

    private StepCard made(Step step) {
        return new StepCard(desk, step, () -> opened = Optional.empty(), () -> {
            opened = Optional.of(step.id());
            show(desk.now().get());
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
