package mussel.desktop.verdict;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.job.Assessment;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.verdict.Cause;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.desktop.kit.Words;

/** One cause: how likely, against its prior, and what speaks most for and against. */
final class CauseCard extends Column {
    private static final double BAR = 110;
    private static final double EVIDENCE = 60;
    private static final int MOST_EVIDENCE = 3;

    private final Label title = Texts.wrapped("", "strong");
    private final ProbabilityBar bar = new ProbabilityBar(BAR);
    private final Label figure = new Words();
    private final Rows<EvidenceLine> evidence;
    private Optional<Explanation> explanation = Optional.empty();

    CauseCard() {
        super(2);
        getStyleClass().add("card");
        title.setPrefWidth(150);
        title.setMinWidth(110);
        figure.getStyleClass().add("large");
        figure.setMinWidth(USE_PREF_SIZE);
        HBox row = new Row(10, title, bar, figure, new WhyButton("why-cause", () -> explanation));
        row.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(title, Priority.ALWAYS);
        FlowPane lines = new Flow(14, 2);
        evidence = new Rows<>(lines, () -> new EvidenceLine(EVIDENCE));
        getChildren().addAll(row, lines);
    }

    void show(Assessment now, CauseBelief belief) {
        Cause cause = now.knowledge().cause(belief.id()).orElseThrow();
        title.setText(cause.title(now.context()));
        bar.show(belief.probability(), belief.prior());
        figure.setText(Display.percent(belief.probability()));
        explanation = Optional.of(now.verdictWords().why(belief));
        evidence.begin();
        EvidenceLine.strongest(belief, MOST_EVIDENCE)
                .forEach(e -> evidence.next().show(now, e));
        evidence.end();
    }
}
