package mussel.desktop.leak;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.StackPane;
import mussel.core.job.JobFinding;
import mussel.core.job.LegRef;
import mussel.core.leak.LeakMode;
import mussel.desktop.FxThread;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class PracticePanelTest {
    private final TestShop test = new TestShop();
    private PracticePanel panel;
    private Desk desk;

    private void open() {
        desk = test.milky();
        panel = new PracticePanel(desk, new Recorder(desk), () -> {});
        new Scene(new StackPane(panel), 700, 900);
        panel.show(desk.now());
    }

    private void press(String id) {
        var node = panel.lookup(id);
        if (node instanceof ToggleButton toggle) {
            toggle.setSelected(true);
        } else {
            ((ButtonBase) node).fire();
        }
    }

    private String said() {
        return panel.lookupAll(".refusal").stream()
                .map(n -> ((Label) n).getText())
                .reduce("", String::concat);
    }

    private String gauge() {
        return ((Label) panel.lookup("#practice-gauge")).getText();
    }

    @Test
    void pumpingBeginsASimulatedHoldAtTheSheetsStart() throws Exception {
        FxThread.on(() -> {
            open();
            press("#practice-pump");
            assertThat(desk.job().hold(LeakMode.PRESSURE)).hasValueSatisfying(h -> {
                assertThat(h.simulated()).isTrue();
                assertThat(h.instrument()).isEqualTo("simulated leak tester");
            });
            assertThat(gauge()).contains("kPa", "simulated");
            panel.stop();
            return null;
        });
    }

    @Test
    void pumpingOnStopsAtTheSheetsLimitAndSaysSo() throws Exception {
        FxThread.on(() -> {
            open();
            press("#practice-pump");
            press("#practice-beyond");
            assertThat(said()).contains("Stopped at 110 kPa", "limit");
            press("#practice-release");
            assertThat(said()).isEmpty();
            return null;
        });
    }

    @Test
    void soapThatDoesNotFoamClearsNothing() throws Exception {
        FxThread.on(() -> {
            open();
            press("#practice-hides-nothing");
            press("#practice-pump");
            press("#practice-soap");
            assertThat(said()).contains("does not rule out a leak");
            assertThat(desk.now().findings()).doesNotContainKey("bubbles_driveshaft");
            press("#practice-hides-shift_seal");
            press("#practice-soap");
            assertThat(said()).contains("Foam at: bubbles at the shift shaft");
            assertThat(desk.now().findings().get("bubbles_shift"))
                    .isEqualTo(new JobFinding("yes", JobFinding.By.SIMULATED, "", ""));
            assertThat(desk.now().findings().get("bubbles_casting").outcome()).isEqualTo("no");
            panel.stop();
            return null;
        });
    }

    @Test
    void anotherJobHasAnotherLegAtRest() throws Exception {
        FxThread.on(() -> {
            open();
            press("#practice-pull");
            assertThat(gauge()).startsWith("−4");
            int other = test.leg("Kelp Runner", LegRef.Position.SINGLE, "tern-60")
                    .job()
                    .id();
            desk.sit(other);
            panel.show(desk.now());
            assertThat(gauge()).doesNotStartWith("−4");
            return null;
        });
    }
}
