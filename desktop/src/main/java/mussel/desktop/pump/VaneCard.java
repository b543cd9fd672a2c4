package mussel.desktop.pump;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What is marked on one vane. */
final class VaneCard extends Column {
    private static final Messages TEXT = Messages.of(VaneCard.class);

    /** What a vane may look like, with the set each stands for (degrees). */
    private static final Map<String, Double> LOOKS = looks();

    private final JobFields fields;
    private final JobPicks picks;
    private final PickRow look;
    private final Address set;

    VaneCard(Desk desk, int number) {
        super(8);
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        getStyleClass().addAll("card", "vane-card");
        String vane = String.valueOf(number);
        FlowPane measured = new Flow(
                12,
                6,
                fields.field(Field.VANE_WEAR, Field.VANE_WEAR.of(vane), Field.VANE_WEAR.label()),
                fields.field(Field.VANE_SET, Field.VANE_SET.of(vane), Field.VANE_SET.label()),
                fields.field(Field.VANE_MISSING, Field.VANE_MISSING.of(vane), Field.VANE_MISSING.label()));
        set = Field.VANE_SET.of(vane);
        List<PickRow.Choice> choices = new ArrayList<>();
        LOOKS.forEach((name, degrees) -> choices.add(new PickRow.Choice(name, name, VaneGlyph.bent(degrees))));
        look = new PickRow("vane-look-" + number, TEXT.get("vane_card.looks_like"), choices).optional();
        look.onPick(picked -> picked.ifPresentOrElse(
                name -> desk.read(set, LOOKS.get(name), TEXT.get("vane_card.as_drawn", name)),
                () -> desk.note(new Fact.Cleared(set))));
        VBox seen = new Column(
                8,
                picks.row(Scale.VANE_CRACK.of(vane), Scale.VANE_CRACK.label(), Scale.VANE_CRACK.outcomes(), o -> null),
                picks.row(Scale.VANE_BURNT.of(vane), Scale.VANE_BURNT.label(), Scale.VANE_BURNT.outcomes(), o -> null));
        getChildren().addAll(Texts.heading(TEXT.get("vane_card.vane", number)), look, measured, seen);
    }

    private static Map<String, Double> looks() {
        Map<String, Double> looks = new LinkedHashMap<>();
        looks.put("straight", 0.0);
        looks.put("slight", 15.0);
        looks.put("curled", 30.0);
        looks.put(TEXT.get("vane_card.laid_over"), 55.0);
        return looks;
    }

    void show(Assessment now) {
        OptionalDouble degrees = now.job().reading(set);
        look.show(LOOKS.entrySet().stream()
                .filter(l -> degrees.isPresent() && degrees.getAsDouble() == l.getValue())
                .map(Map.Entry::getKey)
                .findFirst());
        fields.show(now);
        picks.show(now);
    }
}
