package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.io.IOException;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.log.Due;
import mussel.core.log.MeterReading;
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
                    new Due("Gear oil", 250, LocalDate.of(2027, 6, 1)),
                    List.of(new MeterReading(TODAY.minusDays(100), 100), new MeterReading(TODAY.minusDays(1), 199))),
            new Awaiting(3, LEG, new Due("=Water pump", 900, LocalDate.of(2026, 12, 24)), List.of()));

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
        assertThat(oil.getDescription().getValue()).startsWith("By hours: 250 h about 2027-01-12");
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
        LogCsv.readings(List.of(Job.of(Samples.job(1, 1))), out);
        List<CSVRecord> rows = parsed(out.toString());
        assertThat(rows).hasSize(2).allMatch(CSVRecord::isConsistent);
        assertThat(rows.get(0).get("value")).isEqualTo("412.25");
        assertThat(rows.get(0).get("unit")).isEqualTo("h");
        assertThat(rows.get(1).get("value")).isEqualTo("451.9999999999999");
        StringBuilder due = new StringBuilder();
        LogCsv.due(DUE, TODAY, due);
        List<CSVRecord> lines = parsed(due.toString());
        assertThat(lines.get(0).get("boat and position")).isEqualTo(LEG.title());
        assertThat(lines.get(0).get("likely on")).isEqualTo("2027-01-12");
        assertThat(lines.get(1).get("what")).isEqualTo("'=Water pump");
        assertThat(due.toString()).contains("\r\n");
    }
}
