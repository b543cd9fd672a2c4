package mussel.desktop.plan;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.core.job.Assessment;
import mussel.core.job.RepairOption;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Everything that could be done, priced: what it adds while the leg is open against what it costs later. */
final class GoalsPage extends Column {
    private static final Messages TEXT = Messages.of(GoalsPage.class);

    private final Desk desk;
    /** The rows of the leg's goals; goals of the same name are one row, whatever leg has them. */
    private final Column rows = new Column(4);

    private final Map<Named, GoalRow> made = new HashMap<>();
    private final Label twin = Texts.sentence("");
    private final SetsPage sets;
    private final Button others = new Button();
    private boolean all;

    /** A repair less likely than this, that nobody chose, stands behind the others. */
    private static final double LIKELY = 0.05;

    private record Named(String id, String title) {}

    GoalsPage(Desk desk) {
        super(4);
        this.desk = desk;
        twin.getStyleClass().add("card");
        twin.setMaxWidth(Double.MAX_VALUE);
        sets = new SetsPage(desk);
        others.setId("more-repairs");
        others.getStyleClass().add("fold");
        others.setOnAction(e -> {
            all = !all;
            show(desk.now());
        });
        getChildren().add(twin);
        getChildren()
                .addAll(
                        sets,
                        Texts.heading(TEXT.get("goals_page.add_or_leave_out")),
                        rows,
                        others,
                        Texts.dim(TEXT.get("goals_page.work_at_the_yards_rate_parts")));
    }

    void show(Assessment now) {
        Map<String, GoalRow> byGoal = new LinkedHashMap<>();
        now.sheet()
                .goals()
                .forEach(goal -> byGoal.put(
                        goal.id(),
                        made.computeIfAbsent(
                                new Named(goal.id(), goal.title()), n -> new GoalRow(desk, n.id(), n.title()))));
        String likeliest = now.goals().isEmpty()
                ? now.further().stream()
                        .max(Comparator.comparingDouble(f -> f.probability().orElse(0.0)))
                        .map(RepairOption::goal)
                        .orElse("")
                : "";
        sets.show(now);
        List<GoalRow> shown = now.further().stream()
                .filter(f -> all || !sets.isVisible() || f.goal().equals(likeliest) || near(now, f))
                .map(f -> byGoal.get(f.goal()))
                .toList();
        if (!rows.getChildren().equals(shown)) {
            rows.getChildren().setAll(shown);
        }
        int hidden = byGoal.size() - shown.size();
        others.setText(
                all ? TEXT.get("goals_page.only_the_likely_ones") : TEXT.get("goals_page.other_repairs", hidden));
        others.setVisible(sets.isVisible() && (all || hidden > 0));
        others.setManaged(others.isVisible());
        now.further().forEach(f -> byGoal.get(f.goal()).show(f, now, f.goal().equals(likeliest)));
        String both = now.visit().isPresent() ? "" : now.twinPriced();
        twin.setText(both);
        twin.setVisible(!both.isEmpty());
        twin.setManaged(!both.isEmpty());
    }

    /** Whether a repair was chosen or answered, or is likely to be called for. */
    private static boolean near(Assessment now, RepairOption repair) {
        return repair.chosen()
                || repair.worthIt()
                || now.job().choice(Scale.GOAL.of(repair.goal())).isPresent()
                || repair.probability().orElse(0.0) >= LIKELY;
    }
}
