package mussel.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.TorqueWork;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.desktop.estimate.EstimateStation;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class StripStationTest {
    private final TestShop test = new TestShop();

    @Test
    void goalsAreChosenWithTheirPriceAndTheStepsFollow() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            StripStation station = new StripStation(desk);
            new Scene(new StackPane(station.node()), 640, 2_400);
            desk.follow(station::show);
            station.show(desk.now());
            Pressing.press(station.node(), "#pick-goal-driveshaft_seals-yes");

            assertThat(desk.now().goals()).containsExactly("driveshaft_seals");
            assertThat(Pressing.words(station.node()))
                    .contains("The other leg too")
                    .contains("extra while it is open")
                    .contains("As a separate job later")
                    .contains("of 100 cases");
            Pressing.press(station.node(), "#strip-view-tools");
            assertThat(Pressing.words(station.node())).contains("seal driver 34 mm");
            return null;
        });
    }

    @Test
    void measuringTheLinkageFeedsTheDiagnosis() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            desk.note(new Fact.Chosen(Scale.GOAL.of("linkage"), "yes"));
            desk.note(new Fact.Ticked("kill_cord", true));
            StripStation station = new StripStation(desk);
            new Scene(new StackPane(station.node()), 640, 2_400);
            desk.follow(station::show);
            station.show(desk.now());
            Pressing.press(station.node(), "#strip-view-steps");
            Pressing.press(station.node(), "#pick-linkage_measured-off");

            assertThat(desk.now().findings().get("linkage_measured").outcome()).isEqualTo("off");
            assertThat(desk.now().verdict().cause("linkage_off").orElseThrow().probability())
                    .isGreaterThan(0.6);
            return null;
        });
    }

    @Test
    void aPictureOfTheMatIsKeptWithItsGroup() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            desk.note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
            Mat mat = new Mat(desk);
            Address pump = new Address("mat", "pump");
            mat.keep(pump, Path.of("washers.png"));

            assertThat(desk.job().pictures(pump)).singleElement().satisfies(p -> {
                assertThat(p.file()).isEqualTo("kept-washers.png");
                assertThat(p.title()).isEqualTo("washers.png");
            });
            desk.undo();
            assertThat(desk.job().pictures(pump)).isEmpty();
            return null;
        });
    }

    @Test
    void boltsAreTorquedByHandAndByTheSimulatedWrench() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            desk.note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
            TorqueSheet sheet = new TorqueSheet(desk);
            new Scene(new StackPane(sheet), 640, 2_400);
            desk.follow(sheet::show);
            sheet.show(desk.now());
            Pressing.press(sheet, "#bolt-pump_bolts-2");
            assertThat(sheet.lookup("#bolt-pump_bolts-2").getAccessibleText()).endsWith("done");
            Pressing.press(sheet, "#pull-pump_bolts");

            assertThat(desk.now()
                            .torque(desk.now().sheet().fastener("pump_bolts").orElseThrow())
                            .bolts())
                    .filteredOn(b -> b.nm().isPresent())
                    .hasSize(2)
                    .filteredOn(TorqueWork.Bolt::simulated)
                    .hasSize(1);
            assertThat(Pressing.words(sheet)).contains("by a simulated wrench (nothing was tightened)");
            Pressing.press(sheet, "#bolt-pump_bolts-2");
            assertThat(desk.job().reading(TorqueWork.address("pump_bolts", 2))).isEmpty();
            return null;
        });
    }

    @Test
    void theEstimateWaitsForWorkAndThenWeighsIt() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            EstimateStation station = new EstimateStation(desk);
            StackPane page = new StackPane(station.node());
            new Scene(page, 640, 1_600);
            page.applyCss();
            page.layout();
            desk.follow(station::show);
            station.show(desk.now());
            assertThat(station.node()
                            .lookup("#print-estimate")
                            .getParent()
                            .getParent()
                            .isVisible())
                    .isFalse();

            desk.note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
            assertThat(Pressing.words(station.node()))
                    .contains("cheapest", "Rebuilt Tern 60 leg", "Leave as is", "(8 of 10 jobs)");
            Pressing.press(station.node(), "#pick-owner_says-repair");
            assertThat(desk.job().choice(Scale.OWNER_SAYS)).contains("repair");
            return null;
        });
    }
}
