package mussel.desktop.verdict;

import java.util.Optional;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.JobFinding;
import mussel.core.job.Scale;
import mussel.core.verdict.Finding;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.work.desk.Desk;

/** The outcomes of one finding to pick from. What an engine made is set by hand instead, and stands as such. */
final class FindingRow extends Column {
    FindingRow(Desk desk, Finding finding, String label, Assessment now) {
        Optional<JobFinding> made = Optional.ofNullable(now.findings().get(finding.id()));
        boolean engines = made.filter(m -> m.by() != JobFinding.By.PICKED).isPresent();
        Address at = engines ? Scale.OVERRULED.of(finding.id()) : Address.the(finding.id());
        PickRow row = new PickRow(
                "finding-" + finding.id(),
                label,
                finding.outcomes().stream()
                        .map(o -> Choice.text(o, o.replace('_', ' ')))
                        .toList());
        row.show(made.map(JobFinding::outcome));
        row.onPick(outcome -> desk.note(outcome.<Fact>map(o -> new Fact.Chosen(at, o))
                .orElseGet(() -> new Fact.Cleared(picked(now, finding).orElse(at)))));
        getChildren().add(row);
    }

    /** The address a picked finding stands at, where it was picked for one of several. */
    private static Optional<Address> picked(Assessment now, Finding finding) {
        boolean overruled = now.job().choice(Scale.OVERRULED.of(finding.id())).isPresent();
        return overruled
                ? Optional.empty()
                : now.job().choices().keySet().stream()
                        .filter(a -> a.name().equals(finding.id()))
                        .findFirst();
    }
}
