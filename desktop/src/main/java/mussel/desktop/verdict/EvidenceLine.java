package mussel.desktop.verdict;

import java.util.Comparator;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import mussel.core.job.Assessment;
import mussel.core.job.JobFinding;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Evidence;
import mussel.core.verdict.VerdictWords;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** What one finding says of a cause: its bar and its name. */
public final class EvidenceLine extends Row {
    /** Evidence below this is not worth a line (bits). */
    public static final double LEAST_BITS = 0.15;

    private final EvidenceBar bar;
    private final Label name = Texts.dim("");

    /** A line whose bar is so wide. */
    public EvidenceLine(double width) {
        super(8);
        bar = new EvidenceBar(width);
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(bar, name);
    }

    /** The strongest evidence on a cause, at most so many lines of it. */
    public static List<Evidence> strongest(CauseBelief belief, int most) {
        return belief.evidence().stream()
                .filter(e -> Math.abs(e.bits()) >= LEAST_BITS)
                .sorted(Comparator.comparingDouble((Evidence e) -> -Math.abs(e.bits())))
                .limit(most)
                .toList();
    }

    /** Shows one finding's evidence. */
    public void show(Assessment now, Evidence evidence) {
        String title = now.knowledge().finding(evidence.finding()).orElseThrow().title();
        JobFinding made = now.findings().get(evidence.finding());
        name.setText(title + (made == null ? "" : ": " + made.outcome().replace('_', ' ')));
        bar.show(evidence.bits());
        setAccessibleText(title + " " + VerdictWords.bits(evidence.bits()));
    }
}
