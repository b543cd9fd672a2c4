package mussel.desktop.pump;

import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.kit.Texts;

/** What is marked on one vane. */
final class VaneCard extends VBox {
    private final JobFields fields;
    private final JobPicks picks;

    VaneCard(Desk desk, int number) {
        super(8);
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        getStyleClass().addAll("card", "vane-card");
        String vane = String.valueOf(number);
        FlowPane measured = new FlowPane(
                12,
                6,
                fields.field(Field.VANE_WEAR, Field.VANE_WEAR.of(vane), Field.VANE_WEAR.label()),
                fields.field(Field.VANE_SET, Field.VANE_SET.of(vane), Field.VANE_SET.label()),
                fields.field(Field.VANE_MISSING, Field.VANE_MISSING.of(vane), Field.VANE_MISSING.label()));
        VBox seen = new VBox(
                8,
                picks.row(Scale.VANE_CRACK.of(vane), Scale.VANE_CRACK.label(), Scale.VANE_CRACK.outcomes(), o -> null),
                picks.row(Scale.VANE_BURNT.of(vane), Scale.VANE_BURNT.label(), Scale.VANE_BURNT.outcomes(), o -> null));
        getChildren().addAll(Texts.heading("Vane " + number), measured, seen);
    }

    void show(Assessment now) {
        fields.show(now);
        picks.show(now);
    }
}
