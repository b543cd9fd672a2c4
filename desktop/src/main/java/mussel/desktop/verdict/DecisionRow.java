package mussel.desktop.verdict;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.Assessment;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.verdict.VerdictResult.Decision;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;

/** What to do about one goal, and what doing and leaving it cost. */
final class DecisionRow extends Row {
    private static final Messages TEXT = Messages.of(DecisionRow.class);

    private final Label what = Texts.wrapped("", "plain");
    private final Label figures = Texts.dim("");
    private Optional<Explanation> explanation = Optional.empty();

    DecisionRow() {
        super(10);
        setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(what, Priority.ALWAYS);
        what.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(what, figures, new WhyButton("why-goal", () -> explanation));
    }

    void show(Assessment now, Decision decision) {
        what.setText(now.knowledge().goal(decision.goal()).orElseThrow().title() + ": "
                + (decision.act() ? "do it" : "leave it"));
        Texts.manner(what, decision.act() ? "strong" : "plain");
        figures.setText(TEXT.get(
                "decision_row.doing_it_leaving_it_on_average",
                Display.percent(decision.probability()),
                now.yard().money().sum(decision.expectedCostDo()),
                now.yard().money().sum(decision.expectedCostLeave())));
        explanation = Optional.of(now.verdictWords().why(decision));
    }
}
