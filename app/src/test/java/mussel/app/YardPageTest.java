package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.measure.Kind;
import mussel.core.measure.UnitSet;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.MusselWindow;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import mussel.work.desk.Desk;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Workshop;
import org.junit.jupiter.api.Test;

/** What the yard decides is said in the window, by keys, and counts at once. */
class YardPageTest extends WindowJourney {
    private void yardPage() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-yard");
    }

    private List<String> words(String id) {
        Node node = robot.lookup(id).query();
        return robot.from(node).lookup(".label").queryAllAs(Label.class).stream()
                .filter(Node::isVisible)
                .map(Label::getText)
                .toList();
    }

    /** Opens a thing by its line's button and types over its first field. */
    private void say(String table, String... cells) {
        click("#change-" + table);
        for (int i = 0; i < cells.length; i++) {
            if (i > 0) {
                robot.push(KeyCode.TAB);
            }
            robot.push(KeyCode.CONTROL, KeyCode.A);
            robot.push(KeyCode.BACK_SPACE).write(cells[i]);
        }
        robot.push(KeyCode.ENTER);
        worked();
    }

    private int job(String boat, boolean tagged) {
        int job = shop.takeIn(new LegRef(
                boat, boat, LegRef.Position.SINGLE, shop.families().get(0).id()));
        robot.interact(() -> window.open(job));
        go(Station.STRIP);
        click("#pick-goal-propshaft_seals-yes");
        if (tagged) {
            Desk desk = new Desk(shop, job);
            robot.interact(desk::tag);
        }
        return job;
    }

    private double labour(int job) {
        robot.interact(() -> window.open(job));
        return now().yard().labourPerH();
    }

    @Test
    void aRateTellsWhatItChangesBeforeItIsTakenAndATaggedLegKeepsItsOwn() throws Exception {
        int tagged = job("Byssus", true);
        int open = job("Raft tender", false);
        yardPage();
        say("labour_per_h", "90");
        assertThat(shop.yard().labourPerH()).as("not before it was seen").isEqualTo(72);
        assertThat(words("#yard-editor"))
                .anyMatch(t -> t.startsWith("Raft tender: average repair cost: €") && t.contains(", was €"))
                .noneMatch(t -> t.contains("Byssus"));
        robot.push(KeyCode.ENTER);
        assertThat(shop.yard().labourPerH()).isEqualTo(90);
        assertThat(words("#yard-changes"))
                .contains("Labour rate: €90.00, was €72.00")
                .anyMatch(t -> t.endsWith(", bench"));

        restart();
        assertThat(labour(open)).isEqualTo(90);
        assertThat(labour(tagged)).as("Closed jobs keep the settings").isEqualTo(72);

        yardPage();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shop.yard().labourPerH()).isEqualTo(72);
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        assertThat(shop.yard().labourPerH()).isEqualTo(90);
    }

    @Test
    void aYardIsSetUpByKeysInDollarsAndUsUnits() throws Exception {
        yardPage();
        say("name", "Sand Bar Boats");
        say("currency", "usd");
        say("money_as", "");
        click("#change-units");
        click("#yard-0-0-us");
        click("#yard-keep");
        worked();
        click("#change-units_of");
        click("#yard-0-3");
        robot.write("lbf·ft").push(KeyCode.ENTER);
        worked();
        say("labour_per_h", "1,250.50");
        say("tools", "slide hammer");
        say("oils", "plain-90", "Plain gear oil 90");
        say("frost_from", "");

        restart();
        assertThat(shop.yard().name()).isEqualTo("Sand Bar Boats");
        assertThat(shop.yard().units()).isEqualTo(UnitSet.US);
        assertThat(shop.units().symbol(Kind.TORQUE)).isEqualTo("lbf·ft");
        assertThat(shop.units().symbol(Kind.VOLUME)).isEqualTo("fl oz");
        assertThat(shop.units().money().exact(shop.yard().labourPerH())).isEqualTo("$1,250.50");
        assertThat(shop.yard().oils().get(0).title()).isEqualTo("Plain gear oil 90");
        assertThat(shop.yard().frostFrom()).as("it never freezes").isEmpty();
        shop.setPaperFolder(folder);
        Path file = folder.resolve("yard.yaml");
        shop.data().yard(shop.yard(), file);
        try (SqliteJournal elsewhere = SqliteJournal.open(folder.resolve("elsewhere.mussel"), DAY)) {
            Workshop theirs =
                    Yards.over(elsewhere, new FileStore(folder.resolve("elsewhere.mussel"), DAY), SheetFiles.shipped());
            ImportPreview incoming = theirs.data().look(file, done -> true);
            incoming.take().accept(done -> true);
            incoming.then().run();
            theirs.followEverything();
            assertThat(theirs.yard()).as("the same yard elsewhere").isEqualTo(shop.yard());
        }
        yardPage();
        assertThat(words("#yard-things"))
                .contains("Currency: USD")
                .anyMatch(t -> t.startsWith("Bottle sizes: tube, 250 ml, $7.50"))
                .contains("First day of freezing: not entered");
    }

    @Test
    void whoIsAtTheBenchIsPickedWithOneKeyAndStandsOnEveryEntry() throws Exception {
        yardPage();
        say("technicians", "Astrid", "8");
        robot.push(KeyCode.ESCAPE);
        int job = job("Byssus", false);
        robot.push(KeyCode.F10);
        robot.push(KeyCode.DIGIT1);
        assertThat(shop.by()).isEqualTo("Astrid");
        go(Station.STRIP);
        robot.push(KeyCode.F5);
        robot.push(KeyCode.SPACE);
        robot.push(KeyCode.F10);
        robot.clickOn("#who-other").write("Bo").push(KeyCode.ENTER);
        assertThat(shop.by()).isEqualTo("Bo");
        restart();
        assertThat(shop.by()).as("until somebody else comes").isEqualTo("Bo");
        assertThat(shop.journal().entries(job))
                .extracting(mussel.core.job.Entry::by)
                .contains("bench", "Astrid");
        robot.interact(() -> window.open(job));
        assertThat(now().job().people()).containsExactly("bench", "Astrid");
    }

    /** Bo learns and is at the bench; a leg is taken in by somebody else. */
    private int apprenticeAtTheBench() {
        yardPage();
        click("#change-technicians");
        robot.push(KeyCode.CONTROL, KeyCode.A).push(KeyCode.BACK_SPACE).write("Bo");
        click("#yard-0-2-apprentice");
        click("#yard-keep");
        worked();
        int job = job("Byssus", false);
        robot.push(KeyCode.F10);
        robot.push(KeyCode.DIGIT1);
        return job;
    }

    @Test
    void whatAnApprenticeProvesWaitsForACountersign() {
        int job = apprenticeAtTheBench();
        assertThat(shop.by()).isEqualTo("Bo");
        go(Station.PROVE);
        click("#pick-shift_neutral-turns");
        assertThat(words("#countersigning")).anyMatch(t -> t.startsWith("Work checked by Bo needs a sign-off"));
        click("#countersign");
        assertThat(words("#countersigning")).as("not by himself").anyMatch(t -> t.startsWith("Bo is an apprentice"));
        assertThat(now().blocks()).anyMatch(b -> b.contains("needs a sign-off"));
        robot.push(KeyCode.F10);
        robot.clickOn("#who-other").write("Ada").push(KeyCode.ENTER);
        robot.interact(() -> window.open(job));
        go(Station.PROVE);
        click("#countersign");
        assertThat(now().blocks()).noneMatch(b -> b.contains("needs a sign-off"));
        assertThat(words("#countersigning")).anyMatch(t -> t.endsWith("signed off by Ada."));
        robot.push(KeyCode.F10);
        robot.clickOn("#who-other").write("Bo").push(KeyCode.ENTER);
        click("#pick-shift_forward-clicks");
        assertThat(now().blocks())
                .as("what he proves afterwards waits anew")
                .anyMatch(b -> b.contains("needs a sign-off"));
    }

    @Test
    void whatALearnerHasTickedStandsUnderPracticeByKindAloneOrWithHelp() {
        int job = apprenticeAtTheBench();
        robot.interact(() -> window.open(job));
        go(Station.STRIP);
        robot.push(KeyCode.F5);
        robot.push(KeyCode.SPACE);
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-practice");
        worked();
        assertThat(words("#learners")).contains("Work done by Bo").anyMatch(t -> t.endsWith(": once with help."));
    }

    @Test
    void theYardsOwnNumberForTheTablesCountsAtOnceAndOneThatFitsNothingIsRefused() {
        int job = job("Byssus", false);
        String cause = now().knowledge().causes().get(0).id();
        yardPage();
        click("#change-priors");
        click("#yard-more");
        robot.write("no_such_cause")
                .push(KeyCode.TAB)
                .write("31 %")
                .push(KeyCode.TAB)
                .write("counted here");
        click("#yard-keep");
        worked();
        assertThat(words("#yard-editor")).anyMatch(t -> t.contains("no cause of the tables: no_such_cause"));
        click("#yard-0-0");
        robot.push(KeyCode.CONTROL, KeyCode.A).write(cause);
        click("#yard-keep");
        worked();
        if (window.lookup("#yard-keep") != null) {
            click("#yard-keep");
            worked();
        }
        robot.interact(() -> window.open(job));
        assertThat(now().knowledge().causes().get(0).prior()).isEqualTo(0.31);
        yardPage();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        robot.interact(() -> window.open(job));
        assertThat(now().knowledge().causes().get(0).prior()).isNotEqualTo(0.31);
    }

    @Test
    void aSchoolThatIsChosenIsSaidAtItsStep() {
        int job = job("Byssus", false);
        yardPage();
        click("#change-habits");
        click("#yard-0-0-vent_first");
        click("#yard-0-1-when_bad");
        click("#yard-keep");
        worked();
        robot.interact(() -> window.open(job));
        go(Station.DRAIN);
        assertThat(robot.lookup(".label").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(t -> t.contains("open the vent first"));
        go(Station.FILL);
        assertThat(robot.lookup(".label").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(t -> t.contains("New ones are still planned"));
    }

    @Test
    void toolsAreTickedFromWhatTheSheetsAskFor() {
        yardPage();
        assertThat(words("#yard-things")).anyMatch(t -> t.contains("calibration was due on"));
        click("#change-tools");
        int had = shop.yard().tools().size();
        String tool = shop.families().get(0).steps().stream()
                .flatMap(s -> s.tools().stream())
                .filter(shop.yard().tools()::contains)
                .findFirst()
                .orElseThrow();
        click("#yard-tools-" + tool.replace(' ', '-'));
        click("#yard-keep");
        worked();
        if (window.lookup("#yard-keep") != null) {
            click("#yard-keep");
            worked();
        }
        assertThat(shop.yard().tools()).hasSize(had - 1).doesNotContain(tool);
    }

    /** At a start the families and the yard's sheet are read once the bench stands: it must not wait for them. */
    @Test
    void theBenchStandsBeforeTheYardsSheetHasCome() throws Exception {
        job("Byssus", false);
        robot.interact(() -> window.showBench());
        shop.readIn(UnitSet.US);
        shop.journal().close();
        SqliteJournal journal = SqliteJournal.open(logbook(), DAY);
        shop = Yards.over(journal, new FileStore(logbook(), DAY), new CompletableFuture<>());
        CompletableFuture<MusselWindow> stands = new CompletableFuture<>();
        Platform.runLater(() -> {
            MusselWindow bench = new MusselWindow(shop, Look.of(shop.journal()));
            stands.complete(bench);
        });
        assertThat(stands.get(60, TimeUnit.SECONDS).lookup("#bench")).isNotNull();
        assertThat(shop.units().set()).isEqualTo(UnitSet.US);
    }

    @Test
    void whatCannotBeIsToldWithItsLineAndNothingIsLost() {
        yardPage();
        say("bottles", "tube", "much");
        assertThat(words("#yard-editor"))
                .anyMatch(t -> t.startsWith("Not saved. Bottle sizes, line 1, holds: cannot be read"));
        assertThat(find("#yard-0-1", javafx.scene.control.TextField.class).getText())
                .isEqualTo("much");
        assertThat(shop.yard().bottles().get(0).ml()).isEqualTo(250);
        click("#yard-leave");
        say("currency", "kroner");
        assertThat(words("#yard-editor")).anyMatch(t -> t.contains("which is no currency"));
    }
}
