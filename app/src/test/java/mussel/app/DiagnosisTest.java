package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mussel.core.job.Fact;
import mussel.core.job.HeldTest;
import mussel.core.job.JobFinding;
import mussel.core.job.Station;
import mussel.core.leak.LeakMode;
import mussel.core.verdict.VerdictResult;
import mussel.desktop.leak.LeakStation;
import org.junit.jupiter.api.Test;

/** A leg with milky oil is diagnosed in the real window: looks, holds on the simulated tester, soap, and which lip it is. */
class DiagnosisTest extends DemoJourney {
    private void openMilkyLeg() {
        click("#leg-" + job("Spat Lass, port"));
    }

    private boolean has(String finding, String outcome) {
        return now().findings().containsKey(finding)
                && now().findings().get(finding).outcome().equals(outcome);
    }

    @Test
    void fromMilkyOilToTheLip() throws Exception {
        openMilkyLeg();
        assertThat(now().findings()).containsKeys("oil_water", "magnet", "washers", "free_water_first", "volume_more");
        click("#station-verdict");
        assertThat(find("#verdict-head", Label.class).getText()).contains("Driveshaft seals");
        click("#verdict-view-looks");
        String first = now().verdict().checks().get(0).finding();
        double before = now().verdict().cause("case_leak").orElseThrow().probability();
        assertThat(robot.lookup("#look-" + first).tryQuery()).isPresent();
        assertThat(robot.lookup("#finding-joint_weep-no").tryQuery())
                .as("a one-piece case has no joint")
                .isEmpty();
        click("#more-looks");
        click("#finding-rag_nonferrous-flakes");
        assertThat(now().verdict().cause("case_leak").orElseThrow().probability())
                .isGreaterThan(before);

        click("#station-leak");
        click("#hold-source-practice");
        click("#practice-hides-driveshaft_water_lip");
        click("#practice-speed-20");
        click("#practice-pump");
        Hands.until(() -> has("pressure_hold", "tight"));
        click("#practice-soap");
        assertThat(now().findings()).doesNotContainKey("bubbles_driveshaft");
        click("#practice-pull");
        Hands.until(() -> has("vacuum_hold", "slow") || has("vacuum_hold", "fast"));
        click("#practice-stage-driveshaft");
        Hands.until(() -> has("worse_turning_driveshaft", "yes"));
        click("#practice-release");

        HeldTest vacuum = now().held(LeakMode.VACUUM).orElseThrow();
        assertThat(vacuum.hold().simulated()).isTrue();
        assertThat(now().findings().get("vacuum_hold").by()).isEqualTo(JobFinding.By.SIMULATED_HOLD);
        long heldEntries = shop.journal().entries(now().job().id()).stream()
                .filter(e -> e.fact() instanceof Fact.Held)
                .count();
        assertThat(vacuum.hold().readings().size()).isGreaterThan(4 * (int) heldEntries);
        click("#station-verdict");
        VerdictResult.CauseBelief likeliest = now().verdict().causes().get(0);
        assertThat(likeliest.id()).isEqualTo("driveshaft_water_lip");
        assertThat(likeliest.probability()).isGreaterThan(0.7);
        assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(t -> t.contains("simulated instrument"));
        assertThat(find("#conclusion-head", Label.class).getText()).startsWith("Driveshaft seals");

        restart();
        openMilkyLeg();
        assertThat(now().verdict().causes().get(0).id()).isEqualTo("driveshaft_water_lip");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().held(LeakMode.VACUUM)).isEmpty();
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(now().held(LeakMode.VACUUM)).isPresent();
    }

    /** A tile clicked, the next by its figure: both stand, and what is looked at next is for them. */
    @Test
    void whatItCameInForLeads() {
        click("#leg-" + job("Spat Lass, starboard"));
        click("#station-intake");
        assertThat(now().context().complaint()).extracting(Enum::name).containsExactly("SERVICE");
        click("#pick-came_for-hot");
        robot.type(KeyCode.DIGIT4);
        assertThat(now().context().complaint()).extracting(Enum::name).contains("HOT", "WEAK_STREAM");
        String looked = now().knowledge()
                .finding(now().verdictWords().advised().orElseThrow().findings().get(0))
                .orElseThrow()
                .title();
        assertThat(looked).isIn("Look at the intake", "Telltale probed", "Runs hot at idle", "Thermostat in hot water");
        click("#station-verdict");
        click("#verdict-view-looks");
        assertThat(robot.lookup("For the complaint").tryQuery()).isPresent();
        click("#station-intake");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().context().complaint()).extracting(Enum::name).doesNotContain("WEAK_STREAM");
    }

    @Test
    void aHoldReadByHandAndOneFromAFile() throws Exception {
        openMilkyLeg();
        click("#station-leak");
        String[][] readings = {{"30 s", "9 psi"}, {"2", "62"}, {"4", "61.8"}, {"6", "61.7"}, {"8", "61.6"}};
        typeInto("#hold-temp", "18");
        for (String[] reading : readings) {
            typeInto("#hold-time", reading[0]);
            typeInto("#hold-gauge", reading[1]);
            click("#hold-take");
        }
        HeldTest byHand = now().held(LeakMode.PRESSURE).orElseThrow();
        assertThat(byHand.hold().instrument()).isEqualTo("by hand");
        assertThat(byHand.hold().readings()).hasSize(5);
        assertThat(byHand.hold().readings().get(0).gaugeKpa())
                .isCloseTo(62.05, org.assertj.core.api.Assertions.within(0.01));
        assertThat(byHand.result()).isPresent();
        typeInto("#hold-time", "1 min");
        typeInto("#hold-gauge", "60");
        click("#hold-take");
        assertThat(now().held(LeakMode.PRESSURE).orElseThrow().hold().readings())
                .hasSize(5);

        LeakStation station = (LeakStation) window.station().orElseThrow();
        Path bad = write(
                "bad.csv", "time (s),pressure (kPa),temperature (°C)\n0,-40,18\n10,-39,18\n5,-39,18\n20,-39,18\n");
        robot.interact(() -> station.read(bad));
        Hands.until(() -> imported().contains("line 4 goes back in time"));
        assertThat(now().held(LeakMode.VACUUM)).isEmpty();
        StringBuilder good = new StringBuilder("t (min);p (psi);temp (°F)\n");
        for (int i = 0; i < 60; i++) {
            good.append(i / 10).append(',').append(i % 10).append(";-7,0;64,4\n");
        }
        Path csv = write("good.csv", good.toString());
        robot.interact(() -> station.read(csv));
        Hands.until(() -> imported().startsWith("Imported 60 readings"));
        assertThat(now().held(LeakMode.VACUUM).orElseThrow().hold().instrument())
                .isEqualTo("file good.csv");
    }

    private String imported() {
        Label label = (Label) window.lookup("#hold-imported");
        return label == null ? "" : label.getText();
    }

    private Path write(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private void typeInto(String field, String text) {
        click(field + " .text-field");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.DELETE);
        robot.write(text);
    }

    @Test
    void whatWasFoundWhenOpenedIsKeptAndPartsAreJudged() {
        int opened = shop.journal().benchLines().open().stream()
                .filter(l -> l.leg().title().equals("Byssus"))
                .findFirst()
                .orElseThrow()
                .job();
        click("#leg-" + opened);
        click("#station-verdict");
        click("#verdict-view-opened");
        click("#confirmed-plug_washers-no");
        assertThat(now().confirmed()).containsEntry("plug_washers", false);
        click("#verdict-view-tables");
        assertThat(robot.lookup("#learn-on").tryQuery()).isPresent();
        click("#learn-on");
        assertThat(shop.tables().learning()).isTrue();
        go(Station.STRIP);
        click("#strip-view-inspect");
        click("#pick-before_cleaning-wear_plate-judge_after_cleaning");
        assertThat(find("#inspected-wear_plate", Label.class).getText()).contains("clean it");
        click("#pick-after_cleaning-wear_plate-replace");
        assertThat(find("#inspected-wear_plate", Label.class).getText()).isEqualTo("replace");
    }
}
