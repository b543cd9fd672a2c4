package mussel.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.TimeUnit;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class PartsStationTest {
    private final TestShop test = new TestShop();
    private PartsStation station;
    private Desk desk;

    private void open() {
        desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
        desk.note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        test.shop.countShelf(desk.job(), "ds_seal", 1);
        test.shop.countShelf(desk.job(), "plug_washer", 14);
        desk.refresh();
        station = new PartsStation(desk);
        new Scene(new StackPane(station.node()), 600, 1_600);
        desk.follow(station::show);
        station.show(desk.now());
    }

    private void press(String id) {
        Pressing.press(station.node(), id);
    }

    private void waitUntilReady() throws Exception {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (!FxThread.on(() -> station.ready())) {
            assertThat(System.nanoTime()).as("the order is worked out").isLessThan(until);
            Thread.sleep(50);
        }
    }

    @Test
    void theOrderIsPlacedWithTheSimulatedSupplierAndComes() throws Exception {
        FxThread.on(() -> {
            open();
            return null;
        });
        waitUntilReady();
        FxThread.on(() -> {
            press("#order");
            assertThat(desk.job().orders()).singleElement().satisfies(o -> {
                assertThat(o.placed().simulated()).isTrue();
                assertThat(o.placed().reference()).startsWith("SIM-");
                assertThat(o.brings()).containsKey("ds_seal");
            });
            assertThat(desk.now().supply().open())
                    .as("what the shelf has was not ordered")
                    .allSatisfy(w -> assertThat(w.part()).isIn("ds_seal", "plug_washer"));
            assertThat(desk.now().waits()).contains("order");
            Order order = desk.job().orders().get(0);
            press("#arrived-" + order.placed().order());
            assertThat(desk.job().orders().get(0).arrived()).contains(test.shop.today());

            press("#take-all");
            assertThat(desk.job().reading(Field.FROM_SHELF.of("ds_seal"))).hasValue(1);
            assertThat(desk.now().supply().allHere()).isTrue();
            assertThat(desk.now().states()).containsEntry(Station.PARTS, Station.State.DONE);
            return null;
        });
    }

    @Test
    void whatWasTakenLeavesTheShelfOfTheNextJobAndPuttingBackReturnsIt() throws Exception {
        FxThread.on(() -> {
            open();
            press("#take-plug_washer");
            test.shop.refreshBench();
            Desk next = test.leg("Kelp Runner", LegRef.Position.SINGLE, "tern-60");
            assertThat(next.now().stores().shelf()).containsEntry("plug_washer", 11);

            press("#take-plug_washer");
            assertThat(desk.job().reading(Field.FROM_SHELF.of("plug_washer"))).isEmpty();
            test.shop.refreshBench();
            Desk third = test.leg("Raft tender", LegRef.Position.SINGLE, "tern-60");
            assertThat(third.now().stores().shelf()).containsEntry("plug_washer", 14);
            return null;
        });
    }
}
