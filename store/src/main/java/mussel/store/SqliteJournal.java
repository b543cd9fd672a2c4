package mussel.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.exchange.job.FactJson;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteException;

/**
 * The journal in one SQLite file, write-ahead logged and synced at each entry: an entry whose call has returned survives a pulled
 * plug. One process at a time may write; others may read.
 */
public final class SqliteJournal implements Journal {
    private static final String READ = "SELECT seq, job, at, by, fact FROM entry";

    private final Handle handle;
    private final Optional<FileChannel> lock;
    private final Clock clock;

    private SqliteJournal(Handle handle, Optional<FileChannel> lock, Clock clock) {
        this.handle = handle;
        this.lock = lock;
        this.clock = clock;
    }

    /**
     * Opens the file for work, making or migrating it where needed.
     *
     * @throws JournalException with a sentence: open elsewhere, damaged, newer than this program, not writable
     */
    public static SqliteJournal open(Path file, Clock clock) {
        Path path = file.toAbsolutePath();
        FileChannel lock = lock(path);
        try {
            int version = LogFile.inspect(path);
            if (version < LogFile.SCHEMA_VERSION) {
                migrate(path);
            }
            return new SqliteJournal(connect(path, ""), Optional.of(lock), clock);
        } catch (RuntimeException e) {
            closeQuietly(lock, e);
            throw e;
        }
    }

    /**
     * Opens the file for reading beside whoever works in it.
     *
     * @throws JournalException with a sentence when there is nothing to read
     */
    public static SqliteJournal read(Path file, Clock clock) {
        Path path = file.toAbsolutePath();
        if (LogFile.inspect(path) == 0) {
            throw new JournalException("There is no logbook " + path + " yet.");
        }
        return new SqliteJournal(connect(path, "?mode=ro"), Optional.empty(), clock);
    }

    private static FileChannel lock(Path file) {
        try {
            Files.createDirectories(file.getParent());
            FileChannel channel = LogFile.lockChannel(file);
            try {
                if (channel.tryLock() != null) {
                    return channel;
                }
            } catch (OverlappingFileLockException e) {
                closeQuietly(channel, e);
                throw openElsewhere(file, e);
            }
            channel.close();
            throw openElsewhere(file, null);
        } catch (IOException e) {
            throw new JournalException(
                    "The folder of the logbook " + file + " cannot be written: " + e.getMessage()
                            + ". Choose another with --log.",
                    e);
        }
    }

    private static JournalException openElsewhere(Path file, Throwable cause) {
        return new JournalException(
                "The logbook " + file + " is open in another Mussel. Go to that window, or close it first.", cause);
    }

    private static void closeQuietly(AutoCloseable resource, Exception cause) {
        try {
            resource.close();
        } catch (Exception e) {
            cause.addSuppressed(e);
        }
    }

    private static void migrate(Path file) {
        try {
            Flyway.configure(SqliteJournal.class.getClassLoader())
                    .dataSource("jdbc:sqlite:" + file, "", "")
                    .locations("classpath:mussel/store/migration")
                    .load()
                    .migrate();
        } catch (FlywayException e) {
            throw new JournalException(
                    "The logbook " + file + " could not be brought up to date: " + e.getMessage(), e);
        }
    }

    private static Handle connect(Path file, String mode) {
        try {
            boolean reading = !mode.isEmpty();
            Connection connection =
                    DriverManager.getConnection("jdbc:sqlite:" + (reading ? file.toUri() + mode : file.toString()));
            Handle handle = Jdbi.create(() -> connection).open();
            handle.execute("PRAGMA busy_timeout = 5000");
            if (!reading) {
                handle.execute("PRAGMA journal_mode = WAL");
                handle.execute("PRAGMA synchronous = FULL");
            }
            return handle;
        } catch (SQLException | JdbiException e) {
            throw new JournalException("The logbook " + file + " cannot be opened: " + plain(e) + ".", e);
        }
    }

    @Override
    public Entry open(LegRef leg, String by) {
        return write(() -> handle.inTransaction(h -> {
            int job = h.createQuery("SELECT coalesce(max(job), 0) + 1 FROM entry")
                    .mapTo(Integer.class)
                    .one();
            return insert(h, job, by, new Fact.Opened(leg));
        }));
    }

    @Override
    public Entry append(int job, String by, Fact fact) {
        return write(() -> handle.inTransaction(h -> insert(h, job, by, fact)));
    }

    private Entry insert(Handle h, int job, String by, Fact fact) {
        Instant at = clock.instant();
        long seq = h.createUpdate("INSERT INTO entry (job, at, by, fact) VALUES (:job, :at, :by, :fact)")
                .bind("job", job)
                .bind("at", at.toString())
                .bind("by", by)
                .bind("fact", FactJson.write(fact))
                .executeAndReturnGeneratedKeys("seq")
                .mapTo(Long.class)
                .one();
        return new Entry(seq, job, at, by, fact);
    }

    @Override
    public List<Entry> entries(int job) {
        return read(() -> handle.createQuery(READ + " WHERE job = :job ORDER BY seq")
                .bind("job", job)
                .map((row, context) -> entry(row))
                .list());
    }

    @Override
    public List<List<Entry>> all() {
        Map<Integer, List<Entry>> jobs = new LinkedHashMap<>();
        read(() -> handle.createQuery(READ + " ORDER BY seq")
                        .map((row, context) -> entry(row))
                        .list())
                .forEach(e ->
                        jobs.computeIfAbsent(e.job(), j -> new ArrayList<>()).add(e));
        return List.copyOf(jobs.values());
    }

    private static Entry entry(java.sql.ResultSet row) throws SQLException {
        return new Entry(
                row.getLong("seq"),
                row.getInt("job"),
                Instant.parse(row.getString("at")),
                row.getString("by"),
                FactJson.read(row.getString("fact")));
    }

    @Override
    public String setting(String key, String fallback) {
        return read(() -> handle.createQuery("SELECT value FROM setting WHERE key = :key")
                .bind("key", key)
                .mapTo(String.class)
                .findOne()
                .orElse(fallback));
    }

    @Override
    public void keepSetting(String key, String value) {
        write(() -> handle.createUpdate(
                        "INSERT INTO setting (key, value) VALUES (:key, :value) ON CONFLICT (key) DO UPDATE SET value = :value")
                .bind("key", key)
                .bind("value", value)
                .execute());
    }

    @Override
    public boolean readOnly() {
        return lock.isEmpty();
    }

    @Override
    public void close() {
        handle.close();
        try {
            if (lock.isPresent()) {
                lock.get().close();
            }
        } catch (IOException e) {
            throw new JournalException("The logbook's lock could not be released: " + e.getMessage(), e);
        }
    }

    private interface Work<T> {
        T run();
    }

    private <T> T write(Work<T> work) {
        if (readOnly()) {
            throw new JournalException("The logbook is open for reading only. Nothing was written.");
        }
        try {
            return work.run();
        } catch (JdbiException e) {
            throw new JournalException(
                    "That could not be written to the logbook: " + plain(e) + ". Type it again once that is mended.",
                    e);
        }
    }

    private <T> T read(Work<T> work) {
        try {
            return work.run();
        } catch (JdbiException | IllegalArgumentException | java.time.DateTimeException e) {
            throw new JournalException("The logbook could not be read: " + plain(e) + ".", e);
        }
    }

    /** What SQLite says, in a technician's words. */
    private static String plain(Throwable e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof SQLiteException sqlite) {
                return switch (sqlite.getResultCode()) {
                    case SQLITE_FULL -> "the disk is full";
                    case SQLITE_READONLY, SQLITE_PERM, SQLITE_CANTOPEN -> "the file may not be written";
                    case SQLITE_BUSY, SQLITE_LOCKED -> "another program holds the file";
                    case SQLITE_CORRUPT, SQLITE_NOTADB -> "the file is damaged";
                    default -> sqlite.getResultCode().message;
                };
            }
        }
        return e.getMessage();
    }
}
