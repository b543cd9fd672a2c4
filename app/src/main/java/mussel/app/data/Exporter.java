package mussel.app.data;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.book.LogBook;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.core.log.Visit;
import mussel.exchange.file.Durable;
import mussel.exchange.file.OutFile;
import mussel.exchange.log.DueCalendar;
import mussel.exchange.log.LogCsv;
import mussel.exchange.log.LogJson;
import mussel.exchange.sheet.KeptSheet;

/** Writes a log, or one of its jobs, in an open format. */
public final class Exporter {
    private static final Messages TEXT = Messages.of(Exporter.class);

    private static final int MOST_DUE = 100_000;

    private final Journal journal;
    private final LogBook book;

    /** An exporter of a log. */
    public Exporter(Journal journal, LogBook book) {
        this.journal = journal;
        this.book = book;
    }

    /** The formats. */
    public enum Format {
        /** Every entry; can be brought in again. */
        JSON,
        /** Lists for a spreadsheet: a folder with jobs, readings, holds and what is due. */
        CSV,
        /** What is due, for a calendar. */
        ICS
    }

    /** Which jobs: all, with the yard's settings, where it is empty. */
    public record Scope(Optional<List<Integer>> jobs) {
        /** The whole log. */
        public static final Scope ALL = new Scope(Optional.empty());

        private boolean holds(int job) {
            return jobs.isEmpty() || jobs.get().contains(job);
        }
    }

    /**
     * One job.
     *
     * @throws JournalException when there is no such job
     */
    public Scope job(int number) {
        if (journal.entries(number).isEmpty()) {
            throw new JournalException(TEXT.get("exporter.there_is_no_job", number));
        }
        return new Scope(Optional.of(List.of(number)));
    }

    /**
     * Every job of a leg, named by its id or as on its card, like {@code Spat Lass, port}.
     *
     * @throws JournalException when there is no such leg
     */
    public Scope leg(String named) {
        List<Integer> jobs = journal.benchLines().jobsOf(named);
        if (jobs.isEmpty()) {
            jobs = journal.numbers().stream()
                    .filter(job -> Job.of(journal.entries(job)).leg().title().equalsIgnoreCase(named))
                    .toList();
        }
        if (jobs.isEmpty()) {
            throw new JournalException(TEXT.get("exporter.there_is_no_leg_write_it", named));
        }
        return new Scope(Optional.of(jobs));
    }

    /**
     * Writes it and returns the files written.
     *
     * @param replace whether files of the same kind may be replaced
     * @throws JournalException with a sentence when it cannot be written there; what was there is as it was
     */
    public List<Path> export(Format format, Path out, Scope scope, LocalDate today, Instant now, boolean replace) {
        return switch (format) {
            case JSON -> json(out, scope, replace);
            case CSV -> csv(out, scope, today, replace);
            case ICS -> {
                Path file = OutFile.of(out, OutFile.Kind.CALENDAR, replace).path();
                DueCalendar.write(due(scope), today, now, file);
                yield List.of(file);
            }
        };
    }

    private List<LogBook.Awaiting> due(Scope scope) {
        return book.due(MOST_DUE).stream().filter(a -> scope.holds(a.job())).toList();
    }

    private List<Integer> jobs(Scope scope) {
        return scope.jobs().orElseGet(journal::numbers);
    }

    /** Job by job, so that a log of any size goes through. */
    private List<Path> json(Path out, Scope scope, boolean replace) {
        boolean all = scope.jobs().isEmpty();
        Iterable<List<Entry>> each =
                () -> Stream.concat(all ? Stream.of(Journal.YARD) : Stream.empty(), jobs(scope).stream())
                        .map(journal::entries)
                        .filter(entries -> !entries.isEmpty())
                        .iterator();
        OutFile file = OutFile.of(out, OutFile.Kind.JSON, replace);
        file.write(stream -> LogJson.write(
                all ? Settings.ofTheYard(journal.settings()) : Map.of(),
                (all ? journal.sheetNames() : named(scope))
                        .stream().sorted().flatMap(this::sheet).iterator(),
                each,
                stream));
        return List.of(file.path());
    }

    /** The sheets that jobs name. */
    private List<String> named(Scope scope) {
        return jobs(scope).stream()
                .flatMap(job -> journal.entries(job).stream())
                .flatMap(e -> e.fact() instanceof Fact.WorkedBy by ? Stream.of(by.sheet()) : Stream.empty())
                .distinct()
                .sorted()
                .toList();
    }

    private Stream<KeptSheet> sheet(String name) {
        return journal.sheet(name).map(text -> new KeptSheet(name, text)).stream();
    }

    /** A list as it is written. */
    private interface Written {
        void to(Writer out) throws IOException;
    }

    private List<Path> csv(Path out, Scope scope, LocalDate today, boolean replace) {
        List<Integer> jobs = jobs(scope);
        folder(out);
        Map<String, Written> lists = new LinkedHashMap<>();
        lists.put("jobs.csv", writer -> {
            Iterator<Visit> visits =
                    jobs.stream().flatMap(j -> book.visit(j).stream()).iterator();
            LogCsv.jobs(() -> visits, writer);
        });
        lists.put("readings.csv", writer -> LogCsv.readings(() -> readable(jobs), writer));
        lists.put("holds.csv", writer -> LogCsv.holds(() -> readable(jobs), writer));
        lists.put("steps.csv", writer -> LogCsv.steps(() -> readable(jobs), writer));
        lists.put("due.csv", writer -> LogCsv.due(due(scope), today, writer));
        // All names are looked at before the first list is written.
        Map<OutFile, Written> files = new LinkedHashMap<>();
        lists.forEach((name, list) -> files.put(OutFile.of(out.resolve(name), OutFile.Kind.CSV, replace), list));
        files.forEach((file, list) -> file.write(stream -> {
            Writer writer = new OutputStreamWriter(stream, StandardCharsets.UTF_8);
            list.to(writer);
            writer.flush();
        }));
        return files.keySet().stream().map(OutFile::path).toList();
    }

    /** The entries of each job that can be read as a whole: one that cannot stands in no other's way. */
    private Iterator<List<Entry>> readable(List<Integer> jobs) {
        return jobs.stream()
                .map(journal::entries)
                .filter(entries -> entries.get(0).fact() instanceof Fact.Opened)
                .iterator();
    }

    private static void folder(Path out) {
        if (Files.exists(out) && !Files.isDirectory(out)) {
            throw new JournalException(TEXT.get("exporter.is_no_folder_name_one_for", out));
        }
        try {
            Durable.folders(out);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("exporter.the_folder_cannot_be_made", out, Durable.why(e)), e);
        }
    }
}
