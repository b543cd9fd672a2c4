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
import java.util.OptionalInt;
import mussel.core.book.LogBook;
import mussel.core.job.Entry;
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

    /**
     * Writes it and returns the files written. An UncheckedIOException says why it could not.
     *
     * @throws JournalException when there is no such job
     */
    public List<Path> export(Format format, Path out, OptionalInt job, LocalDate today, Instant now) {
        if (job.isPresent() && journal.entries(job.getAsInt()).isEmpty()) {
            throw new JournalException("There is no job " + job.getAsInt() + ".");
        }
        List<Integer> jobs = job.isPresent() ? List.of(job.getAsInt()) : journal.numbers();
        try {
            return switch (format) {
                case JSON -> json(out, jobs, job.isEmpty());
                case CSV -> csv(out, jobs, today);
                case ICS -> {
                    DueCalendar.write(due(jobs, job.isPresent()), today, now, out);
                    yield List.of(out);
                }
            };
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<LogBook.Awaiting> due(List<Integer> jobs, boolean some) {
        return book.due(MOST_DUE).stream()
                .filter(a -> !some || jobs.contains(a.job()))
                .toList();
    }

    /** Job by job, so that a log of any size goes through. */
    private List<Path> json(Path out, List<Integer> jobs, boolean whole) throws IOException {
        Iterable<List<Entry>> each = () -> jobs.stream().map(journal::entries).iterator();
        try (OutputStream stream = new BufferedOutputStream(Files.newOutputStream(out))) {
            LogJson.write(whole ? journal.settings() : Map.of(), each, stream);
        }
        return List.of(out);
    }

    private List<Path> csv(Path out, List<Integer> jobs, LocalDate today) throws IOException {
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
            LogCsv.due(due(jobs, jobs.size() == 1), today, writer);
        }
        return List.of(list, readings, holds, due);
    }
}
