package mussel.desktop.leak;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.HeldTest;
import mussel.core.job.Hold;
import mussel.core.job.JobFinding;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.leak.HoldFile;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.LeakTrace;
import mussel.core.leak.LeakWords;
import mussel.core.leak.Stage;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Range;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.LeakTest;
import mussel.core.verdict.Finding;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.AnsweredByKey;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FileDialog;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.background.BackgroundTask;
import mussel.work.desk.Desk;

/** Where it gets in and out: pressure and vacuum holds with what they prove, and soapy water. */
public final class LeakStation implements StationView {
    private static final Messages TEXT = Messages.of(LeakStation.class);

    private static final int MOST_DRAWN = 300;
    /** From so many readings on one more cannot be seen on the chart: it is drawn anew with every tenth, and judged aside. */
    private static final int LONG_HOLD = 5_000;

    private static final int DRAWN_EVERY = 10;
    private static final int READINGS_AN_ENTRY = 2_000;
    private static final double GAUGE_STEP_KPA = 2;

    private final Desk desk;
    private final VBox sheet = new Column(10);
    private final JobFields fields;
    private final JobPicks foam;
    private final Recorder recorder;
    private final PracticePanel practice;
    private final HoldChart chart = new HoldChart();
    private final ManualValues manual;
    private final Label limits = Texts.dim("");
    private final Label about = Texts.dim("");
    private final Label verdict = Texts.wrapped("", "strong");
    private final Label beyond = Texts.caution("");
    private final VBox notes = new Column(4);
    private final Rows<Label> noted = new Rows<>(notes, () -> Texts.sentence(""));
    private final PickRow mode;
    private final PickRow source;
    private final Pages sources = new Pages();
    private final VBox byHand;
    private final VBox fromFile = new Column(8);
    private final Label imported = Texts.wrapped("", "strong");
    private final QuantityField time = new QuantityField("hold-time", "time", Kind.DURATION, Range.of(0, 10_080));
    private final QuantityField gauge = new QuantityField("hold-gauge", "gauge", Kind.PRESSURE, Range.of(-200, 1_000));
    private final QuantityField temp = new QuantityField("hold-temp", "case at", Kind.TEMPERATURE, Range.of(-60, 150));
    private final PickRow stage;
    private final Label refused = Texts.wrapped("", "refusal");
    private OptionalDouble minutes = OptionalDouble.empty();
    private OptionalDouble kpa = OptionalDouble.empty();
    private OptionalDouble celsius = OptionalDouble.empty();
    private Stage handStage = Stage.STILL;
    private LeakMode shownMode = LeakMode.PRESSURE;
    /** What judges a long hold meanwhile, and how many readings the chart was drawn with last. */
    private Optional<BackgroundTask> judging = Optional.empty();

    private int drawn;
    private int job;

    /** The station of a job. */
    public LeakStation(Desk desk) {
        this.desk = desk;
        fields = new JobFields(desk);
        foam = new JobPicks(desk);
        recorder = new Recorder(desk);
        practice = new PracticePanel(desk, recorder, this::live);
        mode = new PickRow(
                "hold-mode",
                "",
                List.of(
                        Choice.text("pressure", TEXT.get("leak_station.pressure")),
                        Choice.text("vacuum", TEXT.get("leak_station.vacuum"))));
        mode.keepsOne().onPick(m -> m.ifPresent(this::turnTo));
        mode.show(Optional.of("pressure"));
        stage = new PickRow(
                "hold-stage",
                TEXT.get("leak_station.done_to_the_leg_meanwhile"),
                List.of(Stage.values()).stream()
                        .map(s -> Choice.text(NamedBy.file(s), s.title()))
                        .toList());
        stage.keepsOne().onPick(s -> s.ifPresent(id -> handStage = Stage.valueOf(id.toUpperCase(Locale.ROOT))));
        stage.show(Optional.of("still"));
        source = new PickRow(
                "hold-source",
                "",
                List.of(
                        Choice.text("hand", TEXT.get("leak_station.by_hand")),
                        Choice.text("practice", TEXT.get("leak_station.simulated")),
                        Choice.text("file", TEXT.get("leak_station.from_a_file"))));
        source.keepsOne().onPick(s -> s.ifPresent(this::open));
        byHand = byHand();
        fromFile();
        HBox.setHgrow(verdict, Priority.ALWAYS);
        verdict.setMaxWidth(Double.MAX_VALUE);
        verdict.setId("hold-verdict");
        Label legend = Texts.dim(TEXT.get("leak_station.green_how_far_it_may_move"));
        VBox card = new Column(
                2,
                new Row(8, verdict, new WhyButton("why-hold", () -> held().flatMap(HeldTest::result)
                        .flatMap(r -> held().flatMap(
                                        h -> h.why(units(), desk.now().sheet().isEstimate("/leak_test/air_ml")))))),
                about,
                beyond);
        beyond.managedProperty().bind(beyond.textProperty().isNotEmpty());
        beyond.visibleProperty().bind(beyond.textProperty().isNotEmpty());
        about.managedProperty().bind(about.textProperty().isNotEmpty());
        card.getStyleClass().add("card");
        manual = new ManualValues(desk, Station.LEAK, m -> m.at().endsWith(NamedBy.file(shownMode)));
        sheet.getStyleClass().add("station");
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("leak_station.leak_hunt")),
                        new Flow(18, 6, mode, source),
                        sources,
                        card,
                        chart,
                        new Flow(
                                8,
                                6,
                                fields.field(Field.BAROMETER).optional(),
                                fields.field(Field.GAUGE_STEP).optional()),
                        limits,
                        manual,
                        legend,
                        notes,
                        Texts.heading(TEXT.get("leak_station.soapy_water")),
                        soap());
        open("hand");
    }

    private Node soap() {
        FlowPane rows = new Flow(18, 8);
        for (Finding finding : desk.now().knowledge().findings()) {
            if (finding.id().startsWith("bubbles_")) {
                rows.getChildren()
                        .add(foam.row(Address.the(finding.id()), finding.title(), finding.outcomes(), o -> null)
                                .optional());
            }
        }
        return rows;
    }

    private VBox byHand() {
        bind(time, () -> minutes, v -> minutes = v);
        bind(gauge, () -> kpa, v -> kpa = v);
        bind(temp, () -> celsius, v -> celsius = v);
        Button begin = new Button(TEXT.get("leak_station.begin_a_new_hold"));
        begin.setId("hold-begin");
        begin.setOnAction(e -> beginByHand());
        Button take = new Button(TEXT.get("leak_station.note_the_reading"));
        take.setId("hold-take");
        take.getStyleClass().add("main-button");
        take.setOnAction(e -> takeByHand());
        refused.managedProperty().bind(refused.textProperty().isNotEmpty());
        FlowPane figures = new Flow(8, 6);
        figures.getChildren().addAll(time, gauge, temp, take, begin);
        figures.setRowValignment(javafx.geometry.VPos.BOTTOM);
        VBox box = new Column(8, figures, refused, stage);
        box.getStyleClass().add("card");
        figures.addEventHandler(AnsweredByKey.ANSWERED, e -> {
            if (minutes.isPresent() && kpa.isPresent() && celsius.isPresent()) {
                e.consume();
                takeByHand();
            }
        });
        return box;
    }

    /** These figures make a reading together: they stand in the station until it is noted. */
    private void bind(
            QuantityField field,
            java.util.function.Supplier<OptionalDouble> kept,
            java.util.function.Consumer<OptionalDouble> keep) {
        field.onDraft(v -> keep.accept(v.map(OptionalDouble::of).orElseGet(OptionalDouble::empty)))
                .onEnter((typed, value) -> {
                    keep.accept(OptionalDouble.of(value));
                    field.show(kept.get(), units());
                })
                .onClear(() -> {
                    keep.accept(OptionalDouble.empty());
                    field.show(kept.get(), units());
                });
    }

    private void beginByHand() {
        practice.stop();
        double step = desk.job().reading(Field.GAUGE_STEP).orElse(GAUGE_STEP_KPA);
        recorder.begin(shownMode, step, TEXT.get("leak_station.by_hand_2"), false);
        recorder.end();
        refused.setText("");
    }

    private void takeByHand() {
        Optional<Hold> hold = desk.job().hold(shownMode);
        if (minutes.isEmpty() || kpa.isEmpty() || celsius.isEmpty()) {
            refused.setText(TEXT.get("leak_station.type_the_time_since_pumping_stopped"));
            return;
        }
        if (hold.isEmpty() || !hold.get().instrument().equals(TEXT.get("leak_station.by_hand_2"))) {
            beginByHand();
            hold = desk.job().hold(shownMode);
        }
        if (hold.isEmpty()) {
            return;
        }
        double seconds = minutes.getAsDouble() * 60;
        double side = shownMode == LeakMode.PRESSURE ? kpa.getAsDouble() : -Math.abs(kpa.getAsDouble());
        List<LeakReading> so = hold.get().readings();
        if (!so.isEmpty() && seconds <= so.get(so.size() - 1).tS()) {
            refused.setText(TEXT.get(
                    "leak_station.the_time_is_not_after_the",
                    Display.exact(Kind.DURATION, so.get(so.size() - 1).tS() / 60, units())));
            return;
        }
        LeakReading reading = new LeakReading(seconds, side, celsius.getAsDouble(), Optional.of(handStage));
        if (desk.note(new Fact.Held(hold.get().id(), List.of(reading)))) {
            refused.setText("");
            minutes = OptionalDouble.empty();
            kpa = OptionalDouble.empty();
            showFigures();
            time.text().requestFocus();
        }
    }

    private void fromFile() {
        Button choose = new Button(TEXT.get("leak_station.choose_a_csv_file"));
        choose.setId("hold-file");
        choose.setOnAction(
                e -> FileDialog.open(sheet, TEXT.get("leak_station.readings_of_a_hold"), FileDialog.Kind.TABLE)
                        .ifPresent(this::read));
        imported.setId("hold-imported");
        fromFile.getStyleClass().add("card");
        fromFile.getChildren()
                .addAll(Texts.sentence(TEXT.get("leak_station.three_columns_with_their_units_in")), choose, imported);
    }

    /** Reads a file beside the interface thread; all of it is entered, or nothing. */
    public void read(Path file) {
        open("file");
        imported.setText(TEXT.get("leak_station.reading", file.getFileName()));
        desk.aside(
                TEXT.get("leak_station.the_reading_of", file.getFileName()),
                stop -> desk.shop().holdFiles().read(file),
                hold -> take(file, hold));
    }

    private void take(Path file, HoldFile hold) {
        if (hold.mode().isEmpty()) {
            imported.setText(String.join(" ", hold.refused()));
            return;
        }
        practice.stop();
        String id = "hold-" + (desk.job().holds().size() + 1) + "-" + desk.entries();
        List<Fact> facts = new ArrayList<>();
        double step = desk.job().reading(Field.GAUGE_STEP).orElseGet(() -> stepOf(hold.readings()));
        facts.add(new Fact.HoldBegun(
                id, hold.mode().get(), step, TEXT.get("leak_station.file", file.getFileName()), false));
        for (int from = 0; from < hold.readings().size(); from += READINGS_AN_ENTRY) {
            int to = Math.min(hold.readings().size(), from + READINGS_AN_ENTRY);
            facts.add(new Fact.Held(id, hold.readings().subList(from, to)));
        }
        if (desk.note(facts)) {
            turnTo(NamedBy.file(hold.mode().get()));
            imported.setText(TEXT.get(
                    "leak_station.readings_taken_from_gauge_step",
                    hold.readings().size(),
                    file.getFileName(),
                    Display.exact(Kind.PRESSURE, step, units())));
        }
    }

    /** The smallest step between two readings: what the gauge that wrote the file could show. */
    private static double stepOf(List<LeakReading> readings) {
        double step = GAUGE_STEP_KPA;
        for (int i = 1; i < readings.size(); i++) {
            double off =
                    Math.abs(readings.get(i).gaugeKpa() - readings.get(i - 1).gaugeKpa());
            if (off > 1e-6) {
                step = Math.min(step, off);
            }
        }
        return step;
    }

    private void open(String which) {
        source.show(Optional.of(which));
        sources.show(Map.<String, Node>of("hand", byHand, "practice", practice, "file", fromFile)
                .get(which));
    }

    private void turnTo(String which) {
        shownMode = LeakMode.valueOf(which.toUpperCase(Locale.ROOT));
        mode.show(Optional.of(which));
        show(desk.now());
    }

    private YardUnits units() {
        return desk.now().yard().reads();
    }

    /** The hold shown: the one being recorded with all its readings, else the last of the mode in the journal. */
    private Optional<HeldTest> held() {
        Assessment now = desk.now();
        Optional<Hold> live = live(shownMode);
        return live.isPresent()
                ? Optional.of(HeldTest.of(
                        live.get(), now.sheet().leakTest(), now.job().reading(Field.BAROMETER)))
                : now.held(shownMode);
    }

    private Optional<Hold> live(LeakMode of) {
        return recorder.live().filter(h -> h.mode() == of);
    }

    /** Takes the readings of an instrument. */
    public Recorder recorder() {
        return recorder;
    }

    /** Shows what is being recorded; called after each reading of an instrument. */
    public void live() {
        recorder.live().ifPresent(h -> {
            if (h.mode() != shownMode) {
                shownMode = h.mode();
                mode.show(Optional.of(NamedBy.file(shownMode)));
            }
        });
        showHold(true);
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        if (job != now.job().id()) {
            job = now.job().id();
            imported.setText("");
            refused.setText("");
            minutes = OptionalDouble.empty();
            kpa = OptionalDouble.empty();
            celsius = OptionalDouble.empty();
            if (now.practice()) {
                open("practice");
            }
        }
        practice.show(now);
        fields.show(now);
        foam.show(now);
        showFigures();
        manual.show(now);
        LeakTest test = now.sheet().leakTest();
        limits.setText(test.of(shownMode)
                .map(l -> TEXT.get(
                        "leak_station.start_at_never_past_hold_it",
                        now.sheet().origin(),
                        Texts.page(l.page()),
                        pressure(l.startKpa()),
                        pressure(l.limitKpa()),
                        Display.exact(Kind.DURATION, l.holdMin(), units()),
                        pressure(l.allowedDropKpa())))
                .orElse(TEXT.get("leak_station.nobody_has_read_the_limits_of")));
        showHold(false);
    }

    private void showFigures() {
        time.show(minutes, units());
        gauge.show(kpa, units());
        temp.show(celsius, units());
    }

    @Override
    public boolean running() {
        return recorder.recording();
    }

    @Override
    public boolean press(Handle handle) {
        if (handle == Handle.HOLD) {
            time.text().requestFocus();
            time.fireEvent(new ScrollIntoView());
        }
        return handle == Handle.HOLD && byHand.isVisible();
    }

    @Override
    public List<Node> look(String finding) {
        Optional<LeakMode> hold = Stream.of(LeakMode.values())
                .filter(m -> finding.startsWith(NamedBy.file(m)))
                .findFirst();
        hold.ifPresent(m -> turnTo(NamedBy.file(m)));
        return hold.isPresent() && byHand.isVisible() ? List.of(time.text()) : List.of();
    }

    private String pressure(double value) {
        return Display.exact(Kind.PRESSURE, value, units());
    }

    private void showHold(boolean following) {
        Optional<Hold> live = live(shownMode);
        if (live.isPresent() && live.get().readings().size() >= LONG_HOLD) {
            judgeAside(live.get());
        } else {
            show(held(), following);
        }
    }

    /** A long hold is judged off the interface thread, the next time once this is done. */
    private void judgeAside(Hold hold) {
        if (judging.filter(BackgroundTask::running).isPresent()) {
            return;
        }
        LeakTest test = desk.now().sheet().leakTest();
        OptionalDouble barometer = desk.job().reading(Field.BAROMETER);
        judging = Optional.of(desk.quietlyAside(
                TEXT.get("leak_station.judging_the_hold"), stop -> HeldTest.of(hold, test, barometer), judged -> {
                    if (hold.mode() == shownMode) {
                        show(Optional.of(judged), true);
                    }
                }));
    }

    private void show(Optional<HeldTest> held, boolean following) {
        int readings = held.map(h -> h.hold().readings().size()).orElse(0);
        if (!following || readings < LONG_HOLD || readings < drawn || readings >= drawn + DRAWN_EVERY) {
            drawn = readings;
            chart.show(
                    held.map(h -> LeakTrace.of(h.input(), h.result(), MOST_DRAWN))
                            .orElseGet(() -> new LeakTrace(List.of(), List.of(), List.of(), 5)),
                    units());
        }
        verdict.setText(held.map(this::sentence).orElse(TEXT.get("leak_station.nothing_was_held_yet_pump_to")));
        about.setText(held.map(this::about).orElse(""));
        beyond.setText(held.filter(HeldTest::beyondLimit)
                .map(h -> TEXT.get(
                        "leak_station.the_gauge_stood_beyond_the_sheets",
                        pressure(h.limits().orElseThrow().limitKpa())))
                .orElse(""));
        noted.begin();
        held.flatMap(h -> h.words(units()))
                .ifPresent(w ->
                        w.notes().stream().skip(1).forEach(n -> noted.next().setText(n)));
        noted.end();
    }

    private String sentence(HeldTest held) {
        return held.words(units())
                .map(LeakWords::head)
                .orElseGet(() -> TEXT.get(
                        "leak_station.not_enough_to_judge_yet",
                        held.problems().get(0).problem().replaceFirst("^hold ", "")));
    }

    private String about(HeldTest held) {
        Hold hold = held.hold();
        String barometer = desk.job().reading(Field.BAROMETER).isPresent()
                ? ""
                : TEXT.get("leak_station.barometer_taken_as_not_read", pressure(HeldTest.STANDARD_BAROMETER_KPA));
        return TEXT.get(
                "leak_station.readings_gauge_step",
                hold.readings().size(),
                hold.instrument(),
                (hold.simulated() ? " (simulated)" : ""),
                pressure(hold.gaugeStepKpa()),
                barometer,
                (foamed() ? TEXT.get("leak_station.foam_seen_on_the_simulated_leg") : ""));
    }

    private boolean foamed() {
        return desk.job().choices().keySet().stream().anyMatch(a -> a.equals(JobFinding.simulated(a.name())));
    }
}
