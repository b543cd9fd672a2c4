package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.library.Size;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

/** A job keeps the sheet it was worked by; what is changed in a sheet has its history, and can be taken back. */
class SheetsOfJobsTest extends WindowJourney {
    private static final String CAPACITY = "/values/oil/capacity";

    private SpecSheet described() {
        return shop.sheets().describe("Nameless 40", Size.MID, Map.of("drive", "splines"));
    }

    private int takeIn(String leg, SpecSheet sheet) {
        int job = shop.takeIn(new LegRef(leg, leg, LegRef.Position.SINGLE, sheet.id()));
        robot.interact(() -> window.open(job));
        return job;
    }

    private void told(String id, String text) {
        click("#manual-" + id);
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.write(text).push(KeyCode.ENTER);
    }

    private List<String> words(String id) {
        Node node = robot.lookup(id).query();
        return robot.from(node).lookup(".label").queryAllAs(Label.class).stream()
                .filter(Node::isVisible)
                .map(Label::getText)
                .toList();
    }

    private boolean noticed() {
        return robot.lookup("#sheet-changed").query().isVisible();
    }

    private double capacity() {
        return now().sheet().oil().capacityMl().orElse(0);
    }

    @Test
    void aTaggedJobKeepsItsSheetAndAnOpenOneSaysWhatIsDifferent() throws Exception {
        SpecSheet sheet = described();
        int tagged = takeIn("Byssus", sheet);
        go(Station.FILL);
        told("values-oil-capacity", "430 ml");
        assertThat(noticed()).as("its own doing is no news").isFalse();
        Desk desk = new Desk(shop, tagged);
        robot.interact(desk::tag);
        int open = takeIn("Raft tender", shop.families().get(4));

        robot.interact(() -> shop.sheets().say(sheet.id(), Map.of(CAPACITY, "470 ml"), "12"));
        robot.interact(() -> window.open(open));
        assertThat(capacity()).isEqualTo(470);
        assertThat(noticed()).isTrue();
        assertThat(words("#sheet-changed")).contains("oil, capacity (ml): 470, was 430");
        restart();
        robot.interact(() -> window.open(open));
        robot.push(KeyCode.CONTROL, KeyCode.K);
        assertThat(noticed()).isFalse();

        robot.interact(() -> window.open(tagged));
        assertThat(capacity()).as("the sheet of that day").isEqualTo(430);
        assertThat(noticed()).isFalse();
    }

    @Test
    void undoAtTheStationTakesWhatWasTypedFromTheManualBack() {
        SpecSheet sheet = described();
        takeIn("Byssus", sheet);
        go(Station.FILL);
        told("values-oil-capacity", "430 ml");
        assertThat(capacity()).isEqualTo(430);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(capacity()).isZero();
        assertThat(find("#manual-values-oil-capacity", TextInputControl.class).isVisible())
                .isTrue();
        assertThat(shop.sheets().described().history(sheet.id()))
                .as("only its beginning")
                .hasSize(1);
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(capacity()).isEqualTo(430);
        assertThat(noticed()).isFalse();
    }

    @Test
    void eachChangeIsListedAndCanBeTakenBackByItself() {
        SpecSheet sheet = described();
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "430 ml"), "9");
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "470 ml"), "12");
        shop.sheets().answer(sheet.id(), "propshaft_carrier", java.util.Optional.of("ring"));
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-sheets");
        click("#sheets-of-nameless-40");
        assertThat(words("#sheets-page"))
                .anyMatch(t -> t.equals("oil, capacity: 470 ml (page 12), was 430 ml (page 9)"))
                .anyMatch(t -> t.contains("Begun as “Nameless 40”"))
                .anyMatch(t -> t.endsWith(", bench"));

        click("#sheet-back-1");
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(430);
        assertThat(shop.families().get(4).part("carrier_ring"))
                .as("what came later stays")
                .isPresent();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(470);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shop.families().get(4).part("carrier_ring")).isEmpty();
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(shop.families().get(4).part("carrier_ring")).isPresent();
        for (int i = 0; i < 6; i++) {
            robot.push(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(shop.families()).as("it stays begun").hasSize(5);
    }

    @Test
    void whatASheetSaysIsChangedWhereItStandsAndPartsGetTheirNumbersFromASpreadsheet() {
        SpecSheet sheet = described();
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "430 ml"), "9");
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-sheets");
        click("#sheets-of-nameless-40");
        click("#change-oil-capacity_ml");
        assertThat(find("#manual-values-oil-capacity", TextInputControl.class).getText())
                .isEqualTo("430 ml");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.write("nonsense").push(KeyCode.ENTER);
        assertThat(words("#sheet-says")).anyMatch(t -> t.startsWith("Not saved"));
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.write("455 ml").push(KeyCode.ENTER);
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(455);
        assertThat(words("#sheet-says"))
                .anyMatch(t -> t.equals("Oil capacity: 455 ml, page 9."))
                .anyMatch(t -> t.endsWith(": not entered."));

        find("#sheet-pasted", TextInputControl.class);
        click("#sheet-pasted");
        robot.interact(() -> find("#sheet-pasted", TextInputControl.class)
                .setText("no\tname\tqty\nN-11\tDriveshaft seals\t2\nN-12\tFlux capacitor\t1\n"));
        assertThat(words("#sheets-page"))
                .anyMatch(t -> t.equals("N-11 is the number of: Driveshaft seal."))
                .anyMatch(t -> t.contains("Flux capacitor") && t.contains("is not a part of this leg"));
        click("#sheet-numbers-keep");
        assertThat(shop.families().get(4).part("ds_seal").orElseThrow().number())
                .isEqualTo("N-11");
        assertThat(words("#sheets-page")).anyMatch(t -> t.equals("numbers, ds seal: N-11"));
    }

    @Test
    void whatIsPrintedOfTheLashLetsGearsBeSetUp() {
        takeIn("Byssus", described());
        go(Station.SETUP);
        assertThat(now().setup()).isEmpty();
        click("#manual-values-lash-forward");
        for (String figure : List.of("0.15-0.30 mm", "0.40-0.75 mm", "13", "26", "33 mm")) {
            robot.write(figure).push(KeyCode.ENTER);
        }
        assertThat(now().setup()).isPresent();
        assertThat(words("#setup-station")).anyMatch(t -> t.contains("are estimates: after each change"));
        click("#setup-view-forward");
        assertThat(now().setup().orElseThrow().places())
                .extracting(p -> p.id())
                .containsExactly("pinion", "forward", "reverse");
    }

    private void sheetsPage() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-sheets");
        click("#sheets-of-nameless-40");
    }

    private void typedOver(String id, String text) {
        click(id);
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.write(text);
    }

    @Test
    void aFigureThatIsBlankedIsSaidNoMore() {
        SpecSheet sheet = described();
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "430 ml", "/values/oil/grade", "GL-4 90"), "9");
        sheetsPage();
        click("#change-oil-capacity_ml");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.BACK_SPACE).push(KeyCode.ENTER);
        assertThat(shop.families().get(4).oil().capacityMl()).isEmpty();
        assertThat(shop.families().get(4).oil().grade()).isEqualTo("GL-4 90");
        assertThat(words("#sheet-says")).anyMatch(t -> t.equals("Oil capacity: not entered."));
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(430);
    }

    @Test
    void wordsAndMinutesOfAStepAreTheYardsOwnOnceItSaysThem() {
        SpecSheet sheet = described();
        sheetsPage();
        click("#sheet-steps-DOWN");
        String step = sheet.steps().get(0).id();
        click("#change-step-" + step);
        typedOver("#step-title", "Key out, battery off");
        typedOver("#step-minutes", "4 / 3 / 9");
        robot.push(KeyCode.ENTER);
        assertThat(words("#sheet-step-list")).anyMatch(t -> t.startsWith("Not saved") && t.contains("rise from low"));
        typedOver("#step-minutes", "2 / 3,5 / 9");
        robot.push(KeyCode.ENTER);
        assertThat(shop.families().get(4).step(step).orElseThrow()).satisfies(s -> {
            assertThat(s.title()).isEqualTo("Key out, battery off");
            assertThat(s.minutes()).isEqualTo(new Step.Minutes(2, 3.5, 9));
            assertThat(s.detail()).isEqualTo(sheet.steps().get(0).detail());
        });
        assertThat(words("#sheets-page")).anyMatch(t -> t.startsWith("Key out, battery off · 2 / 3.5 / 9 min"));
        click("#change-step-" + step);
        click("#step-title");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.BACK_SPACE).push(KeyCode.ENTER);
        assertThat(shop.families().get(4).step(step).orElseThrow().title())
                .as("blank: as the library says it")
                .isEqualTo(sheet.steps().get(0).title());
    }

    @Test
    void kitsAreLinesAndAPageOfTheManualStandsBesideWhatItSays() throws Exception {
        SpecSheet sheet = described();
        Path photo = folder.resolve("page9.png");
        Files.copy(Path.of("../docs/screenshots/bench.png"), photo);
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "430 ml"), "9");
        shop.sheets().described().page(sheet.id(), CAPACITY, shop.pictures().keep(photo));
        sheetsPage();
        typedOver("#sheet-kits", "Seal kit N-50: 2 driveshaft seal, flux capacitor");
        click("#sheet-kits-keep");
        assertThat(words("#sheets-page")).anyMatch(t -> t.contains("“flux capacitor”") && t.contains("line 1"));
        typedOver("#sheet-kits", "Seal kit N-50: 2 driveshaft seal, impeller");
        click("#sheet-kits-keep");
        assertThat(shop.families().get(4).kits()).singleElement().satisfies(k -> {
            assertThat(k.title()).isEqualTo("Seal kit N-50");
            assertThat(k.contains()).extracting(PartQty::qty).containsExactly(2, 1);
        });

        double small = robot.lookup("#page-values-oil-capacity")
                .query()
                .getLayoutBounds()
                .getHeight();
        click("#page-values-oil-capacity");
        assertThat(robot.lookup("#page-values-oil-capacity")
                        .query()
                        .getLayoutBounds()
                        .getHeight())
                .isGreaterThan(3 * small);
        restart();
        assertThat(shop.sheets().described().page(sheet.id(), CAPACITY)).isPresent();
    }

    @Test
    void whatNoSupplierListsIsSaidAndCannotBeOrdered() {
        takeIn("Byssus", described());
        go(Station.STRIP);
        click("#pick-goal-propshaft_seals-yes");
        go(Station.PARTS);
        assertThat(robot.from(window.station().orElseThrow().node())
                        .lookup(".label")
                        .queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(t -> t.startsWith("Not in any price list: "));
        robot.push(KeyCode.F5);
        assertThat(now().job().orders()).isEmpty();
        assertThat(find("#trouble", Label.class).getText()).isEmpty();
    }

    @Test
    void aTabLeavesThePlaceToPasteIntoAndCtrlZThereUndoesWhatWasTyped() {
        SpecSheet sheet = described();
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "430 ml"), "9");
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-sheets");
        click("#sheets-of-nameless-40");
        click("#sheet-pasted");
        robot.write("N-1");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(430);
        robot.push(KeyCode.TAB);
        assertThat(window.getScene().getFocusOwner().getId()).isNotEqualTo("sheet-pasted");
    }

    @Test
    void aSheetOfAnotherYardComesInWithALookAtItFirst() throws Exception {
        SpecSheet sheet = described();
        shop.sheets().say(sheet.id(), Map.of(CAPACITY, "430 ml"), "9");
        Path file = folder.resolve("theirs.yaml");
        shop.sheets().described().write(sheet.id(), file);
        Files.writeString(file, Files.readString(file).replace("430 ml", "455 ml"));
        robot.interact(() -> window.takeInFile(file));
        Hands.until(() -> robot.lookup("#take-in-file-page").tryQuery().isPresent()
                && words("#take-in-file-page").contains("oil, capacity: 455 ml (page 9), was 430 ml (page 9)"));
        click("#take-in-file-do");
        Hands.until(() -> robot.lookup("#take-in-file-do").tryQuery().isEmpty());
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(455);
        robot.interact(() -> shop.sheets().undo(sheet.id()));
        assertThat(shop.families().get(4).oil().capacityMl()).hasValue(430);
    }

    @Test
    void aShippedSheetThatWasToldOtherwiseIsAsItShipsOnceThatIsTakenBack() {
        SpecSheet tern = shop.families().get(0);
        robot.interact(() -> shop.sheets().say(tern.id(), Map.of(CAPACITY, "999 ml"), ""));
        assertThat(shop.families().get(0).oil().capacityMl()).hasValue(999);
        robot.interact(() -> shop.sheets().undo(tern.id()));
        assertThat(shop.families().get(0)).isEqualTo(tern);
        assertThat(shop.sheets().described().own(tern.id())).isFalse();
    }
}
