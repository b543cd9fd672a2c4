package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Clock;
import java.util.List;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import mussel.exchange.log.LogJson;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The file is deleted, moved, replaced or written over while a window has it open. */
class UnderTheWindowTest {
    private static final Clock CLOCK = Clock.systemUTC();

    @TempDir
    Path folder;

    private Path log;
    private Path other;

    @BeforeEach
    void fill() {
        log = folder.resolve("yard.mussel");
        other = folder.resolve("other.mussel");
        filled(log, "mine", 3);
        filled(other, "theirs", 30);
    }

    private static void filled(Path file, String text, int entries) {
        try (SqliteJournal journal = SqliteJournal.open(file, CLOCK)) {
            journal.open(new LegRef("l-" + text, "Byssus", LegRef.Position.SINGLE, "wren-8"), "bench");
            for (int i = 0; i < entries; i++) {
                journal.append(1, "bench", note(text + i));
            }
        }
    }

    private static Fact note(String text) {
        return new Fact.Noted(Topic.COMPLAINT.address(), text);
    }

    private List<Path> kept(String ending) throws IOException {
        try (var files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().contains(".kept-")
                            && f.getFileName().toString().endsWith(ending))
                    .toList();
        }
    }

    /** With a reader in it pages move into the file in parts: by itself it is no sound database then, and still the same log. */
    @Test
    void aLogThatIsReadBesideIsNotTakenForAnother() throws Exception {
        int entries = 0;
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            for (int reader = 0; reader < 8; reader++) {
                try (Connection reading = LogConnections.reading(log);
                        Statement statement = reading.createStatement()) {
                    reading.setAutoCommit(false);
                    statement.executeQuery("SELECT count(*) FROM entry").close();
                    for (int i = 0; i < 300; i++) {
                        journal.append(1, "bench", note("beside " + entries++));
                    }
                }
            }
            assertThat(journal.entries(1)).hasSize(entries + 4);
        }
        assertThat(kept("")).isEmpty();
        assertThat(Integrity.of(log, CLOCK).troubles()).isEmpty();
    }

    private interface Mishap {
        void happens() throws IOException;
    }

    /** Everything entered is in the two kept files, and nothing of it in what lies there now. */
    private void afterwards(Mishap mishap, String told) throws IOException {
        SqliteJournal journal = SqliteJournal.open(log, CLOCK);
        journal.append(1, "bench", note("before"));
        mishap.happens();
        assertThatThrownBy(() -> journal.append(1, "bench", note("after")))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining(told)
                .hasMessageContaining("is kept in");
        assertThatThrownBy(() -> journal.append(1, "bench", note("later"))).hasMessageContaining("is kept in");
        assertThatThrownBy(() -> journal.keepSetting("look", "dark")).hasMessageContaining(told);
        journal.close();
        try (InputStream in = Files.newInputStream(kept(".json").get(0))) {
            List<Entry> entries = LogJson.read(in).value().orElseThrow().jobs().get(0);
            assertThat(entries.stream().map(Entry::fact)).endsWith(note("before"), note("after"), note("later"));
        }
    }

    @Test
    void deleted() throws IOException {
        afterwards(() -> Files.delete(log), "was deleted or moved");
        assertThat(log).doesNotExist();
        try (SqliteJournal whole = SqliteJournal.read(kept(".mussel").get(0), CLOCK)) {
            assertThat(whole.entries(1)).extracting(Entry::fact).endsWith(note("before"));
        }
    }

    @Test
    void moved() throws IOException {
        afterwards(() -> Files.move(log, folder.resolve("elsewhere.mussel")), "was deleted or moved");
        assertThat(kept(".mussel")).hasSize(1);
    }

    @Test
    void replaced() throws IOException {
        afterwards(() -> Files.move(other, log, StandardCopyOption.REPLACE_EXISTING), "was replaced by another file");
        assertUntouched();
    }

    @Test
    void writtenOverInPlace() throws IOException {
        byte[] theirs = Files.readAllBytes(other);
        SqliteJournal journal = SqliteJournal.open(log, CLOCK);
        journal.append(1, "bench", note("before"));
        Files.write(log, theirs, StandardOpenOption.TRUNCATE_EXISTING);
        assertThatThrownBy(() -> journal.append(1, "bench", note("after")))
                .hasMessageContaining("was written over with other content");
        journal.close();
        assertThat(log).hasBinaryContent(theirs);
        assertUntouched();
    }

    @Test
    void itsLastEntriesTakenAway() throws IOException {
        SqliteJournal journal = SqliteJournal.open(log, CLOCK);
        journal.append(1, "bench", note("before"));
        journal.append(1, "bench", note("once more"));
        Files.delete(folder.resolve("yard.mussel-wal"));
        assertThatThrownBy(() -> journal.append(1, "bench", note("after"))).hasMessageContaining("yard.mussel-wal");
        journal.close();
    }

    /** What lies there now is the other log, as it was, also for whoever opens it next. */
    private void assertUntouched() {
        try (SqliteJournal journal = SqliteJournal.read(log, CLOCK)) {
            assertThat(journal.entries(1)).hasSize(31);
        }
        assertThat(Integrity.of(log, CLOCK).troubles()).isEmpty();
    }

    /** The plug is pulled after another log was put in its place: the next start must not mix the two. */
    @Test
    void aWriteAheadFileIsNotPlayedIntoAnotherLog() throws IOException {
        SqliteJournal journal = SqliteJournal.open(log, CLOCK);
        for (int i = 0; i < 40; i++) {
            journal.append(1, "bench", note("mine, later " + i));
        }
        Path crash = Files.createDirectory(folder.resolve("crash"));
        for (String part : List.of("yard.mussel-wal", "yard.mussel.lock")) {
            Files.copy(folder.resolve(part), crash.resolve(part));
        }
        Files.copy(other, crash.resolve("yard.mussel"));
        journal.close();
        try (SqliteJournal next = SqliteJournal.open(crash.resolve("yard.mussel"), CLOCK)) {
            assertThat(next.noticed()).contains("were not mixed into it");
            assertThat(next.entries(1)).hasSize(31);
        }
        assertThat(Integrity.of(crash.resolve("yard.mussel"), CLOCK).troubles()).isEmpty();
    }

    /** A whole folder copied while the log was open: its write-ahead file is its own and is played in. */
    @Test
    void aCopiedFolderKeepsItsLastEntries() throws IOException {
        SqliteJournal journal = SqliteJournal.open(log, CLOCK);
        for (int i = 0; i < 40; i++) {
            journal.append(1, "bench", note("mine, later " + i));
        }
        Path copy = Files.createDirectory(folder.resolve("copy"));
        for (String part : List.of("yard.mussel", "yard.mussel-wal", "yard.mussel.lock")) {
            Files.copy(folder.resolve(part), copy.resolve(part));
        }
        journal.close();
        try (SqliteJournal next = SqliteJournal.open(copy.resolve("yard.mussel"), CLOCK)) {
            assertThat(next.noticed()).isEmpty();
            assertThat(next.entries(1)).hasSize(44);
        }
    }

    @Test
    void everythingBelongsToItsOwnerAlone() throws IOException {
        try (SqliteJournal journal = SqliteJournal.open(log, CLOCK)) {
            journal.append(1, "bench", note("mine"));
            Backups.of(log, CLOCK).daily();
            try (var files = Files.walk(folder)) {
                assertThat(files.filter(f -> f.getFileName().toString().startsWith("yard.mussel")
                                || f.toString().contains(".backups")))
                        .isNotEmpty()
                        .allSatisfy(f -> assertThat(java.nio.file.attribute.PosixFilePermissions.toString(
                                        Files.getPosixFilePermissions(f)))
                                .as(f.toString())
                                .isEqualTo(Files.isDirectory(f) ? "rwx------" : "rw-------"));
            }
        }
    }
}
