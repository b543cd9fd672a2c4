package mussel.app.data;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.book.LogBook;
import mussel.core.job.Entry;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.log.Visit;
import mussel.exchange.log.DueCalendar;
import mussel.exchange.log.LogCsv;
import mussel.exchange.log.LogJson;

/** Writes a log, or one of its jobs, in an open format. */
public final class Exporter {
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
            throw new JournalException("There is no job " + number + ".");
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
            throw new JournalException(
                    "There is no leg “" + named + "”. Write it as on its card, like “Spat Lass, port”.");
        }
        return new Scope(Optional.of(jobs));
    }

    /** Writes it and returns the files written. An UncheckedIOException says why it could not. */
    public List<Path> export(Format format, Path out, Scope scope, LocalDate today, Instant now) {
        try {
            return switch (format) {
                case JSON -> json(out, scope);
                case CSV -> csv(out, scope, today);
                case ICS -> {
                    DueCalendar.write(due(scope), today, now, out);
                    yield List.of(out);
                }
            };
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<LogBook.Awaiting> due(Scope scope) {
        return book.due(MOST_DUE).stream().filter(a -> scope.holds(a.job())).toList();
    }

    private List<Integer> jobs(Scope scope) {
        return scope.jobs().orElseGet(journal::numbers);
    }

    /** Job by job, so that a log of any size goes through. */
    private List<Path> json(Path out, Scope scope) throws IOException {
        Iterable<List<Entry>> each =
                () -> jobs(scope).stream().map(journal::entries).iterator();
        try (OutputStream stream = new BufferedOutputStream(Files.newOutputStream(out))) {
            LogJson.write(scope.jobs().isEmpty() ? journal.settings() : Map.of(), each, stream);
        }
        return List.of(out);
    }

    private List<Path> csv(Path out, Scope scope, LocalDate today) throws IOException {
        List<Integer> jobs = jobs(scope);
        Files.createDirectories(out);
        Path list = out.resolve("jobs.csv");
        Path readings = out.resolve("readings.csv");
        Path holds = out.resolve("holds.csv");
        Path due = out.resolve("due.csv");
        try (Writer writer = Files.newBufferedWriter(list, StandardCharsets.UTF_8)) {
            Iterator<Visit> visits =
                    jobs.stream().flatMap(j -> book.visit(j).stream()).iterator();
            LogCsv.jobs(() -> visits, writer);
        }
        try (Writer writer = Files.newBufferedWriter(readings, StandardCharsets.UTF_8)) {
            LogCsv.readings(() -> jobs.stream().map(journal::entries).iterator(), writer);
        }
        try (Writer writer = Files.newBufferedWriter(holds, StandardCharsets.UTF_8)) {
            LogCsv.holds(() -> jobs.stream().map(journal::entries).iterator(), writer);
        }
        try (Writer writer = Files.newBufferedWriter(due, StandardCharsets.UTF_8)) {
            LogCsv.due(due(scope), today, writer);
        }
        return List.of(list, readings, holds, due);
    }
}
