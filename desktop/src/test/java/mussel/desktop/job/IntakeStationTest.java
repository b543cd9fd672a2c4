package mussel.desktop.job;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import mussel.core.brief.Brief;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.VerdictResult.Bearing;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
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
            desk.follow(station::show);
            station.show(desk.now());
            Node tile = station.node().lookup("#pick-came_for-hot");
            key(tile, "3");
            key(tile, "4");
            assertThat(desk.now().context().complaint()).containsExactly(Complaint.HOT, Complaint.WEAK_STREAM);
            assertThat(((ToggleButton) tile).isSelected()).isTrue();
            assertThat(desk.now().verdict().checks().get(0).bearing()).isEqualTo(Bearing.COMPLAINT);
            key(tile, "3");
            assertThat(desk.now().context().complaint()).containsExactly(Complaint.WEAK_STREAM);
            desk.undo();
            assertThat(((ToggleButton) tile).isSelected())
                    .as("taken back, the tile shows it")
                    .isTrue();
            Pressing.press(station.node(), "#pick-duty-hard");
            assertThat(desk.job().choice(Scale.DUTY)).hasValue("hard");
            return null;
        });
    }

    @Test
    void whatIsDifferentOnALegShowsOnItsNextJobAndGoesOnUntilItIsSaidOtherwise() throws Exception {
        FxThread.on(() -> {
            Desk first = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            first.note(new Fact.Noted(Topic.LEG_OWN.address(), "sleeve on the driveshaft"));
            first.note(new Fact.Noted(Topic.LEG_MADE.address(), "2019, 4711"));
            first.note(new Fact.Tagged(test.shop.today()));
            test.shop.refreshBench();
            Desk next = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            IntakeStation station = new IntakeStation(next);
            new Scene(new StackPane(station.node()), 700, 1_200);
            station.show(next.now());
            assertThat(station.node().lookupAll(".label"))
                    .extracting(n -> ((Label) n).getText())
                    .contains("Year and serial number, since job " + first.job().id()
                            + ": 2019, 4711\nUnusual, since job "
                            + first.job().id() + ": sleeve on the driveshaft");
            assertThat(Brief.of(next.now(), Station.STRIP).folds())
                    .anySatisfy(f -> assertThat(f.lines()).containsExactly("sleeve on the driveshaft"));

            next.note(new Fact.Noted(Topic.LEG_OWN.address(), "sleeve out again"));
            assertThat(next.now()
                            .before()
                            .ofTheLeg(Topic.LEG_OWN, next.job())
                            .orElseThrow()
                            .text())
                    .isEqualTo("sleeve out again");
            Desk other = test.leg("Raft tender", LegRef.Position.SINGLE, "tern-60");
            assertThat(other.now().before().ofTheLeg(Topic.LEG_OWN, other.job()))
                    .isEmpty();
            return null;
        });
    }
}
