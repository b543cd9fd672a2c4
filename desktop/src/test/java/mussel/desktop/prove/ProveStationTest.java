package mussel.desktop.prove;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class ProveStationTest {
    private final TestShop test = new TestShop();
    private ProveStation station;
    private Desk desk;

    private void open(String goal) {
        desk = test.leg("Slack Water", LegRef.Position.SINGLE, "tern-60");
        desk.note(new Fact.Chosen(Scale.GOAL.of(goal), "yes"));
        station = new ProveStation(desk);
        new Scene(new StackPane(station.node()), 700, 1_800);
        desk.follow(station::show);
        station.show(desk.now());
    }

    private Node node(String id) {
        return station.node().lookup(id);
    }

    private String head() {
        return ((Label) node("#prove-head")).getText();
    }

    @Test
    void aWrongAnswerSaysWhatItMeansAndAsksForAReasonBeforeTheTag() throws Exception {
        FxThread.on(() -> {
            open("driveshaft_seals");
            assertThat(head()).startsWith("0 of 10");
            Pressing.press(station.node(), "#pick-shift_neutral-turns");
            assertThat(head()).startsWith("1 of 10");
            Pressing.press(station.node(), "#pick-shift_neutral-drags");
            assertThat(head()).contains("The leg can stay on");
            Pressing.press(station.node(), "#pick-run_sound-knocks");
            assertThat(head()).contains("may have to come off again");
            assertThat(desk.now().blocks()).hasSize(1);
            assertThat(node("#note-proof_override").getParent().isVisible()).isTrue();
            desk.note(new Fact.Noted(Topic.PROOF_OVERRIDE.address(), "towed to the dealer"));
            assertThat(desk.now().blocks()).isEmpty();
            return null;
        });
    }

    @Test
    void aPumpAloneNeedsNoLeakTest() throws Exception {
        FxThread.on(() -> {
            open("impeller");
            assertThat(head()).startsWith("0 of 8");
            assertThat(node("#proof-leak_pressure")).isNull();
            return null;
        });
    }
}
