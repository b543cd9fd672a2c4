package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import mussel.core.book.LogSource;
import mussel.core.book.Merge;
import mussel.core.job.Decisions;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.sheet.KeptSheet;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Sheets that jobs were worked by, and what the yard has decided, in a real file. */
class KeptSheetsTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-11-29T12:00:00Z"), ZoneOffset.UTC);
    private static final String KEY = "sheet:byssus";
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final KeptSheet KEPT = KeptSheet.of(TERN);

    @TempDir
    Path folder;

    private Path log;

    @BeforeEach
    void aLogWithAJobAndADecision() {
        log = folder.resolve("yard.mussel");
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            int job = journal.open(new LegRef("l", "Byssus", LegRef.Position.SINGLE, TERN.id()), "bench")
                    .job();
            journal.keepSheet(KEPT.name(), KEPT.text());
            journal.append(job, "bench", new Fact.WorkedBy(KEPT.name(), false));
            decide(journal, "{\"title\":\"one\"}");
            decide(journal, "{\"title\":\"two\"}");
        }
    }

    private static void decide(Journal journal, String value) {
        Decisions.about(journal, KEY).decide("Ann", value);
    }

    private static List<String> values(Journal journal) {
        return Decisions.about(journal, KEY).standing().stream()
                .map(e -> ((Fact.Decided) e.fact()).value())
                .toList();
    }

    @Test
    void aSheetComesBackAsItWasPutInAndOnceOnly() {
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            journal.keepSheet(KEPT.name(), KEPT.text());
            assertThat(journal.sheetNames()).containsExactly(KEPT.name());
            assertThat(KeptSheet.read(journal.sheet(KEPT.name()).orElseThrow()).value())
                    .contains(TERN);
            assertThat(journal.sheet("00000000000000000000000000000000")).isEmpty();
        }
    }

    @Test
    void everyShippedAndEarlierSheetIsReadBackTheSameUnderTheSameName() {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            KeptSheet kept = KeptSheet.of(sheet);
            SpecSheet back = KeptSheet.read(kept.text()).value().orElseThrow();
            assertThat(back).isEqualTo(sheet);
            assertThat(KeptSheet.of(back)).isEqualTo(kept);
            SpecSheet earlier = SheetFiles.earlier(sheet.id()).get(0);
            assertThat(KeptSheet.of(earlier).name()).isNotEqualTo(kept.name());
        }
    }

    @Test
    void whatTheYardDecidesIsNoJobAndCanBeTakenBack() {
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            assertThat(journal.numbers()).containsExactly(1);
            assertThat(journal.all()).hasSize(1);
            assertThat(journal.book().stale()).containsExactly(1);
            assertThat(Decisions.about(journal, KEY).undo("Ben")).isTrue();
            assertThat(journal.setting(KEY, "")).isEqualTo("{\"title\":\"one\"}");
            assertThat(Decisions.about(journal, KEY).redo("Ben")).isTrue();
            assertThat(journal.setting(KEY, "")).isEqualTo("{\"title\":\"two\"}");
            Decisions.about(journal, KEY).undo("Ben");
            decide(journal, "{\"title\":\"three\"}");
            assertThat(Decisions.about(journal, KEY).redo("Ben"))
                    .as("nothing after a new decision")
                    .isFalse();
        }
        try (SqliteJournal journal = SqliteJournal.read(log, NOON)) {
            assertThat(values(journal)).containsExactly("{\"title\":\"one\"}", "{\"title\":\"three\"}");
            assertThat(Decisions.about(journal, KEY).entries())
                    .extracting(Entry::by)
                    .containsExactly("Ann", "Ann", "Ben", "Ben", "Ben", "Ann");
        }
        assertThat(Integrity.of(log, NOON).troubles()).isEmpty();
    }

    @Test
    void whatAnEarlierProgramKeptWithoutAnEntryIsNotLostToUndo() {
        try (SqliteJournal journal = SqliteJournal.open(folder.resolve("other.mussel"), NOON)) {
            journal.keepSetting(KEY, "{\"title\":\"old\"}");
            decide(journal, "{\"title\":\"new\"}");
            assertThat(Decisions.about(journal, KEY).undo("Ann")).isTrue();
            assertThat(journal.setting(KEY, "")).isEqualTo("{\"title\":\"old\"}");
            assertThat(Decisions.about(journal, KEY).undo("Ann")).isFalse();
        }
    }

    @Test
    void aSheetThatAnotherHandChangedIsNamedAndNotUsed() throws SQLException {
        edit("DROP TRIGGER sheet_is_never_changed");
        edit("UPDATE sheet SET name = '0123456789abcdef0123456789abcdef'");
        try (SqliteJournal journal = SqliteJournal.open(log, NOON)) {
            assertThat(journal.sheet("0123456789abcdef0123456789abcdef")).isEmpty();
        }
        assertThat(Integrity.of(log, NOON).troubles())
                .anyMatch(t -> t.contains("The sheet 0123456789abcdef0123456789abcdef") && t.contains("not what was"));
    }

    @Test
    void noHandCanChangeASheetInPassing() {
        assertThatThrownBy(() -> edit("UPDATE sheet SET content = x'00'")).hasMessageContaining("stays as it is");
    }

    private void edit(String sql) throws SQLException {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + log);
                Statement statement = db.createStatement()) {
            statement.execute(sql);
        }
    }

    @Test
    void salvageBringsSheetsAndDecisionsOut() {
        Path out = folder.resolve("whole.mussel");
        List<String> says = Salvage.bring(log, out, NOON);
        assertThat(says.get(0)).contains("1 jobs");
        try (SqliteJournal journal = SqliteJournal.read(out, NOON)) {
            assertThat(journal.sheet(KEPT.name()).isPresent()).isTrue();
            assertThat(values(journal)).hasSize(2);
            assertThat(journal.setting(KEY, "")).isEqualTo("{\"title\":\"two\"}");
        }
        assertThat(Integrity.of(out, NOON).troubles()).isEmpty();
    }

    private Path other(Consumer<SqliteJournal> work) {
        Path other = folder.resolve("other.mussel");
        try (SqliteJournal journal = SqliteJournal.open(other, NOON)) {
            work.accept(journal);
        }
        return other;
    }

    private static Merge bring(SqliteJournal into, SqliteJournal from) {
        Merge merge = Merge.of(into, LogSource.of(from));
        merge.bring(into, LogSource.of(from));
        merge.settings().forEach(into::keepSetting);
        return merge;
    }

    @Test
    void aLogThatKnowsNothingTakesSheetsAndHistoryAndASecondTimeNothing() throws IOException {
        Path other = other(journal -> {});
        try (SqliteJournal from = SqliteJournal.read(log, NOON);
                SqliteJournal into = SqliteJournal.open(other, NOON)) {
            Merge merge = bring(into, from);
            assertThat(merge.says()).anyMatch(s -> s.contains("Spec sheet byssus: new, with 2 entries of history"));
            assertThat(into.sheet(KEPT.name()).isPresent()).isTrue();
            assertThat(into.entries(Journal.YARD)).isEqualTo(from.entries(Journal.YARD));
            assertThat(into.setting(KEY, "")).isEqualTo("{\"title\":\"two\"}");
            assertThat(Merge.of(into, LogSource.of(from)).changes()).isFalse();
            // One goes on, undoes something and comes back.
            Decisions.about(into, KEY).undo("Ben");
            decide(into, "{\"title\":\"three\"}");
        }
        Path back = Files.copy(log, folder.resolve("back.mussel"));
        try (SqliteJournal from = SqliteJournal.read(other, NOON);
                SqliteJournal into = SqliteJournal.open(back, NOON)) {
            Merge merge = bring(into, from);
            assertThat(merge.says()).anyMatch(s -> s.contains("2 more entries"));
            assertThat(values(into)).containsExactly("{\"title\":\"one\"}", "{\"title\":\"three\"}");
            assertThat(into.setting(KEY, "")).isEqualTo("{\"title\":\"three\"}");
        }
        assertThat(Integrity.of(back, NOON).troubles()).isEmpty();
    }

    @Test
    void whereBothWentTheirOwnWaysWhatIsHereStays() {
        Path other = other(journal -> decide(journal, "{\"title\":\"mine\"}"));
        try (SqliteJournal from = SqliteJournal.read(log, NOON);
                SqliteJournal into = SqliteJournal.open(other, NOON)) {
            Merge merge = bring(into, from);
            assertThat(merge.says()).anyMatch(s -> s.contains("The version here is kept"));
            assertThat(into.setting(KEY, "")).isEqualTo("{\"title\":\"mine\"}");
            assertThat(values(into)).containsExactly("{\"title\":\"mine\"}");
            assertThat(into.sheet(KEPT.name()))
                    .as("the job's sheet comes all the same")
                    .isPresent();
        }
    }

    @Test
    void aCopyThatHasGoneOnSinceItWasLookedAtIsNotTakenIn() {
        Path other = other(journal -> {});
        try (SqliteJournal from = SqliteJournal.open(log, NOON);
                SqliteJournal into = SqliteJournal.open(other, NOON)) {
            Merge merge = Merge.of(into, LogSource.of(from));
            decide(from, "{\"title\":\"later\"}");
            assertThatThrownBy(() -> merge.bring(into, new Still(from))).isInstanceOf(JournalException.class);
            assertThat(into.entries(Journal.YARD)).isEmpty();
            assertThat(into.numbers()).isEmpty();
        }
    }

    /** A source without its sheets, as an older program would write it. */
    private record Still(SqliteJournal journal) implements LogSource {
        @Override
        public Map<String, String> walk(Consumer<List<Entry>> job) {
            return LogSource.of(journal).walk(job);
        }

        @Override
        public void sheets(BiConsumer<String, String> each) {}
    }
}
