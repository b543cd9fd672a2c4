package mussel.desktop.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.JobFinding;
import mussel.core.job.Scale;
import mussel.core.verdict.Finding;
import mussel.desktop.FxThread;
import mussel.desktop.desk.TestShop;
import mussel.desktop.kit.Rows;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class VerdictStationTest {
    private final TestShop test = new TestShop();

    private static VerdictStation shown(Desk desk) {
        VerdictStation station = new VerdictStation(desk);
        new Scene(new StackPane(station.node()), 700, 900);
        desk.follow(station::show);
        station.show(desk.now());
        return station;
    }

    private static String words(VerdictStation station) {
        return station.node().lookupAll(".label").stream()
                .filter(Label.class::isInstance)
                .filter(VerdictStationTest::seen)
                .map(n -> ((Label) n).getText())
                .collect(Collectors.joining(" "));
    }

    private static boolean seen(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private static void press(VerdictStation station, String id) {
        Node node = station.node().lookup(id);
        assertThat(node).as(id).isNotNull();
        if (node instanceof ToggleButton toggle) {
            toggle.setSelected(!toggle.isSelected());
        } else {
            ((ButtonBase) node).fire();
        }
    }

    @Test
    void nothingLookedAtSaysSo() throws Exception {
        FxThread.on(() -> {
            VerdictStation station = shown(test.leg("Byssus", mussel.core.job.LegRef.Position.SINGLE, "tern-60"));
            assertThat(words(station)).contains("Nothing checked yet");
            return null;
        });
    }

    @Test
    void milkNamesTheSealsAndWhatSpeaksForThem() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            VerdictStation station = shown(desk);
            assertThat(words(station)).contains("Water in the oil: milky", "Driveshaft seal, water-side lip");
            assertThat(words(station)).doesNotContain("Impeller worn");
            press(station, "#more-causes");
            assertThat(words(station)).contains("Impeller worn");
            press(station, "#more-causes");
            assertThat(words(station)).doesNotContain("Impeller worn");
            return null;
        });
    }

    @Test
    void aLookAnsweredOnTheListIsAnEntryAndLeavesTheList() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            VerdictStation station = shown(desk);
            press(station, "#verdict-view-looks");
            String first = desk.now().verdict().checks().get(0).finding();
            String benign = desk.now()
                    .knowledge()
                    .finding(first)
                    .orElseThrow()
                    .outcomes()
                    .get(0);
            press(station, "#finding-" + first + "-" + benign);
            assertThat(desk.now().findings().get(first))
                    .isEqualTo(new JobFinding(benign, JobFinding.By.PICKED, "", ""));
            assertThat(station.node().lookup("#look-" + first)).isNull();
            press(station, "#verdict-view-findings");
            assertThat(station.node().lookup("#finding-" + first)).isNotNull();
            press(station, "#finding-" + first + "-" + benign);
            assertThat(desk.now().findings()).doesNotContainKey(first);
            return null;
        });
    }

    @Test
    void whatAnEngineMadeIsSetByHandAndKeepsBoth() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            desk.read(Field.DRAINED.address(), 480, "480");
            desk.read(Field.OIL_TEMP.address(), 18, "18");
            desk.read(Field.MINUTES.address(), 60, "60");
            assertThat(desk.now().findings().get("volume_more").by()).isEqualTo(JobFinding.By.DRAIN);
            VerdictStation station = shown(desk);
            press(station, "#verdict-view-findings");
            press(station, "#finding-volume_more-no");
            assertThat(desk.now().findings().get("volume_more"))
                    .isEqualTo(new JobFinding("no", JobFinding.By.OVERRULED, "yes", ""));
            assertThat(words(station)).contains("overridden, calculated: yes");
            desk.undo();
            assertThat(desk.now().findings().get("volume_more").by()).isEqualTo(JobFinding.By.DRAIN);
            return null;
        });
    }

    @Test
    void simulatedEvidenceSaysSoOnTheVerdict() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            VerdictStation station = shown(desk);
            assertThat(words(station)).doesNotContain("simulated");
            desk.note(new Fact.Chosen(JobFinding.simulated("bubbles_driveshaft"), "yes"));
            assertThat(words(station)).contains("simulated instrument");
            return null;
        });
    }

    @Test
    void contradictingFindingsArePointedOut() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Byssus", mussel.core.job.LegRef.Position.SINGLE, "tern-60");
            for (String[] made : new String[][] {
                {"pressure_hold", "tight"},
                {"vacuum_hold", "tight"},
                {"bubbles_driveshaft", "yes"},
                {"ring_under_impeller", "ring"},
                {"prop_hub_oil", "running"},
                {"free_water_first", "none"},
                {"oil_water", "none"}
            }) {
                desk.choose(mussel.core.job.Address.the(made[0]), Optional.of(made[1]));
            }
            assertThat(words(shown(desk))).contains("do not fit together");
            return null;
        });
    }

    @Test
    void whatWasFoundWhenOpenedIsKeptAndTheTablesShowIt() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.milky();
            VerdictStation station = shown(desk);
            press(station, "#verdict-view-opened");
            press(station, "#confirmed-driveshaft_water_lip-yes");
            assertThat(desk.job().choice(Scale.CONFIRMED.of("driveshaft_water_lip")))
                    .contains("yes");
            press(station, "#verdict-view-tables");
            assertThat(words(station)).contains("Found 1 times", "Brier score", "Diagnosis tables");
            @SuppressWarnings("unchecked")
            ComboBox<Finding> box = (ComboBox<Finding>) station.node().lookup("#tables-finding");
            box.setValue(desk.now().knowledge().finding("plug_drip").orElseThrow());
            assertThat(words(station)).contains("Oil beads under the plug", "99.5 %");
            return null;
        });
    }

    @Test
    void rowsAreUsedAgainAndThoseLeftOverHide() throws Exception {
        FxThread.on(() -> {
            VBox pane = new VBox();
            Rows<Label> rows = new Rows<>(pane, Label::new);
            for (List<String> all : List.of(List.of("a", "b", "c"), List.of("d"), List.of("e", "f"))) {
                rows.begin();
                all.forEach(t -> rows.next().setText(t));
                rows.end();
                assertThat(pane.getChildren().stream()
                                .filter(Node::isManaged)
                                .map(n -> ((Label) n).getText())
                                .toList())
                        .isEqualTo(all);
            }
            assertThat(pane.getChildren()).hasSize(3);
            return null;
        });
    }
}
