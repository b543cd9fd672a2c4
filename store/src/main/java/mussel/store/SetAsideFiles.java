package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.log.LogJson;

/**
 * What is kept beside a logbook that went adrift under an open window: all it held, as far as that can still be read, and each job that somebody
 * goes on with, as a file that can be taken in.
 */
final class SetAsideFiles {
    private static final Messages TEXT = Messages.of(SetAsideFiles.class);

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

    private final Path log;
    private final Clock clock;
    private final IntFunction<List<Entry>> known;
    private final String stem;
    private final Map<Integer, List<Entry>> jobs = new LinkedHashMap<>();
    private final List<String> kept = new ArrayList<>();
    private long next;

    SetAsideFiles(Path log, Clock clock, IntFunction<List<Entry>> known) {
        this.log = log;
        this.clock = clock;
        this.known = known;
        this.stem = log.getFileName() + ".kept-" + LocalDateTime.now(clock).format(STAMP);
    }

    /** Saves what the open connection still shows, and takes the write-ahead file out of the way of whatever lies there now. */
    void begin(Connection connection) {
        Path whole = log.resolveSibling(stem + ".mussel");
        try (Statement statement = connection.createStatement()) {
            Durable.begin(whole);
            statement.execute("VACUUM INTO '" + whole.toString().replace("'", "''") + "'");
            kept.add(TEXT.get("set_aside_files.all_that_was_in_it_is", whole));
        } catch (SQLException | IOException e) {
            whole.toFile().delete();
        }
        Path wal = log.resolveSibling(log.getFileName() + "-wal");
        try {
            if (Files.exists(wal)) {
                Files.move(wal, log.resolveSibling(stem + "-wal"));
            }
            Files.deleteIfExists(log.resolveSibling(log.getFileName() + "-shm"));
        } catch (IOException e) {
            kept.add(TEXT.get("set_aside_files.take_the_file_away_before_anything", wal.getFileName()));
        }
    }

    /** Keeps entries that the logbook cannot take, and says so. */
    JournalException keep(AdriftException why, int job, String by, List<Fact> facts) {
        List<Entry> entries = jobs.computeIfAbsent(job, this::before);
        for (Fact fact : facts) {
            next = Math.max(
                            next,
                            entries.isEmpty()
                                    ? 0
                                    : entries.get(entries.size() - 1).seq())
                    + 1;
            entries.add(new Entry(next, job, clock.instant(), by, fact));
        }
        Path file = log.resolveSibling(stem + ".json");
        String where;
        try {
            Durable.write(file, out -> LogJson.write(Map.of(), List.copyOf(jobs.values()), out));
            where = TEXT.get("set_aside_files.what_you_enter_is_not_in", file);
        } catch (IOException e) {
            where = TEXT.get("set_aside_files.what_you_enter_is_not_in_2", Durable.why(e));
        }
        return new JournalException(why.getMessage() + " " + String.join(" ", kept) + " " + where, why);
    }

    private List<Entry> before(int job) {
        try {
            return new ArrayList<>(known.apply(job));
        } catch (JournalException e) {
            return new ArrayList<>();
        }
    }
}
