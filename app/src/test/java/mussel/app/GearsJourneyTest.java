package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.ProofWork;
import mussel.core.job.Station;
import mussel.core.job.TorqueWork;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.plan.Plan.PlannedStep;
import mussel.desktop.leak.LeakStation;
import mussel.desktop.leak.Recorder;
import mussel.desktop.log.TagStation;
import mussel.work.desk.Desk;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** A big leg from marks and heights to shims, lash, torques, oil, proof and tag. */
class GearsJourneyTest extends DemoJourney {
    @Test
    void aBigLegIsSetUpTorquedFilledProvenAndTagged() throws Exception {
        int job = job("Slack Water");
        open("Slack Water");
        assertThat(now().current()).isEqualTo(Station.SETUP);
        setUp();
        build();
        prove();
        tag(job);
    }

    /** What was shown before is kept, out of sight, with its own whys. */
    @Test
    void whyIsAskedOfWhatIsSeen() {
        open("Byssus");
        go(Station.DRAIN);
        robot.push(KeyCode.F3);
        assertThat(robot.lookup(".why-title").queryAll()).isNotEmpty();
        robot.push(KeyCode.ESCAPE);
        Hands.until(() -> robot.lookup(".why-title").queryAll().isEmpty());

        go(Station.PARTS);
        robot.push(KeyCode.F3);

        assertThat(robot.lookup(".why-title").queryAll())
                .as("nothing to explain is in sight")
                .isEmpty();
    }

    private void setUp() {
        fire("#take-stack-pinion");
        assertThat(now().setup().orElseThrow().place("pinion").set()).isTrue();
        for (String gear : List.of("forward", "reverse")) {
            click("#setup-view-" + gear);
            fire("#read-" + gear);
            assertThat(now().setup().orElseThrow().place(gear).simulated()).isTrue();
            fire("#take-stack-" + gear);
            fire("#read-after-" + gear);
            assertThat(now().setup()
                            .orElseThrow()
                            .place(gear)
                            .after()
                            .orElseThrow()
                            .out()
                            .inWindow())
                    .as(gear + " lash in its window")
                    .isTrue();
        }
        click("#setup-view-checks");
        type(Field.ROLLING, "0.6 N·m");
        type(Field.END_PLAY, "0,25 mm");
        fire("#pick-contact-forward-centred");
        assertThat(now().setup().orElseThrow().checks()).hasSize(3).allMatch(c -> c.ok());
        assertThat(now().states()).containsEntry(Station.SETUP, Station.State.DONE);
        assertThat(now().supply().shelfChange()).containsKey("shim_300");
    }

    private void build() {
        Desk desk = window.desk().orElseThrow();
        robot.interact(() -> tickAll(desk, desk.now().buildSteps()));
        click("#station-build");
        click("#build-view-torques");
        for (TorqueWork group : now().torques()) {
            for (int i = 0; i < group.fastener().count(); i++) {
                fire("#pull-" + group.fastener().id());
            }
        }
        assertThat(now().torques()).hasSizeGreaterThan(4).allMatch(t -> t.bolts().stream()
                .anyMatch(b -> b.nm().isPresent() && b.simulated()));
        click("#station-fill");
        type(Field.PUMPED, "970 ml");
        robot.interact(() -> tickAll(desk, desk.now().fillSteps()));
        assertThat(now().states()).containsEntry(Station.FILL, Station.State.DONE);
    }

    private static void tickAll(Desk desk, List<PlannedStep> steps) {
        List<Fact> ticks = new ArrayList<>();
        steps.forEach(s -> ticks.add(new Fact.Ticked(s.step().id(), true)));
        desk.note(ticks);
    }

    private void prove() {
        click("#station-leak");
        Recorder recorder = ((LeakStation) window.station().orElseThrow()).recorder();
        robot.interact(() -> {
            recorder.begin(LeakMode.PRESSURE, 0.1, "shop gauge", false);
            for (int s = 0; s <= 900; s += 5) {
                recorder.take(new LeakReading(s, 90, 18, java.util.Optional.of(Stage.STILL)));
            }
            recorder.flush();
        });
        robot.interact(() -> {
            recorder.begin(LeakMode.VACUUM, 0.1, "shop gauge", false);
            for (int s = 0; s <= 900; s += 5) {
                recorder.take(new LeakReading(s, -60, 18, java.util.Optional.of(Stage.STILL)));
            }
            recorder.flush();
        });
        click("#station-prove");
        fire("#pick-shift_neutral-turns");
        fire("#pick-shift_forward-clicks");
        fire("#pick-shift_reverse-jumps");
        assertThat(now().proof().failed()).hasSize(1);
        click("#station-tag");
        assertThat(find("#tag-it", ButtonBase.class).isDisabled()).isTrue();
        click("#station-prove");
        fire("#pick-shift_reverse-locks");
        fire("#pick-run_telltale-steady");
        fire("#pick-run_ahead-drives");
        fire("#pick-run_astern-drives");
        fire("#pick-run_sound-even");
        fire("#pick-drips-dry");
        Desk desk = window.desk().orElseThrow();
        robot.interact(() -> tickAll(desk, desk.now().plan().of(mussel.core.sheet.Phase.PROVE)));
        assertThat(now().proof().proofs()).allMatch(p -> p.state() == ProofWork.State.PASSED);
        assertThat(now().current()).isEqualTo(Station.TAG);
    }

    private void tag(int job) throws Exception {
        click("#station-tag");
        assertThat(now().blocks())
                .as("a simulated wrench tightens nothing")
                .singleElement()
                .asString()
                .contains("Not torqued");
        assertThat(find("#tag-it", ButtonBase.class).isDisabled()).isTrue();
        click("#tag-word");
        robot.write("practice bench").push(javafx.scene.input.KeyCode.ENTER);
        assertThat(now().blocks()).isEmpty();
        Path pdf = folder.resolve("sheet.pdf");
        TagStation tag = (TagStation) window.station().orElseThrow();
        robot.interact(() -> tag.print(pdf));
        Hands.until(() -> tag.printed().startsWith("Saved"));
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                    .contains(
                            "simulated",
                            "Forward gear",
                            "Final checks",
                            "Closed with open items. Reason: practice bench");
        }
        click("#tag-it");
        restart();
        robot.clickOn("#find").write("slack");
        click("#leg-" + job);
        assertThat(now().job().tagged()).isPresent();
        assertThat(now().setup().orElseThrow().done()).isTrue();
        assertThat(now().proof().done()).isTrue();
    }

    private void fire(String id) {
        ButtonBase button = find(id, ButtonBase.class);
        robot.interact(button::fire);
    }
}
