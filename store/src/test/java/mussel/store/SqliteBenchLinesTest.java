package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.groups.Tuple.tuple;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.book.Filed;
import mussel.core.book.LogBook;
import mussel.core.job.BenchLine;
import mussel.core.job.BenchLines;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.NextAction;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.core.job.Yard;
import mussel.core.log.Due;
import mussel.core.log.Visit;
import mussel.core.sheet.Region;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SqliteBenchLinesTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-11-23T12:00:00Z"), ZoneOffset.UTC);
    private static final LegRef PORT = new LegRef("l1", "Spat Lass", LegRef.Position.PORT, "tern-60");
    private static final LegRef STARBOARD = new LegRef("l2", "Spat Lass", LegRef.Position.STARBOARD, "tern-60");

    @TempDir
    Path folder;

    private SqliteJournal journal;
    private BenchLines lines;

    @BeforeEach
    void open() {
        journal = SqliteJournal.open(folder.resolve("yard.mussel"), NOON);
        lines = journal.benchLines();
    }

    @AfterEach
    void close() {
        journal.close();
    }

    private void reopen() {
        close();
        open();
    }

    private void keep(List<BenchLine> kept) {
        journal.book().file(kept.stream().map(SqliteBenchLinesTest::filed).toList());
    }

    /** A job in the book of which only the line matters. */
    private static Filed filed(BenchLine line) {
        LegRef leg = line.leg();
        Visit visit = new Visit(
                line.job(),
                leg.id(),
                leg.title(),
                leg.boat(),
                leg.family(),
                line.family(),
                LocalDate.of(2026, 11, 23),
                line.tagged(),
                line.hours(),
                Optional.empty(),
                false,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "",
                false);
        return new Filed(visit, line, "");
    }

    private static BenchLine line(int job, LegRef leg, Optional<LocalDate> tagged) {
        Map<Station, Station.State> states = new EnumMap<>(Station.class);
        for (Station station : Station.values()) {
            states.put(station, station == Station.INTAKE ? Station.State.DONE : Station.State.UNTOUCHED);
        }
        List<Due> due = tagged.map(day -> List.of(
                        new Due("gear_oil", "Gear oil", 512, day.plusYears(1)),
                        new Due("water_pump", "Water pump", 612, day.plusYears(2))))
                .orElse(List.of());
        return new BenchLine(
                job,
                leg,
                "Tern 60",
                OptionalDouble.of(412.5),
                new NextAction(NextAction.What.STEP, "drain", "Drain and look"),
                "",
                "Friday",
                Station.DRAIN,
                states,
                true,
                Optional.of(new BenchLine.Oil(Yard.Dye.BLUE, Optional.of("milky"), Optional.empty())),
                tagged,
                due,
                Map.of());
    }

    private int opened(LegRef leg) {
        return journal.open(leg, "bench").job();
    }

    @Test
    void aLineComesBackAsItWasKept() {
        BenchLine kept = line(opened(PORT), PORT, Optional.empty());
        keep(List.of(kept));
        reopen();
        assertThat(lines.open()).containsExactly(kept);
        assertThat(lines.lastTagged()).isEmpty();
    }

    @Test
    void whatJobsChangeOnTheShelfIsSummedAndReplacedWhenAJobGoesOn() {
        BenchLine first = line(opened(PORT), PORT, Optional.empty());
        BenchLine second = line(opened(STARBOARD), STARBOARD, Optional.empty());
        keep(List.of(with(first, Map.of("ds_seal", -2, "plug_washer", 7)), with(second, Map.of("ds_seal", -1))));

        assertThat(lines.shelfChange(PORT.family(), 0))
                .containsEntry("ds_seal", -3)
                .containsEntry("plug_washer", 7);
        assertThat(lines.shelfChange(PORT.family(), second.job())).containsEntry("ds_seal", -2);

        keep(List.of(with(first, Map.of())));
        assertThat(lines.shelfChange(PORT.family(), 0))
                .containsOnlyKeys("ds_seal")
                .containsEntry("ds_seal", -1);
        assertThat(lines.shelfChange("heron-9", 0)).isEmpty();
    }

    private static BenchLine with(BenchLine line, Map<String, Integer> shelf) {
        return new BenchLine(
                line.job(),
                line.leg(),
                line.family(),
                line.hours(),
                line.next(),
                line.waits(),
                line.promised(),
                line.current(),
                line.states(),
                line.wet(),
                line.oil(),
                line.tagged(),
                line.due(),
                shelf);
    }

    @Test
    void whatIsNotKnownComesBackUnknown() {
        BenchLine full = line(opened(PORT), PORT, Optional.empty());
        BenchLine bare = new BenchLine(
                full.job(),
                PORT,
                "Tern 60",
                OptionalDouble.empty(),
                new NextAction(NextAction.What.INTAKE, "", ""),
                "seals",
                "",
                Station.INTAKE,
                full.states(),
                false,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Map.of());
        keep(List.of(full));
        keep(List.of(bare));
        assertThat(lines.open()).containsExactly(bare);
        assertThat(bare.waiting()).isTrue();
    }

    @Test
    void theLastTaggedJobOfEachLegIsWhatIsDue() {
        LocalDate day = LocalDate.of(2025, 11, 1);
        BenchLine first = line(opened(PORT), PORT, Optional.of(day));
        BenchLine later = line(opened(PORT), PORT, Optional.of(day.plusMonths(6)));
        BenchLine sister = line(opened(STARBOARD), STARBOARD, Optional.of(day));
        keep(List.of(first, later, sister));
        assertThat(lines.open()).isEmpty();
        assertThat(lines.lastTagged()).containsExactly(later, sister);
        assertThat(lines.lastTagged().get(0).due()).hasSize(2);
        assertThat(lines.jobsOf("l1")).containsExactly(first.job(), later.job());
    }

    @Test
    void aSearchFindsBoatsWhateverTheCaseAndOpenOnesFirst() {
        BenchLine tagged = line(opened(PORT), PORT, Optional.of(LocalDate.of(2025, 1, 2)));
        BenchLine open = line(opened(STARBOARD), STARBOARD, Optional.empty());
        keep(List.of(tagged, open));
        assertThat(lines.find("sPaT")).containsExactly(open, tagged);
        assertThat(lines.find("starboard")).containsExactly(open);
        assertThat(lines.find("100%' OR 1=1 --")).isEmpty();
        assertThat(lines.find("job " + tagged.job())).containsExactly(tagged);
    }

    @Test
    void aLegIsRecognisedByBoatAndPosition() {
        keep(List.of(line(opened(PORT), PORT, Optional.empty())));
        assertThat(lines.leg("spat lass", LegRef.Position.PORT)).contains(PORT);
        assertThat(lines.leg("spat lass", LegRef.Position.STARBOARD)).isEmpty();
        assertThat(lines.leg("Byssus", LegRef.Position.PORT)).isEmpty();
    }

    @Test
    void aJobWhoseEntriesGoOnIsStaleUntilItsLineIsKeptAgain() {
        int job = opened(PORT);
        assertThat(journal.book().stale()).containsExactly(job);
        BenchLine kept = line(job, PORT, Optional.empty());
        keep(List.of(kept));
        assertThat(journal.book().stale()).isEmpty();
        journal.append(job, "bench", new Fact.Noted(Topic.PROMISED.address(), "Monday"));
        assertThat(journal.book().stale()).containsExactly(job);
        keep(List.of(kept));
        assertThat(journal.book().stale()).isEmpty();
    }

    @Test
    void theOutlineOfAFamilyIsKeptInItsOrder() {
        List<Region> outline = List.of(
                new Region("casting", Region.Material.CASTING, "-", "-", "-", "M0,0 h10"),
                new Region("cavity", Region.Material.CAVITY, "-", "-", "-", "M1,1 h8"));
        lines.keepOutline("tern-60", outline);
        lines.keepOutline("tern-60", outline);
        assertThat(lines.outline("tern-60")).containsExactlyElementsOf(outline);
        assertThat(lines.outline("wren-8")).isEmpty();
    }

    @Test
    void severalFactsAreAppendedTogetherOrNotAtAll() throws SQLException {
        int job = opened(PORT);
        Fact note = new Fact.Noted(Topic.COMPLAINT.address(), "sheen");
        assertThat(journal.append(job, "bench", List.of(note, note))).hasSize(2);
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("yard.mussel"));
                Statement sql = db.createStatement()) {
            sql.execute("CREATE TRIGGER refuse BEFORE INSERT ON entry WHEN NEW.fact LIKE '%poison%'"
                    + " BEGIN SELECT RAISE(ABORT, 'refused'); END");
        }
        Fact poison = new Fact.Noted(Topic.COMPLAINT.address(), "poison");
        assertThatThrownBy(() -> journal.append(job, "bench", List.of(note, poison)))
                .isInstanceOf(JournalException.class);
        assertThat(journal.entries(job)).hasSize(3);
    }

    @Test
    void aLogbookOfTheFirstVersionIsBroughtUpToDateWithNothingLost() throws SQLException {
        Path old = folder.resolve("old.mussel");
        Flyway.configure()
                .dataSource("jdbc:sqlite:" + old, "", "")
                .locations("classpath:mussel/store/migration")
                .target("1")
                .load()
                .migrate();
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + old);
                Statement sql = db.createStatement()) {
            sql.execute("INSERT INTO entry (job, at, by, fact) VALUES (1, '2026-01-02T03:04:05Z', 'a',"
                    + " '{\"kind\":\"noted\",\"about\":{\"name\":\"complaint\",\"of\":\"\"},\"text\":\"sheen\"}')");
        }
        try (SqliteJournal opened = SqliteJournal.open(old, NOON)) {
            assertThat(opened.entries(1)).singleElement().satisfies(e -> assertThat(e.fact())
                    .isEqualTo(new Fact.Noted(Topic.COMPLAINT.address(), "sheen")));
            assertThat(opened.book().owed()).containsExactly(1);
        }
    }

    @Test
    void whatWasKeptAsSentencesAndByTitlesComesAlong() throws SQLException {
        Path old = folder.resolve("old.mussel");
        Flyway.configure()
                .dataSource("jdbc:sqlite:" + old, "", "")
                .locations("classpath:mussel/store/migration")
                .target("6")
                .load()
                .migrate();
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + old);
                Statement sql = db.createStatement()) {
            for (int job : List.of(1, 2)) {
                sql.execute("INSERT INTO entry (job, at, by, fact) VALUES (" + job + ", '2026-01-0" + job
                        + "T03:04:05Z', 'a', '{\"kind\":\"ticked\",\"step\":\"x\",\"done\":true}')");
                sql.execute("INSERT INTO bench_line VALUES (" + job + ", " + job
                        + ", 'l1', 'Spat Lass', 'PORT', 'tern-60', 'Tern 60', 100, 'Drain and look', '', '', 'DRAIN',"
                        + " 'DRAIN=BEGUN', 0, NULL, NULL, NULL, " + (job == 1 ? "'2026-01-01'" : "NULL") + ", 'w')");
            }
            sql.execute("INSERT INTO bench_due VALUES (1, 'Gear oil', 200, '2027-01-01', 'gear_oil')");
            sql.execute("INSERT INTO due_now VALUES ('l1', 'Gear oil', 1, 200, '2027-01-01', '2026-12-01')");
            sql.execute("INSERT INTO due_now VALUES ('l1', 'Winter wrap', 1, NULL, '2027-02-01', '2027-02-01')");
        }
        try (SqliteJournal opened = SqliteJournal.open(old, NOON)) {
            assertThat(opened.benchLines().open())
                    .singleElement()
                    .satisfies(l -> assertThat(l.next().says()).isEqualTo("Drain and look"));
            assertThat(opened.book().next(9))
                    .extracting(a -> a.due().id(), a -> a.due().what())
                    .containsExactly(tuple("gear_oil", "Gear oil"), tuple("Winter wrap", "Winter wrap"));
        }
    }

    @Test
    void aServiceThatTheSheetCallsOtherwiseNowIsStillTheSame() {
        LocalDate day = LocalDate.of(2026, 11, 23);
        BenchLine before = line(opened(PORT), PORT, Optional.of(day));
        BenchLine after = renamed(line(opened(PORT), PORT, Optional.of(day.plusYears(1))));
        keep(List.of(before, after));
        assertThat(journal.book().next(9))
                .extracting(a -> a.due().what(), LogBook.Awaiting::job)
                .containsExactlyInAnyOrder(
                        tuple("Oil in the gearcase", after.job()), tuple("Pump and plate", after.job()));
    }

    private static BenchLine renamed(BenchLine line) {
        return new BenchLine(
                line.job(),
                line.leg(),
                line.family(),
                line.hours(),
                line.next(),
                line.waits(),
                line.promised(),
                line.current(),
                line.states(),
                line.wet(),
                line.oil(),
                line.tagged(),
                line.due().stream()
                        .map(d -> new Due(
                                d.id(),
                                d.id().equals("gear_oil") ? "Oil in the gearcase" : "Pump and plate",
                                d.atHours(),
                                d.on()))
                        .toList(),
                line.shelf());
    }

    @Test
    void aReaderKeepsNoLines() {
        opened(PORT);
        try (SqliteJournal reader = SqliteJournal.read(folder.resolve("yard.mussel"), NOON)) {
            BenchLine line = line(1, PORT, Optional.empty());
            assertThatThrownBy(() -> reader.book().file(List.of(filed(line)))).hasMessageContaining("reading only");
        }
    }
}
