package mussel.desktop.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.scene.Node;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.work.desk.Desk;

/** The pick rows of a station, bound to the job's choices. */
public final class JobPicks {
    private static final Messages TEXT = Messages.of(JobPicks.class);

    private final Desk desk;
    private final Map<Address, PickRow> rows = new LinkedHashMap<>();

    /** Pick rows for a desk. */
    public JobPicks(Desk desk) {
        this.desk = desk;
    }

    /** A row of texts for a scale there is only one of. */
    public PickRow row(Scale scale) {
        return row(scale.address(), scale.label(), scale.outcomes(), outcome -> null);
    }

    /** A row of pictures for a scale there is only one of. */
    public PickRow row(Scale scale, Function<String, Node> picture) {
        return row(scale.address(), scale.label(), scale.outcomes(), picture);
    }

    /** A row for an address, under a label of its own. */
    public PickRow row(Address at, String label, List<String> outcomes, Function<String, Node> picture) {
        List<Choice> choices = new ArrayList<>();
        outcomes.forEach(o -> choices.add(new Choice(o, word(o), picture.apply(o))));
        return bound(at, label, choices);
    }

    /** An outcome as it is read, where its id is not what people say. */
    private static String word(String outcome) {
        return TEXT.has("outcome." + outcome) ? TEXT.get("outcome." + outcome) : outcome.replace('_', ' ');
    }

    /** A row of given choices for an address. */
    public PickRow bound(Address at, String label, List<Choice> choices) {
        String id = "pick-" + at.name() + (at.of().isEmpty() ? "" : "-" + at.of());
        PickRow row = new PickRow(id, label, choices).onPick(outcome -> desk.choose(at, outcome));
        rows.put(at, row);
        return row;
    }

    /** The yard's oils, for a scale of oils. */
    public PickRow oils(Scale scale) {
        List<Choice> oils = desk.shop().yard().oils().stream()
                .map(o -> Choice.text(o.id(), o.title()))
                .toList();
        return bound(scale.address(), scale.label(), oils);
    }

    /** Shows the job's choices in all of them. */
    public void show(Assessment now) {
        rows.forEach((at, row) -> row.show(now.job().choice(at)));
    }
}
