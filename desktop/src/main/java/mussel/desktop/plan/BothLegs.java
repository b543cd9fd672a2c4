package mussel.desktop.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import mussel.core.estimate.EstimateEngine;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.OneVisit;
import mussel.core.language.Messages;
import mussel.core.measure.Money;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The steps of both legs of a visit side by side: a tick for each leg that has the step, one for both where it is done once. */
final class BothLegs extends Column {
    private static final Messages TEXT = Messages.of(BothLegs.class);

    private static final double TICK = 158;

    private final Desk desk;
    private final Label says = Texts.wrapped("", "strong");
    private final Label price = Texts.sentence("");
    private final Column steps = new Column(3);
    private final Map<String, Line> lines = new HashMap<>();

    BothLegs(Desk desk) {
        super(6);
        this.desk = desk;
        setId("both-legs");
        price.managedProperty().bind(price.textProperty().isNotEmpty());
        getChildren().addAll(says, price, steps);
    }

    /** A step with its two ticks. */
    private record Line(Row row, ToggleButton port, ToggleButton starboard, Label title) {}

    void show(Assessment now) {
        Optional<OneVisit> both = now.visit();
        setVisible(both.isPresent());
        both.ifPresent(v -> show(now, v));
    }

    private void show(Assessment now, OneVisit visit) {
        says.setText(visit.says());
        Money money = now.yard().money();
        String order = now.supply().forBoth() ? TEXT.get("both_legs.one_order_for_both_at_parts") : "";
        price.setText(visit.worth()
                .filter(w -> visit.oneOwner())
                .map(w -> w.result().option(EstimateEngine.REPAIR))
                .map(r -> TEXT.get(
                        "both_legs.both_repaired_on_the_mean_to",
                        money.sum(r.mean()),
                        money.sum(r.p10()),
                        money.sum(r.p90()),
                        order))
                .orElse(visit.worth().isEmpty() ? TEXT.get("both_legs.nothing_is_to_be_done_on") : order.strip()));
        List<OneVisit.Line> all = visit.lines();
        List<Node> rows = all.stream().map(l -> show(visit, l)).toList();
        if (!rows.equals(steps.getChildren())) {
            steps.getChildren().setAll(rows);
        }
    }

    private Node show(OneVisit visit, OneVisit.Line line) {
        Line shown = lines.computeIfAbsent(line.key(), key -> line(line.step().id()));
        shown.title().setText(line.title() + (line.once() ? TEXT.get("both_legs.once_for_both") : ""));
        tick(visit, line, shown.port(), line.port(), 0);
        tick(visit, line, shown.starboard(), line.starboard(), 1);
        return shown.row();
    }

    private Line line(String step) {
        ToggleButton port = tile("port-" + step);
        ToggleButton starboard = tile("starboard-" + step);
        Label title = Texts.sentence("");
        title.setMinWidth(0);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(title, Priority.ALWAYS);
        Row row = new Row(6, port, starboard, title);
        row.setAlignment(Pos.CENTER_LEFT);
        return new Line(row, port, starboard, title);
    }

    private static ToggleButton tile(String id) {
        ToggleButton tile = new ToggleButton();
        tile.setId(id);
        tile.getStyleClass().addAll("tile", "text-tile");
        tile.setMinWidth(TICK);
        tile.setPrefWidth(TICK);
        return tile;
    }

    private void tick(OneVisit visit, OneVisit.Line line, ToggleButton tile, Optional<Boolean> done, int side) {
        Assessment leg = visit.legs().get(side);
        String position = visit.briefly(leg);
        tile.setDisable(done.isEmpty() || leg.job().tagged().isPresent());
        tile.setText(done.isEmpty() ? "–" : position);
        tile.setSelected(done.orElse(false));
        tile.setGraphic(done.isEmpty() ? null : done.get() ? Marks.done() : Marks.open());
        tile.setAccessibleText(line.step().title() + ", " + position + (done.orElse(false) ? ", done" : ", to do"));
        tile.setOnAction(e -> {
            boolean ticked = tile.isSelected();
            if (line.once()) {
                visit.legs().forEach(l -> enter(l.job().id(), line.step().id(), ticked));
            } else {
                enter(leg.job().id(), line.step().id(), ticked);
            }
        });
    }

    private void enter(int job, String step, boolean done) {
        desk.noteBeside(job, new Fact.Ticked(step, done));
    }
}
