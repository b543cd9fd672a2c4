package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.book.LogCopy;
import mussel.core.book.LogSource;
import mussel.core.book.Merge;
import mussel.core.book.Merge.Change;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Topic;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Two logs brought together, on real files. */
class MergeTest {
    private static final LegRef PORT = new LegRef("p", "Spat Lass", LegRef.Position.PORT, "tern-60");
    private static final LegRef STARBOARD = new LegRef("s", "Spat Lass", LegRef.Position.STARBOARD, "tern-60");

    /** A clock that moves on by a minute at every look; both logs share it, so that no two entries fall together. */
    private static final class Minutes extends Clock {
        private Instant now = Instant.parse("2026-11-23T08:00:00Z");

        @Override
        public Instant instant() {
            now = now.plusSeconds(60);
            return now;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    @TempDir
    Path folder;

    private final Clock clock = new Minutes();
    private SqliteJournal here;
    private SqliteJournal there;

    @BeforeEach
    void open() {
        here = SqliteJournal.open(folder.resolve("here.mussel"), clock);
        there = SqliteJournal.open(folder.resolve("there.mussel"), clock);
    }

    @AfterEach
    void close() {
        here.close();
        there.close();
    }

    private static LogSource copy(SqliteJournal journal) {
        return each -> {
            journal.numbers().forEach(job -> each.accept(journal.entries(job)));
            return journal.settings();
        };
    }

    private static Merge bring(SqliteJournal into, SqliteJournal from) {
        Merge merge = Merge.of(into, copy(from));
        merge.bring(into, copy(from));
        return merge;
    }

    private static Fact note(String text) {
        return new Fact.Noted(Topic.COMPLAINT.address(), text);
    }

    private static List<Change> changes(Merge merge) {
        return merge.pieces().stream().map(Merge.Piece::change).toList();
    }

    private static List<String> texts(SqliteJournal journal, int job) {
        return journal.entries(job).stream()
                .map(Entry::fact)
                .filter(Fact.Noted.class::isInstance)
                .map(f -> ((Fact.Noted) f).text())
                .toList();
    }

    @Test
    void intoAnEmptyLogEverythingComesAsItIs() {
        int job = there.open(PORT, "a").job();
        there.append(job, "a", note("sheen"));
        there.keepSetting("units", "US");
        Merge merge = bring(here, there);
        assertThat(changes(merge)).containsExactly(Change.NEW);
        assertThat(merge.settings()).containsEntry("units", "US");
        assertThat(here.all()).isEqualTo(there.all());
        Merge again = Merge.of(here, copy(there));
        assertThat(changes(again)).containsExactly(Change.HERE);
        assertThat(again.says().get(0)).contains("0 new jobs", "1 already here");
    }

    @Test
    void whatHasGoneOnThereIsAddedAndWhatTookItBackFollows() {
        there.open(STARBOARD, "a");
        int job = there.open(PORT, "a").job();
        here.open(STARBOARD, "b");
        bring(here, there);
        int mine = here.numbers().get(here.numbers().size() - 1);
        there.append(job, "a", note("sheen"));
        Entry wrong = there.append(job, "a", note("slip of the pen"));
        there.append(job, "a", new Fact.Retracted(wrong.seq()));
        Merge merge = bring(here, there);
        assertThat(changes(merge)).containsExactly(Change.HERE, Change.LONGER);
        assertThat(merge.pieces().get(1).entries()).isEqualTo(3);
        assertThat(texts(here, mine)).containsExactly("sheen", "slip of the pen");
        assertThat(Job.of(here.entries(mine)).note(Topic.COMPLAINT.address())).contains("sheen");
        Entry taken = there.append(
                job, "a", new Fact.Retracted(there.entries(job).get(1).seq()));
        assertThat(taken.seq()).isPositive();
        bring(here, there);
        assertThat(Job.of(here.entries(mine)).note(Topic.COMPLAINT.address()))
                .as("what was known here already is taken back by its number here")
                .isEmpty();
    }

    @Test
    void whereBothHaveGoneOnNeitherLosesAnything() {
        int job = there.open(PORT, "a").job();
        bring(here, there);
        here.append(job, "b", note("mine"));
        there.append(job, "a", note("theirs"));
        Merge merge = bring(here, there);
        assertThat(changes(merge)).containsExactly(Change.APART);
        assertThat(here.numbers()).hasSize(2);
        assertThat(texts(here, job)).containsExactly("mine");
        assertThat(texts(here, here.numbers().get(1))).containsExactly("theirs");
        assertThat(changes(bring(here, there)))
                .as("the same file once more doubles nothing")
                .containsExactly(Change.HERE);
        there.append(job, "a", note("theirs goes on"));
        assertThat(changes(bring(here, there))).containsExactly(Change.LONGER);
        assertThat(here.numbers()).hasSize(2);
    }

    @Test
    void aNumberThatIsTakenIsGivenAnew() {
        here.open(STARBOARD, "b");
        here.open(STARBOARD, "b");
        int theirs = there.open(PORT, "a").job();
        Merge merge = bring(here, there);
        assertThat(theirs).isEqualTo(1);
        assertThat(merge.pieces()).singleElement().satisfies(p -> {
            assertThat(p.job()).isEqualTo(3);
            assertThat(p.theirs()).isEqualTo(1);
            assertThat(p.says()).startsWith("Job 3, Spat Lass, port: new, 1 entries");
        });
        assertThat(here.entries(3)).extracting(Entry::job).containsOnly(3);
    }

    @Test
    void ofOneJobTwiceInACopyTheSecondComesInApart() {
        int job = there.open(PORT, "a").job();
        there.append(job, "a", note("sheen"));
        List<Entry> entries = there.entries(job);
        List<Entry> twice = entries.stream()
                .map(e -> new Entry(e.seq() + 100, 9, e.at(), e.by(), e.fact()))
                .toList();
        LogCopy copy = new LogCopy(Map.of(), List.of(entries, twice));
        Merge merge = Merge.of(here, copy);
        merge.bring(here, copy);
        assertThat(changes(merge)).containsExactly(Change.NEW, Change.NEW);
        assertThat(here.numbers()).containsExactly(1, 9);
        assertThat(changes(Merge.of(here, copy))).containsExactly(Change.HERE, Change.HERE);
    }

    @Test
    void whatBreaksOffOnItsWayLeavesNothing() {
        for (int i = 0; i < 30; i++) {
            there.append(there.open(PORT, "a").job(), "a", note("sheen " + i));
        }
        Merge merge = Merge.of(here, copy(there));
        LogSource broken = each -> {
            there.numbers().stream().limit(20).forEach(job -> each.accept(there.entries(job)));
            throw new IllegalStateException("the stick was pulled");
        };
        assertThatThrownBy(() -> merge.bring(here, broken))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("Not saved to the log")
                .hasRootCauseMessage("the stick was pulled");
        assertThat(here.numbers()).isEmpty();
        LogSource shorter = each -> {
            there.numbers().stream().limit(20).forEach(job -> each.accept(there.entries(job)));
            return Map.of();
        };
        assertThatThrownBy(() -> merge.bring(here, shorter)).hasMessageContaining("changed");
        assertThat(here.numbers()).isEmpty();
    }

    @Test
    void aFullDiskTakesEverythingBack() throws Exception {
        for (int i = 0; i < 200; i++) {
            there.append(there.open(PORT, "a").job(), "a", note("x".repeat(2_000)));
        }
        here.append(here.open(STARBOARD, "b").job(), "b", note("mine"));
        FullDisk.after(here, 0);
        Merge merge = Merge.of(here, copy(there));
        assertThatThrownBy(() -> merge.bring(here, copy(there))).hasMessageContaining("the disk is full");
        assertThat(here.numbers()).containsExactly(1);
        assertThat(texts(here, 1)).containsExactly("mine");
        assertThatThrownBy(() -> here.append(1, "b", note("y".repeat(9_000)))).hasMessageContaining("the disk is full");
        FullDisk.over(here);
        here.append(1, "b", note("mine again"));
        assertThat(texts(here, 1)).containsExactly("mine", "mine again");
    }

    /** Two benches that go on apart and exchange their logs again and again end with the same entries, none lost and none doubled. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void exchangedLogsAgreeInTheEnd(long seed) {
        Random random = new Random(seed);
        List<String> written = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            SqliteJournal one = random.nextBoolean() ? here : there;
            List<Integer> jobs = one.numbers();
            if (jobs.isEmpty() || random.nextInt(6) == 0) {
                one.open(random.nextBoolean() ? PORT : STARBOARD, "bench");
            } else if (random.nextInt(8) == 0) {
                bring(one, one == here ? there : here);
            } else {
                String text = "note " + i;
                one.append(jobs.get(random.nextInt(jobs.size())), "bench", note(text));
                one.append(
                        jobs.get(random.nextInt(jobs.size())),
                        "bench",
                        Fact.Read.byHand(Field.DRAINED.address(), i + 1, (i + 1) + " ml"));
                written.add(text);
            }
        }
        bring(here, there);
        bring(there, here);
        assertThat(distinct(here)).containsExactlyInAnyOrderElementsOf(written);
        assertThat(distinct(there)).containsExactlyInAnyOrderElementsOf(written);
        assertThat(Merge.of(there, copy(here)).changes()).isFalse();
        for (SqliteJournal journal : List.of(here, there)) {
            journal.all().forEach(job -> assertThat(job.stream().map(Entry::seq))
                    .doesNotHaveDuplicates()
                    .isSorted());
        }
    }

    private static List<String> distinct(SqliteJournal journal) {
        return journal.numbers().stream()
                .flatMap(job -> Stream.of(job).flatMap(j -> texts(journal, j).stream()))
                .distinct()
                .collect(Collectors.toList());
    }
}
