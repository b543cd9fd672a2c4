package mussel.desktop.visit;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.language.Messages;
import mussel.core.visit.EngineSideItem;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What is done beside the leg in the same visit: an answer for each item, what was found of it, and what waits. */
public final class EngineSideStation implements StationView {
    private static final Messages TEXT = Messages.of(EngineSideStation.class);

    private final VBox sheet = new Column(10);
    private final Column greeting = new Column(2);
    private final Map<EngineSideItem, EngineSideCard> cards = new EnumMap<>(EngineSideItem.class);
    private final Label asked = Texts.dim("");
    private final LayUpCard layUp;
    private final LayUpCard spring;

    /** The station of a job. */
    public EngineSideStation(Desk desk) {
        sheet.setId("beside-station");
        greeting.setId("beside-greeting");
        greeting.managedProperty().bind(javafx.beans.binding.Bindings.isNotEmpty(greeting.getChildren()));
        sheet.getStyleClass().add("station");
        sheet.getChildren().addAll(Texts.title(TEXT.get("engine_side_station.beside_the_leg")), asked, greeting);
        for (EngineSideItem item : EngineSideItem.values()) {
            EngineSideCard card = new EngineSideCard(desk, item);
            cards.put(item, card);
            sheet.getChildren().add(card);
        }
        layUp = LayUpCard.layUp(desk);
        spring = LayUpCard.spring(desk);
        sheet.getChildren().addAll(layUp, spring);
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        EngineSide beside = new EngineSide(now);
        greeting.getChildren().clear();
        if (!beside.greeting().isEmpty()) {
            greeting.getChildren().add(Texts.heading(TEXT.get("engine_side_station.waiting_since_an_earlier_visit")));
            beside.greeting().values().forEach(w -> greeting.getChildren().add(Texts.caution(w)));
        }
        asked.setText(TEXT.get("engine_side_station.looked_at_and_sound_done_put"));
        cards.values().forEach(c -> c.show(now, beside));
        layUp.show(now);
        spring.show(now);
    }
}
