package mussel.desktop.plan;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Topic;
import mussel.core.measure.Display;
import mussel.core.measure.TorqueUnit;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Step;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.JobNote;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.Texts;

/** Steps of the plan to tick: the open one in full with its cautions and tools, the others as a line each. */
public final class StepList extends VBox {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass DONE = PseudoClass.getPseudoClass("done");

    private final Desk desk;
    private final Predicate<Step> shown;
    private Optional<String> opened = Optional.empty();
    private boolean showDone;

    /** A list of those steps of the plan that satisfy the test. */
    public StepList(Desk desk, Predicate<Step> shown) {
        super(4);
        this.desk = desk;
        this.shown = shown;
        getStyleClass().add("steps");
    }

    /** Shows the plan as it stands. */
    public void show(Assessment now) {
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
        getChildren().clear();
        if (folded > 0) {
            getChildren().add(fold(folded));
        }
        for (int i = showDone ? 0 : folded; i < steps.size(); i++) {
            PlannedStep planned = steps.get(i);
            Step step = planned.step();
            boolean done = now.job().ticked(step.id()).isPresent();
            VBox card = new VBox(5, head(step, done, i + 1));
            card.getStyleClass().add("step");
            card.pseudoClassStateChanged(CURRENT, step.id().equals(current));
            card.pseudoClassStateChanged(DONE, done);
            if (step.id().equals(open)) {
                body(now, planned, card);
            }
            getChildren().add(card);
        }
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

    private Node fold(int count) {
        Button fold =
                new Button(showDone ? "Fold the " + count + " steps done" : "Show the " + count + " steps done before");
        fold.setId("fold-" + count);
        fold.getStyleClass().add("fold");
        fold.setOnAction(e -> {
            showDone = !showDone;
            show(desk.now().get());
        });
        return fold;
    }

    private Node head(Step step, boolean done, int number) {
        Button tick = new Button("", done ? Marks.done() : Marks.open());
        tick.setId("tick-" + step.id());
        tick.getStyleClass().add("tick");
        tick.setAccessibleText((done ? "done: " : "to do: ") + step.title());
        tick.setOnAction(e -> {
            opened = Optional.empty();
            desk.note(new Fact.Ticked(step.id(), !done));
        });
        Button title = new Button(number + "  " + step.title());
        title.setId("open-" + step.id());
        title.getStyleClass().add("step-title");
        title.setWrapText(true);
        title.setMaxWidth(Double.MAX_VALUE);
        title.setOnAction(e -> {
            opened = Optional.of(step.id());
            show(desk.now().get());
        });
        HBox.setHgrow(title, Priority.ALWAYS);
        Label where = new Label(
                step.place().title() + ", " + Display.workTime(step.minutes().mean()));
        where.getStyleClass().add("dim");
        where.setMinWidth(USE_PREF_SIZE);
        HBox head = new HBox(4, tick, title, where);
        head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return head;
    }

    private void body(Assessment now, PlannedStep planned, VBox card) {
        Step step = planned.step();
        step.cautions().forEach(c -> card.getChildren().add(Texts.caution(c)));
        if (Step.says(step.detail())) {
            card.getChildren().add(Texts.sentence(step.detail()));
        }
        List<String> waiting = planned.needs().stream()
                .filter(id -> now.job().ticked(id).isEmpty())
                .map(id -> now.sheet().step(id).orElseThrow().title())
                .toList();
        if (!waiting.isEmpty()) {
            card.getChildren().add(Texts.dim("Comes after: " + String.join("; ", waiting) + "."));
        }
        for (String id : step.fasteners()) {
            card.getChildren().add(fastener(now.sheet().fastener(id).orElseThrow(), step.phase() == Phase.BUILD));
        }
        parts(now.sheet(), step.partsOut(), "Comes off, in this order: ", card);
        parts(now.sheet(), step.partsIn(), "Goes in, in this order: ", card);
        if (!step.tools().isEmpty()) {
            card.getChildren().add(Texts.dim("Tools: " + String.join(", ", step.tools()) + "."));
        }
        if (!step.consumables().isEmpty()) {
            card.getChildren().add(Texts.dim("Used up: " + String.join(", ", step.consumables()) + "."));
        }
        if (Step.says(step.school())) {
            card.getChildren().add(Texts.dim("Other schools: " + step.school()));
        }
        if (Step.says(step.ask()) || !step.partsOut().isEmpty()) {
            card.getChildren()
                    .add(JobNote.line(
                            desk,
                            Step.says(step.ask()) ? step.ask() : "How it lay, where it is unlike the sheet",
                            Topic.AS_FOUND.of(step.id())));
        }
    }

    private static Node fastener(Fastener fastener, boolean closing) {
        String text = fastener.count() + " × " + fastener.title() + ", " + fastener.thread();
        if (closing) {
            text += ": " + fastener.torque().range().range(TorqueUnit.NM) + " ("
                    + fastener.torque().range().range(TorqueUnit.LBF_IN) + ")"
                    + (Step.says(fastener.secured()) ? ", " + fastener.secured() : "");
        }
        if (fastener.isHidden()) {
            Label label = Texts.wrapped(text + ". Hidden: " + fastener.hidden(), "hidden-fastener");
            label.setGraphic(Marks.hidden());
            return label;
        }
        return Texts.wrapped(text, "plain");
    }

    private static void parts(FamilySheet sheet, List<PartQty> parts, String lead, VBox card) {
        if (parts.isEmpty()) {
            return;
        }
        List<String> names = parts.stream()
                .map(p -> (p.qty() > 1 ? p.qty() + " × " : "")
                        + sheet.part(p.part()).orElseThrow().title()
                        + (p.hasHow() ? " (" + p.how() + ")" : ""))
                .toList();
        card.getChildren().add(Texts.sentence(lead + String.join("; ", names) + "."));
    }
}
