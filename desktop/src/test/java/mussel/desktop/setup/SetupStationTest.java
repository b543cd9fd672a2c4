package mussel.desktop.setup;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.layout.StackPane;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.SetupWork;
import mussel.desktop.FxThread;
import mussel.desktop.Pressing;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class SetupStationTest {
    private final TestShop test = new TestShop();
    private SetupStation station;
    private Desk desk;

    private void open(String family) {
        desk = test.leg("Slack Water", LegRef.Position.SINGLE, family);
        desk.note(new Fact.Chosen(Scale.GOAL.of("gears"), "yes"));
        station = new SetupStation(desk);
        new Scene(new StackPane(station.node()), 700, 1_800);
        desk.follow(station::show);
        station.show(desk.now());
    }

    private Node node(String id) {
        return station.node().lookup(id);
    }

    private void press(String id) {
        Pressing.press(station.node(), id);
    }

    private void type(String id, String text) {
        Pressing.type(station.node(), id, text);
    }

    private SetupWork setup() {
        return desk.now().setup().orElseThrow();
    }

    private String words() {
        station.node().applyCss();
        return Pressing.words(station.node());
    }

    @Test
    void marksAndHeightsGiveAStackOnceTheDrawerIsCounted() throws Exception {
        FxThread.on(() -> {
            open("skua-225");
            type("#field-mark-case", "6");
            type("#field-mark-gear", "-4");
            for (int i = 1; i <= 3; i++) {
                type("#field-height-" + i, "45.6" + i + " mm");
            }
            assertThat(setup().place("pinion").targetMm()).isPresent();
            assertThat(words()).contains("Shim drawer is empty");
            press("#setup-view-drawer");
            type("#drawer-500", "2");
            type("#drawer-300", "2");
            press("#setup-view-pinion");
            ((ButtonBase) node("#take-stack-pinion")).fire();
            assertThat(setup().place("pinion").taken()).containsEntry(500, 1).containsEntry(300, 1);
            assertThat(setup().drawer()).containsEntry(0.5, 1);
            ((ButtonBase) node("#put-back-pinion")).fire();
            assertThat(setup().place("pinion").taken()).isEmpty();
            assertThat(setup().drawer()).containsEntry(0.5, 2);
            return null;
        });
    }

    @Test
    void theSimulatedIndicatorWaitsForArmAndShimsAndIsNamed() throws Exception {
        FxThread.on(() -> {
            open("skua-225");
            press("#setup-view-forward");
            assertThat(node("#read-forward").isDisabled()).isTrue();
            assertThat(words()).contains("First enter the removed shims");
            type("#field-present_shim-forward", "0.62 mm");
            type("#field-arm-forward", "0 mm");
            assertThat(desk.job().reading(Field.ARM.of("forward"))).isEmpty();
            type("#field-arm-forward", "60 mm");
            press("#arm-on-forward-gear");
            ((ButtonBase) node("#read-forward")).fire();
            assertThat(desk.job().read(Field.LASH.of("forward.1")).orElseThrow().simulated())
                    .isTrue();
            assertThat(words()).contains("Simulated readings from a practice gear set");
            assertThat(setup().place("forward").lash().orElseThrow().in().readingsMm())
                    .hasSize(6);
            return null;
        });
    }

    @Test
    void anotherStackThrowsAwayTheLashReadWithTheOneBefore() throws Exception {
        FxThread.on(() -> {
            open("skua-225");
            press("#setup-view-drawer");
            type("#drawer-100", "5");
            type("#drawer-150", "5");
            type("#drawer-200", "5");
            press("#setup-view-reverse");
            type("#field-present_shim-reverse", "0.62 mm");
            type("#field-arm-reverse", "60 mm");
            press("#arm-on-reverse-gear");
            ((ButtonBase) node("#read-reverse")).fire();
            assertThat(setup().place("reverse").foundGoesBack())
                    .as("out of its window")
                    .isFalse();
            ((ButtonBase) node("#take-stack-reverse")).fire();
            ((ButtonBase) node("#read-after-reverse")).fire();
            assertThat(setup().place("reverse").after()).isPresent();
            ((ButtonBase) node("#put-back-reverse")).fire();
            assertThat(setup().place("reverse").after()).isEmpty();
            assertThat(setup().place("reverse").set()).isFalse();
            return null;
        });
    }

    @Test
    void aFamilyWithoutFiguresIsSentToTheMakersManual() throws Exception {
        FxThread.on(() -> {
            open("wren-8");
            assertThat(words()).contains("maker's manual");
            assertThat(desk.now().setup()).isEmpty();
            return null;
        });
    }
}
