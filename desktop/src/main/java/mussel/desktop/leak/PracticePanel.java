package mussel.desktop.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.util.Duration;
import mussel.core.instrument.LeakTester.Sample;
import mussel.core.instrument.LegLeaks;
import mussel.core.instrument.PracticeTester;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.JobFinding;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.practice.Exercise;
import mussel.core.sheet.LeakTest;
import mussel.core.verdict.Finding;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.desk.Desk;

/** The simulated leak tester: pump, pull, turn shafts, brush soap. Everything read from it says that it is simulated. */
final class PracticePanel extends Column {
    private static final Messages TEXT = Messages.of(PracticePanel.class);

    /** Where the sheet gives no limits, the simulated leg is pumped so far. */
    private static final double PRACTICE_START_KPA = 40;

    private static final double PRACTICE_LIMIT_KPA = 60;
    private static final double TICK_S = 0.1;
    private static final int TICKS_AN_ENTRY = 10;
    private static final String SOAP = "bubbles_";
    private static final String CHANCE = "chance";
    private static final String NOTHING = "nothing";

    private final Desk desk;
    private final Recorder recorder;
    private final Runnable onReading;
    private final Label gauge = new Words("–");
    private final Label said = Texts.wrapped("", "refusal");
    private final Timeline clock = new Timeline(new KeyFrame(Duration.seconds(TICK_S), e -> tick()));
    private final PickRow stages;
    private final PickRow speeds;
    private final PickRow hides;
    private Optional<PracticeTester> tester = Optional.empty();
    private int job;
    private double seconds;
    private double speed = 1;
    private int ticks;
    private Stage stage = Stage.STILL;

    PracticePanel(Desk desk, Recorder recorder, Runnable onReading) {
        super(8);
        this.desk = desk;
        this.recorder = recorder;
        this.onReading = onReading;
        desk.onLeave("tester", this::stop);
        setId("practice");
        getStyleClass().addAll("card", "simulated");
        clock.setCycleCount(Timeline.INDEFINITE);
        gauge.setId("practice-gauge");
        gauge.getStyleClass().add("large");
        stages = new PickRow(
                "practice-stage",
                TEXT.get("practice_panel.done_to_the_leg_while_it"),
                List.of(Stage.values()).stream()
                        .map(s -> Choice.text(NamedBy.file(s), s.title()))
                        .toList());
        stages.keepsOne().onPick(s -> s.ifPresent(this::turn));
        speeds = new PickRow(
                "practice-speed",
                TEXT.get("practice_panel.time"),
                List.of(
                        Choice.text("1", TEXT.get("practice_panel.as_it_is")),
                        Choice.text("20", TEXT.get("practice_panel.20_times_as_fast"))));
        speeds.keepsOne().onPick(s -> s.ifPresent(times -> speed = Double.parseDouble(times)));
        List<Choice> faults = new ArrayList<>(
                List.of(Choice.text(CHANCE, TEXT.get("practice_panel.by_chance")), Choice.text(NOTHING, "nothing")));
        desk.shop()
                .instruments()
                .practiceTester(0, 1)
                .canHide()
                .forEach(c -> faults.add(Choice.text(
                        c,
                        desk.now()
                                .knowledge()
                                .cause(c)
                                .map(k -> k.title(desk.now().context()))
                                .orElse(c))));
        hides = new PickRow("practice-hides", TEXT.get("practice_panel.the_practice_leg_hides"), faults);
        hides.keepsOne().onPick(f -> f.ifPresent(this::hide));
        getChildren()
                .addAll(
                        Texts.wrapped(TEXT.get("practice_panel.simulated_a_practice_leg_not_yours"), "heading"),
                        new Flow(
                                8,
                                8,
                                button(
                                        "practice-pump",
                                        TEXT.get("practice_panel.pump_up"),
                                        () -> pump(LeakMode.PRESSURE)),
                                button(
                                        "practice-pull",
                                        TEXT.get("practice_panel.pull_vacuum"),
                                        () -> pump(LeakMode.VACUUM)),
                                button("practice-release", TEXT.get("practice_panel.let_it_off"), this::release),
                                button("practice-beyond", TEXT.get("practice_panel.pump_on"), this::beyond),
                                button("practice-soap", TEXT.get("practice_panel.brush_soapy_water"), this::brush),
                                gauge),
                        said,
                        stages,
                        speeds,
                        hides);
        said.managedProperty().bind(said.textProperty().isNotEmpty());
    }

    private static Button button(String id, String text, Runnable action) {
        Button button = new Button(text);
        button.setId(id);
        button.setOnAction(e -> action.run());
        return button;
    }

    /** Shows the job's tester; another job has another leg. */
    void show(Assessment now) {
        if (job != now.job().id()) {
            job = now.job().id();
            LeakTest test = now.sheet().leakTest();
            PracticeTester made = desk.shop().instruments().practiceTester(job, test.airMl());
            made.limit(
                    test.vacuum().map(LeakTest.Limits::limitKpa).orElse(-PRACTICE_LIMIT_KPA),
                    test.pressure().map(LeakTest.Limits::limitKpa).orElse(PRACTICE_LIMIT_KPA));
            tester = Optional.of(made);
            hides.show(Optional.of(CHANCE));
            stages.show(Optional.of(NamedBy.file(Stage.STILL)));
            speeds.show(Optional.of(speed == 1 ? "1" : "20"));
            stage = Stage.STILL;
            said.setText("");
            hide(CHANCE);
            display();
        }
    }

    private void hide(String which) {
        PracticeTester leg = tester.orElseThrow();
        Optional<LegLeaks> practised = desk.exercise().flatMap(Exercise::leaks);
        hides.setVisible(practised.isEmpty());
        hides.setManaged(practised.isEmpty());
        if (practised.isPresent()) {
            leg.leaks(practised.get());
            return;
        }
        List<String> all = leg.canHide();
        leg.hide(
                switch (which) {
                    case CHANCE -> List.of(all.get(new Random(job * 31L).nextInt(all.size())));
                    case NOTHING -> List.of();
                    default -> List.of(which);
                });
    }

    private void turn(String which) {
        stage = Stage.valueOf(which.toUpperCase(Locale.ROOT));
        tester.orElseThrow().stage(stage);
    }

    private void pump(LeakMode mode) {
        PracticeTester leg = tester.orElseThrow();
        LeakTest test = desk.now().sheet().leakTest();
        leg.release();
        double start = test.of(mode)
                .map(LeakTest.Limits::startKpa)
                .orElse(mode == LeakMode.PRESSURE ? PRACTICE_START_KPA : -PRACTICE_START_KPA);
        said.setText(leg.pumpTo(start).orElse(""));
        if (recorder.begin(mode, leg.gaugeStepKpa(), leg.name(), leg.simulated())) {
            seconds = 0;
            ticks = 0;
            clock.playFromStart();
        }
        display();
        onReading.run();
    }

    /** Goes on pumping in the direction of the hold; the relief valve stops it at the sheet's limit. */
    private void beyond() {
        PracticeTester leg = tester.orElseThrow();
        double now = leg.read().gaugeKpa();
        said.setText(leg.pumpTo(now * 2).orElse(""));
        recorder.end();
        clock.stop();
        display();
    }

    private void release() {
        stop();
        tester.ifPresent(PracticeTester::release);
        said.setText("");
        display();
        onReading.run();
    }

    /** Ends the hold; what was read is in the journal. */
    void stop() {
        clock.stop();
        recorder.end();
    }

    private void brush() {
        if (desk.exercise().isPresent()) {
            brushPractised(desk.exercise().get());
            return;
        }
        Map<String, String> foam = tester.orElseThrow().brush();
        if (!foam.containsValue("yes")) {
            said.setText(TEXT.get("practice_panel.no_foam_anywhere_that_clears_nothing"));
            return;
        }
        List<Fact> facts = new ArrayList<>();
        foam.forEach((finding, outcome) -> facts.add(new Fact.Chosen(JobFinding.simulated(finding), outcome)));
        if (desk.note(facts)) {
            said.setText(TEXT.get("practice_panel.it_foams", foamed(foam)));
        }
    }

    /** On a practice leg each place is a look; where none can be made, nothing leaks that soap would show. */
    private void brushPractised(Exercise exercise) {
        List<String> places = exercise.knowledge().findings().stream()
                .filter(f -> f.id().startsWith(SOAP))
                .filter(exercise::offered)
                .map(Finding::id)
                .toList();
        places.forEach(desk::look);
        if (places.isEmpty()) {
            said.setText(TEXT.get("practice_panel.nothing_more_is_brushed_here_soap"));
        }
    }

    private String foamed(Map<String, String> foam) {
        return desk.now().knowledge().findings().stream()
                .filter(f -> "yes".equals(foam.get(f.id())))
                .map(f -> f.title().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }

    private void tick() {
        PracticeTester leg = tester.orElseThrow();
        int readings = speed > 1 ? 2 : 1;
        for (int i = 0; i < readings; i++) {
            double dt = TICK_S * speed / readings;
            leg.advance(dt);
            seconds += dt;
            Sample sample = leg.read();
            recorder.take(new LeakReading(
                    Math.round(seconds * 1000) / 1000.0, sample.gaugeKpa(), sample.tempC(), Optional.of(stage)));
        }
        ticks++;
        if (ticks % TICKS_AN_ENTRY == 0) {
            recorder.flush();
        }
        display();
        onReading.run();
    }

    private void display() {
        Sample sample = tester.orElseThrow().read();
        var units = desk.now().yard().reads();
        gauge.setText(Display.exact(Kind.PRESSURE, sample.gaugeKpa(), units) + ", "
                + Display.exact(Kind.TEMPERATURE, sample.tempC(), units) + " (simulated)");
    }
}
