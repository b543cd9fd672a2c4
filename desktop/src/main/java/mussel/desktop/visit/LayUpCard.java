package mussel.desktop.visit;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.book.LayUpWork;
import mussel.core.book.SpringWork;
import mussel.core.book.WorkList;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.language.Messages;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The lay-up before frost, or the spring after it: its steps in their order, each ticked and kept, with the amounts of this boat. */
final class LayUpCard extends Column {
    private static final Messages TEXT = Messages.of(LayUpCard.class);

    private final Desk desk;
    private final JobFields fields;
    private final Button turn = new Button();
    private final Column body = new Column(6);
    private final Column steps = new Column(4);
    private final Map<String, Tick> ticks = new HashMap<>();
    private final boolean spring;
    private final Button print = new Button("Print list");
    private final Label printed = Texts.dim("");
    private boolean asked;
    private int sitting;

    private LayUpCard(Desk desk, boolean spring) {
        super(6);
        this.desk = desk;
        this.spring = spring;
        fields = new JobFields(desk);
        setId(spring ? "spring" : "layup");
        turn.setId(getId() + "-open");
        turn.setOnAction(e -> {
            asked = !asked;
            lay(asked);
            if (asked) {
                FocusStops.of(body).first().ifPresent(Node::requestFocus);
                fireEvent(new ScrollIntoView());
            }
        });
        print.setId(getId() + "-print");
        print.setOnAction(e -> Paper.place(
                        desk.shop(), this, "List", getId() + "-" + desk.job().id() + ".pdf")
                .ifPresent(this::print));
        body.getChildren()
                .add(Texts.heading(
                        spring
                                ? TEXT.get("lay_up_card.spring_before_it_is_launched")
                                : TEXT.get("lay_up_card.lay_up_before_frost")));
        if (!spring) {
            body.getChildren()
                    .addAll(
                            Texts.dim(TEXT.get("lay_up_card.every_winter_or_only_where_it")),
                            new Flow(
                                    8,
                                    6,
                                    fields.field(Field.FUEL_TANK).optional(),
                                    fields.field(Field.STABILISER_DOSE)
                                            .optional()
                                            .wide()));
        }
        body.getChildren().addAll(steps, new Row(10, print, printed));
        getChildren().addAll(turn, body);
        lay(false);
    }

    /** The lay-up before frost. */
    static LayUpCard layUp(Desk desk) {
        return new LayUpCard(desk, false);
    }

    /** The spring after it. */
    static LayUpCard spring(Desk desk) {
        return new LayUpCard(desk, true);
    }

    private void lay(boolean open) {
        body.setVisible(open);
        body.setManaged(open);
        String what = spring ? "spring" : "lay-up";
        turn.setText(
                open
                        ? TEXT.get("lay_up_card.close_the", what)
                        : spring ? TEXT.get("lay_up_card.spring") : TEXT.get("lay_up_card.lay_it_up"));
    }

    /** Writes the list, off the interface thread. */
    private void print(Path file) {
        Assessment now = desk.now();
        WorkList list =
                spring ? SpringWork.of(now).list(now) : LayUpWork.of(now).list(now);
        Paper.write(
                desk.shop(),
                TEXT.get("lay_up_card.the_list"),
                file,
                () -> desk.shop().papers().list(now, list, file),
                printed::setText);
    }

    /** A step's tick and what it says. */
    private record Tick(ToggleButton box, Label says, Row row) {}

    private Tick tick(String id) {
        ToggleButton box = new ToggleButton("done");
        box.getStyleClass().addAll("tile", "text-tile");
        box.setId(getId() + "-" + id.substring(id.indexOf(':') + 1));
        box.setOnAction(e -> desk.note(new Fact.Ticked(id, box.isSelected())));
        Label says = Texts.sentence("");
        says.setMinWidth(0);
        says.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(says, Priority.ALWAYS);
        Row row = new Row(10, box, says);
        row.setAlignment(Pos.CENTER_LEFT);
        return new Tick(box, says, row);
    }

    void show(Assessment now) {
        if (sitting != desk.sitting()) {
            // What was opened on another leg is not asked for on this one.
            sitting = desk.sitting();
            asked = false;
        }
        fields.show(now);
        List<LayUpWork.Line> lines =
                spring ? SpringWork.of(now).lines() : LayUpWork.of(now).lines();
        lay(asked || lines.stream().anyMatch(LayUpWork.Line::done));
        List<Node> rows = new ArrayList<>();
        for (LayUpWork.Line line : lines) {
            Tick tick = ticks.computeIfAbsent(line.id(), this::tick);
            tick.box().setSelected(line.done());
            tick.box().setAccessibleText(line.says());
            tick.says().setText(line.says());
            rows.add(tick.row());
        }
        if (!rows.equals(steps.getChildren())) {
            steps.getChildren().setAll(rows);
        }
    }
}
