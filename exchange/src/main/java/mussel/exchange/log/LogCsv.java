package mussel.exchange.log;

import java.io.IOException;
import java.time.LocalDate;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.job.Address;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Hold;
import mussel.core.job.Job;
import mussel.core.job.LearnerSteps;
import mussel.core.language.Messages;
import mussel.core.leak.LeakReading;
import mussel.core.log.DueForecast;
import mussel.core.log.Visit;
import mussel.core.measure.NamedBy;
import mussel.exchange.record.Csv;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Lists of a log as CSV by RFC 4180: jobs, readings, holds, what is due. Figures are in the canonical unit their head line names, with a point. A text
 * that a spreadsheet would take for a formula gets an apostrophe before it.
 */
public final class LogCsv {
    private static final Messages TEXT = Messages.of(LogCsv.class);

    private LogCsv() {}

    /** The jobs, one a line. */
    public static void jobs(Iterable<Visit> visits, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
        csv.printRecord(
                "job",
                "leg",
                TEXT.get("log_csv.boat_and_position"),
                "family",
                "opened",
                "tagged",
                TEXT.get("log_csv.hours_h"),
                TEXT.get("log_csv.runs_in"),
                "sand",
                TEXT.get("log_csv.water_in_oil_share"),
                "goals",
                "found",
                TEXT.get("log_csv.simulated_readings"),
                "complaint",
                TEXT.get("log_csv.proved_by_a_hold"),
                TEXT.get("log_csv.came_back"),
                TEXT.get("log_csv.told_by_ticks_min"),
                TEXT.get("log_csv.work_and_parts_money"),
                TEXT.get("log_csv.named_to_the_owner_money"));
        for (Visit v : visits) {
            csv.printRecord(
                    v.job(),
                    Csv.plain(v.leg()),
                    Csv.plain(v.title()),
                    Csv.plain(v.family()),
                    v.opened(),
                    v.tagged().map(LocalDate::toString).orElse(""),
                    v.hours().isPresent() ? v.hours().getAsDouble() : "",
                    v.water().orElse(""),
                    v.sand() ? "yes" : "no",
                    v.measure(Visit.Quantity.WATER)
                            .map(m -> String.valueOf(m.value()))
                            .orElse(""),
                    Csv.plain(String.join("; ", v.done())),
                    Csv.plain(v.expected().stream()
                            .filter(Visit.Expectation::found)
                            .map(Visit.Expectation::title)
                            .collect(Collectors.joining("; "))),
                    v.simulated() ? "yes" : "no",
                    Csv.plain(v.complaint()),
                    v.held() ? "yes" : "no",
                    v.comeback() ? "yes" : "no",
                    v.work()
                            .map(w -> w.minutes().values().stream()
                                    .mapToDouble(Double::doubleValue)
                                    .sum())
                            .map(LogCsv::rounded)
                            .orElse(""),
                    v.work().map(w -> rounded(w.spent())).orElse(""),
                    v.work()
                            .filter(w -> w.quoted().isPresent())
                            .map(w -> rounded(w.quoted().getAsDouble()))
                            .orElse(""));
        }
    }

    private static String rounded(double figure) {
        return String.format(Locale.ROOT, "%.2f", figure);
    }

    /** Every step that stands ticked, one a line, with who did it and who else was at the leg within half an hour. */
    public static void steps(Iterable<List<Entry>> jobs, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
        csv.printRecord(
                "job",
                TEXT.get("log_csv.boat_and_position"),
                "family",
                "step",
                TEXT.get("log_csv.at_utc"),
                "by",
                TEXT.get("log_csv.others_within_half_an_hour"));
        for (List<Entry> entries : jobs) {
            Job job = Job.of(entries);
            List<Entry> standing = job.undoLine().standing();
            for (Map.Entry<String, Entry> tick : LearnerSteps.ticks(standing).entrySet()) {
                csv.printRecord(
                        job.id(),
                        Csv.plain(job.leg().title()),
                        Csv.plain(job.leg().family()),
                        Csv.plain(tick.getKey()),
                        tick.getValue().at(),
                        Csv.plain(tick.getValue().by()),
                        Csv.plain(String.join("; ", LearnerSteps.beside(standing, tick.getValue()))));
            }
        }
    }

    /** Every reading that stands, one a line, with who made it when by which instrument. */
    public static void readings(Iterable<List<Entry>> jobs, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
        csv.printRecord(
                "job",
                TEXT.get("log_csv.boat_and_position"),
                "field",
                "of",
                "value",
                "unit",
                TEXT.get("log_csv.as_typed"),
                "instrument",
                "simulated",
                TEXT.get("log_csv.at_utc"),
                "by");
        for (List<Entry> entries : jobs) {
            Job job = Job.of(entries);
            Map<Fact, Entry> made = new IdentityHashMap<>();
            entries.forEach(e -> made.put(e.fact(), e));
            for (var each : job.readings().entrySet()) {
                Address about = each.getKey();
                Fact.Read read = each.getValue();
                Optional<Field> field = Field.at(about);
                csv.printRecord(
                        job.id(),
                        Csv.plain(job.leg().title()),
                        about.name(),
                        Csv.plain(about.of()),
                        read.value(),
                        field.map(f -> f.kind().canonical()).orElse(""),
                        Csv.plain(read.typed()),
                        Csv.plain(read.instrument()),
                        read.simulated() ? "yes" : "no",
                        made.get(read).at(),
                        Csv.plain(made.get(read).by()));
            }
        }
    }

    /** Every reading of every hold, one a line; the lines of one hold are what the station Leak hunt reads back. */
    public static void holds(Iterable<List<Entry>> jobs, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
        csv.printRecord(
                "job",
                TEXT.get("log_csv.boat_and_position"),
                "hold",
                "mode",
                TEXT.get("log_csv.begun_utc"),
                TEXT.get("log_csv.resolution_kpa"),
                "instrument",
                "simulated",
                "time (s)",
                "pressure (kPa)",
                "temperature (°C)",
                "stage");
        for (List<Entry> entries : jobs) {
            Job job = Job.of(entries);
            for (Hold hold : job.holds()) {
                for (LeakReading reading : hold.readings()) {
                    csv.printRecord(
                            job.id(),
                            Csv.plain(job.leg().title()),
                            Csv.plain(hold.id()),
                            NamedBy.file(hold.mode()),
                            hold.begun(),
                            hold.gaugeStepKpa(),
                            Csv.plain(hold.instrument()),
                            hold.simulated() ? "yes" : "no",
                            reading.tS(),
                            reading.gaugeKpa(),
                            reading.tempC(),
                            reading.stage().map(NamedBy::file).orElse(""));
                }
            }
        }
    }

    /** What is due, one service a line. */
    public static void due(List<Awaiting> awaiting, LocalDate today, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
        csv.printRecord(
                TEXT.get("log_csv.boat_and_position"),
                "what",
                TEXT.get("log_csv.likely_on"),
                "earliest",
                "latest",
                TEXT.get("log_csv.at_hours_h"),
                TEXT.get("log_csv.by_calendar"),
                "urgency",
                "job");
        for (Awaiting each : awaiting) {
            DueForecast forecast = DueForecast.of(each.due(), each.readings(), today);
            csv.printRecord(
                    Csv.plain(each.leg().title()),
                    Csv.plain(each.due().what()),
                    forecast.by(),
                    forecast.earliest(),
                    forecast.latest(),
                    each.due().atHours().isPresent() ? each.due().atHours().getAsDouble() : "",
                    each.due().on(),
                    forecast.urgency().name().toLowerCase(java.util.Locale.ROOT),
                    each.job());
        }
    }
}
