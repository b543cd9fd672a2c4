package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import mussel.core.job.Assessment;
import mussel.core.job.MissingValue;
import mussel.core.job.Station;
import mussel.core.job.TorqueWork;
import mussel.core.language.Messages;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Every fastener group that is closed again, with the wrench to take, its setting, and how far each bolt is. */
final class TorqueSheet extends Column {
    private static final Messages TEXT = Messages.of(TorqueSheet.class);

    private final Desk desk;
    private final ManualValues manual;
    private final Map<String, TorqueCard> cards = new HashMap<>();

    TorqueSheet(Desk desk) {
        super(8);
        this.desk = desk;
        manual = new ManualValues(desk, Station.BUILD, this::closed);
    }

    /** Only what this job closes again is asked for. */
    private boolean closed(MissingValue missing) {
        Assessment now = desk.now();
        return now.plan().fasteners().stream().anyMatch(f -> missing.at()
                .equals("/fasteners/" + now.sheet().fasteners().indexOf(f) + "/torque"));
    }

    void show(Assessment now) {
        List<Node> rows = new ArrayList<>();
        manual.show(now);
        rows.add(manual);
        for (TorqueWork work : now.torques()) {
            TorqueCard card = cards.computeIfAbsent(work.fastener().id(), id -> new TorqueCard(desk, work.fastener()));
            card.show(now, work);
            rows.add(card);
        }
        rows.add(Texts.dim(TEXT.get(
                "torque_sheet.snug_wipe_dry_then_torque_figures", now.sheet().origin())));
        if (!rows.equals(getChildren())) {
            getChildren().setAll(rows);
        }
    }
}
