package mussel.desktop.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Further;
import mussel.core.sheet.Goal;
import mussel.desktop.desk.Desk;
import mussel.desktop.kit.Texts;

/** Everything that could be done, priced: what it adds while the leg is open against what it costs later. */
final class GoalsPage extends VBox {
    private final Map<String, GoalRow> rows = new HashMap<>();
    private final Label twin = Texts.sentence("");

    GoalsPage(Desk desk) {
        super(4);
        List<Goal> goals = desk.now().get().sheet().goals();
        twin.getStyleClass().add("card");
        twin.setMaxWidth(Double.MAX_VALUE);
        getChildren().add(twin);
        for (Goal goal : goals) {
            GoalRow row = new GoalRow(desk, goal.id(), goal.title());
            rows.put(goal.id(), row);
            getChildren().add(row);
        }
        getChildren()
                .add(
                        Texts.dim(
                                "Work at the yard's rate, parts at their least single price; estimates, all of them. Odds from the verdict."));
    }

    void show(Assessment now) {
        List<Further> further = now.further();
        further.forEach(f -> rows.get(f.goal()).show(f));
        String both = now.twinPriced();
        twin.setText(both);
        twin.setVisible(!both.isEmpty());
        twin.setManaged(!both.isEmpty());
    }
}
