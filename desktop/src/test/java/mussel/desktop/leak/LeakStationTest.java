package mussel.desktop.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.chart.NumberAxis;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.leak.HoldFile;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.LeakTrace;
import mussel.core.leak.Stage;
import mussel.core.measure.UnitSet;
import mussel.core.measure.YardUnits;
import mussel.desktop.FxThread;
import mussel.desktop.desk.TestShop;
import mussel.work.background.Background;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class LeakStationTest {
    private final TestShop test = new TestShop(new Background(Platform::runLater));

    private static LeakReading reading(int i, double kpa) {
        return new LeakReading(i, kpa, 18, Optional.of(Stage.STILL));
    }

    private LeakStation shown(Desk desk) {
        LeakStation station = new LeakStation(desk);
        new Scene(new StackPane(station.node()), 700, 900);
        station.show(desk.now());
        return station;
    }

    private static String text(LeakStation station, String id) {
        return ((Label) station.node().lookup(id)).getText();
    }

    private static HoldFile held() {
        List<LeakReading> readings = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            readings.add(new LeakReading(10.0 * i, 69 - 0.1 * i, 18, Optional.empty()));
        }
        return new HoldFile(Optional.of(LeakMode.PRESSURE), readings, List.of());
    }

    /** Another leg came onto the desk while the file was read: the hold is in neither, and that is told. */
    @Test
    void aHoldReadFromAFileNeverEntersAnotherLeg() throws Exception {
        CountDownLatch reads = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        List<String> told = new ArrayList<>();
        test.holdFile = file -> {
            reads.countDown();
            try {
                goOn.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return held();
        };
        Desk desk = FxThread.on(test::milky);
        int milky = desk.job().id();
        LeakStation station = FxThread.on(() -> shown(desk));
        FxThread.on(() -> {
            desk.setOnTrouble(told::add);
            station.read(Path.of("hold.csv"));
            return null;
        });
        reads.await();
        int other = FxThread.on(() -> {
            int job = test.shop.takeIn(new LegRef("x", "Slack Water", LegRef.Position.SINGLE, "tern-60"));
            desk.sit(job);
            return job;
        });
        goOn.countDown();
        while (FxThread.on(told::isEmpty)) {
            Thread.onSpinWait();
        }
        assertThat(told).singleElement().asString().contains("hold.csv").contains("you opened another job");
        for (int job : List.of(milky, other)) {
            assertThat(test.journal.entries(job)).noneMatch(e -> e.fact() instanceof Fact.HoldBegun);
        }
        FxThread.on(() -> {
            desk.sit(milky);
            station.read(Path.of("hold.csv"));
            return null;
        });
        while (FxThread.on(() -> desk.job().holds().isEmpty())) {
            Thread.onSpinWait();
        }
        assertThat(FxThread.on(() -> desk.job().holds().get(0).readings())).hasSize(20);
    }

    @Test
    void readingsAreEnteredTogetherAndTheVerdictFollowsEachOfThem() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            LeakStation station = shown(desk);
            assertThat(text(station, "#hold-verdict")).startsWith("No test yet");
            Recorder recorder = station.recorder();
            assertThat(recorder.begin(LeakMode.PRESSURE, 0.1, "tester", true)).isTrue();
            int entries = desk.entries();
            for (int i = 1; i <= 33; i++) {
                recorder.take(reading(i, 69));
                station.live();
            }
            assertThat(desk.entries()).isEqualTo(entries);
            assertThat(text(station, "#hold-verdict")).doesNotStartWith("Nothing");
            for (int i = 34; i <= 400; i++) {
                recorder.take(reading(i, 69));
            }
            recorder.flush();
            station.live();
            assertThat(desk.entries()).isEqualTo(entries + 1);
            assertThat(desk.job().hold(LeakMode.PRESSURE).orElseThrow().readings())
                    .hasSize(400);
            assertThat(text(station, "#hold-verdict"))
                    .startsWith("Manual's test passed")
                    .contains("Tight");
            assertThat(desk.now().findings().get("pressure_hold").outcome()).isEqualTo("tight");
            return null;
        });
    }

    @Test
    void readingsThatCouldNotBeEnteredWaitForTheNextTime() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            Recorder recorder = new Recorder(desk);
            recorder.begin(LeakMode.VACUUM, 0.1, "tester", false);
            recorder.take(reading(1, -48));
            test.journal.refuse(true);
            recorder.flush();
            assertThat(desk.job().hold(LeakMode.VACUUM).orElseThrow().readings())
                    .isEmpty();
            test.journal.refuse(false);
            recorder.take(reading(2, -48));
            recorder.end();
            assertThat(desk.job().hold(LeakMode.VACUUM).orElseThrow().readings())
                    .hasSize(2);
            assertThat(recorder.recording()).isFalse();
            return null;
        });
    }

    @Test
    void aRecordingIsEnteredWhenItsJobLeavesTheDesk() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            LeakStation station = shown(desk);
            int first = desk.job().id();
            station.recorder().begin(LeakMode.PRESSURE, 0.1, "tester", true);
            station.recorder().take(reading(1, 69));
            int second = test.leg("Kelp Runner", mussel.core.job.LegRef.Position.SINGLE, "tern-60")
                    .job()
                    .id();
            desk.sit(second);
            station.show(desk.now());
            assertThat(test.journal.entries(first)).anyMatch(e -> e.fact() instanceof Fact.Held);
            assertThat(test.journal.entries(second)).noneMatch(e -> e.fact() instanceof Fact.Held);
            assertThat(text(station, "#hold-verdict")).startsWith("No test yet");
            return null;
        });
    }

    @Test
    void aGaugeBeyondTheSheetsLimitIsWarnedOf() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            LeakStation station = shown(desk);
            station.recorder().begin(LeakMode.PRESSURE, 0.1, "by hand", false);
            station.recorder().take(reading(1, 109));
            station.live();
            assertThat(allText(station)).doesNotContain("beyond the limit");
            station.recorder().take(reading(2, 111));
            station.live();
            assertThat(allText(station)).contains("beyond the limit of 110 kPa");
            return null;
        });
    }

    @Test
    void theLimitsAreThoseOfTheSheetInTheYardsUnits() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            test.journal.keepSetting("units", UnitSet.US.name());
            test.shop.readIn(UnitSet.US);
            desk.refresh();
            LeakStation station = shown(desk);
            String all = station.node().lookupAll(".dim").stream()
                    .filter(Label.class::isInstance)
                    .map(n -> ((Label) n).getText())
                    .reduce("", (a, b) -> a + " " + b);
            assertThat(all).contains("10.01 psi", "manual for the exact unit comes first");
            return null;
        });
    }

    @Test
    void theBarometerIsSaidToBeTakenWhereNobodyReadIt() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            LeakStation station = shown(desk);
            station.recorder().begin(LeakMode.PRESSURE, 0.1, "tester", true);
            station.recorder().take(reading(1, 69));
            station.recorder().end();
            station.show(desk.now());
            assertThat(allText(station)).contains("barometer assumed", "(simulated)");
            desk.read(Field.BAROMETER.address(), 99.8, "998 hPa");
            station.show(desk.now());
            assertThat(allText(station)).doesNotContain("barometer assumed");
            return null;
        });
    }

    private static String allText(LeakStation station) {
        return station.node().lookupAll(".label").stream()
                .filter(Label.class::isInstance)
                .map(n -> ((Label) n).getText())
                .reduce("", (a, b) -> a + " " + b);
    }

    @Test
    void theChartHoldsEveryReadingAndTheAllowance() throws Exception {
        FxThread.on(() -> {
            HoldChart chart = new HoldChart();
            List<LeakTrace.Point> points = List.of(
                    new LeakTrace.Point(0.5, 69, Optional.empty(), true),
                    new LeakTrace.Point(7, 61, Optional.empty(), true));
            chart.show(
                    new LeakTrace(points, List.of(), List.of(new LeakTrace.Point(7, 58, Optional.empty(), true)), 5),
                    YardUnits.METRIC);
            NumberAxis x = (NumberAxis) chart.getXAxis();
            NumberAxis y = (NumberAxis) chart.getYAxis();
            assertThat(x.getUpperBound()).isGreaterThanOrEqualTo(7);
            assertThat(y.getLowerBound()).isLessThan(58);
            assertThat(y.getUpperBound()).isGreaterThan(69);
            assertThat(y.getLabel()).isEqualTo("gauge, kPa");
            chart.show(new LeakTrace(List.of(), List.of(), List.of(), 5), YardUnits.US);
            assertThat(y.getLabel()).isEqualTo("gauge, psi");
            return null;
        });
    }
}
