package mussel.desktop.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.language.Messages;
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
    private static final Messages TEXT = Messages.of(BuildStation.class);

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
                        Choice.text("steps", TEXT.get("build_station.steps")),
                        Choice.text("mat", TEXT.get("build_station.the_mat_back")),
                        Choice.text("parts", TEXT.get("build_station.parts_to_fit")),
                        Choice.text("torques", TEXT.get("build_station.torques"))));
        view.keepsOne().onPick(which -> open(which.orElse("steps")));
        sheet.getStyleClass().add("station");
        sheet.getChildren().addAll(Texts.title(TEXT.get("build_station.build")), summary, view, pages);
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
            summary.setText(TEXT.get("build_station.nothing_is_planned_yet_choose_what"));
            return;
        }
        double minutes = build.stream()
                .mapToDouble(s -> s.step().meanMinutes(now.saltYears()))
                .sum();
        summary.setText(TEXT.get(
                "build_station.of_steps_done_about_in_all",
                now.stepsDone(build),
                build.size(),
                Display.workTime(minutes),
                switch (now.sheet().construction().driveshaftTurns()) {
                    case CLOCKWISE -> TEXT.get("build_station.the_driveshaft_turns_clockwise_seen_from");
                    case COUNTER_CLOCKWISE -> TEXT.get("build_station.the_driveshaft_turns_counter_clockwise_seen");
                    case UNKNOWN -> TEXT.get("build_station.nobody_has_looked_which_way_the");
                },
                untorqued(now),
                now.yard().habits().map(h -> " " + h.sealing()).orElse("")));
    }

    private static String untorqued(Assessment now) {
        String groups = String.join(
                ", ",
                now.plan().fasteners().stream()
                        .filter(f -> f.torque().isEmpty())
                        .map(Fastener::title)
                        .toList());
        return groups.isEmpty() ? "" : TEXT.get("build_station.torques_still_to_be_read_in", groups);
    }
}
