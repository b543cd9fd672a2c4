package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.sheet.Goal;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.library.Library;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/** A leg that no file describes: named, taken in and worked on by keys alone. */
class AnotherLegTest extends WindowJourney {
    private static final int RANDOM_LEGS = 8;

    private int entries;

    private void key(KeyCode... chord) {
        entries++;
        robot.push(chord);
    }

    private void typed(String text) {
        entries++;
        robot.write(text).push(KeyCode.ENTER);
    }

    @Test
    void fromAnotherLegToTheFirstTickOfTheStripDown() throws Exception {
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT5);
        assertThat(window.getScene().getFocusOwner().getId()).isEqualTo("another-name");
        typed("Nameless 40");
        key(KeyCode.DIGIT2);
        key(KeyCode.ENTER);
        assertThat(now().sheet().title()).isEqualTo("Nameless 40");
        assertThat(now().sheet().estimates()).contains("/construction/weight_kg");
        typed("412");
        typed("38");
        assertThat(now().job().reading(Field.ENGINE_HOURS)).hasValue(412);
        key(KeyCode.CONTROL, KeyCode.DIGIT7);
        key(KeyCode.DIGIT1);
        key(KeyCode.F5);
        key(KeyCode.SPACE);
        assertThat(now().stepsDone(now().stripSteps())).isEqualTo(1);
        assertThat(entries).isLessThanOrEqualTo(25);

        restart();
        assertThat(shop.families()).extracting(SpecSheet::id).contains("nameless-40");
        key(KeyCode.F5);
        assertThat(now().stepsDone(now().stripSteps())).isEqualTo(1);
    }

    @Test
    void whatIsPickedOfItsConstructionIsKeptAndAnotherOfTheSameNameStandsBeside() {
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT5);
        typed("Nameless 40");
        click("#another-propshaft_carrier-ring");
        click("#another-size-large");
        click("#take-in-do");
        SpecSheet sheet = now().sheet();
        assertThat(sheet.part("carrier_ring")).isPresent();
        SpecSheet other = shop.sheets().describe("Nameless 40", Size.MID, Map.of("drive", "pin"));
        assertThat(other.id()).isEqualTo("nameless-40-2");
        assertThat(shop.families()).contains(sheet, other);
    }

    @Test
    void theSameLegUnderAnotherNameSharesItsSheetAndKeepsOnlyWhatDiffers() throws Exception {
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT5);
        typed("Tern 50");
        click("#another-like-tern-60");
        click("#another-shares-share");
        click("#take-in-do");
        SpecSheet sheet = now().sheet();
        assertThat(sheet.id()).isEqualTo("tern-50");
        assertThat(sheet.oil().capacityMl()).hasValue(430);
        assertThat(sheet.origin()).contains("Shares the sheet of Tern 60");
        shop.sheets().say("tern-50", Map.of("/values/oil/capacity", "380 ml"), "12");
        shop.sheets().say("tern-60", Map.of("/values/weight", "33 kg", "/values/oil/capacity", "440 ml"), "9");
        restart();
        SpecSheet later = shop.families().stream()
                .filter(f -> f.id().equals("tern-50"))
                .findFirst()
                .orElseThrow();
        assertThat(later.oil().capacityMl()).as("its own").hasValue(380);
        assertThat(later.construction().weightKg())
                .as("what became of the shared sheet")
                .isEqualTo(33);
        Path file = folder.resolve("tern-50.yaml");
        shop.sheets().described().write("tern-50", file);
        assertThat(Files.readString(file)).as("another yard may lack the other").doesNotContain("like:");
        assertThat(SheetFiles.family(Files.readAllBytes(file))
                        .value()
                        .orElseThrow()
                        .oil())
                .isEqualTo(later.oil());
    }

    @Test
    void withoutANameOrASizeItIsNotTakenIn() {
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT5);
        click("#take-in-do");
        assertThat(refusal()).startsWith("Enter a model name");
        click("#another-name");
        typed("Nameless 40");
        click("#take-in-do");
        assertThat(refusal()).startsWith("Choose the size");
        assertThat(shop.jobs()).isEmpty();
        assertThat(shop.families()).hasSize(4);
    }

    private String refusal() {
        return robot.lookup(".refusal").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .filter(t -> !t.isEmpty())
                .findFirst()
                .orElse("");
    }

    @Test
    void everyStationOpensOnALegOfWhichNothingIsKnown() {
        SpecSheet sheet = shop.sheets().describe("Nameless 40", Size.PORTABLE, Map.of());
        int job = shop.takeIn(new LegRef("l", "Byssus", LegRef.Position.SINGLE, sheet.id()));
        robot.interact(() -> window.open(job));
        for (Station station : Station.values()) {
            go(station);
            assertThat(window.station().orElseThrow().node().isVisible())
                    .as(station.title())
                    .isTrue();
            assertThat(find("#trouble", Label.class).getText())
                    .as(station.title())
                    .isEmpty();
        }
        go(Station.DRAIN);
        type(Field.DRAINED, "150 ml");
        type(Field.OIL_TEMP, "18");
        type(Field.MINUTES, "20");
        click("#pick-oil_water-milky");
        assertThat(now().drain().result()).as("nobody knows what it holds").isEmpty();
        assertThat(now().job().choice(Scale.OIL_WATER)).contains("milky");
        go(Station.FILL);
        assertThat(words(window.station().orElseThrow().node())).anyMatch(t -> t.contains("capacity not known"));
        go(Station.LEAK);
        assertThat(words(window.station().orElseThrow().node()))
                .anyMatch(t -> t.contains("Test limits not read from the manual yet"));
    }

    /** Legs of any construction, with and without what a manual says, at every station and in the book: nothing is wrong and nothing is empty. */
    @Test
    void everyStationOpensOnWhateverLegIsDescribed() {
        Random random = new Random(20_261_129);
        for (int leg = 0; leg < RANDOM_LEGS; leg++) {
            Map<String, String> answers = new HashMap<>();
            for (Feature feature : Library.shipped().features()) {
                int answer = random.nextInt(feature.answers().size() + 1);
                if (answer < feature.answers().size()) {
                    answers.put(feature.id(), feature.answers().get(answer).id());
                }
            }
            SpecSheet sheet = shop.sheets().describe("Leg " + leg, Size.values()[leg % 3], answers);
            if (leg % 2 == 0) {
                shop.sheets()
                        .say(
                                sheet.id(),
                                Map.of("/values/oil/capacity", "430 ml", "/values/oil/grade", "GL-5 80W-90"),
                                "9");
            }
            int job = shop.takeIn(new LegRef("leg-" + leg, "Byssus " + leg, LegRef.Position.SINGLE, sheet.id()));
            for (Goal goal : sheet.goals()) {
                if (random.nextInt(4) == 0) {
                    shop.journal().append(job, "bench", new Fact.Chosen(Scale.GOAL.of(goal.id()), "yes"));
                }
            }
            robot.interact(() -> window.open(job));
            for (Station station : Station.values()) {
                robot.interact(() -> window.go(station));
                Hands.settle();
                assertThat(find("#trouble", Label.class).getText())
                        .as(answers + " " + station.title())
                        .isEmpty();
                assertThat(words(window.station().orElseThrow().node()))
                        .as(answers + " " + station.title())
                        .isNotEmpty()
                        .noneMatch(t -> t.contains("null") || t.contains("NaN") || t.contains("Optional"));
            }
        }
    }

    @Test
    void whatTheManualSaysIsTypedOnceAtTheStationThatWantsIt() throws Exception {
        SpecSheet sheet = shop.sheets().describe("Nameless 40", Size.MID, Map.of("propshaft_carrier", "bolts"));
        int job = shop.takeIn(new LegRef("l", "Byssus", LegRef.Position.SINGLE, sheet.id()));
        robot.interact(() -> window.open(job));
        go(Station.FILL);
        told("values-oil-capacity", "9 psi");
        assertThat(refusal()).contains("measures a pressure");
        told("values-oil-capacity", "430 ml");
        assertThat(now().fill().result()).isPresent();
        assertThat(robot.lookup("#manual-values-oil-capacity").tryQuery()).isEmpty();
        click("#manual-values-oil-grade");
        robot.write("GL-5 80W-90");
        go(Station.LEAK);
        assertThat(now().sheet().oil().grade())
                .as("typed and left without Enter")
                .isEqualTo("GL-5 80W-90");
        told("values-leak_test-pressure-start", "69 kPa");
        told("values-leak_test-pressure-limit", "110 kPa");
        told("values-leak_test-pressure-hold", "5 min");
        assertThat(now().sheet().leakTest().pressure()).isEmpty();
        told("values-leak_test-pressure-allowed_drop", "4 kPa");
        assertThat(now().sheet().leakTest().pressure().orElseThrow().startKpa()).isEqualTo(69);

        go(Station.PUMP);
        told("values-pump-limits-tip_wear_mm", "9 psi");
        assertThat(refusal()).contains("measures a pressure");
        told("values-pump-limits-tip_wear_mm", "0,7 mm");
        assertThat(now().pump().input().judgedBy().tipWearMm()).isEqualTo(0.7);
        assertThat(now().pump().input().judgedBy().setDeg())
                .as("by rule of thumb")
                .isEqualTo(20);
        assertThat(now().pump().result().expected())
                .as("nobody has measured it")
                .isEmpty();

        go(Station.STRIP);
        click("#pick-goal-propshaft_seals-yes");
        go(Station.BUILD);
        click("#build-view-torques");
        told("values-fasteners-prop_carrier_bolts-torque", "18-22 N·m");
        told("values-fasteners-prop_carrier_bolts-count", "two");
        assertThat(refusal()).contains("a whole number from 1 to 40");
        told("values-fasteners-prop_carrier_bolts-count", "2");
        assertThat(now().torques().get(0).bolts()).hasSize(2);
        assertThat(now().torques()).extracting(t -> t.fastener().id()).containsExactly("prop_carrier_bolts");

        restart();
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(430);
    }

    @Test
    void everyPlugOfALegNobodyDescribedIsLookedAtForAMagnetAndTheAnswerStaysInItsSheet() {
        SpecSheet sheet = shop.sheets().describe("Nameless 40", Size.MID, Map.of("vents", "2"));
        int job = shop.takeIn(new LegRef("l", "Byssus", LegRef.Position.SINGLE, sheet.id()));
        robot.interact(() -> window.open(job));
        go(Station.DRAIN);
        assertThat(magnets()).containsExactlyInAnyOrder("drain", "vent_port", "vent_starboard");
        click("#no-magnet-vent_port");
        assertThat(magnets()).containsExactlyInAnyOrder("drain", "vent_starboard");
        int next = shop.takeIn(new LegRef("m", "Longline 3", LegRef.Position.SINGLE, sheet.id()));
        robot.interact(() -> window.open(next));
        go(Station.DRAIN);
        assertThat(magnets()).as("the next leg of its kind").containsExactlyInAnyOrder("drain", "vent_starboard");
        assertThat(robot.lookup("#pick-magnet-drain").tryQuery())
                .as("the row stays")
                .isPresent();
    }

    private List<String> magnets() {
        return now().sheet().plugs().stream()
                .filter(p -> p.magnetic())
                .map(p -> p.id())
                .toList();
    }

    @Test
    void theBookShowsItsSheetAndGivesItAwayAsAFile() throws Exception {
        shop.sheets().describe("Nameless 40", Size.MID, Map.of("drive", "splines"));
        shop.setPaperFolder(folder);
        key(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-sheets");
        click("#sheets-of-nameless-40");
        assertThat(words(robot.lookup("#sheets-page").query())).anyMatch(t -> t.startsWith("Fill: Oil capacity"));
        told("values-oil-capacity", "430 ml");
        click("#sheet-propshaft_carrier-ring");
        SpecSheet sheet = shop.families().get(4);
        assertThat(sheet.oil().capacityMl()).hasValue(430);
        assertThat(sheet.part("carrier_ring")).isPresent();
        assertThat(words(robot.lookup("#sheets-page").query())).noneMatch(t -> t.startsWith("Drain: Oil capacity"));

        click("#sheets-file");
        Path file = folder.resolve("nameless-40.yaml");
        Hands.until(() -> Files.exists(file));
        assertThat(SheetFolder.read(file).value()).contains(sheet);
    }

    private void told(String id, String text) {
        click("#manual-" + id);
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.write(text).push(KeyCode.ENTER);
    }

    private List<String> words(Node node) {
        return robot.from(node).lookup(".label").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    @Test
    void theFeaturesOfTheLibraryAreAllAsked() {
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT5);
        Library.shipped().features().forEach(f -> assertThat(
                        robot.lookup("#another-" + f.id()).tryQuery())
                .as(f.title())
                .isPresent());
        assertThat(find("#another-name", TextInputControl.class).isFocused()).isTrue();
    }
}
