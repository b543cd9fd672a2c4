package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import mussel.core.book.LogKind;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Practice legs and a yard's own never stand in one log, however they come. */
class PracticeLogTest {
    private static final LegRef NOT_THERE =
            new LegRef(LegRef.PRACTICE + "1:4711", "Practice leg 4711", LegRef.Position.SINGLE, "practice");
    private static final LegRef THERE = new LegRef("l", "Byssus", LegRef.Position.SINGLE, "tern-60");

    @TempDir
    private Path folder;

    private SqliteJournal open(String name) {
        return SqliteJournal.open(folder.resolve(name), Clock.systemUTC());
    }

    @Test
    void aPracticeLegEntersNoYardsLogByHandByImportOrByAnotherName() {
        try (SqliteJournal yard = open("yard.mussel")) {
            assertThatThrownBy(() -> yard.open(NOT_THERE, "Una"))
                    .isInstanceOf(JournalException.class)
                    .hasMessageContaining("enters no shop's log");
            int job = yard.open(THERE, "Una").job();
            assertThatThrownBy(() -> yard.append(job, "Una", new Fact.LegCorrected(NOT_THERE)))
                    .hasMessageContaining("practice leg");
            Entry opened = new Entry(1, 5, Instant.EPOCH, "Una", new Fact.Opened(NOT_THERE));
            assertThatThrownBy(() ->
                            yard.bring(Map.of(), to -> to.accept(new Journal.Brought(5, List.of(opened), Map.of()))))
                    .hasMessageContaining("practice leg");
            assertThat(yard.numbers()).containsExactly(job);
            assertThat(yard.entries(job)).as("nothing was corrected").hasSize(1);
        }
    }

    @Test
    void aPracticeLogTakesPracticeLegsAndNothingElseAndStaysOne() {
        try (SqliteJournal practice = open("practice.mussel")) {
            practice.mark(LogKind.PRACTICE);
            int job = practice.open(NOT_THERE, "Una").job();
            assertThat(practice.entries(job)).hasSize(1);
            assertThatThrownBy(() -> practice.open(THERE, "Una")).hasMessageContaining("Only practice legs");
        }
        assertThat(DemoLog.is(folder.resolve("practice.mussel"))).isFalse();
        try (SqliteJournal again = open("practice.mussel")) {
            assertThat(again.kind()).isEqualTo(LogKind.PRACTICE);
        }
    }
}
