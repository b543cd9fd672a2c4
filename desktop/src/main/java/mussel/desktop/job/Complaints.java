package mussel.desktop.job;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.job.Assessment;
import mussel.core.job.Scale;
import mussel.core.measure.NamedBy;
import mussel.core.verdict.Context;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickMany;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What the leg came in for: it decides what is looked at first. */
final class Complaints extends Column {
    private final PickMany picks;

    Complaints(Desk desk) {
        super(3);
        List<Choice> choices = Stream.of(Context.Complaint.values())
                .map(c -> Choice.text(NamedBy.file(c), c.title()))
                .toList();
        picks = new PickMany(
                "pick-came_for",
                "Came in for",
                choices,
                (id, on) -> desk.choose(Scale.CAME_FOR.of(id), on ? Optional.of("yes") : Optional.empty()));
        getChildren()
                .addAll(
                        picks,
                        Texts.dim("Pick all that apply: looks for these come first, what is cheap beside them after."));
    }

    void show(Assessment now) {
        Set<String> picked =
                now.context().complaint().stream().map(NamedBy::file).collect(Collectors.toSet());
        picks.show(picked);
    }
}
