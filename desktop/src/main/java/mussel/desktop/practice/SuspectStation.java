package mussel.desktop.practice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.language.Messages;
import mussel.core.verdict.RepairGoal;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The verdict of a practice leg: on one's own what is suspected, in per cent, by handles a glove can move; else, and once it is handed back, the verdict itself. */
final class SuspectStation implements StationView {
    private static final Messages TEXT = Messages.of(SuspectStation.class);

    private static final double NAME = 200;
    private static final double HANDLE = 240;
    private static final double PER_CENT = 100;

    private final Desk desk;
    private final StationView verdict;
    private final Pages pages = new Pages();
    private final Column own = new Column(8);
    private final Map<String, Suspicion> suspicions = new LinkedHashMap<>();
    private boolean hushed;

    SuspectStation(Desk desk, StationView verdict) {
        this.desk = desk;
        this.verdict = verdict;
        own.setId("practice-suspicions");
        own.getStyleClass().add("station");
        FlowPane handles = new Flow(22, 6);
        for (RepairGoal goal : desk.now().knowledge().goals()) {
            Suspicion suspicion = new Suspicion(goal);
            suspicions.put(goal.id(), suspicion);
            handles.getChildren().add(suspicion);
        }
        own.getChildren()
                .addAll(
                        Texts.title(TEXT.get("suspect_station.what_you_suspect")),
                        Texts.sentence(TEXT.get("suspect_station.in_per_cent_for_each_repair")),
                        handles);
    }

    @Override
    public Node node() {
        return pages;
    }

    @Override
    public void show(Assessment now) {
        hushed = now.hushed();
        if (hushed) {
            suspicions.forEach((goal, s) -> s.show(now.job().reading(Field.SUSPECTED.of(goal))));
            pages.show(own);
        } else {
            verdict.show(now);
            pages.show(verdict.node());
        }
    }

    @Override
    public boolean press(Handle handle) {
        return !hushed && verdict.press(handle);
    }

    @Override
    public Optional<Node> begin() {
        return hushed ? suspicions.values().stream().findFirst().map(s -> s.handle) : Optional.empty();
    }

    @Override
    public List<Node> look(String finding) {
        return hushed ? List.of() : verdict.look(finding);
    }

    @Override
    public List<Key> keys() {
        return hushed
                ? List.of(
                        new Key(TEXT.get("suspect_station.left_right"), TEXT.get("suspect_station.less_or_more_sure")))
                : verdict.keys();
    }

    /** One handle. */
    private final class Suspicion extends Row {
        private final String goal;
        private final Slider handle = new Slider(0, PER_CENT, 0);
        private final Label percent = Texts.sentence("–");
        private Optional<Long> entered = Optional.empty();

        Suspicion(RepairGoal of) {
            super(8);
            goal = of.id();
            Label name = Texts.sentence(of.title());
            name.setMinWidth(NAME);
            name.setPrefWidth(NAME);
            handle.setId("suspect-" + goal);
            handle.setPrefWidth(HANDLE);
            handle.setBlockIncrement(10);
            handle.setAccessibleText(TEXT.get("suspect_station.how_sure", of.title()));
            percent.setMinWidth(52);
            handle.valueProperty().addListener((o, was, is) -> say());
            // Entered once the handle rests: every place it passes would be an entry.
            handle.setOnMouseReleased(e -> rests());
            handle.setOnKeyReleased(e -> rests());
            setAlignment(Pos.CENTER_LEFT);
            getChildren().addAll(name, handle, percent);
        }

        private void say() {
            boolean said = entered.isPresent() || handle.getValue() > 0;
            percent.setText(said ? Math.round(handle.getValue()) + " %" : "–");
        }

        private void rests() {
            long sure = Math.round(handle.getValue());
            if (!entered.equals(Optional.of(sure)) && (entered.isPresent() || sure > 0)) {
                desk.note(Fact.Read.byHand(Field.SUSPECTED.of(goal), sure, sure + " %"));
            }
        }

        void show(java.util.OptionalDouble said) {
            entered = said.isPresent() ? Optional.of(Math.round(said.getAsDouble())) : Optional.empty();
            if (!handle.isValueChanging() && !handle.isPressed()) {
                handle.setValue(said.orElse(0));
            }
            say();
        }
    }
}
