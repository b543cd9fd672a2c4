package mussel.desktop.job;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.VerdictResult.Bearing;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.TestShop;
import org.junit.jupiter.api.Test;

class IntakeStationTest {
    private final TestShop test = new TestShop();

    private static void key(Node tile, String figure) {
        tile.fireEvent(new KeyEvent(KeyEvent.KEY_TYPED, figure, "", KeyCode.UNDEFINED, false, false, false, false));
    }

    @Test
    void whatItCameInForIsPickedByKeysSeveralAtOnceAndLeads() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Slack Water", LegRef.Position.SINGLE, "tern-60");
            IntakeStation station = new IntakeStation(desk);
            new Scene(new StackPane(station.node()), 700, 1_200);
            desk.now().addListener((o, was, is) -> station.show(is));
            station.show(desk.now().get());
            Node tile = station.node().lookup("#pick-came_for-hot");
            key(tile, "3");
            key(tile, "4");
            assertThat(desk.now().get().context().complaint()).containsExactly(Complaint.HOT, Complaint.WEAK_STREAM);
            assertThat(((ToggleButton) tile).isSelected()).isTrue();
            assertThat(desk.now().get().verdict().checks().get(0).bearing()).isEqualTo(Bearing.COMPLAINT);
            key(tile, "3");
            assertThat(desk.now().get().context().complaint()).containsExactly(Complaint.WEAK_STREAM);
            desk.undo();
            assertThat(((ToggleButton) tile).isSelected())
                    .as("taken back, the tile shows it")
                    .isTrue();
            Pressing.press(station.node(), "#pick-duty-hard");
            assertThat(desk.job().choice(Scale.DUTY)).hasValue("hard");
            return null;
        });
    }
}
