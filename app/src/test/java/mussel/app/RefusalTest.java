package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import mussel.core.job.LegRef;
import mussel.desktop.shell.Look;
import mussel.desktop.shell.Refusal;
import mussel.store.Backups;
import mussel.store.SqliteJournal;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;

/** A damaged logbook in the window: its backups are offered, looked into and put in its place. */
class RefusalTest {
    @TempDir
    Path folder;

    private final Hands robot = new Hands();
    private final List<String> again = new ArrayList<>();
    private Path log;

    @BeforeAll
    static void startTheWindowSystem() throws Exception {
        FxToolkit.registerPrimaryStage();
        Look.loadType();
    }

    @BeforeEach
    void fill() {
        log = folder.resolve("yard.mussel");
        try (SqliteJournal journal = SqliteJournal.open(log, Clock.systemUTC())) {
            journal.open(new LegRef("l", "Byssus", LegRef.Position.SINGLE, "wren-8"), "bench");
        }
    }

    private void show() throws Exception {
        FxToolkit.setupStage(stage -> {
            stage.setScene(new Scene(new Refusal("It is damaged.", new Rescues(log), again::add), 1024, 700));
            stage.setX(0);
            stage.setY(0);
            stage.show();
            stage.toFront();
        });
    }

    private void settled(String words) throws Exception {
        Hands.until(() -> robot.lookup(".label").queryAll().stream()
                .anyMatch(l -> ((Label) l).getText().contains(words)));
        Hands.settle();
    }

    @Test
    void aBackupIsLookedIntoAndPutInPlace() throws Exception {
        Backups.of(log, Clock.systemUTC()).daily();
        Files.write(log, new byte[9_000]);
        show();
        robot.clickOn("#refusal-again");
        assertThat(again).containsExactly("");
        robot.clickOn(".refusal-look");
        settled("The backup holds 1 jobs with 1 entries.");
        settled("set aside, not deleted");
        assertThat(log).as("looking changes nothing").hasBinaryContent(new byte[9_000]);
        robot.clickOn("#refusal-restore");
        Hands.until(() -> again.size() == 2);
        assertThat(again.get(1)).contains("The previous log is kept in").contains(".set-aside-");
        try (SqliteJournal journal = SqliteJournal.open(log, Clock.systemUTC())) {
            assertThat(journal.entries(1)).hasSize(1);
        }
    }

    /** There is no backup; what is whole in the damaged log itself takes its place. */
    @Test
    void whatIsWholeIsBroughtOutAndPutInPlace() throws Exception {
        byte[] bytes = Files.readAllBytes(log);
        java.util.Arrays.fill(bytes, 0, 3_000, (byte) 0x5a);
        Files.write(log, bytes);
        show();
        robot.clickOn("#refusal-salvage");
        settled("Brought out: 1 jobs with 1 entries");
        assertThat(log).as("looking changes nothing").hasBinaryContent(bytes);
        robot.clickOn("#refusal-restore");
        Hands.until(() -> !again.isEmpty());
        assertThat(again.get(0)).contains("The recovered log was put in its place");
        try (SqliteJournal journal = SqliteJournal.open(log, Clock.systemUTC())) {
            assertThat(journal.entries(1)).hasSize(1);
        }
    }

    @Test
    void aDamagedBackupIsToldAndChangesNothing() throws Exception {
        Path backup = Backups.of(log, Clock.systemUTC()).daily().orElseThrow();
        Files.write(backup, new byte[500]);
        show();
        robot.clickOn(".refusal-look");
        settled("is no backup of Mussel, or a damaged one");
        assertThat(robot.lookup("#refusal-restore").queryAll()).isEmpty();
        assertThat(again).isEmpty();
    }

    @Test
    void withoutBackupsItSaysWhatElseCanBeDone() throws Exception {
        show();
        settled("mussel restore FILE");
        assertThat(robot.lookup(".refusal-look").<Node>queryAll()).isEmpty();
    }
}
