package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import mussel.core.job.Field;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.desktop.log.TagStation;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** The whole slice in the real window: a leg is taken in, drained, stripped, built, filled and tagged, over a restart. */
class JourneyTest extends WindowJourney {
    private void takeIn(String boat, String position, String family) {
        click("#take-in-open");
        robot.write(boat);
        click("#take-in-position-" + position);
        click("#take-in-family-" + family);
        click("#take-in-do");
    }

    @Test
    void fromTheDrainedOilToTheTagAndOverARestart() throws Exception {
        takeIn("Spat Lass", "port", "tern-60");
        type(Field.ENGINE_HOURS, "412");
        type(Field.HOURS_SINCE_FILL, "38 h");
        click("#pick-water-sea");

        click("#station-drain");
        type(Field.DRAINED, "0,452 l");
        type(Field.OIL_TEMP, "64.4 F");
        type(Field.MINUTES, "20");
        click("#pick-oil_water-milky");
        click("#pick-magnet-drain-paste");
        assertThat(now().job().reading(Field.DRAINED)).hasValue(452);
        assertThat(now().drain().result()).isPresent();
        assertThat(find("#conclusion-head", Label.class).getText()).contains("Driveshaft seals");

        restart();
        assertThat(robot.lookup(".leg-card").queryAll()).hasSize(1);
        click("#leg-1");
        assertThat(now().job().choice(mussel.core.job.Scale.OIL_WATER)).contains("milky");

        click("#station-strip");
        click("#pick-goal-driveshaft_seals-yes");
        click("#strip-view-steps");
        tick(now().stripSteps());
        click("#strip-view-mat");
        assertThat(now().states()).containsEntry(Station.STRIP, Station.State.DONE);

        click("#station-build");
        click("#build-view-torques");
        assertThat(robot.lookup("3 × Seal carrier bolts, M6x1.0").tryQuery()).isPresent();
        click("#build-view-steps");
        tick(now().buildSteps());

        click("#station-fill");
        tick(now().fillSteps());
        type(Field.PUMPED, "431 ml");
        assertThat(now().states()).containsEntry(Station.FILL, Station.State.DONE);

        click("#station-tag");
        assertThat(find("#tag-it", javafx.scene.control.ButtonBase.class).isDisabled())
                .as("holds, proofs and torques were left out, and nobody has said why")
                .isTrue();
        click("#tag-word");
        robot.write("goes on at the berth").push(KeyCode.ENTER);
        click("#tag-it");
        assertThat(now().job().tagged()).contains(shop.today());
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().job().tagged()).isEmpty();
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(now().job().tagged()).isPresent();
        printed();

        restart();
        assertThat(robot.lookup(".leg-card").queryAll()).isEmpty();
        robot.clickOn("#find").write("spat");
        click("#leg-1");
        assertThat(now().job().tagged()).contains(shop.today());
        assertThat(now().job().reading(Field.PUMPED)).hasValue(431);
    }

    private void printed() throws Exception {
        Path pdf = folder.resolve("job.pdf");
        TagStation station = (TagStation) window.station().orElseThrow();
        robot.interact(() -> station.print(pdf));
        Hands.until(() -> station.printed().startsWith("Saved"));
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Spat Lass, port", "412 h", "Driveshaft seals", "at 512 h or on 2027-11-23", "milky");
        }
    }

    @Test
    void nonsenseInAFieldIsRefusedAndNothingIsLost() {
        takeIn("Byssus", "single", "wren-8");
        click("#station-drain");
        type(Field.DRAINED, "148 ml");
        type(Field.DRAINED, "9 psi");
        assertThat(now().job().reading(Field.DRAINED)).hasValue(148);
        assertThat(robot.lookup("#field-drained .reply").queryAs(Label.class).getText())
                .contains("measures a pressure")
                .contains("Still 148 ml");
        type(Field.DRAINED, "");
        assertThat(now().job().reading(Field.DRAINED)).isEmpty();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().job().reading(Field.DRAINED)).hasValue(148);
    }

    /** A hand that stops within a figure has made one of it; what it types on is the figure meant all the same. */
    @Test
    void aRestWithinAFigureChangesNothingUnderTheHand() {
        takeIn("Byssus", "single", "tern-60");
        go(Station.FILL);
        click("#field-pumped .text-field");
        robot.write("43");
        Hands.until(() -> entered(Field.PUMPED).equals(OptionalDouble.of(43)));
        robot.write("1 ml");
        go(Station.TAG);
        assertThat(now().job().reading(Field.PUMPED)).hasValue(431);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().job().reading(Field.PUMPED))
                .as("its beginning was no figure of its own")
                .isEmpty();
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(now().job().reading(Field.PUMPED)).hasValue(431);

        go(Station.DRAIN);
        click("#field-drained .text-field");
        robot.write("0,452 l");
        Hands.until(() -> entered(Field.DRAINED).equals(OptionalDouble.of(452)));
        int entries = window.desk().orElseThrow().entries();
        assertThat(find("#field-drained .text-field", TextField.class).getText())
                .isEqualTo("0,452 l");
        go(Station.TAG);
        assertThat(window.desk().orElseThrow().entries())
                .as("entered once, not again when the field is left")
                .isEqualTo(entries);
        go(Station.DRAIN);
        click("#field-drained .text-field");
        robot.push(KeyCode.CONTROL, KeyCode.A).write("450");
        Hands.until(() -> entered(Field.DRAINED).equals(OptionalDouble.of(450)));
        robot.push(KeyCode.CONTROL, KeyCode.A).write("448");
        go(Station.TAG);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().job().reading(Field.DRAINED))
                .as("another figure, not what became of the first")
                .hasValue(450);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        go(Station.DRAIN);
        assertThat(find("#field-drained .text-field", TextField.class).getText())
                .isEmpty();
    }

    /** What is in the journal, without what is being typed. */
    private OptionalDouble entered(Field field) {
        return window.desk().orElseThrow().job().reading(field);
    }

    @Test
    void whatIsBeingTypedIsComputedAtEachKeystroke() {
        takeIn("Byssus", "single", "wren-8");
        click("#station-drain");
        type(Field.OIL_TEMP, "18");
        type(Field.MINUTES, "30");
        click("#field-drained .text-field");
        robot.write("15");
        double first = now().drain().result().orElseThrow().balance().excessMl();
        robot.write("9");
        assertThat(now().drain().result().orElseThrow().balance().excessMl()).isGreaterThan(first);
    }

    @Test
    void keysGloveAndTheDarkLookWorkEverywhere() {
        robot.push(KeyCode.F1);
        assertThat(robot.lookup("#keys").tryQuery()).isPresent();
        robot.push(KeyCode.ESCAPE);
        assertThat(robot.lookup("#keys").tryQuery()).isEmpty();
        robot.push(KeyCode.F7);
        assertThat(window.getStyleClass()).contains("dark");
        robot.push(KeyCode.F6);
        assertThat(window.getStyleClass()).contains("glove");
        assertThat(shop.journal().setting("look", "light")).isEqualTo("dark");
        takeIn("Kelp Runner", "single", "tern-60");
        robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
        click("#field-drained .text-field");
        robot.write("452");
        robot.push(KeyCode.ENTER);
        robot.push(KeyCode.F8);
        assertThat(robot.lookup("#field-drained .text-field")
                        .queryTextInputControl()
                        .getText())
                .isEqualTo("15.28 fl oz");
    }

    @Test
    void aNoteTakenBackIsNotEnteredAgainFromAPageOutOfSight() {
        takeIn("Byssus", "single", "wren-8");
        click("#note-complaint");
        robot.write("sheen").push(KeyCode.ENTER);
        go(Station.DRAIN);
        assertThat(now().job().note(Topic.COMPLAINT.address())).contains("sheen");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.push(KeyCode.F5);
        assertThat(now().job().note(Topic.COMPLAINT.address())).isEmpty();
    }

    @Test
    void aBoatNeedsANameAndAFamily() {
        click("#take-in-open");
        click("#take-in-do");
        assertThat(robot.lookup(".refusal").queryAs(Label.class).getText()).startsWith("The boat's name has");
        robot.clickOn("#take-in-boat").write("Byssus");
        click("#take-in-do");
        assertThat(robot.lookup(".refusal").queryAs(Label.class).getText()).startsWith("Choose the position");
        assertThat(shop.jobs()).isEmpty();
    }

    @Test
    void everyStationFitsTheWindowWhicheverFamilyCameBefore() {
        for (String family : new String[] {"tern-60", "wren-8", "tern-60"}) {
            takeIn("Kelp Runner " + family, "single", family);
            for (Station station : Station.values()) {
                go(station);
                assertThat(window.lookup(".job-view").getLayoutBounds().getWidth())
                        .as(station.title())
                        .isLessThanOrEqualTo(1280);
                Node back = window.lookup("#to-bench");
                assertThat(back.localToScene(back.getLayoutBounds()).getMinX())
                        .as(station.title())
                        .isNotNegative();
            }
            click("#to-bench");
        }
    }

    @Test
    void everyTargetIsLargeEnoughForGloves() {
        takeIn("Kelp Runner", "single", "tern-60");
        for (Station station : Station.values()) {
            go(station);
            robot
                    .lookup(n -> n instanceof ToggleButton
                            || n instanceof ButtonBase && !n.getStyleClass().contains("why"))
                    .queryAllAs(ButtonBase.class)
                    .stream()
                    .filter(b -> b.isVisible() && b.getWidth() > 0)
                    .forEach(b -> assertThat(b.getHeight()).as(b.getId()).isGreaterThanOrEqualTo(39));
        }
        assertThat(Files.exists(folder.resolve("yard.mussel"))).isTrue();
    }
}
