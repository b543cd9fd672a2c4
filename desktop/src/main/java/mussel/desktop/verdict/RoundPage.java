package mussel.desktop.verdict;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.JobFinding;
import mussel.core.language.Messages;
import mussel.core.verdict.Finding;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** A round of checks as one list, answered key by key in the order hands make them; it stays as it is while it is answered. */
final class RoundPage extends Column {
    private static final Messages TEXT = Messages.of(RoundPage.class);

    private final Desk desk;
    private final Label head = Texts.wrapped("", "strong");
    private final Label done = Texts.dim("");
    private final Button back = new Button("All checks");
    private final Map<String, PickRow> rows = new LinkedHashMap<>();
    private int job;

    /** A page; called back when somebody leaves it. */
    RoundPage(Desk desk, Runnable onBack) {
        super(8);
        this.desk = desk;
        setId("round");
        back.setId("round-back");
        back.getStyleClass().add("fold");
        back.setOnAction(e -> onBack.run());
    }

    /** Lists the checks of a round. */
    void begin(Assessment now, String title, List<String> looks) {
        job = now.job().id();
        rows.clear();
        head.setText(title);
        List<Node> lines = new ArrayList<>(List.of(head));
        for (String id : looks) {
            Finding finding = now.knowledge().finding(id).orElseThrow();
            PickRow row = new PickRow(
                            "check-" + id,
                            finding.title(),
                            finding.outcomes().stream()
                                    .map(o -> Choice.text(o, o.replace('_', ' ')))
                                    .toList())
                    .onPick(outcome -> desk.choose(Address.the(id), outcome));
            row.getStyleClass().add("card");
            rows.put(id, row);
            lines.add(row);
        }
        lines.add(done);
        lines.add(back);
        getChildren().setAll(lines);
        show(now);
    }

    /** Whether a round of this job is listed. */
    boolean of(Assessment now) {
        return job == now.job().id() && !rows.isEmpty();
    }

    void show(Assessment now) {
        Map<String, String> found = new LinkedHashMap<>();
        now.findings().forEach((id, made) -> found.put(id, made.outcome()));
        int open = 0;
        for (Map.Entry<String, PickRow> each : rows.entrySet()) {
            Optional<JobFinding> made = Optional.ofNullable(now.findings().get(each.getKey()));
            Finding finding = now.knowledge().finding(each.getKey()).orElseThrow();
            // A check behind another is made only where that one calls for it.
            boolean wanted = made.isPresent() || finding.open(found) && finding.possible(now.context(), found);
            each.getValue().setVisible(wanted);
            each.getValue().setManaged(wanted);
            // What an engine made of a reading is changed where the reading is.
            each.getValue()
                    .setDisable(made.filter(m -> m.by() != JobFinding.By.PICKED).isPresent());
            each.getValue().show(made.map(JobFinding::outcome));
            open += wanted && made.isEmpty() ? 1 : 0;
        }
        done.setText(
                open == 0
                        ? TEXT.get("round_page.all_checked_f5_goes_on")
                        : open == 1 ? TEXT.get("round_page.1_check_left") : TEXT.get("round_page.checks_left", open));
    }

    /** What takes the focus: the first check that is not answered. */
    List<Node> first() {
        return rows.values().stream()
                .filter(Node::isManaged)
                .filter(r -> !r.isDisabled())
                .flatMap(r -> FocusStops.of(r).first().stream())
                .limit(1)
                .toList();
    }
}
