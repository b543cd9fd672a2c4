package mussel.desktop.plan;

import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import javafx.scene.control.Label;
import mussel.core.job.Assessment;
import mussel.core.job.Further;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Goal;
import mussel.desktop.desk.Desk;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.Texts;

/** Everything that could be done, priced: what it adds while the leg is open against what it costs later. */
final class GoalsPage extends Column {
    private final Desk desk;
    private final Pages families = new Pages();
    private final Map<String, Rows> rowsOf = new HashMap<>();
    private final Label twin = Texts.sentence("");

    GoalsPage(Desk desk) {
        super(4);
        this.desk = desk;
        twin.getStyleClass().add("card");
        twin.setMaxWidth(Double.MAX_VALUE);
        getChildren().add(twin);
        getChildren()
                .addAll(
                        families,
                        Texts.dim(
                                "Work at the yard's rate, parts at their least single price; estimates, all of them. Odds from the verdict."));
    }

    /** The goals of one family, by id. */
    private static final class Rows extends Column {
        private final Map<String, GoalRow> byGoal = new HashMap<>();

        Rows(Desk desk, FamilySheet family) {
            super(4);
            for (Goal goal : family.goals()) {
                GoalRow row = new GoalRow(desk, goal.id(), goal.title());
                byGoal.put(goal.id(), row);
                getChildren().add(row);
            }
        }
    }

    void show(Assessment now) {
        Rows rows = rowsOf.computeIfAbsent(now.sheet().id(), f -> new Rows(desk, now.sheet()));
        families.show(rows);
        String likeliest = now.goals().isEmpty()
                ? now.further().stream()
                        .max(Comparator.comparingDouble(f -> f.probability().orElse(0.0)))
                        .map(Further::goal)
                        .orElse("")
                : "";
        now.further()
                .forEach(f -> rows.byGoal.get(f.goal()).show(f, now, f.goal().equals(likeliest)));
        String both = now.visit().isPresent() ? "" : now.twinPriced();
        twin.setText(both);
        twin.setVisible(!both.isEmpty());
        twin.setManaged(!both.isEmpty());
    }
}
