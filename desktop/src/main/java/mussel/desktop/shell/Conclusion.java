package mussel.desktop.shell;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.drain.DrainWords;
import mussel.core.job.Assessment;
import mussel.core.measure.Display;
import mussel.core.sheet.Phase;
import mussel.desktop.kit.Texts;

/** The running conclusion: one sentence, what changed it, what follows from it. */
final class Conclusion extends VBox {
    private final Label head = Texts.wrapped("", "conclusion");
    private final Label changed = Texts.dim("");
    private final VBox notes = new VBox(8);
    private final VBox plan = new VBox(4);
    private final VBox mind = new VBox(6);
    private String before = "";
    private int job;

    Conclusion() {
        super(12);
        getStyleClass().add("side");
        setId("conclusion");
        head.setId("conclusion-head");
        changed.managedProperty().bind(changed.textProperty().isNotEmpty());
        getChildren().addAll(Texts.heading("So far"), head, changed, mind, notes, plan, legal());
    }

    void show(Assessment now) {
        String sentence = now.drainWords().map(DrainWords::head).orElseGet(DrainWords::nothingKnown);
        if (now.job().id() != job) {
            job = now.job().id();
            changed.setText("");
        } else if (!sentence.equals(before)) {
            changed.setText("Before that: " + before);
        }
        before = sentence;
        head.setText(sentence);
        notes.getChildren().clear();
        now.drainWords().ifPresent(words -> words.essentials()
                .forEach(n -> notes.getChildren().add(Texts.sentence(n))));
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
                    .mapToDouble(s -> s.step().minutes().mean())
                    .sum();
            plan.getChildren()
                    .add(Texts.dim(left + " steps to go, about " + Display.workTime(minutes) + " (an estimate)."));
        }
        mind(now);
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
