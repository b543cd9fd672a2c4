package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Random;
import mussel.core.book.LogStore.LogCheck;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whoever edits the database by hand is found out, by job and entry. */
@Tag("attack")
class ChainTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-11-23T12:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private Path log;

    @BeforeEach
    void fill() {
        log = folder.resolve("yard.mussel");
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            for (int job = 1; job <= 4; job++) {
                journal.open(new LegRef("leg-" + job, "Byssus " + job, LegRef.Position.SINGLE, "wren-8"), "bench");
                for (int i = 1; i <= 6; i++) {
                    journal.append(job, "bench", Fact.Read.byHand(Address.the("drained"), 100 * job + i, i + " ml"));
                }
                journal.append(job, "bench", new Fact.Noted(Topic.COMPLAINT.address(), "milky, berth " + job));
            }
            journal.keepSetting("shelf:wren-8:impeller", "2");
        }
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + log);
                Statement statement = db.createStatement()) {
            // No page keeps what moved to another.
            statement.execute("VACUUM");
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private void edit(String... sql) throws SQLException {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + log);
                Statement statement = db.createStatement()) {
            String trigger = "";
            try (ResultSet row =
                    statement.executeQuery("SELECT sql FROM sqlite_master WHERE name = 'entry_is_never_changed'")) {
                trigger = row.next() ? row.getString(1) : "";
            }
            String removed = "";
            try (ResultSet row =
                    statement.executeQuery("SELECT sql FROM sqlite_master WHERE name = 'entry_is_never_removed'")) {
                removed = row.next() ? row.getString(1) : "";
            }
            statement.execute("DROP TRIGGER entry_is_never_changed");
            statement.execute("DROP TRIGGER entry_is_never_removed");
            for (String each : sql) {
                statement.execute(each);
            }
            statement.execute(trigger);
            statement.execute(removed);
        }
    }

    private List<String> troubles() {
        return Integrity.of(log, NOON).troubles();
    }

    @Test
    void aLogThatNobodyTouchedIsSound() {
        LogCheck found = Integrity.of(log, NOON);
        assertThat(found.troubles()).isEmpty();
        assertThat(found.chained()).as("it was chained from its first entry on").isEmpty();
        assertThat(found.entries()).isEqualTo(32);
    }

    /** Entries 9 to 16 are those of job 2. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '`',
            value = {
                "a figure edited # UPDATE entry SET fact = replace(fact, '203', '230') WHERE seq = 12 # Job 2, entry 12",
                "a text edited # UPDATE entry SET fact = replace(fact, 'milky', 'clear') WHERE seq = 16 # Job 2, entry 16",
                "a blank added # UPDATE entry SET fact = fact || ' ' WHERE seq = 12 # Job 2, entry 12",
                "a name edited # UPDATE entry SET by = 'Berit' WHERE seq = 12 # Job 2, entry 12",
                "moved in time # UPDATE entry SET at = '2026-11-22T12:00:00Z' WHERE seq = 12 # Job 2, entry 12",
                "moved to another job # UPDATE entry SET job = 3 WHERE seq = 12 # entry 12",
                "renumbered # UPDATE entry SET seq = 99 WHERE seq = 12 # Job 2, entry 99",
                "seal wiped # UPDATE entry SET hash = NULL WHERE seq = 12 # Job 2, entry 12",
                "seal forged # UPDATE entry SET hash = randomblob(32) WHERE seq = 12 # Job 2, entry 12",
                "one dropped # DELETE FROM entry WHERE seq = 12 # Job 2, entry 13",
                "the last dropped # DELETE FROM entry WHERE seq = 16 # Job 2, entry 16",
                "the first dropped # DELETE FROM entry WHERE seq = 9 # Job 2, entry 10",
                "a job dropped # DELETE FROM entry WHERE job = 2 # Job 2, up to entry 16",
                "two swapped # UPDATE entry SET seq = CASE seq WHEN 12 THEN -13 ELSE -12 END WHERE seq IN (12, 13) # Job 2, entry -13",
                "one slipped in # INSERT INTO entry (job, at, by, fact) SELECT job, at, by, fact FROM entry WHERE seq = 12 # Job 2, entry 33",
                "a copy slipped in # INSERT INTO entry (job, at, by, fact, hash) SELECT job, at, by, fact, hash FROM entry WHERE seq = 12 # Job 2, entry 33",
                "a job put in # INSERT INTO entry (job, at, by, fact, hash) SELECT 9, at, by, fact, hash FROM entry WHERE seq = 9 # Job 9, entry 33",
                "a head dropped # DELETE FROM head WHERE job = 2 # Job 2: something else inserted it",
                "a head edited # UPDATE head SET entries = 7 WHERE job = 2 # Job 2, entry 16",
                "job and head dropped # DELETE FROM entry WHERE job = 4; DELETE FROM head WHERE job = 4 # should name 4 with 32",
                "the seal dropped # DELETE FROM seal # lost its own seal",
                "the sum edited # UPDATE seal SET heads = zeroblob(16) # its sum is not what it was",
                "a setting edited # UPDATE setting SET value = '20' WHERE key LIKE 'shelf%' # A shop setting was changed",
                "a setting put in # INSERT INTO setting VALUES ('units', 'US') # A shop setting was changed",
                "a table put in # CREATE TABLE more (x) # The table more was put into the database",
                "a sheet put in # INSERT INTO sheet (name, content) VALUES ('x', x'00') # A spec sheet that jobs were worked by",
                "the id edited # UPDATE log SET id = 'x' # What the log is",
                "the kind edited # UPDATE log SET demo = 1 # What the log is",
                "the chain's beginning moved # UPDATE log SET chained_from = 5 # What the log is",
                "the counter moved # UPDATE sqlite_sequence SET seq = 4611686018427387904 WHERE name = 'entry' # The counter of entries",
                "a version taken out # DELETE FROM flyway_schema_history WHERE version = '8' # The list of the versions",
                "an index dropped # DROP INDEX entry_of_job # The index entry_of_job was taken out",
                "a trigger put in # CREATE TRIGGER quiet AFTER INSERT ON entry BEGIN SELECT 1; END # The trigger quiet was put into the database"
            })
    void whateverIsEditedByHandIsNamed(String what, String sql, String named) throws SQLException {
        edit(what.startsWith("a trigger") ? new String[] {sql} : sql.split(";"));
        assertThat(troubles()).as(what).anyMatch(t -> t.contains(named.strip()));
        assertThat(troubles()).noneMatch(t -> t.contains("Exception") || t.contains("null"));
    }

    @Test
    void aTriggerTakenOutIsNamed() throws SQLException {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + log);
                Statement statement = db.createStatement()) {
            statement.execute("DROP TRIGGER entry_is_never_removed");
        }
        assertThat(troubles())
                .containsExactly("The trigger entry_is_never_removed was taken out of the database by something else.");
    }

    /** Wherever in an entry a byte is other than it was, the entry is found, or the file is refused as damaged. */
    @Test
    void oneByteChangedAnywhereInAnEntryIsFound() throws IOException {
        byte[] sound = Files.readAllBytes(log);
        Attack attack = new Attack("one byte changed in an entry");
        Random random = new Random(5);
        List<Integer> places = places(sound);
        for (int i = 0; i < Attack.times(60, 5_000); i++) {
            int at = places.get(random.nextInt(places.size()));
            byte bit = (byte) (1 + random.nextInt(255));
            attack.attempt("byte " + at + " ^ " + bit, () -> {
                byte[] bytes = sound.clone();
                bytes[at] ^= bit;
                Path copy = folder.resolve("copy.mussel");
                Files.write(copy, bytes);
                try {
                    assertThat(Integrity.chains(copy, jobs -> true)).isNotEmpty();
                } catch (mussel.core.job.JournalException e) {
                    assertThat(e).hasMessageNotContaining("Exception");
                }
            });
        }
        attack.over();
    }

    /** The bytes of all notes and readings, by their texts. */
    private static List<Integer> places(byte[] bytes) {
        String text = new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1);
        List<Integer> places = new java.util.ArrayList<>();
        for (int at = text.indexOf("{\"kind\""); at >= 0; at = text.indexOf("{\"kind\"", at + 1)) {
            int end = text.indexOf("}", at);
            // On an inner page of the tree it is what a row left when it moved down to a leaf.
            for (int i = at; i < end && bytes[at / 4_096 * 4_096] == 0x0D; i++) {
                places.add(i);
            }
        }
        return places;
    }

    @Test
    void anOldLogIsChainedOnceAndSaysSinceWhen() throws SQLException, IOException {
        edit(
                "DROP TABLE head",
                "DROP TABLE seal",
                "DROP TABLE log",
                "ALTER TABLE entry DROP COLUMN hash",
                "DROP TABLE sheet",
                "ALTER TABLE bench_line DROP COLUMN next_of",
                "ALTER TABLE bench_line DROP COLUMN next_named",
                "ALTER TABLE visit DROP COLUMN seal",
                "DELETE FROM flyway_schema_history WHERE version IN ('7', '8', '9', '10', '11')",
                "PRAGMA user_version = 6");
        Files.copy(log, folder.resolve("old.mussel"), StandardCopyOption.REPLACE_EXISTING);
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            journal.append(1, "bench", new Fact.Ticked("later", true));
            assertThat(journal.entries(1)).hasSize(9);
        }
        LogCheck found = Integrity.of(log, NOON);
        assertThat(found.troubles()).isEmpty();
        assertThat(found.chained()).contains("up to number 32").contains("2026-11-23T12:00:00Z");
        assertThat(Backups.of(log, NOON).kept()).as("what was is kept").hasSize(1);
    }

    @Test
    void aHandThatGaveTheLastNumberStopsNobodyAndIsNamed() throws SQLException {
        edit("INSERT INTO entry (seq, job, at, by, fact) VALUES (9223372036854775807, 2000000007, 'x', 'y', 'z')");
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            org.assertj.core.api.Assertions.assertThatThrownBy(
                            () -> journal.append(1, "bench", new Fact.Ticked("later", true)))
                    .hasMessageContaining("9223372036854775807")
                    .hasMessageContaining("salvage")
                    .hasMessageNotContaining("disk");
            assertThat(journal.entries(2_000_000_007).get(0).fact()).isInstanceOf(Fact.Unread.class);
        }
        assertThat(troubles()).anyMatch(t -> t.startsWith("Job 2000000007, entry 9223372036854775807: something else"));
    }
}
