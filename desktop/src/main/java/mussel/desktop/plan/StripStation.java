package mussel.desktop.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.plan.PlanWords;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;
import mussel.desktop.desk.ConsentLine;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Marks;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** How deep, and in what order: what is to be done with its price, the steps down to it, and the mat. */
public final class StripStation implements StationView {
    private static final Messages TEXT = Messages.of(StripStation.class);

    private final Desk desk;
    private final VBox sheet = new Column(12);
    private final Label chosen = Texts.wrapped("", "strong");
    private final Label summary = Texts.sentence("");
    private final ConsentLine consent = new ConsentLine();
    private final WhyButton why;
    private final VBox tools = new Column(6);
    private final Map<String, Node> views;
    private Optional<GoalsPage> goals = Optional.empty();
    private final StepList steps;
    private final Mat mat;
    private final InspectPage inspect;
    private final BothLegs both;
    private final Button turnBoth = new Button("Show both legs");
    private final PickRow view;
    private final Pages pages = new Pages();
    private String shown = "";
    private int job;

    /** The station of a job. */
    public StripStation(Desk desk) {
        this.desk = desk;
        steps = new StepList(desk, s -> s.phase() == Phase.DOWN || s.phase() == Phase.STRIP);
        mat = new Mat(desk);
        sheet.getStyleClass().add("station");
        view = new PickRow(
                "strip-view",
                "",
                List.of(
                        Choice.text("goals", TEXT.get("strip_station.to_be_done")),
                        Choice.text("steps", TEXT.get("strip_station.steps")),
                        Choice.text("mat", TEXT.get("strip_station.the_mat")),
                        Choice.text("inspect", TEXT.get("strip_station.inspect")),
                        Choice.text("tools", TEXT.get("strip_station.tools"))));
        view.keepsOne().onPick(which -> open(which.orElse("steps")));
        inspect = new InspectPage(desk);
        both = new BothLegs(desk);
        views = Map.of("steps", steps, "mat", mat, "inspect", inspect, "tools", tools, "both", both);
        turnBoth.setId("both-open");
        turnBoth.setOnAction(e -> open("both"));
        why = new WhyButton(
                "why-time",
                () -> desk.now().plan().steps().isEmpty()
                        ? Optional.empty()
                        : Optional.of(desk.now().planWords().whyTime()));
        HBox.setHgrow(summary, Priority.ALWAYS);
        summary.setMaxWidth(Double.MAX_VALUE);
        why.setMinWidth(Region.USE_PREF_SIZE);
        sheet.getChildren()
                .addAll(Texts.title("Strip-down"), chosen, consent, new Row(8, summary, why), turnBoth, view, pages);
    }

    private void open(String which) {
        shown = which;
        if (which.equals("goals") && goals.isEmpty()) {
            goals = Optional.of(new GoalsPage(desk));
        }
        pages.show(which.equals("goals") ? goals.orElseThrow() : views.get(which));
        view.show(Optional.of(which));
        fill(desk.now());
    }

    /** Only what is seen is drawn anew. */
    private void fill(Assessment now) {
        goals.filter(Node::isVisible).ifPresent(page -> page.show(now));
        if (shown.equals("both")) {
            both.show(now);
        }
        if (shown.equals("mat")) {
            mat.show(now);
        }
        if (shown.equals("inspect")) {
            inspect.show(now);
        }
        if (shown.equals("tools")) {
            tools(now);
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
        consent.show(now);
        if (now.job().id() != job) {
            job = now.job().id();
            steps.show(now);
            open(now.goals().isEmpty() ? "goals" : "steps");
        } else {
            steps.show(now);
            fill(now);
        }
        turnBoth.setVisible(now.visit().isPresent());
        turnBoth.setManaged(turnBoth.isVisible());
        if (shown.equals("both") && now.visit().isEmpty()) {
            open("steps");
        }
        boolean any = !now.goals().isEmpty();
        chosen.setText(
                any
                        ? now.goals().stream()
                                .map(g -> now.sheet().goal(g).map(Goal::title).orElse(g))
                                .collect(Collectors.joining(", "))
                        : TEXT.get("strip_station.choose_what_is_to_be_done"));
        why.setVisible(any);
        why.setManaged(any);
        summary.setVisible(any);
        summary.setManaged(any);
        summary.setText(any ? going(now) : "");
    }

    private static String going(Assessment now) {
        double minutes = now.stripSteps().stream()
                .mapToDouble(s -> s.step().meanMinutes(now.saltYears()))
                .sum();
        return TEXT.get(
                "strip_station.of_steps_done_going_in_takes",
                now.stepsDone(now.stripSteps()),
                now.stripSteps().size(),
                Display.workTime(minutes),
                now.planWords().time(),
                (now.saltYears() > 0
                        ? TEXT.get("strip_station.what_may_have_seized_in_years", Math.round(now.saltYears()))
                        : TEXT.get("strip_station.nothing_seized_is_counted_fresh_water")));
    }

    /** Tools: what is missing first with what stands in for it, the rest to tick as it is laid ready. */
    private void tools(Assessment now) {
        tools.getChildren().clear();
        boolean known = !now.yard().tools().isEmpty();
        List<String> missing = known ? now.timedPlan().toolsMissing() : List.of();
        List<String> rest = now.timedPlan().tools().stream()
                .filter(t -> !missing.contains(t))
                .toList();
        if (!missing.isEmpty()) {
            tools.getChildren().add(Texts.heading(TEXT.get("strip_station.not_in_the_yard")));
        }
        missing.forEach(tool -> {
            tools.getChildren().add(Texts.caution(tool));
            substitutes(now, tool);
        });
        long ready = rest.stream().filter(t -> ready(now, t)).count();
        tools.getChildren().add(Texts.heading(TEXT.get("strip_station.lay_ready_of", ready, rest.size())));
        FlowPane laid = new Flow(6, 6);
        for (String tool : rest) {
            ToggleButton lies = new ToggleButton(tool);
            lies.setId("tool-" + tool.replace(' ', '-'));
            lies.getStyleClass().addAll("tile", "text-tile", "tool");
            lies.setSelected(ready(now, tool));
            lies.setGraphic(lies.isSelected() ? Marks.done() : Marks.open());
            lies.setAccessibleText(tool
                    + (lies.isSelected()
                            ? TEXT.get("strip_station.lies_ready")
                            : TEXT.get("strip_station.to_lay_ready")));
            lies.setOnAction(e ->
                    desk.choose(Scale.TOOL_READY.of(tool), lies.isSelected() ? Optional.of("yes") : Optional.empty()));
            laid.getChildren().add(lies);
        }
        tools.getChildren().add(laid);
        if (!known) {
            rest.forEach(tool -> substitutes(now, tool));
        }
        if (!now.timedPlan().consumables().isEmpty()) {
            tools.getChildren().add(Texts.heading(TEXT.get("strip_station.used_up")));
            tools.getChildren()
                    .add(Texts.sentence(String.join(", ", now.timedPlan().consumables())));
        }
    }

    private static boolean ready(Assessment now, String tool) {
        return now.job().choice(Scale.TOOL_READY.of(tool)).equals(Optional.of("yes"));
    }

    private void substitutes(Assessment now, String tool) {
        now.sheet().substitutes().stream().filter(s -> s.tool().equals(tool)).forEach(s -> tools.getChildren()
                .add(Texts.dim(PlanWords.substitute(s))));
    }
}
