package mussel.desktop.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.measure.Display;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Phase;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Putting it back: the steps, the parts to fit with their orientation, the torques. */
public final class BuildStation implements StationView {
    private final Desk desk;
    private final VBox sheet = new Column(12);
    private final Label summary = Texts.sentence("");
    private final StepList steps;
    private final MatBack mat = new MatBack();
    private final PartsToFit parts;
    private final TorqueSheet torques;
    private final Map<String, Node> views;
    private final PickRow view;
    private final Pages pages = new Pages();
    private String shown = "";

    /** The station of a job. */
    public BuildStation(Desk desk) {
        this.desk = desk;
        torques = new TorqueSheet(desk);
        parts = new PartsToFit(desk);
        steps = new StepList(desk, s -> s.phase() == Phase.BUILD && !Assessment.isFilling(s));
        views = Map.of("steps", steps, "mat", mat, "parts", parts, "torques", torques);
        view = new PickRow(
                "build-view",
                "",
                List.of(
                        Choice.text("steps", "Steps"),
                        Choice.text("mat", "The mat, back"),
                        Choice.text("parts", "Parts to fit"),
                        Choice.text("torques", "Torques")));
        view.keepsOne().onPick(which -> open(which.orElse("steps")));
        sheet.getStyleClass().add("station");
        sheet.getChildren().addAll(Texts.title("Build"), summary, view, pages);
        open("steps");
    }

    private void open(String which) {
        shown = which;
        pages.show(views.get(which));
        view.show(Optional.of(which));
        fill(desk.now());
    }

    /** Only what is seen is drawn anew. */
    private void fill(Assessment now) {
        if (shown.equals("mat")) {
            mat.show(now);
        }
        if (shown.equals("parts")) {
            parts.show(now);
        }
        if (shown.equals("torques")) {
            torques.show(now);
        }
    }

    @Override
    public boolean press(Handle handle) {
        boolean turn = handle == Handle.STEPS && !shown.equals("steps");
        if (turn) {
            open("steps");
        }
        return turn;
    }

    @Override
    public List<StationView.Key> keys() {
        return StepList.keys();
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        steps.show(now);
        fill(now);
        List<PlannedStep> build = now.buildSteps();
        view.setVisible(!build.isEmpty());
        view.setManaged(!build.isEmpty());
        if (build.isEmpty()) {
            summary.setText("Nothing is planned yet. Choose what is to be done under Strip-down.");
            return;
        }
        double minutes = build.stream()
                .mapToDouble(s -> s.step().meanMinutes(now.saltYears()))
                .sum();
        summary.setText(now.stepsDone(build) + " of " + build.size() + " steps done, about " + Display.workTime(minutes)
                + " in all (an estimate). Filling follows at its own station. "
                + switch (now.sheet().construction().driveshaftTurns()) {
                    case CLOCKWISE -> "The driveshaft turns clockwise, seen from above.";
                    case COUNTER_CLOCKWISE -> "The driveshaft turns counter-clockwise, seen from above.";
                    case UNKNOWN ->
                        "Nobody has looked which way the driveshaft turns: fit the vanes as the old ones trailed.";
                }
                + untorqued(now)
                + now.yard().habits().map(h -> " " + h.sealing()).orElse(""));
    }

    private static String untorqued(Assessment now) {
        String groups = String.join(
                ", ",
                now.plan().fasteners().stream()
                        .filter(f -> f.torque().isEmpty())
                        .map(Fastener::title)
                        .toList());
        return groups.isEmpty() ? "" : " Torques still to be read in the manual: " + groups + ".";
    }
}
