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
    private LogCsv() {}

    /** The jobs, one a line. */
    public static void jobs(Iterable<Visit> visits, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180);
        csv.printRecord(
                "job",
                "leg",
                "boat and position",
                "family",
                "opened",
                "tagged",
                "hours (h)",
                "runs in",
                "sand",
                "water in oil (share)",
                "goals",
                "found",
                "simulated readings",
                "complaint",
                "proved by a hold",
                "came back",
                "told by ticks (min)",
                "work and parts (money)",
                "named to the owner (money)");
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
        csv.printRecord("job", "boat and position", "family", "step", "at (UTC)", "by", "others within half an hour");
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
                "boat and position",
                "field",
                "of",
                "value",
                "unit",
                "as typed",
                "instrument",
                "simulated",
                "at (UTC)",
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
                "boat and position",
                "hold",
                "mode",
                "begun (UTC)",
                "resolution (kPa)",
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
                "boat and position",
                "what",
                "likely on",
                "earliest",
                "latest",
                "at hours (h)",
                "by calendar",
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
