package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mussel.core.book.LayUpWork;
import mussel.core.job.Assessment;
import mussel.core.job.Comeback;
import mussel.core.job.Consent;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** The whole visit in the demo yard: complaint, twins, consent, lay-up, and what comes back. */
class WholeVisitTest extends DemoJourney {
    private static String text(Path paper) throws Exception {
        try (var document = Loader.loadPDF(paper.toFile())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void aHotEngineIsTakenInAndCoolingIsLookedAtFirst() {
        int job = shop.takeIn(new LegRef("hot", "Gannet", LegRef.Position.SINGLE, "tern-60"));
        robot.interact(() -> window.open(job));
        click("#pick-came_for-hot");
        type(Field.ENGINE_HOURS, "310");
        click("#pick-water-sea");
        assertThat(now().nextAction().says()).matches("(?i).*(telltale|stream|thermostat|intake).*");
        assertThat(now().current()).as("not the oil first").isEqualTo(Station.DRAIN);
    }

    @Test
    void aTwinPairIsOneVisitWithOneOrderOnePriceAndOneWord() throws Exception {
        open("Sound Harvester, port");
        go(Station.STRIP);
        assertThat(said("#consent-line"))
                .contains("Added since the approval: Driveshaft seals", "above the approved limit of €1,800.00");
        click("#both-open");
        assertThat(said("#both-legs")).contains("Same visit as Sound Harvester, starboard", "Both repaired: ");
        click("#starboard-kill_cord");
        assertThat(now().job().ticked("kill_cord")).as("done once for both").isPresent();
        Assessment sister = now().visit().orElseThrow().sister();
        assertThat(sister.job().ticked("kill_cord")).isPresent();
        click("#starboard-gear_neutral");
        assertThat(now().job().ticked("gear_neutral")).as("each leg its own").isEmpty();
        go(Station.PARTS);
        Hands.until(() ->
                robot.lookup("#order").tryQuery().map(n -> !n.isDisabled()).orElse(false));
        assertThat(now().supply().forSister()).contains("1 × Impeller");
        click("#order");
        assertThat(now().visit().orElseThrow().sister().supply().open())
                .as("by itself the sister does not know of it")
                .isNotEmpty();
        open("Sound Harvester, starboard");
        assertThat(now().supply().rows())
                .as("it came with the port leg's order, or lies on the shelf")
                .allMatch(r -> r.open() <= r.onShelf());
        assertThat(new Consent(now()).says()).contains("the farm’s manager in writing", "€1,800.00");
        Path estimate = folder.resolve("both.pdf");
        shop.papers().estimate(now(), estimate);
        assertThat(text(estimate))
                .contains("Same visit as Sound Harvester, port", "Port", "Starboard", "on average for both");
        Path sheet = folder.resolve("sheet.pdf");
        shop.jobSheets().write(now(), sheet);
        assertThat(Files.size(sheet)).isPositive();
    }

    @Test
    void anyTwoLegsStandSideBySideOnceOneNamesTheOtherByItsBoat() {
        open("Byssus");
        go(Station.INTAKE);
        robot.interact(() -> window.getScene().lookup("#visit-with-typed").requestFocus());
        robot.write("spat");
        robot.push(KeyCode.ENTER);
        assertThat(said("#visit-with")).contains("Several jobs match", "Spat Lass, starboard");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.write("raft");
        robot.push(KeyCode.ENTER);
        assertThat(said("#visit-with")).contains("Same visit as Raft tender");
        go(Station.STRIP);
        click("#both-open");
        assertThat(said("#both-legs")).contains("Same visit as Raft tender", "own price and approval");
        int tender = job("Raft tender");
        assertThat(shop.assessed(tender).orElseThrow().visit()).isPresent();
        go(Station.INTAKE);
        click("#visit-with-end");
        assertThat(now().visit()).isEmpty();
        assertThat(shop.assessed(tender).orElseThrow().visit()).isEmpty();
    }

    @Test
    void aRoundOfFourBoatsIsTickedOneAfterTheOther() throws Exception {
        for (String boat :
                new String[] {"Byssus-SINGLE", "Spat-Lass-PORT", "Spat-Lass-STARBOARD", "Kelp-Runner-SINGLE"}) {
            robot.push(KeyCode.CONTROL, KeyCode.L);
            click("#book-page-due");
            click("#round-demo-" + boat);
            go(Station.BESIDE);
            click("#layup-open");
            for (String step : LayUpWork.STEPS) {
                click("#layup-" + step);
            }
            assertThat(LayUpWork.of(now()).done()).as(boat).isEqualTo(LayUpWork.STEPS.size());
        }
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-due");
        assertThat(said("#round")).contains("Byssus: 6 of 6 steps", "Kelp Runner: 6 of 6 steps");
        Path list = folder.resolve("list.pdf");
        Assessment laidUp = shop.assessed(job("Kelp Runner")).orElseThrow();
        shop.papers().list(laidUp, LayUpWork.of(laidUp).list(laidUp), list);
        assertThat(text(list)).contains("Lay-up before freezing", "[x] Fog the cylinders");
    }

    @Test
    void aComebackIsMarkedItsLetterWrittenAndItsCostMovesTheCostOfLeaving() throws Exception {
        open("Kelp Runner");
        double before = leaving();
        go(Station.INTAKE);
        assertThat(said("#comeback")).contains("repaired here: Driveshaft seals");
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-lives");
        Hands.until(() -> said("#lives-came").contains("returned, costing"));
        assertThat(said("#lives-came"))
                .contains("Where renewed, Driveshaft seals: 1 of", "Not used in the cost of leaving it");
        assertThat(said("#lives-record")).contains("The upper estimate held in", "your own times");
        click("#count-comebacks-on");
        Hands.until(() -> said("#lives-came").contains("Used in the cost of leaving it"));
        robot.interact(() -> window.showBench());
        open("Kelp Runner");
        assertThat(leaving()).as("what it truly cost is in it").isNotEqualTo(before);
        go(Station.INTAKE);
        click("#pick-comeback-yes");
        assertThat(new Comeback(now()).marked()).isTrue();
        Path letter = folder.resolve("letter.pdf");
        shop.papers().letter(now(), letter);
        assertThat(text(letter)).contains("Your leg was returned to us", "Driveshaft seals", "We pay:");
        click("#pick-comeback-yes");
        assertThat(now().job().choice(Scale.COMEBACK)).isEqualTo(Optional.empty());
    }

    private double leaving() {
        return now().goalCosts().get("driveshaft_seals").comeback();
    }

    @Test
    void aStepSaysWhatItTakesHere() {
        open("Byssus");
        go(Station.STRIP);
        click(".steps .fold");
        assertThat(robot.lookup(".step .dim").queryAllAs(Label.class))
                .anyMatch(l -> l.getText().endsWith(" here"));
    }
}
