package mussel.desktop.plan;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Further;
import mussel.core.job.Scale;
import mussel.desktop.desk.Desk;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** One goal to choose, with what it costs while the leg is open and later, and what the odds say. */
final class GoalRow extends Row {
    private static final double TILE_WIDTH = 210;

    private final PickRow tile;
    private final Label cost = Texts.sentence("");
    private final Label advice = Texts.dim("");

    GoalRow(Desk desk, String goal, String title) {
        super(12);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("part-row");
        tile = new PickRow("pick-goal-" + goal, "", List.of(Choice.text("yes", title)))
                .optional()
                .onPick(outcome -> desk.choose(Scale.GOAL.of(goal), outcome));
        tile.setMinWidth(TILE_WIDTH);
        tile.setPrefWidth(TILE_WIDTH);
        VBox words = new Column(1, cost, advice);
        HBox.setHgrow(words, Priority.ALWAYS);
        getChildren().addAll(tile, words);
    }

    /**
     * Shows the goal.
     *
     * @param waits whether nothing is chosen yet and this is the likeliest to be: the focus begins here
     */
    void show(Further goal, boolean waits) {
        tile.needed(waits);
        tile.show(goal.chosen() ? Optional.of("yes") : Optional.empty());
        cost.setText(goal.cost());
        String says = goal.advice();
        advice.setText(says);
        advice.setVisible(!says.isEmpty());
        advice.setManaged(!says.isEmpty());
        Texts.manner(advice, goal.worthIt() && !goal.chosen() ? "urgent" : "dim");
    }
}
