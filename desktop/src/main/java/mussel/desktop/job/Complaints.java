package mussel.desktop.job;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.job.Assessment;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.verdict.Context;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickMany;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What the leg came in for: it decides what is looked at first. */
final class Complaints extends Column {
    private static final Messages TEXT = Messages.of(Complaints.class);

    private final PickMany picks;

    Complaints(Desk desk) {
        super(3);
        List<Choice> choices = Stream.of(Context.Complaint.values())
                .map(c -> Choice.text(NamedBy.file(c), c.title()))
                .toList();
        picks = new PickMany(
                "pick-came_for",
                TEXT.get("complaints.came_in_for"),
                choices,
                (id, on) -> desk.choose(Scale.CAME_FOR.of(id), on ? Optional.of("yes") : Optional.empty()));
        getChildren().addAll(picks, Texts.dim(TEXT.get("complaints.pick_all_that_apply_looks_for")));
    }

    void show(Assessment now) {
        Set<String> picked =
                now.context().complaint().stream().map(NamedBy::file).collect(Collectors.toSet());
        picks.show(picked);
    }
}
