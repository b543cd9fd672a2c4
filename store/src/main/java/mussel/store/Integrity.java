package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntPredicate;
import mussel.core.book.LogStore.LogCheck;
import mussel.core.book.OpenLog;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.Scratch;

/** The full check of a log in a file. */
public final class Integrity {
    private static final Messages TEXT = Messages.of(Integrity.class);

    private Integrity() {}

    /**
     * Checks the file, its tables, the chain of every job, every entry, every picture. Reads only.
     *
     * @throws JournalException when it cannot be read at all
     */
    public static LogCheck of(Path log, Clock clock) {
        return of(log, clock, Optional.empty());
    }

    /**
     * The same with what was derived from the journal held against what it gives.
     *
     * @param refile derives everything once more, on a journal that has nothing derived; empty where that is not checked
     */
    static LogCheck of(Path named, Clock clock, Optional<Consumer<OpenLog>> refile) {
        Path log = LogFile.real(named);
        List<String> troubles = new ArrayList<>();
        SqliteJournal.read(log, clock).close();
        file(log, troubles);
        Path folder = Scratch.folder();
        try {
            // Everything is held against one moment of the log, whoever writes to it meanwhile.
            Path moment = folder.resolve("moment.mussel");
            return of(log, BackupFile.copied(log, moment) ? moment : log, clock, refile, troubles);
        } finally {
            Scratch.remove(folder);
        }
    }

    private static LogCheck of(
            Path named, Path log, Clock clock, Optional<Consumer<OpenLog>> refile, List<String> troubles) {
        try (SqliteJournal journal = SqliteJournal.read(log, clock)) {
            troubles.addAll(Schema.differs(log, clock));
            chain(log, troubles);
            Set<String> sheets = new HashSet<>(journal.sheetNames());
            Set<String> pictures = new HashSet<>();
            int jobs = 0;
            long entries = 0;
            for (int job : journal.numbers()) {
                jobs++;
                List<Entry> of = journal.entries(job);
                entries += of.size();
                read(job, of, troubles);
                workedBy(job, of, sheets, troubles);
                of.stream()
                        .map(Entry::fact)
                        .filter(Fact.Pictured.class::isInstance)
                        .forEach(p -> pictures.add(((Fact.Pictured) p).file()));
            }
            List<Entry> yard = journal.entries(Journal.YARD);
            entries += yard.size();
            yard.stream()
                    .map(Entry::fact)
                    .filter(f -> f instanceof Fact.Decided d
                            && d.key().startsWith(Settings.PAGE)
                            && !d.value().isEmpty())
                    .forEach(f -> pictures.add(((Fact.Decided) f).value()));
            unread(Journal.YARD, yard, troubles);
            sheets(journal, troubles);
            int stale = journal.book().stale().size();
            pictures(named, pictures, troubles);
            if (troubles.isEmpty()) {
                refile.ifPresent(again -> Derived.compare(log, clock, again, troubles::add));
            }
            return new LogCheck(jobs, entries, pictures.size(), stale, chained(log), troubles);
        }
    }

    /**
     * Follows the chains beside the work, on whatever thread it is called.
     *
     * @param goOn told how many jobs were followed, now and then; may take its time, and false stops
     * @return what is wrong, in sentences
     */
    public static List<String> chains(Path log, IntPredicate goOn) {
        List<String> troubles = new ArrayList<>();
        try (Connection reading = LogConnections.reading(LogFile.real(log))) {
            reading.setAutoCommit(false);
            ChainCheck.of(reading, troubles::add, goOn);
            return troubles;
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("integrity.the_logbook_could_not_be_checked", SqlWork.plain(e)), e);
        }
    }

    private static void file(Path log, List<String> troubles) {
        try (Connection reading = LogConnections.reading(log)) {
            long damages = new Rows(reading, SqlWork.reading())
                    .query("PRAGMA integrity_check(100)", row -> row.getString(1)).stream()
                            .filter(says -> !says.equals("ok"))
                            .count();
            if (damages > 0) {
                troubles.add(TEXT.get(
                        "integrity.the_file_is_damaged_in_take",
                        (damages == 100 ? TEXT.get("integrity.a_hundred_or_more") : damages),
                        (damages == 1 ? " place" : " places")));
            }
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("integrity.the_logbook_could_not_be_read", SqlWork.plain(e)), e);
        }
    }

    private static void chain(Path log, List<String> troubles) {
        troubles.addAll(chains(log, jobs -> true));
    }

    private static String chained(Path log) {
        try (Connection reading = LogConnections.reading(log)) {
            return new Rows(reading, SqlWork.reading())
                            .query(
                                    "SELECT chained_at, chained_from FROM log WHERE chained_from > 0",
                                    row -> TEXT.get(
                                            "integrity.entries_up_to_number_were_made",
                                            row.getLong(2),
                                            row.getString(1)))
                            .stream()
                            .findFirst()
                            .orElse("");
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("integrity.the_logbook_could_not_be_read", SqlWork.plain(e)), e);
        }
    }

    private static void sheets(SqliteJournal journal, List<String> troubles) {
        journal.sheetNames().stream()
                .filter(name -> journal.sheet(name).isEmpty())
                .forEach(name -> troubles.add(TEXT.get("integrity.the_sheet_by_which_jobs_were", name)));
    }

    private static void workedBy(int job, List<Entry> entries, Set<String> sheets, List<String> troubles) {
        entries.stream()
                .map(Entry::fact)
                .filter(f -> f instanceof Fact.WorkedBy by && !sheets.contains(by.sheet()))
                .map(f -> ((Fact.WorkedBy) f).sheet())
                .distinct()
                .forEach(sheet -> troubles.add(TEXT.get("integrity.job_was_worked_by_the_spec", job, sheet)));
    }

    private static void unread(int job, List<Entry> entries, List<String> troubles) {
        entries.stream()
                .filter(e -> e.fact() instanceof Fact.Unread)
                .forEach(e -> troubles.add(TEXT.get(
                        "integrity.entry_it_is_not_understood_and",
                        ChainCheck.whose(job),
                        e.seq(),
                        ((Fact.Unread) e.fact()).why())));
    }

    private static void read(int job, List<Entry> entries, List<String> troubles) {
        unread(job, entries, troubles);
        try {
            Job.of(entries);
        } catch (JournalException e) {
            troubles.add(e.getMessage());
        } catch (RuntimeException e) {
            troubles.add(TEXT.get("integrity.job_its_entries_do_not_fit", job));
        }
    }

    private static void pictures(Path log, Set<String> names, List<String> troubles) {
        PictureFolder folder = PictureFolder.beside(log);
        for (String name : names) {
            Path file = folder.at(name);
            try {
                if (!Settings.isPicture(name)) {
                    troubles.add(TEXT.get(
                            "integrity.is_not_a_name_that_a",
                            name.replaceAll("\\p{Cntrl}", "?").substring(0, Math.min(60, name.length()))));
                } else if (!Files.exists(file)) {
                    troubles.add(TEXT.get("integrity.the_picture_is_missing_a_backup", name));
                } else if (!folder.unchanged(file)) {
                    troubles.add(TEXT.get("integrity.the_picture_is_not_what_was", name));
                }
            } catch (IOException e) {
                troubles.add(TEXT.get("integrity.the_picture_cannot_be_read", name, Durable.why(e)));
            }
        }
    }
}
