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
import java.util.Set;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.JournalException;

/**
 * What a full check of a logbook found.
 *
 * @param jobs how many jobs
 * @param entries how many entries
 * @param pictures how many pictures they name
 * @param stale jobs whose derived lines must be made anew; the next start does
 * @param troubles what is wrong, in sentences; empty where all is sound
 */
public record Integrity(int jobs, long entries, int pictures, int stale, List<String> troubles) {
    /** Keeps its own copy. */
    public Integrity {
        troubles = List.copyOf(troubles);
    }

    /**
     * Checks the file, every entry, every job, every picture. Reads only.
     *
     * @throws JournalException when it cannot be read at all
     */
    public static Integrity of(Path log, Clock clock) {
        List<String> troubles = new ArrayList<>();
        try (Connection reading = SqliteJournal.reading(log.toAbsolutePath())) {
            new Rows(reading, new SqlWork(true))
                    .query("PRAGMA integrity_check", row -> row.getString(1)).stream()
                            .filter(says -> !says.equals("ok"))
                            .forEach(says -> troubles.add("The file is damaged: " + says));
        } catch (SQLException e) {
            throw new JournalException("The logbook could not be read: " + SqlWork.plain(e) + ".", e);
        }
        Set<String> pictures = new HashSet<>();
        int jobs = 0;
        long entries = 0;
        try (SqliteJournal journal = SqliteJournal.read(log, clock)) {
            for (int job : journal.numbers()) {
                jobs++;
                try {
                    List<Entry> of = journal.entries(job);
                    entries += of.size();
                    of.stream()
                            .map(Entry::fact)
                            .filter(Fact.Pictured.class::isInstance)
                            .forEach(p -> pictures.add(((Fact.Pictured) p).file()));
                    Job.of(of);
                } catch (RuntimeException e) {
                    troubles.add("Job " + job + " cannot be read: " + e.getMessage());
                }
            }
            int stale = journal.book().stale().size();
            pictures(log, pictures, troubles);
            return new Integrity(jobs, entries, pictures.size(), stale, troubles);
        }
    }

    private static void pictures(Path log, Set<String> names, List<String> troubles) {
        PictureFolder folder = PictureFolder.beside(log);
        for (String name : names) {
            Path file = folder.at(name);
            try {
                if (!Files.exists(file)) {
                    troubles.add("The picture " + name + " is missing. A backup may have it.");
                } else if (!folder.unchanged(file)) {
                    troubles.add("The picture " + name + " is not what was put in. A backup may have it.");
                }
            } catch (IOException e) {
                troubles.add("The picture " + name + " cannot be read: " + e.getMessage() + ".");
            }
        }
    }
}
