package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SqliteJournalTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-11-23T12:00:00Z"), ZoneOffset.UTC);
    private static final LegRef LEG = new LegRef("l1", "Spat Lass", LegRef.Position.PORT, "tern-60");
    private static final Fact READING = Fact.Read.byHand(Address.the("drained"), 452, "452 ml");

    @TempDir
    Path folder;

    private Path file() {
        return folder.resolve("yard.mussel");
    }

    @Test
    void whatWasAppendedIsThereAfterReopening() {
        int job;
        try (SqliteJournal journal = SqliteJournal.open(file(), NOON)) {
            job = journal.open(LEG, "bench").job();
            journal.append(job, "bench", READING);
            journal.keepSetting("units", "us");
        }
        try (SqliteJournal journal = SqliteJournal.open(file(), NOON)) {
            assertThat(journal.entries(job)).extracting(Entry::fact).containsExactly(new Fact.Opened(LEG), READING);
            assertThat(journal.entries(job)).extracting(Entry::at).containsOnly(NOON.instant());
            assertThat(journal.setting("units", "metric")).isEqualTo("us");
            assertThat(journal.setting("glove", "off")).isEqualTo("off");
        }
    }

    @Test
    void jobsAreNumberedOn() {
        try (SqliteJournal journal = SqliteJournal.open(file(), NOON)) {
            assertThat(List.of(
                            journal.open(LEG, "a").job(), journal.open(LEG, "a").job()))
                    .containsExactly(1, 2);
            journal.append(1, "a", READING);
            assertThat(journal.all()).extracting(List::size).containsExactly(2, 1);
        }
    }

    @Test
    void howFarAJobHasComeIsKnownWithoutReadingIt() {
        try (SqliteJournal journal = SqliteJournal.open(file(), NOON)) {
            int job = journal.open(LEG, "a").job();
            journal.open(LEG, "a");
            journal.append(job, "a", READING);
            assertThat(journal.mark(job)).contains(Job.of(journal.entries(job)).mark());
            assertThat(journal.mark(99)).isEmpty();
        }
    }

    @Test
    void theDatabaseItselfRefusesToChangeAnEntry() throws SQLException {
        try (SqliteJournal journal = SqliteJournal.open(file(), NOON)) {
            journal.open(LEG, "a");
        }
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file());
                Statement sql = db.createStatement()) {
            assertThatThrownBy(() -> sql.execute("UPDATE entry SET by = 'x'")).hasMessageContaining("append-only");
            assertThatThrownBy(() -> sql.execute("DELETE FROM entry")).hasMessageContaining("append-only");
        }
    }

    @Test
    void aSecondWriterIsToldSoAndAReaderIsLetIn() {
        try (SqliteJournal first = SqliteJournal.open(file(), NOON)) {
            first.open(LEG, "a");
            assertThatThrownBy(() -> SqliteJournal.open(file(), NOON))
                    .isInstanceOf(JournalException.class)
                    .hasMessageContaining("open in another Mussel");
            try (SqliteJournal reader = SqliteJournal.read(file(), NOON)) {
                assertThat(reader.all()).hasSize(1);
                assertThatThrownBy(() -> reader.append(1, "a", READING)).hasMessageContaining("reading only");
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 20, 2000, 20_480})
    void aDamagedFileIsRefusedAndLeftUntouched(int at) throws IOException {
        filled(400);
        byte[] bytes = Files.readAllBytes(file());
        Arrays.fill(bytes, at, Math.min(bytes.length, at + 3000), (byte) 0x5A);
        Files.write(file(), bytes);

        assertThatThrownBy(() -> SqliteJournal.open(file(), NOON))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("left as it is");
        assertThat(Files.readAllBytes(file())).isEqualTo(bytes);
    }

    @Test
    void aNewerFileIsRefusedAndLeftUntouched() throws IOException {
        filled(1);
        byte[] bytes = Files.readAllBytes(file());
        ByteBuffer.wrap(bytes).putInt(60, LogFile.SCHEMA_VERSION + 1);
        Files.write(file(), bytes);

        assertThatThrownBy(() -> SqliteJournal.open(file(), NOON)).hasMessageContaining("newer Mussel");
        assertThat(Files.readAllBytes(file())).isEqualTo(bytes);
    }

    @Test
    void anotherProgramsDatabaseIsRefused() throws SQLException {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file());
                Statement sql = db.createStatement()) {
            sql.execute("CREATE TABLE recipes (id INTEGER)");
        }
        assertThatThrownBy(() -> SqliteJournal.open(file(), NOON)).hasMessageContaining("another program");
    }

    @Test
    void noDatabaseAtAllIsRefused() throws IOException {
        Files.writeString(file(), "Dear diary");
        assertThatThrownBy(() -> SqliteJournal.open(file(), NOON)).hasMessageContaining("not a Mussel logbook");
        assertThat(file()).hasContent("Dear diary");
    }

    @Test
    void aRefusedFileIsNotLeftLocked() throws IOException {
        Files.writeString(file(), "Dear diary");
        assertThatThrownBy(() -> SqliteJournal.open(file(), NOON)).isInstanceOf(JournalException.class);
        Files.delete(file());
        SqliteJournal.open(file(), NOON).close();
    }

    @Test
    void thereIsNothingToReadBeforeTheFirstJob() {
        assertThatThrownBy(() -> SqliteJournal.read(file(), NOON)).hasMessageContaining("no logbook");
    }

    private void filled(int entries) {
        try (SqliteJournal journal = SqliteJournal.open(file(), NOON)) {
            int job = journal.open(LEG, "a").job();
            for (int i = 0; i < entries; i++) {
                journal.append(job, "a", READING);
            }
        }
    }
}
