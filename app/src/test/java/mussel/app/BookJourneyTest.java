package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import mussel.app.data.Exporter;
import mussel.app.demo.DemoYard;
import mussel.core.book.LogBook;
import mussel.core.job.Job;
import mussel.core.log.Visit;
import mussel.store.Backups;
import mussel.store.SqliteJournal;
import org.junit.jupiter.api.Test;

/** The book in the real window on the demo: search, lives, twins, due, plan, a file taken in, a tag scanned. */
class BookJourneyTest extends DemoJourney {
    private void takeIn(Path file) {
        robot.interact(() -> window.takeInFile(file));
        Hands.until(() -> window.lookup("#take-in-file-page") != null);
    }

    private static String words(Node node) {
        StringBuilder words = new StringBuilder();
        node.lookupAll(".label")
                .forEach(l -> words.append(((Label) l).getText()).append('\n'));
        return words.toString();
    }

    @Test
    void theLogbookFindsALegAndShowsItsLifeBesideItsTwins() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        TextField search = robot.lookup("#book-search").query();
        robot.clickOn(search).write("harvester pro");
        Hands.until(() -> robot.lookup("#found")
                        .<ListView<LogBook.Found>>query()
                        .getSelectionModel()
                        .getSelectedItem()
                != null);
        ListView<LogBook.Found> found = robot.lookup("#found").query();
        assertThat(found.getItems()).isNotEmpty().allMatch(f -> f.title().startsWith("Sound Harvester"));
        ListView<Visit> life = robot.lookup("#life-jobs").query();
        assertThat(life.getItems()).hasSizeGreaterThanOrEqualTo(5);
        assertThat(found.getSelectionModel().getSelectedItem().leg())
                .isEqualTo(life.getItems().get(0).leg());
        robot.interact(() -> {
            search.setText("harvester");
            window.showBook(Optional.of("demo-Sound Harvester-STARBOARD"));
        });
        assertThat(found.getSelectionModel().getSelectedItem().leg())
                .as("the list points at the leg shown")
                .isEqualTo("demo-Sound Harvester-STARBOARD");
        click("#beside-twin");
        ListView<Visit> twin = robot.lookup("#twin-jobs").query();
        assertThat(twin.getItems().get(0).leg())
                .isNotEqualTo(life.getItems().get(0).leg());
        assertThat(words(robot.lookup("#twin").query())).contains("Sound Harvester", "Water in the oil");
        robot.clickOn(search).push(KeyCode.CONTROL, KeyCode.A).write("nothing holds this word");
        assertThat(found.getItems()).isEmpty();
    }

    @Test
    void dueWorkLivesAndThePlanAreThere() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-due");
        assertThat(words(robot.lookup("#book").query())).contains("Gear oil", "Due by hours: ", "New gear oil");
        click("#book-page-lives");
        Hands.until(() -> words(robot.lookup("#lives-says").query()).contains("Wear-out failures"));
        assertThat(words(robot.lookup("#lives-says").query()))
                .contains("Cheapest: replace at", "The current 24 months");
        click("#book-page-plan");
        Hands.until(() -> words(robot.lookup("#plan-first").query()).contains("first bench: "));
        Pane bars = robot.lookup("#plan-bars").query();
        assertThat(bars.lookupAll(".plan-bar")).hasSizeGreaterThan(20);
        assertThat(((Label) robot.lookup("#plan-about").query()).getText()).contains("about ");
    }

    @Test
    void aFileIsLookedIntoAndTakenInWhole() throws IOException {
        Path other = folder.resolve("other.mussel");
        DemoYard.fill(other, Instant.parse("2026-11-22T09:00:00Z"));
        Path json = folder.resolve("other.json");
        try (SqliteJournal journal = SqliteJournal.read(other, Clock.systemUTC())) {
            Exporter exporter = new Exporter(journal, journal.book());
            exporter.export(
                    Exporter.Format.JSON,
                    json,
                    exporter.job(journal.numbers().get(0)),
                    java.time.LocalDate.of(2026, 11, 22),
                    Instant.EPOCH,
                    false);
        }
        int before = shop.book().jobs();
        takeIn(json);
        assertThat(words(robot.lookup("#take-in-file-page").query())).contains("1 new jobs");
        click("#take-in-file-do");
        Hands.until(() -> shop.book().jobs() == before + 1);
        Path broken = Files.writeString(folder.resolve("broken.json"), "{\"format\":\"mussel-log\",\"jobs\":[");
        takeIn(broken);
        assertThat(words(robot.lookup("#take-in-file-page").query())).contains("Not imported", "line 1");
        assertThat(robot.lookup("#take-in-file-do").query().isDisabled()).isTrue();
        click("#take-in-file-leave");
    }

    /** A file is drawn from a label onto the window, as from a file manager. */
    @Test
    void aFileDroppedOnTheWindowIsLookedInto() throws IOException {
        Path text = Files.writeString(folder.resolve("notes.txt"), "hello");
        Label handle = new Label("a file");
        handle.setOnDragDetected(e -> {
            ClipboardContent content = new ClipboardContent();
            content.putFiles(List.of(text.toFile()));
            handle.startDragAndDrop(TransferMode.COPY).setContent(content);
            e.consume();
        });
        robot.interact(() -> {
            StackPane.setAlignment(handle, Pos.BOTTOM_LEFT);
            window.getChildren().add(handle);
        });
        robot.drag(handle).moveBy(30, -30).moveBy(300, -250).drop();
        Hands.until(() -> window.lookup("#take-in-file-page") != null);
        assertThat(words(robot.lookup("#take-in-file-page").query()))
                .contains("notes.txt", "Not imported", "not a file Mussel can import");
    }

    @Test
    void theBenchIsPlannedAnewWhenAStepIsTickedOrSomebodyIsAway() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-plan");
        Hands.until(() -> words(robot.lookup("#plan-first").query()).contains("first bench: "));
        Button done = (Button) robot.lookup("#plan-first").query().lookupAll(".button").stream()
                .filter(b -> b.getId() != null && b.getId().startsWith("plan-done-"))
                .findFirst()
                .orElseThrow();
        int job = Integer.parseInt(done.getId().substring("plan-done-".length()));
        String step = shop.benchPlan().next().get(job).id();
        robot.interact(done::fire);
        assertThat(Job.of(shop.journal().entries(job)).ticked(step)).isPresent();
        assertThat(shop.benchPlan().next().get(job).id()).isNotEqualTo(step);

        LocalDate today = shop.benchPlan().fleet().now().toLocalDate();
        LocalDate day = Stream.iterate(today.plusDays(1), d -> d.plusDays(1))
                .filter(d -> d.getDayOfWeek().getValue() <= 5)
                .findFirst()
                .orElseThrow();
        Button here = robot.lookup("#here-0-" + day).query();
        assertThat(here.getText()).isEqualTo("here");
        robot.interact(here::fire);
        Hands.until(() -> robot.lookup("#here-0-" + day).queryAll().stream()
                .anyMatch(b -> ((Button) b).getText().equals("away")));
        // The plan is worked out beside the window.
        Hands.until(() -> robot.lookup("#plan-bars").query().lookupAll(".plan-bar").stream()
                .map(Node::getAccessibleText)
                .noneMatch(t -> t.contains("first bench, " + weekday(day))));
        assertThat(shop.absences().of("first bench")).containsExactly(day);
    }

    private static String weekday(LocalDate day) {
        return day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH) + " " + day.getDayOfMonth() + ".";
    }

    @Test
    void aWholeLogIsTakenInBesideTheWork() throws IOException {
        Path other = folder.resolve("sister.mussel");
        DemoYard.fill(other, Instant.parse("2025-03-01T09:00:00Z"));
        Path backup = folder.resolve("sister.mussel-backup");
        Backups.of(other, Clock.systemUTC()).everything(backup, false);
        int before = shop.book().jobs();
        takeIn(backup);
        assertThat(words(robot.lookup("#take-in-file-page").query())).contains("51 new jobs");
        click("#take-in-file-do");
        Hands.until(() -> shop.book().jobs() == before + 51);
        Hands.until(() -> robot.lookup("#filing").queryAs(Label.class).getText().isEmpty());
        assertThat(shop.book().owed()).isEmpty();
        assertThat(shop.book().stale()).isEmpty();
        takeIn(backup);
        assertThat(words(robot.lookup("#take-in-file-page").query())).contains("Nothing new in this file");
        click("#take-in-file-leave");
    }

    @Test
    void aScannedTagOpensTheLifeOfItsLeg() {
        robot.interact(() -> window.showBench());
        TextField find = robot.lookup("#find").query();
        robot.clickOn(find).write("mussel:leg:demo-Byssus-SINGLE");
        Hands.until(() -> !robot.lookup("#life-jobs").queryAll().isEmpty());
        ListView<Visit> life = robot.lookup("#life-jobs").query();
        assertThat(life.getItems()).allMatch(v -> v.boat().equals("Byssus"));
    }
}
