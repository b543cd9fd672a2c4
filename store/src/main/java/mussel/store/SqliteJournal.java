package mussel.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import mussel.core.book.LogBook;
import mussel.core.job.BenchLines;
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
import org.jdbi.v3.core.statement.PreparedBatch;
import org.sqlite.SQLiteConfig;

/**
 * The journal in one SQLite file, write-ahead logged and synced at each entry: an entry whose call has returned survives a pulled
 * plug. One process at a time may write; others may read.
 */
public final class SqliteJournal implements Journal {
    private static final String READ = "SELECT seq, job, at, by, fact FROM entry";

    private final Path file;
    private final Connection connection;
    private final Optional<FileChannel> lock;
    private final Clock clock;
    private final SqlWork work;
    private final SqliteBenchLines benchLines;
    private final SqliteLogBook book;
    private final Map<String, String> settings;
    private String whyReadOnly = "";
    private Handle mapped;

    private SqliteJournal(Path file, Connection connection, Optional<FileChannel> lock, SqlWork work, Clock clock) {
        this.file = file;
        this.connection = connection;
        this.lock = lock;
        this.clock = clock;
        this.work = work;
        this.benchLines = new SqliteBenchLines(connection, work);
        this.book = new SqliteLogBook(file, connection, work, benchLines);
        this.settings = work.read(this::readSettings);
    }

    /** The settings are wanted before the window shows, and only this process changes them. */
    private Map<String, String> readSettings() throws SQLException {
        Map<String, String> read = new HashMap<>();
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT key, value FROM setting")) {
            while (row.next()) {
                read.put(row.getString(1), row.getString(2));
            }
        }
        return read;
    }

    /** The mapper, made when the first entries are asked for: the bench does without. */
    private Handle handle() {
        if (mapped == null) {
            mapped = Jdbi.create(() -> connection).open();
        }
        return mapped;
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
                if (version > 0) {
                    Backups.of(path, clock).beside("before-version-" + LogFile.SCHEMA_VERSION);
                }
                migrate(path);
            }
            return new SqliteJournal(path, writing(path), Optional.of(lock), new SqlWork(false), clock);
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
        int version = LogFile.inspect(path);
        if (version == 0) {
            throw new JournalException("There is no logbook " + path + " yet.");
        }
        if (version < LogFile.SCHEMA_VERSION) {
            throw new JournalException("The logbook " + path
                    + " is of an earlier Mussel. Open it once in the window, which brings it up to date.");
        }
        return new SqliteJournal(path, reading(path), Optional.empty(), new SqlWork(true), clock);
    }

    /**
     * Does work on a connection of its own to the same file, on whatever thread it is called. What it writes is seen here once it is written;
     * settings are the exception: they are known only to the journal that keeps them.
     */
    public <T> T aside(Function<SqliteJournal, T> ask) {
        Connection own = readOnly() ? reading(file) : writing(file);
        try (SqliteJournal beside = new SqliteJournal(file, own, Optional.empty(), work, clock)) {
            return ask.apply(beside);
        }
    }

    /** Takes the right to write to a log until the channel is closed. */
    static FileChannel lock(Path file) {
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

    /**
     * Opens the file for work, or for reading where it cannot be written: on a full disk, or on a share that lets nobody write.
     *
     * @throws JournalException with a sentence when it can be neither written nor read, or is open elsewhere
     */
    public static SqliteJournal openOrRead(Path file, Clock clock) {
        try {
            return open(file, clock);
        } catch (OpenElsewhereException e) {
            throw e;
        } catch (JournalException e) {
            try {
                SqliteJournal reading = read(file, clock);
                reading.whyReadOnly = e.getMessage();
                return reading;
            } catch (JournalException again) {
                e.addSuppressed(again);
                throw e;
            }
        }
    }

    /** The file it is in. */
    public Path file() {
        return file;
    }

    /** Why it was opened for reading only; empty where it can be written. */
    public String whyReadOnly() {
        return whyReadOnly;
    }

    private static final class OpenElsewhereException extends JournalException {
        private static final long serialVersionUID = 1L;

        OpenElsewhereException(String message, Throwable cause) {
            super(message, cause);
        }
    }

    private static JournalException openElsewhere(Path file, Throwable cause) {
        return new OpenElsewhereException(
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

    /**
     * A connection that cannot write. Where even the files beside the log cannot be made, as on a full disk or a share for reading, the log
     * is read as it lies, unless entries wait in its write-ahead file.
     */
    static Connection reading(Path file) {
        try {
            Connection connection = connect("jdbc:sqlite:" + file.toUri() + "?mode=ro", new SQLiteConfig(), file);
            try (Statement probe = connection.createStatement()) {
                probe.executeQuery("SELECT count(*) FROM sqlite_master").close();
                return connection;
            } catch (SQLException e) {
                connection.close();
                if (LogFile.hasPendingLog(file)) {
                    throw e;
                }
                return connect("jdbc:sqlite:" + file.toUri() + "?immutable=1", new SQLiteConfig(), file);
            }
        } catch (SQLException | IOException e) {
            throw unopened(file, e);
        }
    }

    /** A connection for work. A transaction says when it begins that it will write: beside another writer it waits then, and does not fail later. */
    private static Connection writing(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setTransactionMode(SQLiteConfig.TransactionMode.IMMEDIATE);
        Connection connection = connect("jdbc:sqlite:" + file, config, file);
        try (Statement pragma = connection.createStatement()) {
            pragma.execute("PRAGMA journal_mode = WAL");
            pragma.execute("PRAGMA synchronous = FULL");
            return connection;
        } catch (SQLException e) {
            throw unopened(file, e);
        }
    }

    private static Connection connect(String url, SQLiteConfig config, Path file) {
        try {
            Connection connection = DriverManager.getConnection(url, config.toProperties());
            try (Statement pragma = connection.createStatement()) {
                pragma.execute("PRAGMA busy_timeout = 5000");
            }
            return connection;
        } catch (SQLException e) {
            throw unopened(file, e);
        }
    }

    private static JournalException unopened(Path file, Exception e) {
        return new JournalException("The logbook " + file + " cannot be opened: " + SqlWork.plain(e) + ".", e);
    }

    @Override
    public Entry open(LegRef leg, String by) {
        return work.write(() -> handle().inTransaction(h -> {
            int job = h.createQuery("SELECT coalesce(max(job), 0) + 1 FROM entry")
                    .mapTo(Integer.class)
                    .one();
            return insert(h, job, by, new Fact.Opened(leg));
        }));
    }

    @Override
    public Entry append(int job, String by, Fact fact) {
        return work.write(() -> handle().inTransaction(h -> insert(h, job, by, fact)));
    }

    @Override
    public List<Entry> append(int job, String by, List<Fact> facts) {
        return work.write(() -> handle().inTransaction(h ->
                facts.stream().map(fact -> insert(h, job, by, fact)).toList()));
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
        return work.read(() -> handle().createQuery(READ + " WHERE job = :job ORDER BY seq")
                .bind("job", job)
                .map((row, context) -> entry(row))
                .list());
    }

    @Override
    public List<List<Entry>> all() {
        Map<Integer, List<Entry>> jobs = new LinkedHashMap<>();
        work.read(() -> handle().createQuery(READ + " ORDER BY seq")
                        .map((row, context) -> entry(row))
                        .list())
                .forEach(e ->
                        jobs.computeIfAbsent(e.job(), j -> new ArrayList<>()).add(e));
        return List.copyOf(jobs.values());
    }

    @Override
    public List<Integer> numbers() {
        return work.read(() -> handle().createQuery("SELECT DISTINCT job FROM entry ORDER BY job")
                .mapTo(Integer.class)
                .list());
    }

    @Override
    public List<Integer> jobsBegun(String leg, Instant at) {
        return work
                .read(() -> handle().createQuery("SELECT job FROM entry WHERE at = :at ORDER BY job")
                        .bind("at", at.toString())
                        .mapTo(Integer.class)
                        .list())
                .stream()
                .distinct()
                .filter(job -> entries(job).get(0).fact() instanceof Fact.Opened opened
                        && opened.leg().id().equals(leg)
                        && entries(job).get(0).at().equals(at))
                .toList();
    }

    @Override
    public void bring(Consumer<Consumer<Brought>> jobs) {
        work.write(() -> {
            handle().useTransaction(h -> {
                Bringing into = new Bringing(h);
                jobs.accept(into::add);
                into.write();
            });
            return null;
        });
    }

    /** Entries on their way in: written a few thousand at a time, so that a log of any size goes through. */
    private static final class Bringing {
        private static final int AT_ONCE = 4_000;

        private final PreparedBatch batch;
        private final boolean keepNumbers;
        private long next;

        Bringing(Handle h) {
            long last = h.createQuery("SELECT coalesce(max(seq), 0) FROM entry")
                    .mapTo(Long.class)
                    .one();
            batch = h.prepareBatch("INSERT INTO entry (seq, job, at, by, fact) VALUES (?, ?, ?, ?, ?)");
            keepNumbers = last == 0;
            next = last + 1;
        }

        void add(Brought job) {
            Map<Long, Long> numbers = new HashMap<>(job.known());
            for (Entry entry : job.entries()) {
                long seq = keepNumbers ? entry.seq() : next++;
                Fact fact = entry.fact() instanceof Fact.Retracted back
                        ? new Fact.Retracted(numbers.getOrDefault(back.entry(), 0L))
                        : entry.fact();
                batch.add(seq, job.job(), entry.at().toString(), entry.by(), FactJson.write(fact));
                numbers.put(entry.seq(), seq);
            }
            if (batch.size() >= AT_ONCE) {
                write();
            }
        }

        void write() {
            if (batch.size() > 0) {
                batch.execute();
            }
        }
    }

    @Override
    public Map<String, String> settings() {
        return Map.copyOf(settings);
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
        return settings.getOrDefault(key, fallback);
    }

    @Override
    public void keepSetting(String key, String value) {
        work.write(() -> handle().createUpdate(
                        "INSERT INTO setting (key, value) VALUES (:key, :value) ON CONFLICT (key) DO UPDATE SET value = :value")
                .bind("key", key)
                .bind("value", value)
                .execute());
        settings.put(key, value);
    }

    @Override
    public BenchLines benchLines() {
        return benchLines;
    }

    /** The yard's book beside the journal. */
    public LogBook book() {
        return book;
    }

    @Override
    public boolean readOnly() {
        return work.readOnly();
    }

    @Override
    public void close() {
        try {
            connection.close();
        } catch (SQLException e) {
            throw new JournalException("The logbook could not be closed: " + SqlWork.plain(e) + ".", e);
        }
        try {
            if (lock.isPresent()) {
                lock.get().close();
            }
        } catch (IOException e) {
            throw new JournalException("The logbook's lock could not be released: " + e.getMessage(), e);
        }
    }
}
