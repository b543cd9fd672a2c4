package mussel.desktop.shell;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.drain.DrainWords;
import mussel.core.job.Assessment;
import mussel.core.measure.Display;
import mussel.core.sheet.Phase;
import mussel.core.verdict.VerdictResult;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;
import mussel.desktop.verdict.EvidenceLine;

/** The running conclusion: one sentence, what changed it, what follows from it. */
final class Conclusion extends VBox {
    private final Label head = Texts.wrapped("", "conclusion");
    private final Label changed = Texts.dim("");
    private final VBox evidence = new VBox(3);
    private final Label evidenceOf = Texts.dim("");
    private final Rows<EvidenceLine> lines = new Rows<>(evidence, () -> new EvidenceLine(84));
    private final Rows<Label> said;
    private final Label next = Texts.wrapped("", "strong");
    private final VBox notes = new VBox(8);
    private final VBox plan = new VBox(4);
    private final VBox mind = new VBox(6);
    private static final int MOST_EVIDENCE = 5;
    private Optional<VerdictResult> before = Optional.empty();
    private int job;

    Conclusion() {
        super(12);
        said = new Rows<>(notes, () -> Texts.sentence(""));
        getStyleClass().add("side");
        setId("conclusion");
        head.setId("conclusion-head");
        changed.managedProperty().bind(changed.textProperty().isNotEmpty());
        getChildren()
                .addAll(Texts.heading("So far"), head, changed, mind, evidenceOf, evidence, next, notes, plan, legal());
    }

    void show(Assessment now) {
        boolean looked = !now.findings().isEmpty();
        head.setText(
                looked
                        ? now.verdictWords().head()
                        : now.drainWords().map(DrainWords::head).orElseGet(DrainWords::nothingKnown));
        if (now.job().id() != job) {
            job = now.job().id();
            changed.setText("");
        } else {
            before.map(was -> now.verdictWords().changes(was))
                    .filter(moved -> !moved.isEmpty())
                    .ifPresent(moved -> changed.setText("That changed: " + String.join("; ", moved) + "."));
        }
        before = Optional.of(now.verdict());
        evidence(now, looked);
        boolean leads = looked || now.verdictWords().forComplaint();
        next.setText(leads && now.goals().isEmpty() ? now.verdictWords().next() : "");
        next.setVisible(!next.getText().isEmpty());
        next.setManaged(next.isVisible());
        said.begin();
        now.drainWords()
                .ifPresent(words -> words.essentials().forEach(n -> said.next().setText(n)));
        said.end();
        plan.getChildren().setAll(Texts.heading("To be done"));
        if (now.goals().isEmpty()) {
            plan.getChildren().add(Texts.dim("Nothing chosen yet."));
        }
        for (String goal : now.goals()) {
            plan.getChildren()
                    .add(Texts.sentence(now.sheet().goal(goal).orElseThrow().title()));
        }
        if (!now.plan().steps().isEmpty()) {
            int left = now.plan().steps().size() - now.stepsDone(now.plan().steps());
            double minutes = now.plan().steps().stream()
                    .filter(s -> now.job().ticked(s.step().id()).isEmpty())
                    .mapToDouble(s -> s.step().meanMinutes(now.saltYears()))
                    .sum();
            plan.getChildren()
                    .add(Texts.dim(left + " steps to go, about " + Display.workTime(minutes) + " (an estimate)."));
        }
        mind(now);
    }

    /** What speaks for and against the likeliest cause. */
    private void evidence(Assessment now, boolean looked) {
        lines.begin();
        if (looked) {
            VerdictResult.CauseBelief first = now.verdict().causes().get(0);
            String title = now.knowledge().cause(first.id()).orElseThrow().title(now.context());
            evidenceOf.setText(title + ", " + Display.percent(first.probability()) + ". Against | for:");
            EvidenceLine.strongest(first, MOST_EVIDENCE)
                    .forEach(e -> lines.next().show(now, e));
        }
        lines.end();
        evidenceOf.setVisible(looked);
        evidenceOf.setManaged(looked);
    }

    private void mind(Assessment now) {
        mind.getChildren().setAll(Texts.heading("Mind"));
        List<String> cautions = now.plan().steps().stream()
                .filter(s -> s.step().phase() != Phase.PROVE)
                .filter(s -> now.job().ticked(s.step().id()).isEmpty())
                .findFirst()
                .map(s -> s.step().cautions())
                .orElse(List.of());
        cautions.forEach(c -> mind.getChildren().add(Texts.caution(c)));
        mind.setVisible(!cautions.isEmpty());
        mind.setManaged(!cautions.isEmpty());
    }

    private static Label legal() {
        return Texts.dim(
                "Used oil and solvent go to the collection point. The maker's manual for the exact unit outranks every value"
                        + " here. Where warranty, passenger craft or local code ask for a licensed technician, stop and hand over.");
    }
}
