package mussel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.book.Filed;
import mussel.core.book.LogBook;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.book.LogBook.Found;
import mussel.core.book.LogBook.Query;
import mussel.core.book.LogBook.State;
import mussel.core.job.BenchLine;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.NextAction;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.core.log.Due;
import mussel.core.log.DueForecast;
import mussel.core.log.MeterReading;
import mussel.core.log.Visit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SqliteLogBookTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-11-23T12:00:00Z"), ZoneOffset.UTC);
    private static final LocalDate DAY = LocalDate.of(2026, 11, 20);

    @TempDir
    Path folder;

    private SqliteJournal journal;
    private LogBook book;

    @BeforeEach
    void open() {
        journal = SqliteJournal.open(folder.resolve("yard.mussel"), NOON);
        book = journal.book();
    }

    @AfterEach
    void close() {
        journal.close();
    }

    private int job(String leg, String boat) {
        return journal.open(new LegRef(leg, boat, LegRef.Position.PORT, "tern-60"), "bench")
                .job();
    }

    private static Filed filed(int job, String leg, String boat, LocalDate day, boolean tagged, String words) {
        Visit visit = new Visit(
                job,
                leg,
                boat + ", port",
                boat,
                "tern-60",
                "Tern 60",
                day,
                tagged ? Optional.of(day) : Optional.empty(),
                OptionalDouble.of(100 * job),
                Optional.of("sea"),
                false,
                List.of(new Visit.Measure(Visit.Quantity.WATER, 0.02, 0.01, 0.03, false)),
                List.of(new Visit.Expectation("case_leak", "Case", 0.3, 0.02, true)),
                List.of("Reseal"),
                List.of(new Visit.Look("OIL_WATER", "haze")),
                List.of(new Visit.Renewal(Visit.Wearing.IMPELLER, Optional.of(true), OptionalDouble.empty())),
                "“ran hot”",
                true);
        return new Filed(visit, line(job, leg, tagged), words);
    }

    @Test
    void aVisitComesBackAsItWentIn() {
        int job = job("l1", "Spat Lass");
        Filed filed = filed(job, "l1", "Spat Lass", DAY, true, "milky");
        assertThat(book.stale()).containsExactly(job);
        book.file(List.of(filed));
        assertThat(book.stale()).isEmpty();
        assertThat(book.visits("l1")).containsExactly(filed.visit());
        book.file(List.of(filed));
        assertThat(book.visits("l1")).hasSize(1);
        assertThat(book.every()).containsExactly(filed.visit());
        assertThat(book.search(Query.of("milky"))).hasSize(1);
        assertThat(book.judged()).hasSize(1);
        assertThat(book.renewals()).singleElement().satisfies(r -> assertThat(r.hours())
                .isEqualTo(100));
        assertThat(book.lastReadings()).containsEntry("l1", new MeterReading(DAY, 100));
    }

    @Test
    void searchFindsBeginningsAndFiltersTheLatestFirst() {
        int first = job("l1", "Spat Lass");
        int second = job("l2", "Spat Lass");
        int third = job("l3", "Byssus");
        book.file(List.of(
                filed(first, "l1", "Spat Lass", DAY.minusYears(1), true, "Spat Lass milky oil"),
                filed(second, "l2", "Spat Lass", DAY, false, "Spat Lass clean oil"),
                filed(third, "l3", "Byssus", DAY, true, "Byssus mílky oil, driveshaft")));
        assertThat(book.search(Query.of("oil mil"))).extracting(Found::job).containsExactly(third, first);
        assertThat(book.search(Query.of("milky "))).extracting(Found::snippet).allMatch(s -> s.contains("["));
        assertThat(book.search(Query.of("mil "))).isEmpty();
        Query open = new Query("", State.OPEN, Optional.of("tern-60"), Optional.of(2026));
        assertThat(book.search(open)).extracting(Found::job).containsExactly(second);
        Query lastYear = new Query("lass", State.ANY, Optional.empty(), Optional.of(2025));
        assertThat(book.search(lastYear)).extracting(Found::job).containsExactly(first);
        assertThat(book.search(Query.of(""))).hasSize(3);
        assertThat(book.choices().years()).containsExactly(2026, 2025);
        assertThat(book.choices().families()).containsEntry("tern-60", "Tern 60");
        assertThat(book.twin("l1")).contains("l2");
        assertThat(book.twin("l3")).isEmpty();
        assertThat(book.jobs()).isEqualTo(3);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"",
                "oil\"",
                "words:x",
                "a AND",
                "NEAR(",
                "*",
                "-",
                "(",
                "'; DROP TABLE visit",
                "^",
                "ß",
                "{marks}"
            })
    void nothingTypedIsTakenForAnOperator(String typed) {
        book.file(List.of(filed(job("l1", "Spat Lass"), "l1", "Spat Lass", DAY, true, "oil")));
        assertThat(book.search(Query.of(typed))).hasSizeLessThanOrEqualTo(1);
        assertThat(book.jobs()).isEqualTo(1);
    }

    private static BenchLine line(int job, String leg, boolean tagged, Due... due) {
        return new BenchLine(
                job,
                new LegRef(leg, "Spat Lass", LegRef.Position.PORT, "tern-60"),
                "Tern 60",
                OptionalDouble.empty(),
                new NextAction(NextAction.What.NONE, "", ""),
                "",
                "",
                Station.TAG,
                Map.of(Station.TAG, Station.State.DONE),
                false,
                Optional.empty(),
                tagged ? Optional.of(DAY) : Optional.empty(),
                List.of(due),
                Map.of());
    }

    private void file(BenchLine line) {
        Filed filed = filed(line.job(), "l1", "Spat Lass", DAY, line.tagged().isPresent(), "");
        book.file(List.of(new Filed(filed.visit(), line, "")));
    }

    @Test
    void dueIsWhatTheLastJobThatSpeaksOfItSays() {
        int pump = job("l1", "Spat Lass");
        int oil = job("l1", "Spat Lass");
        Due recheck = new Due("oil_recheck", "Oil recheck", 110, DAY.plusDays(30));
        Due renewed = new Due("pump", "Water pump", 400, DAY.plusYears(2));
        Due gear = new Due("gear_oil", "Gear oil", 200, DAY.plusYears(1));
        Due later = new Due("gear_oil", "Gear oil", 260, DAY.plusDays(400));
        file(line(pump, "l1", true, recheck, renewed, gear));
        assertThat(book.due(9))
                .extracting(a -> a.due().what())
                .containsExactly("Oil recheck", "Gear oil", "Water pump");
        file(line(oil, "l1", true, later));
        assertThat(book.due(9)).extracting(a -> a.due().atHours().orElse(-1)).containsExactly(260.0, 400.0);
        assertThat(book.due(1)).hasSize(1);
        file(line(oil, "l1", false));
        assertThat(book.due(9)).extracting(a -> a.due().atHours().orElse(-1)).containsExactly(110.0, 200.0, 400.0);
    }

    @Test
    void whatItsHoursBringForwardComesBeforeWhatTheCalendarBrings() {
        Due far = new Due("gear_oil", "Gear oil", 320, DAY.plusYears(3));
        Due near = new Due("pump", "Water pump", 9_000, DAY.plusMonths(9));
        Due layUp = new Due(Due.LAY_UP, "Lay-up before freezing", OptionalDouble.empty(), DAY.plusMonths(2));
        int before = job("l1", "Spat Lass");
        int last = job("l1", "Spat Lass");
        book.file(List.of(filed(before, "l1", "Spat Lass", DAY.minusDays(100), true, "")));
        Filed filed = filed(last, "l1", "Spat Lass", DAY, true, "");
        book.file(List.of(new Filed(filed.visit(), line(last, "l1", true, far, near, layUp), "")));
        assertThat(book.due(9))
                .extracting(a -> a.due().what())
                .containsExactly("Lay-up before freezing", "Gear oil", "Water pump");
        assertThat(book.due(9))
                .extracting(Awaiting::likely)
                .as("a hundred hours in a hundred days: 120 hours more in 120 days")
                .containsExactly(DAY.plusMonths(2), DAY.plusDays(120), DAY.plusMonths(9));
        assertThat(book.due(9)).allMatch(a -> a.likely()
                .equals(DueForecast.of(a.due(), a.readings(), DAY).by()));
        assertThat(book.next(9))
                .as("the same without readings")
                .allMatch(a -> a.readings().isEmpty())
                .extracting(Awaiting::likely)
                .containsExactly(DAY.plusMonths(2), DAY.plusDays(120), DAY.plusMonths(9));
        assertThat(book.due(1))
                .singleElement()
                .satisfies(a -> assertThat(a.due().atHours()).isEmpty());
    }

    private void note(int job) {
        journal.append(job, "bench", new Fact.Noted(Topic.COMPLAINT.address(), "sheen"));
    }

    private Filed oil(int job) {
        return filed(job, "l1", "Spat Lass", DAY, true, "oil");
    }

    @Test
    void whatIsOwedIsFiledLaterAndNothingIsForgottenMeanwhile() {
        int first = job("l1", "Spat Lass");
        int second = job("l1", "Spat Lass");
        int third = job("l1", "Spat Lass");
        note(first);
        book.owe(book.stale());
        assertThat(book.stale()).isEmpty();
        assertThat(book.owed()).containsExactly(third, second, first);

        note(second);
        assertThat(book.stale()).as("goes on").containsExactly(second);
        book.settle(List.of(oil(second)));
        assertThat(book.stale()).as("filed as it was owed").containsExactly(second);
        book.file(List.of(oil(second)));
        assertThat(book.stale()).isEmpty();
        assertThat(book.owed()).as("the last one filed hides no other").containsExactly(third, first);

        close();
        open();
        assertThat(book.owed()).containsExactly(third, first);
        book.settle(List.of(oil(third), oil(first)));
        assertThat(book.owed()).isEmpty();
        assertThat(book.jobs()).isEqualTo(3);
    }

    @Test
    void whatWasFiledSinceIsNotFiledAgainAsItWas() {
        int job = job("l1", "Spat Lass");
        book.owe(List.of(job));
        Filed before = oil(job);
        book.file(List.of(filed(job, "l1", "Spat Lass", DAY, true, "mended")));
        book.settle(List.of(before));
        assertThat(book.search(Query.of("oil"))).isEmpty();
        assertThat(book.search(Query.of("mended"))).hasSize(1);
    }

    @Test
    void besideTheJournalAnotherThreadWritesWhileEntriesAreMade() throws Exception {
        int job = job("l1", "Spat Lass");
        int rounds = 60;
        var aside = java.util.concurrent.CompletableFuture.runAsync(() -> journal.aside(own -> {
            for (int i = 0; i < rounds; i++) {
                own.book().file(List.of(oil(job)));
            }
            return null;
        }));
        for (int i = 0; i < rounds; i++) {
            note(job);
            job("l2", "Byssus");
        }
        aside.get();
        assertThat(journal.entries(job)).hasSize(rounds + 1);
        assertThat(journal.numbers()).hasSize(rounds + 1);
    }

    @Test
    void anotherThreadAsksOnAConnectionOfItsOwn() {
        book.file(List.of(filed(job("l1", "Spat Lass"), "l1", "Spat Lass", DAY, true, "oil")));
        assertThat(book.aside(LogBook::jobs)).isEqualTo(1);
    }
}
