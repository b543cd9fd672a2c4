package mussel.desktop.visit;

import java.util.HashMap;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.book.LayUpWork;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.JobFields;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SeeMe;
import mussel.desktop.kit.Stops;
import mussel.desktop.kit.Texts;

/** The lay-up before frost: its steps in their order, each ticked and kept, with the amounts of this boat. */
final class LayUpCard extends Column {
    private final Desk desk;
    private final JobFields fields;
    private final Button turn = new Button();
    private final Column body = new Column(6);
    private final Column steps = new Column(4);
    private final Map<String, Tick> ticks = new HashMap<>();
    private boolean asked;

    LayUpCard(Desk desk) {
        super(6);
        this.desk = desk;
        fields = new JobFields(desk);
        setId("layup");
        turn.setId("layup-open");
        turn.setOnAction(e -> {
            asked = !asked;
            lay(asked);
            if (asked) {
                Stops.of(body).first().ifPresent(Node::requestFocus);
                fireEvent(new SeeMe());
            }
        });
        body.getChildren()
                .addAll(
                        Texts.heading("Lay-up before frost"),
                        Texts.dim(
                                "Every winter, or only where it freezes; in a heated shed not at all: each has its school. Water that freezes splits the case and the pump; old oil and stale fuel work on all winter."),
                        new Flow(
                                8,
                                6,
                                fields.field(Field.FUEL_TANK).optional(),
                                fields.field(Field.STABILISER_DOSE).optional().wide()),
                        steps);
        getChildren().addAll(turn, body);
        lay(false);
    }

    private void lay(boolean open) {
        body.setVisible(open);
        body.setManaged(open);
        turn.setText(open ? "Close the lay-up" : "Lay it up");
    }

    /** A step's tick and what it says. */
    private record Tick(ToggleButton box, Label says, Row row) {}

    private Tick tick(String id) {
        ToggleButton box = new ToggleButton("done");
        box.getStyleClass().addAll("tile", "text-tile");
        box.setId("layup-" + id.substring(id.indexOf(':') + 1));
        box.setOnAction(e -> desk.note(new Fact.Ticked(id, box.isSelected())));
        Label says = Texts.sentence("");
        says.setMinWidth(0);
        says.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(says, Priority.ALWAYS);
        Row row = new Row(10, box, says);
        row.setAlignment(Pos.CENTER_LEFT);
        steps.getChildren().add(row);
        return new Tick(box, says, row);
    }

    void show(Assessment now) {
        fields.show(now);
        LayUpWork work = LayUpWork.of(now);
        lay(asked || work.done() > 0);
        for (LayUpWork.Line line : work.lines()) {
            Tick tick = ticks.computeIfAbsent(line.id(), this::tick);
            tick.box().setSelected(line.done());
            tick.box().setAccessibleText(line.says());
            tick.says().setText(line.says());
        }
    }
}
