package mussel.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Inspection;
import mussel.core.measure.Display;
import mussel.core.plan.Plan.PartNeed;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Part;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Seal;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;

/** Putting it back: the steps, the parts to fit with their orientation, the torques. */
public final class BuildStation implements StationView {
    private final Desk desk;
    private final VBox sheet = new VBox(12);
    private final Label summary = Texts.sentence("");
    private final StepList steps;
    private final MatBack mat = new MatBack();
    private final VBox parts = new VBox(6);
    private final TorqueSheet torques;
    private final Map<String, Node> views;
    private final PickRow view;
    private final Pages pages = new Pages();
    private List<String> listed = List.of();

    /** The station of a job. */
    public BuildStation(Desk desk) {
        this.desk = desk;
        torques = new TorqueSheet(desk);
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
        pages.show(views.get(which));
        view.show(Optional.of(which));
        list(desk.now().get());
        mat(desk.now().get());
    }

    private void mat(Assessment now) {
        if (mat.isVisible()) {
            mat.show(now);
        }
        if (torques.isVisible()) {
            torques.show(now);
        }
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        steps.show(now);
        list(now);
        mat(now);
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
                + " in all (an estimate). Filling follows at its own station. The driveshaft turns "
                + now.sheet()
                        .construction()
                        .driveshaftTurns()
                        .name()
                        .toLowerCase(java.util.Locale.ROOT)
                        .replace('_', '-')
                + ", seen from above.");
    }

    /** Parts and torques follow from the goals; they are made when they are looked at. */
    private void list(Assessment now) {
        List<String> chosen = new ArrayList<>(now.goals());
        chosen.add(now.sheet().id());
        judged(now).forEach(p -> chosen.add(p.id()));
        if (steps.isVisible() || chosen.equals(listed)) {
            return;
        }
        listed = chosen;
        showParts(now);
    }

    private void showParts(Assessment now) {
        parts.getChildren().clear();
        if (now.plan().parts().isEmpty()) {
            return;
        }
        List<PartNeed> outside =
                now.plan().parts().stream().filter(p -> !inPumpKit(now, p)).toList();
        if (!outside.isEmpty() && now.goals().contains("pump_kit")) {
            String names =
                    String.join(", ", outside.stream().map(p -> title(now, p)).toList());
            parts.getChildren().add(Texts.caution("The pump kit does not hold: " + names + ". Order them with it."));
        }
        for (PartNeed need : now.plan().parts()) {
            VBox card = new VBox(1);
            card.getStyleClass().add("card");
            card.getChildren().add(Texts.wrapped(need.part().qty() + " × " + title(now, need), "strong"));
            String number = now.sheet().part(need.part().part()).orElseThrow().number();
            card.getChildren()
                    .add(Texts.dim("Sheet number " + number + "; "
                            + (need.kit().isEmpty() ? "in no kit" : "in " + need.kit()) + "; " + need.why() + "."));
            for (Seal seal : now.sheet().seals()) {
                if (seal.part().equals(need.part().part())) {
                    card.getChildren()
                            .add(Texts.sentence(seal.title() + ": " + seal.orientation() + " " + seal.depth()));
                }
            }
            parts.getChildren().add(card);
        }
        for (Part part : judged(now)) {
            String why = Inspection.of(now.job(), part.id()).why();
            VBox card = new VBox(
                    1,
                    Texts.wrapped(part.qty() + " × " + part.title(), "strong"),
                    Texts.dim("Judged to be replaced" + (why.isEmpty() ? "" : ": " + why) + "."));
            card.getStyleClass().add("card");
            parts.getChildren().add(card);
        }
    }

    /** Parts judged to be replaced that the plan does not renew anyway. */
    private static List<Part> judged(Assessment now) {
        return now.sheet().parts().stream()
                .filter(p -> Inspection.of(now.job(), p.id()).verdict() == Inspection.Verdict.REPLACE)
                .filter(p -> now.plan().parts().stream()
                        .noneMatch(n -> n.part().part().equals(p.id())))
                .toList();
    }

    private static boolean inPumpKit(Assessment now, PartNeed need) {
        return now.sheet().kits().stream()
                .filter(k -> k.id().equals("pump"))
                .flatMap(k -> k.contains().stream())
                .anyMatch(c -> c.part().equals(need.part().part()));
    }

    private static String title(Assessment now, PartNeed need) {
        return now.sheet().part(need.part().part()).orElseThrow().title();
    }
}
