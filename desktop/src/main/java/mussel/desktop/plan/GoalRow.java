package mussel.desktop.plan;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.RepairOption;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.desktop.desk.JobNote;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** One goal to choose, with what it costs while the leg is open and later, and what the odds say. */
final class GoalRow extends Row {
    private static final Messages TEXT = Messages.of(GoalRow.class);

    private static final double TILE_WIDTH = 210;

    private final PickRow tile;
    private final Label cost = Texts.sentence("");
    private final Label advice = Texts.dim("");
    private final PickRow later;
    private final JobNote why;

    GoalRow(Desk desk, String goal, String title) {
        super(12);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("part-row");
        tile = new PickRow("pick-goal-" + goal, "", List.of(Choice.text("yes", title)))
                .optional()
                .onPick(outcome -> desk.choose(Scale.GOAL.of(goal), outcome));
        tile.setMinWidth(TILE_WIDTH);
        tile.setPrefWidth(TILE_WIDTH);
        later = new PickRow(
                        "later-goal-" + goal,
                        "",
                        List.of(
                                Choice.text("put_off", TEXT.get("goal_row.put_off")),
                                Choice.text("refused", "refused")))
                .optional()
                .onPick(outcome -> desk.choose(Scale.GOAL.of(goal), outcome));
        later.setAccessibleText(TEXT.get("goal_row.not_now", title));
        why = JobNote.line(desk, TEXT.get("goal_row.why_it_waits"), Topic.PUT_OFF_WHY.of(goal));
        VBox words = new Column(1, cost, advice, later, why);
        HBox.setHgrow(words, Priority.ALWAYS);
        getChildren().addAll(tile, words);
    }

    /**
     * Shows the goal.
     *
     * @param now the job
     * @param waits whether nothing is chosen yet and this is the likeliest to be: the focus begins here
     */
    void show(RepairOption goal, Assessment now, boolean waits) {
        tile.needed(waits);
        tile.show(goal.chosen() ? Optional.of("yes") : Optional.empty());
        cost.setText(goal.cost());
        Optional<String> answer = now.job().choice(Scale.GOAL.of(goal.goal())).filter(a -> !goal.chosen());
        later.show(answer);
        later.setVisible(answer.isPresent() || goal.worthIt() && !goal.chosen());
        later.setManaged(later.isVisible());
        why.show(now);
        why.setVisible(answer.isPresent());
        why.setManaged(answer.isPresent());
        String says = goal.advice();
        advice.setText(says);
        advice.setVisible(!says.isEmpty());
        advice.setManaged(!says.isEmpty());
        Texts.manner(advice, goal.worthIt() && !goal.chosen() ? "urgent" : "dim");
    }
}
