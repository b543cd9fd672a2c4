package mussel.desktop.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Scale;
import mussel.core.measure.Display;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;

/** How deep, and in what order: the goals, the steps down to them, and the mat. */
public final class StripStation implements StationView {
    private final Desk desk;
    private final VBox sheet = new VBox(12);
    private final Label summary = Texts.sentence("");
    private final Label cures = Texts.dim("");
    private final VBox tools = new VBox(6);
    private final Map<String, Node> views;
    private final JobPicks goals;
    private final StepList steps;
    private final Mat mat = new Mat();
    private final InspectPage inspect;
    private final PickRow view;
    private final Pages pages = new Pages();

    /** The station of a job. */
    public StripStation(Desk desk) {
        this.desk = desk;
        goals = new JobPicks(desk);
        steps = new StepList(desk, s -> s.phase() == Phase.DOWN || s.phase() == Phase.STRIP);
        sheet.getStyleClass().add("station");
        HBox goalRow = new HBox(5);
        for (Goal goal : desk.now().get().sheet().goals()) {
            goalRow.getChildren()
                    .add(goals.bound(Scale.GOAL.of(goal.id()), "", List.of(Choice.text("yes", goal.title()))));
        }
        view = new PickRow(
                "strip-view",
                "",
                List.of(
                        Choice.text("steps", "Steps"),
                        Choice.text("mat", "The mat"),
                        Choice.text("inspect", "Inspect"),
                        Choice.text("tools", "Tools")));
        view.keepsOne().onPick(which -> open(which.orElse("steps")));
        view.show(Optional.of("steps"));
        inspect = new InspectPage(desk);
        views = Map.of("steps", steps, "mat", mat, "inspect", inspect, "tools", tools);
        sheet.getChildren()
                .addAll(Texts.title("Strip-down"), Texts.heading("To be done"), goalRow, cures, summary, view, pages);
        open("steps");
    }

    private void open(String which) {
        pages.show(views.get(which));
        view.show(Optional.of(which));
        fill(desk.now().get());
    }

    /** Only what is seen is drawn anew. */
    private void fill(Assessment now) {
        if (mat.isVisible()) {
            mat.show(now);
        }
        if (inspect.isVisible()) {
            inspect.show(now);
        }
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        goals.show(now);
        steps.show(now);
        fill(now);
        List<PlannedStep> strip = now.stripSteps();
        boolean any = !strip.isEmpty();
        view.setVisible(any);
        view.setManaged(any);
        double minutes =
                strip.stream().mapToDouble(s -> s.step().minutes().mean()).sum();
        summary.setText(
                any
                        ? now.stepsDone(strip) + " of " + strip.size() + " steps done. Going in takes about "
                                + Display.workTime(minutes) + ", the whole job about "
                                + Display.workTime(now.plan().minutesMean())
                                + ": an estimate from the sheet, without seized fasteners."
                        : "Choose what is to be done; the steps follow, as deep as it needs and no deeper.");
        cures.setText(String.join(
                " ",
                now.goals().stream()
                        .map(g -> now.sheet().goal(g).orElseThrow())
                        .map(g -> g.title() + ": " + g.why())
                        .toList()));
        tools.getChildren()
                .setAll(now.plan().tools().stream().map(Texts::sentence).toList());
    }
}
