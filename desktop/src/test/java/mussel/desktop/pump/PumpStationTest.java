package mussel.desktop.pump;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.sheet.PumpPolicy;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class PumpStationTest {
    private final TestShop test = new TestShop();
    private PumpStation station;
    private Desk desk;

    private void open() {
        desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
        station = new PumpStation(desk);
        new Scene(new StackPane(station.node()), 600, 1_600);
        desk.follow(station::show);
        station.show(desk.now());
    }

    private Node node(String id) {
        return station.node().lookup(id);
    }

    private void press(String id) {
        Pressing.press(station.node(), id);
    }

    private void pickVane(int number) {
        node("#vane-" + number)
                .fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false));
    }

    private void type(String id, String text) {
        Pressing.type(station.node(), id, text);
    }

    @Test
    void aVanePickedByKeyIsMarkedAndTheWheelSaysSo() throws Exception {
        FxThread.on(() -> {
            open();
            assertThat(node("#vane-4").getAccessibleText()).isEqualTo("Vane 4, not checked");
            pickVane(4);
            type("#field-vane_wear-4", "1.1 mm");
            press("#pick-vane_crack-4-surface");

            assertThat(desk.job().reading(Field.VANE_WEAR.of("4"))).hasValue(1.1);
            assertThat(node("#vane-4").getAccessibleText()).contains("tip worn by 1.1 mm", "surface crack");
            assertThat(node("#vane-1").getAccessibleText()).isEqualTo("Vane 1, sound");
            assertThat(((Group) node("#vane-4")).getChildren()).hasSize(2);
            assertThat(((Label) node("#pump-impeller")).getText()).isEqualTo("Impeller: replace");
            return null;
        });
    }

    @Test
    void aMissingPieceAsksWhereItWasFound() throws Exception {
        FxThread.on(() -> {
            open();
            Node asks = node("#note-piece_found");
            assertThat(asks.getParent().getParent().isVisible()).isFalse();
            type("#field-vane_missing-1", "5 mm");
            assertThat(asks.getParent().getParent().isVisible()).isTrue();
            assertThat(desk.now().blocks()).hasSize(1);
            desk.note(new Fact.Noted(Topic.PIECE_FOUND.address(), "in the cup's outlet"));
            assertThat(desk.now().blocks()).isEmpty();
            return null;
        });
    }

    @Test
    void theSimulatedTelltaleIsEnteredAsSimulated() throws Exception {
        FxThread.on(() -> {
            open();
            press("#simulated-flow");
            assertThat(desk.job().read(Field.FLOW_TIME.of("1"))).hasValueSatisfying(r -> {
                assertThat(r.simulated()).isTrue();
                assertThat(r.instrument()).contains("Simulated");
            });
            assertThat(desk.job().choice(Scale.FLOW_WHERE.of("1"))).contains("tank");
            assertThat(desk.now().pump().result().flows()).hasSize(1);
            press("#another-flow");
            press("#simulated-flow");
            assertThat(desk.now().pump().result().flows()).hasSize(2);
            return null;
        });
    }

    @Test
    void theStopwatchEntersTheSecondsItCounted() throws Exception {
        FxThread.on(() -> {
            open();
            press("#stopwatch");
            press("#stopwatch");
            assertThat(desk.job().reading(Field.FLOW_TIME.of("1"))).isPresent();
            return null;
        });
    }

    @Test
    void theYardsHabitIsKeptForEveryJob() throws Exception {
        FxThread.on(() -> {
            open();
            press("#pump-policy-always");
            assertThat(test.shop.yard().pump().policy()).isEqualTo(PumpPolicy.ALWAYS);
            assertThat(desk.now().pump().input().policy()).isEqualTo(PumpPolicy.ALWAYS);
            assertThat(test.journal.setting("yard:pump_habit", "")).contains("always");
            return null;
        });
    }
}
