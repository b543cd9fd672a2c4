package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.log.Due;
import mussel.core.log.MeterReading;
import mussel.exchange.leak.HoldCsv;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

class ListsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final LegRef LEG = new LegRef(
            "l1", "Ölhafen; a, very “long” name of a boat that folds lines", LegRef.Position.PORT, "tern-60");
    private static final List<Awaiting> DUE = List.of(
            new Awaiting(
                    3,
                    LEG,
                    new Due("gear_oil", "Gear oil", 250, LocalDate.of(2027, 6, 1)),
                    List.of(new MeterReading(TODAY.minusDays(100), 100), new MeterReading(TODAY.minusDays(1), 199))),
            new Awaiting(3, LEG, new Due("water_pump", "=Water pump", 900, LocalDate.of(2026, 12, 24)), List.of()));

    private static List<CSVRecord> parsed(String csv) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv))
                .getRecords();
    }

    @Test
    void anotherLibraryReadsTheCalendarAndTheDaysAreRight() throws IOException {
        String text = DueCalendar.text(DUE, TODAY, Instant.parse("2026-11-23T09:00:00Z"));
        assertThat(text.lines()).allMatch(l -> l.length() <= 75);
        assertThat(text).contains("\r\n");
        ICalendar calendar = Biweekly.parse(text).first();
        assertThat(calendar.validate(ICalVersion.V2_0).isEmpty()).isTrue();
        assertThat(calendar.getEvents()).hasSize(2);
        VEvent oil = calendar.getEvents().get(0);
        assertThat(oil.getSummary().getValue()).isEqualTo("Gear oil: " + LEG.title());
        assertThat(oil.getDateStart().getValue().hasTime()).isFalse();
        assertThat(oil.getDateStart().getValue().getRawComponents().toDate())
                .isEqualTo(java.sql.Timestamp.valueOf("2027-01-12 00:00:00"));
        assertThat(oil.getDescription().getValue()).startsWith("Due by hours: 250 h about 2027-01-12");
        assertThat(Biweekly.parse(DueCalendar.text(DUE, TODAY.plusDays(9), Instant.now()))
                        .first()
                        .getEvents()
                        .get(0)
                        .getUid())
                .isEqualTo(oil.getUid());
    }

    @Test
    void anEmptyCalendarIsStillACalendar() throws IOException {
        String text = DueCalendar.text(List.of(), TODAY, Instant.EPOCH);
        assertThat(Biweekly.parse(text).first().getEvents()).isEmpty();
    }

    @Test
    void aReaderOfCsvGetsEveryCellBackAndNoFormula() throws IOException {
        StringBuilder out = new StringBuilder();
        LogCsv.readings(List.of(Samples.job(1, 1)), out);
        List<CSVRecord> rows = parsed(out.toString());
        assertThat(rows).hasSize(2).allMatch(CSVRecord::isConsistent);
        assertThat(rows.get(0).get("value")).isEqualTo("412.25");
        assertThat(rows.get(0).get("unit")).isEqualTo("h");
        assertThat(rows.get(1).get("value")).isEqualTo("451.9999999999999");
        assertThat(rows.get(0).get("at (UTC)")).startsWith("2026-");
        assertThat(rows).extracting(r -> r.get("by")).containsOnly("bench");
        StringBuilder due = new StringBuilder();
        LogCsv.due(DUE, TODAY, due);
        List<CSVRecord> lines = parsed(due.toString());
        assertThat(lines.get(0).get("boat and position")).isEqualTo(LEG.title());
        assertThat(lines.get(0).get("likely on")).isEqualTo("2027-01-12");
        assertThat(lines.get(1).get("what")).isEqualTo("'=Water pump");
        assertThat(due.toString()).contains("\r\n");
    }

    @Test
    void aHoldWrittenAsAListIsReadBackAsAHold() throws IOException {
        List<LeakReading> readings = IntStream.range(0, 5)
                .mapToObj(i -> new LeakReading(i * 30, -62.123456789 + i * 0.1, 18.25 + i / 8.0, Optional.empty()))
                .toList();
        List<Entry> job = new ArrayList<>(Samples.job(7, 1));
        Fact begun = new Fact.HoldBegun("hold-2", LeakMode.VACUUM, 0.5, "=gauge", false);
        job.add(new Entry(90, 7, Samples.BEGUN, "bench", begun));
        job.add(new Entry(91, 7, Samples.BEGUN, "bench", new Fact.Held("hold-2", readings)));
        StringBuilder out = new StringBuilder();
        LogCsv.holds(List.of(job), out);
        List<CSVRecord> rows = parsed(out.toString());
        assertThat(rows).hasSize(7).allMatch(CSVRecord::isConsistent);
        assertThat(rows.get(0).get("simulated")).isEqualTo("yes");
        assertThat(rows.get(1).get("stage")).isEqualTo("driveshaft");
        assertThat(rows.get(2).get("instrument")).isEqualTo("'=gauge");
        String second = out.toString()
                .lines()
                .filter(l -> l.startsWith("job,") || l.contains(",hold-2,"))
                .collect(Collectors.joining("\r\n"));
        HoldCsv.Imported back =
                HoldCsv.read(second.getBytes(StandardCharsets.UTF_8)).value().orElseThrow();
        assertThat(back.mode()).isEqualTo(LeakMode.VACUUM);
        assertThat(back.readings()).isEqualTo(readings);
    }

    @Test
    void whatOnlyTheCalendarKnowsHasNoHours() throws IOException {
        Due layUp = new Due(Due.LAY_UP, "Lay-up before freezing", OptionalDouble.empty(), LocalDate.of(2026, 12, 1));
        List<Awaiting> awaiting = List.of(new Awaiting(3, LEG, layUp, DUE.get(0).readings()));
        StringBuilder due = new StringBuilder();
        LogCsv.due(awaiting, TODAY, due);
        CSVRecord line = parsed(due.toString()).get(0);
        assertThat(line.get("at hours (h)")).isEmpty();
        assertThat(line.get("likely on")).isEqualTo("2026-12-01");
        assertThat(line.get("urgency")).isEqualTo("soon");
        VEvent event = Biweekly.parse(DueCalendar.text(awaiting, TODAY, Instant.EPOCH))
                .first()
                .getEvents()
                .get(0);
        assertThat(event.getDescription().getValue()).startsWith("Due by date, 2026-12-01 (in 8 days).");
    }
}
