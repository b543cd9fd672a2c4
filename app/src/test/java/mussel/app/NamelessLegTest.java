package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mussel.app.data.Importer;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Workshop;
import org.junit.jupiter.api.Test;

/** A leg that is in no file, from its intake to its tag by keys alone, what its manual says typed where it is wanted; then in a yard that has never heard of it. */
class NamelessLegTest extends WindowJourney {
    private static final Clock DAY = WindowJourney.DAY;

    private void key(KeyCode... chord) {
        robot.push(chord);
    }

    private void typed(String text) {
        robot.write(text, 0).push(KeyCode.ENTER);
    }

    /** To the figure of the manual that is asked for, and what is typed there one after the other. */
    private void manual(String... figures) {
        key(KeyCode.CONTROL, KeyCode.M);
        for (String figure : figures) {
            typed(figure);
        }
    }

    private void everyStep() {
        key(KeyCode.F5);
        key(KeyCode.SHIFT, KeyCode.END);
    }

    @Test
    void fromIntakeToItsTagAndIntoAYardThatHasNeverHeardOfIt() throws Exception {
        shop.setPaperFolder(folder);
        takenIn();
        drainedAndHeld();
        openedAndPutBack();
        filledAndTagged();

        restart();
        SpecSheet sheet = shop.families().get(4);
        assertThat(sheet.title()).isEqualTo("Nameless 40");
        assertThat(sheet.oil().capacityMl()).hasValue(430);
        key(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-sheets");
        click("#sheets-of-nameless-40");
        Node page = robot.lookup("#sheets-page").query();
        assertThat(robot.from(page).lookup(".label").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(t -> t.equals("oil, capacity: 430 ml"))
                .anyMatch(t -> t.startsWith("leak test, pressure, start: 69 kPa"));
        elsewhere(sheet);
    }

    private void takenIn() {
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT5);
        typed("Nameless 40");
        key(KeyCode.DIGIT2);
        key(KeyCode.ENTER);
        typed("412");
        typed("38");
        key(KeyCode.DIGIT1);
        key(KeyCode.ENTER);
        key(KeyCode.DIGIT3);
        assertThat(now().sheet().title()).isEqualTo("Nameless 40");
    }

    private void drainedAndHeld() {
        key(KeyCode.CONTROL, KeyCode.DIGIT2);
        assertThat(now().drain().result()).isEmpty();
        manual("430 ml");
        key(KeyCode.DIGIT4);
        key(KeyCode.DIGIT1);
        for (String figure : new String[] {"452", "12", "18", "20"}) {
            typed(figure);
        }
        assertThat(now().drain().result()).isPresent();
        key(KeyCode.CONTROL, KeyCode.DIGIT3);
        manual("69 kPa", "110 kPa", "5 min", "4 kPa");
        assertThat(now().sheet().leakTest().pressure().orElseThrow().allowedDropKpa())
                .isEqualTo(4);
    }

    private void openedAndPutBack() {
        key(KeyCode.CONTROL, KeyCode.DIGIT7);
        key(KeyCode.DIGIT1);
        everyStep();
        assertThat(now().goals()).containsExactly("driveshaft_seals");
        assertThat(now().states()).containsEntry(Station.STRIP, Station.State.DONE);
        key(KeyCode.CONTROL, KeyCode.DIGIT8);
        key(KeyCode.CONTROL, KeyCode.DIGIT9);
        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT1);
        everyStep();
        assertThat(now().states()).containsEntry(Station.BUILD, Station.State.DONE);
    }

    private void filledAndTagged() throws Exception {
        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT2);
        manual("GL-5 80W-90");
        key(KeyCode.DIGIT1);
        typed("431");
        key(KeyCode.SHIFT, KeyCode.END);
        assertThat(now().job().reading(Field.PUMPED)).hasValue(431);
        assertThat(now().states()).containsEntry(Station.FILL, Station.State.DONE);
        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT4);
        for (int proof = 0; proof < 3; proof++) {
            key(KeyCode.DIGIT1);
        }
        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT5);
        typed("run and holds at the berth");
        key(KeyCode.F5);
        assertThat(now().job().tagged()).contains(shop.today());
        assertThat(now().job().sheet()).as("what it was worked by").isPresent();
        key(KeyCode.F5);
        Path paper = folder.resolve("job-" + now().job().id() + ".pdf");
        Hands.until(() -> Files.exists(paper));
    }

    private void elsewhere(SpecSheet sheet) {
        Path log = folder.resolve("out.json");
        shop.data().json(log);
        Path there = folder.resolve("theirs.mussel");
        try (SqliteJournal journal = SqliteJournal.open(there, DAY)) {
            ImportPreview incoming = new Importer(journal, new FileStore(journal.file(), DAY), folder.resolve("data"))
                    .look(log, n -> true);
            assertThat(incoming.refused()).isEmpty();
            incoming.take().accept(n -> true);
            incoming.then().run();
        }
        Workshop theirs = Yards.open(new FileStore(there, DAY), SheetFiles.shipped());
        Assessment job = theirs.jobs().get(0);
        assertThat(job.sheet()).isEqualTo(sheet);
        assertThat(job.job().tagged()).isPresent();
        assertThat(theirs.sheets().described().history(sheet.id())).hasSizeGreaterThan(5);
        int next = theirs.takeIn(new LegRef("next", "Raft tender", LegRef.Position.SINGLE, sheet.id()));
        Assessment begun = theirs.jobs().stream()
                .filter(j -> j.job().id() == next)
                .findFirst()
                .orElseThrow();
        assertThat(begun.sheet().oil().capacityMl()).as("never typed twice").hasValue(430);
        theirs.journal().close();
    }
}
