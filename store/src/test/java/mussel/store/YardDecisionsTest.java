package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.groups.Tuple.tuple;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import mussel.core.book.LogCopy;
import mussel.core.book.Merge;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.measure.UnitSet;
import mussel.core.yard.YardDecisions;
import mussel.core.yard.YardTable;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.yard.YardTables;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class YardDecisionsTest {
    /** A clock that is set by hand. */
    private static final class Hand extends Clock {
        private Instant now = Instant.parse("2026-11-23T09:00:00Z");

        private void on(int day) {
            now = Instant.parse("2026-11-" + day + "T09:00:00Z");
        }

        @Override
        public Instant instant() {
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

    private final Hand clock = new Hand();
    private SqliteJournal journal;
    private YardDecisions yard;

    @BeforeEach
    void open() {
        journal = SqliteJournal.open(folder.resolve("yard.mussel"), clock);
        yard = of(journal);
    }

    private static YardDecisions of(Journal journal) {
        return new YardDecisions(journal, SheetFiles::shippedYard, YardTables.form());
    }

    @AfterEach
    void close() {
        journal.close();
    }

    private static YardTable table(String id) {
        return YardTables.table(id);
    }

    private static void decide(YardDecisions yard, String table, String... cells) {
        yard.decide("Astrid", table(table), List.of(List.of(cells)));
    }

    @Test
    void whatIsDecidedHoldsAfterARestartWithWhoAndWhen() {
        decide(yard, "labour_per_h", "85");
        clock.on(24);
        decide(yard, "bottles", "can", "5 l", "60", "1", "");
        close();
        open();
        assertThat(yard.yard().labourPerH()).isEqualTo(85);
        assertThat(yard.yard().bottles()).hasSize(1);
        assertThat(yard.history())
                .extracting(YardDecisions.Change::by, c -> c.at().toString(), YardDecisions.Change::lines)
                .containsExactly(
                        tuple(
                                "Astrid",
                                "2026-11-24T09:00:00Z",
                                List.of(
                                        "Bottle sizes: can, 5000 ml, €60.00, full, in stock 1, gear oil",
                                        "Bottle sizes, gone: tube, 250 ml, €7.50, gear oil",
                                        "Bottle sizes, gone: litre, 1000 ml, €19.00, gear oil",
                                        "Bottle sizes, gone: engine oil litre, 1000 ml, €11.50, engine oil",
                                        "Bottle sizes, gone: engine oil can, 4000 ml, €38.00, engine oil",
                                        "Bottle sizes, gone: stabiliser, 250 ml, €13.00, stabiliser",
                                        "Bottle sizes, gone: grease cartridge, 400 ml, €9.80, grease")),
                        tuple("Astrid", "2026-11-23T09:00:00Z", List.of("Labour rate: €85.00, was €72.00")));
    }

    @Test
    void theLastDecisionIsTakenBackWhateverItWasAbout() {
        decide(yard, "labour_per_h", "85");
        decide(yard, "frost_from", "");
        assertThat(yard.yard().frostFrom()).isEmpty();
        yard.undo("Bo");
        assertThat(yard.yard().frostFrom()).contains("11-15");
        yard.undo("Bo");
        assertThat(yard.yard().labourPerH()).isEqualTo(72);
        assertThat(yard.undoable()).isFalse();
        yard.redo("Bo");
        assertThat(yard.yard().labourPerH())
                .as("what was taken back last comes first")
                .isEqualTo(85);
        yard.redo("Bo");
        assertThat(yard.yard().frostFrom()).isEmpty();
        assertThat(yard.redoable()).isFalse();
    }

    @Test
    void whatStoodAtAMomentIsToldInTheUnitsOfToday() {
        decide(yard, "labour_per_h", "85");
        Instant tagged = clock.instant();
        clock.on(25);
        decide(yard, "labour_per_h", "95");
        decide(yard, "units", "us");
        clock.on(26);
        yard.undo("Bo");
        yard.undo("Bo");
        decide(yard, "units", "us");
        assertThat(yard.at(tagged).labourPerH()).isEqualTo(85);
        assertThat(yard.at(tagged).units()).isEqualTo(UnitSet.US);
        assertThat(yard.at(Instant.parse("2026-11-25T10:00:00Z")).labourPerH())
                .as("before it was taken back")
                .isEqualTo(95);
        assertThat(yard.at(Instant.parse("2026-11-20T10:00:00Z")).labourPerH()).isEqualTo(72);
        assertThat(yard.yard().labourPerH()).isEqualTo(85);
    }

    @Test
    void theSameAgainIsNoDecision() {
        decide(yard, "labour_per_h", "72");
        decide(yard, "labour_per_h", "€ 72.00");
        assertThat(yard.history()).isEmpty();
    }

    @Test
    void whatCannotBeChangesNothing() {
        assertThatThrownBy(() -> decide(yard, "labour_per_h", "a lot"))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("Labour rate, an hour: cannot be read");
        assertThat(journal.entries(Journal.YARD)).isEmpty();
    }

    @Test
    void whatAnotherHandOrANewerProgramWroteIsLeftOutAndTheRestHolds() {
        decide(yard, "labour_per_h", "85");
        for (String[] other : new String[][] {{"ghost", "3"}, {"oils", "{"}, {"currency", "\"QQQ\""}}) {
            String key = Settings.YARD + other[0];
            journal.decide("other", new Fact.Decided(key, other[1]), key, other[1]);
        }
        yard.forget();
        assertThat(yard.yard().labourPerH()).isEqualTo(85);
        assertThat(yard.yard().oils()).isNotEmpty();
        assertThat(yard.yard().money().code()).isEqualTo("EUR");
        assertThat(yard.history()).hasSize(4);
    }

    @Test
    void countsAbsencesAndHabitsHaveTheirPastToo() {
        yard.keep("Astrid", Settings.SHELF + "tern-60:ds_seal", "4");
        yard.keep("Bo", Settings.SHELF + "tern-60:ds_seal", "3");
        yard.keep("Bo", Settings.SHELF + "tern-60:ds_seal", "3");
        yard.keep("Bo", Settings.AWAY + "Astrid", "2026-12-24");
        yard.keep("Bo", "learn_priors", "on");
        assertThat(yard.history())
                .extracting(c -> c.lines().get(0))
                .containsExactly(
                        "learn priors: on, was not entered",
                        "Away, Astrid: 2026-12-24, was not entered",
                        "In stock, ds seal of tern-60: 3, was 4",
                        "In stock, ds seal of tern-60: 4, was not entered");
        yard.undo("Bo");
        yard.undo("Bo");
        yard.undo("Bo");
        assertThat(journal.setting(Settings.SHELF + "tern-60:ds_seal", "")).isEqualTo("4");
        assertThat(journal.setting("learn_priors", "")).isEmpty();
        assertThat(yard.yard()).isEqualTo(SheetFiles.shippedYard());
    }

    @Test
    void anotherYardsDecisionsComeInWithItsLog() {
        decide(yard, "labour_per_h", "85");
        decide(yard, "currency", "NOK");
        Path there = folder.resolve("there.mussel");
        try (SqliteJournal other = SqliteJournal.open(there, clock)) {
            LogCopy copy = new LogCopy(journal.settings(), List.of(journal.entries(Journal.YARD)));
            Merge merge = Merge.of(other, copy);
            merge.bring(other, copy);
            merge.settings().forEach(other::keepSetting);
            YardDecisions theirs = of(other);
            assertThat(theirs.yard().labourPerH()).isEqualTo(85);
            assertThat(theirs.yard().money().code()).isEqualTo("NOK");
            assertThat(theirs.history()).hasSize(2);
        }
    }
}
