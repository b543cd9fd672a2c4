package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mussel.core.job.Consent;
import mussel.core.job.EngineSide;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.log.Due;
import mussel.core.visit.EngineSideItem;
import mussel.work.desk.Desk;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** A visit in the window: work beside the leg, what it leaves waiting, and what the owner agreed to. */
class VisitTest extends WindowJourney {
    private int takeIn(String boat) {
        int job = shop.takeIn(new LegRef(boat, boat, LegRef.Position.SINGLE, "tern-60"));
        robot.interact(() -> window.open(job));
        return job;
    }

    private void typeAt(String id, String text) {
        click("#field-" + id + " .text-field");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.DELETE);
        robot.write(text).push(KeyCode.ENTER);
    }

    private void tag(int job) {
        robot.interact(() -> {
            new Desk(shop, job).tag();
            window.showBench();
        });
    }

    private Due due(String id) {
        return now().due().stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void whatIsDoneBesideTheLegFallsDueAndWhatIsPutOffGreetsTheNextVisit() throws Exception {
        takeIn("Byssus");
        type(Field.ENGINE_HOURS, "240");
        go(Station.BESIDE);
        click("#more-engine_oil");
        typeAt("engine_takes", "2.8 l");
        typeAt("filter_holds", "300 ml");
        assertThat(said("#beside-engine_oil")).contains("Pour 2950 ml first", "1 × engine oil can");
        typeAt("engine_oil_in", "3.6 l");
        assertThat(said("#beside-engine_oil")).contains("rain the excess");
        typeAt("engine_oil_in", "3.1 l");
        click("#pick-beside-engine_oil-done");
        click("#more-plugs");
        typeAt("cylinders", "3");
        for (int i = 1; i <= 3; i++) {
            click("#pick-plug_colour-" + i + "-" + (i == 2 ? "pale" : "brown"));
        }
        assertThat(said("#beside-plugs")).contains("Cylinder 2 is pale, the others brown");
        click("#more-anodes");
        typeAt("anode_left-tab", "40");
        assertThat(said("#beside-anodes")).contains("Tab: 40 % left. Renew it.");
        typeAt("anode_left-outer_pair", "80");
        typeAt("anode_months", "20");
        assertThat(said("#beside-anodes"))
                .contains("Outer pair: 80 % left, half gone in 30 months (13 to 80). Good until the next check.");
        click("#pick-beside-thermostat-put_off");
        click("#note-put_off_why-thermostat");
        robot.write("no gasket\n");
        assertThat(due("engine_oil").atHours()).hasValue(340);
        assertThat(due("engine_oil").on()).isEqualTo(shop.today().plusMonths(12));
        assertThat(due("thermostat").on()).as("waits").isEqualTo(shop.today().plusMonths(1));
        assertThat(due("thermostat").what()).contains("deferred");
        assertThat(now().due()).as("what nobody asked for starts no clock").noneMatch(d -> d.id().equals("battery"));
        Path sheet = folder.resolve("job.pdf");
        shop.jobSheets().write(now(), sheet);
        try (var document = Loader.loadPDF(sheet.toFile())) {
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                    .contains("Engine oil and filter done")
                    .contains("Thermostat deferred (no gasket)");
        }
        tag(now().job().id());

        takeIn("Byssus");
        assertThat(said("#comeback")).contains("Thermostat was deferred on", "no gasket");
        go(Station.BESIDE);
        assertThat(said("#beside-greeting")).contains("Thermostat was deferred on");
        EngineSide beside = new EngineSide(now());
        assertThat(beside.ofTheEngine(Field.ENGINE_TAKES)).as("asked once").hasValue(2_800);
        assertThat(beside.cylinders()).isEqualTo(3);
        click("#pick-beside-thermostat-done");
        assertThat(new EngineSide(now()).greeting()).isEmpty();
        assertThat(due("thermostat").on()).isEqualTo(shop.today().plusMonths(EngineSideItem.THERMOSTAT.months()));
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(new EngineSide(now()).greeting()).as("undone").hasSize(1);
    }

    @Test
    void theOwnersWordIsMissedBeforeTheCaseIsOpenedAndItsFigureHeld() throws Exception {
        takeIn("Byssus");
        go(Station.STRIP);
        assertThat(said("#consent-line")).as("nothing is to be done yet").isEmpty();
        click("#pick-goal-driveshaft_seals-yes");
        assertThat(said("#consent-line")).contains("No owner's approval yet");
        go(Station.ESTIMATE);
        click("#pick-consent-up_to");
        typeAt("consent_limit", "100");
        click("#pick-consent_how-phone");
        click("#note-consent_by");
        robot.write("Marit\n");
        assertThat(find("#consent-said", Label.class).getText()).isEqualTo("Approved by Marit by phone up to €100.00.");
        Consent consent = new Consent(now());
        assertThat(consent.missing()).isFalse();
        assertThat(consent.beyond())
                .hasValueSatisfying(b -> assertThat(b).contains("above the approved limit of €100.00"));
        go(Station.PARTS);
        assertThat(robot.lookup("#consent-line").queryAll().stream()
                        .filter(Node::isVisible)
                        .count())
                .isPositive();
        go(Station.ESTIMATE);
        typeAt("consent_limit", "9000");
        assertThat(new Consent(now()).before()).isEmpty();
        Path paper = folder.resolve("estimate.pdf");
        shop.papers().estimate(now(), paper);
        try (var document = Loader.loadPDF(paper.toFile())) {
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                    .contains("Your approval", "Approved by Marit by phone up to €9,000.00.");
        }
    }

    @Test
    void aLegThatComesBackWithinTheYearIsAskedAbout() {
        int first = takeIn("Byssus");
        go(Station.STRIP);
        click("#pick-goal-propshaft_seals-yes");
        tag(first);
        takeIn("Byssus");
        assertThat(said("#comeback")).contains("Job " + first, "repaired here: Propeller shaft seals", "no leak test");
        click("#pick-comeback-yes");
        assertThat(now().job().choice(Scale.COMEBACK)).isEqualTo(Optional.of("yes"));
        takeIn("Mytilus");
        assertThat(said("#comeback")).isEmpty();
    }
}
