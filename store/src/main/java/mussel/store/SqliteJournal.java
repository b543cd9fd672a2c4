package mussel.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import mussel.core.book.LogBook;
import mussel.core.book.LogKind;
import mussel.core.book.OpenLog;
import mussel.core.job.BenchLines;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.core.measure.OrderedMap;
import mussel.exchange.file.Durable;
import mussel.exchange.log.Chain;

/**
 * The journal in one SQLite file, write-ahead logged and synced at each entry: an entry whose call has returned survives a pulled
 * plug. One process at a time may write; others may read.
 */
public final class SqliteJournal implements OpenLog {
    private static final Messages TEXT = Messages.of(SqliteJournal.class);

    private final Path file;
    private final Connection connection;
    private final Optional<FileChannel> lock;
    private final Clock clock;
    private final SqlWork work;
    private final Optional<LogIdentity> identity;
    private final SqliteBenchLines benchLines;
    private final SqliteLogBook book;
    private final Map<String, String> settings;
    private final EntryStatements prepared;
    private final Rows rows;
    private final SheetTable sheets;
    private final Optional<QueuedEntries> waiting;
    private String whyReadOnly = "";
    private String noticed = "";
    private Optional<SetAsideFiles> kept = Optional.empty();

    private SqliteJournal(
            Path file,
            Connection connection,
            Optional<FileChannel> lock,
            Optional<LogIdentity> identity,
            Optional<QueuedEntries> waiting,
            Clock clock) {
        this.file = file;
        this.waiting = waiting;
        this.connection = connection;
        this.lock = lock;
        this.clock = clock;
        this.identity = identity;
        this.work = new SqlWork(identity.isEmpty(), () -> identity.ifPresent(LogIdentity::check));
        this.prepared = new EntryStatements(connection);
        this.rows = new Rows(connection, work);
        this.sheets = new SheetTable(prepared, rows, work);
        this.benchLines = new SqliteBenchLines(connection, work);
        this.book = new SqliteLogBook(file, connection, work, benchLines);
        this.settings = work.read(this::readSettings);
    }

    /** The settings are wanted before the window shows; they are read again where another hand has decided something. */
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

    /**
     * Opens the file for work, making or migrating it where needed.
     *
     * @throws JournalException with a sentence: open elsewhere, damaged, newer than this program, not writable
     */
    public static SqliteJournal open(Path file, Clock clock) {
        Path path = LogFile.real(file);
        FileChannel lock = LogLock.take(path);
        try {
            String told = WriteAhead.check(path, lock, clock);
            int version = LogFile.inspect(path);
            LogFile.keepPrivate(path);
            if (version < LogFile.SCHEMA_VERSION) {
                if (version > 0) {
                    Backups.of(path, clock).beside("before-version-" + LogFile.SCHEMA_VERSION);
                }
                Schema.migrate(path, clock);
            }
            Connection connection = LogConnections.atOnce(path);
            LogIdentity identity = LogIdentity.of(path, connection);
            WriteAhead.note(lock, identity);
            SqliteJournal journal = new SqliteJournal(
                    path,
                    connection,
                    Optional.of(lock),
                    Optional.of(identity),
                    Optional.of(new QueuedEntries(path, identity.id())),
                    clock);
            journal.noticed = (told + " "
                            + journal.waiting.orElseThrow().bringInOrSetAside(journal::take, SqlWork::refusedForGood))
                    .strip();
            return journal;
        } catch (RuntimeException e) {
            LogLock.closeQuietly(lock, e);
            throw e;
        }
    }

    /**
     * Opens the file for reading beside whoever works in it.
     *
     * @throws JournalException with a sentence when there is nothing to read
     */
    public static SqliteJournal read(Path file, Clock clock) {
        Path path = LogFile.real(file);
        int version = LogFile.inspect(path);
        if (version == 0) {
            throw new JournalException(TEXT.get("sqlite_journal.there_is_no_logbook_yet", path));
        }
        if (version < LogFile.SCHEMA_VERSION) {
            throw new JournalException(TEXT.get("sqlite_journal.the_logbook_is_of_an_earlier", path));
        }
        return new SqliteJournal(
                path, LogConnections.reading(path), Optional.empty(), Optional.empty(), Optional.empty(), clock);
    }

    /**
     * Opens the file for work, or for reading where it cannot be written: on a full disk, or on a share that lets nobody write.
     *
     * @throws JournalException with a sentence when it can be neither written nor read, or is open elsewhere
     */
    public static SqliteJournal openOrRead(Path file, Clock clock) {
        try {
            return open(file, clock);
        } catch (LogLock.OpenElsewhereException e) {
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

    @Override
    public <T> T aside(Function<OpenLog, T> work) {
        Connection own = readOnly() ? LogConnections.reading(file) : LogConnections.writing(file);
        try (SqliteJournal beside = new SqliteJournal(file, own, Optional.empty(), identity, waiting, clock)) {
            try {
                return work.apply(beside);
            } finally {
                waiting.filter(w -> !readOnly()).ifPresent(w -> w.tryBringIn(beside::take));
            }
        }
    }

    /** The file it is in. */
    public Path file() {
        return file;
    }

    @Override
    public String whyReadOnly() {
        return whyReadOnly;
    }

    @Override
    public Entry open(LegRef leg, String by) {
        return entering(Optional.empty(), by, List.of(new Fact.Opened(leg))).get(0);
    }

    @Override
    public Entry append(int job, String by, Fact fact) {
        return append(job, by, List.of(fact)).get(0);
    }

    @Override
    public List<Entry> append(int job, String by, List<Fact> facts) {
        return entering(Optional.of(job), by, facts);
    }

    private List<Entry> entering(Optional<Integer> to, String by, List<Fact> facts) {
        try {
            return orLater(
                    () -> {
                        int job = to.isPresent() ? to.get() : EntryWriter.nextJob(prepared);
                        EntryWriter writer = new EntryWriter(prepared);
                        Instant at = clock.instant();
                        List<Entry> made = new ArrayList<>();
                        for (Fact fact : facts) {
                            made.add(writer.add(job, at, by, fact));
                        }
                        writer.finish();
                        return made;
                    },
                    () -> later(to, by, facts, Map.of()));
        } catch (AdriftException e) {
            int job = to.orElseGet(() -> work.read(() -> EntryWriter.nextJob(prepared)));
            throw keptAside().keep(e, job, by, facts);
        }
    }

    /** Whether this is the journal of the hands at the window, for whom what cannot be written at once waits beside the log. */
    private boolean atOnce() {
        return lock.isPresent();
    }

    private List<Entry> later(Optional<Integer> to, String by, List<Fact> facts, Map<String, String> settings) {
        QueuedEntries wait = waiting.orElseThrow();
        int job = to.map(wait::numberOf)
                .orElseGet(() -> wait.nextJob(work.read(() -> EntryWriter.nextJob(prepared)) - 1));
        return wait.keep(job, clock.instant(), by, facts, work.read(() -> EntryWriter.last(prepared)), settings);
    }

    /** Puts what waits into the log, where nobody else writes. Says whether nothing waits any more. */
    @Override
    public boolean bringInWaiting() {
        return readOnly()
                || waiting.map(w -> !w.some() || w.bringIn(this::take)).orElse(true);
    }

    @Override
    public int numberOf(int job) {
        return waiting.map(w -> w.numberOf(job)).orElse(job);
    }

    private boolean take(QueuedEntries.Change change) {
        try {
            together(() -> {
                new QueuedEntriesWriter(prepared, waiting.orElseThrow()).add(change.entries());
                for (Map.Entry<String, String> setting : change.settings().entrySet()) {
                    keep(setting.getKey(), setting.getValue());
                }
                for (Map.Entry<String, String> sheet : change.sheets().entrySet()) {
                    sheets.keep(sheet.getKey(), sheet.getValue());
                }
                return null;
            });
            settings.putAll(change.settings());
            return true;
        } catch (BusyException e) {
            return false;
        }
    }

    /** All of it or nothing; the transaction says when it begins that it will write. */
    private <T> T together(SqlWork.Work<T> change) {
        return work.write(() -> {
            prepared.change("BEGIN IMMEDIATE");
            try {
                T made = change.run();
                prepared.change("COMMIT");
                return made;
            } catch (SQLException | RuntimeException e) {
                takeBack(e);
                throw e;
            }
        });
    }

    private void takeBack(Exception why) {
        try {
            prepared.change("ROLLBACK");
        } catch (SQLException e) {
            // A full disk has taken the change back by itself already.
            why.addSuppressed(e);
        }
        // The driver lets a statement go that failed, without saying so.
        prepared.release();
    }

    private SetAsideFiles keptAside() {
        if (kept.isEmpty()) {
            SetAsideFiles aside = new SetAsideFiles(file, clock, this::entries);
            prepared.release();
            aside.begin(connection);
            kept = Optional.of(aside);
        }
        return kept.get();
    }

    @Override
    public List<Entry> entries(int job) {
        return waits() ? waiting.orElseThrow().with(job, () -> inLog(job)) : inLog(job);
    }

    private boolean waits() {
        return waiting.map(QueuedEntries::some).orElse(false);
    }

    private List<Entry> inLog(int job) {
        return rows.query(EntryRow.READ + " WHERE job = ? ORDER BY seq", EntryRow::of, job);
    }

    @Override
    public Optional<Job.Mark> mark(int job) {
        if (waits()) {
            List<Entry> all = entries(job);
            return all.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Job.Mark(
                            job, all.size(), all.get(all.size() - 1).seq()));
        }
        return rows
                .query(
                        "SELECT count(*), max(seq) FROM entry WHERE job = ? HAVING count(*) > 0",
                        row -> new Job.Mark(job, row.getInt(1), row.getLong(2)),
                        job)
                .stream()
                .findFirst();
    }

    @Override
    public List<List<Entry>> all() {
        Map<Integer, List<Entry>> jobs = new LinkedHashMap<>();
        rows.query(EntryRow.READ + " WHERE job > 0 ORDER BY seq", EntryRow::of)
                .forEach(e ->
                        jobs.computeIfAbsent(e.job(), j -> new ArrayList<>()).add(e));
        return List.copyOf(jobs.values());
    }

    @Override
    public Changes since(long mark) {
        Set<Integer> jobs =
                new HashSet<>(rows.query("SELECT DISTINCT job FROM entry WHERE seq > ?", row -> row.getInt(1), mark));
        if (jobs.contains(YARD) && !waits()) {
            settings.putAll(work.read(this::readSettings));
        }
        waiting.ifPresent(w -> jobs.addAll(w.jobs()));
        return new Changes(work.read(() -> EntryWriter.last(prepared)), jobs);
    }

    @Override
    public List<Integer> numbers() {
        return rows.query("SELECT DISTINCT job FROM entry WHERE job > 0 ORDER BY job", row -> row.getInt(1));
    }

    @Override
    public List<Integer> jobsBegun(String leg, Instant at) {
        return rows
                .query("SELECT job FROM entry WHERE at = ? ORDER BY job", row -> row.getInt(1), at.toString())
                .stream()
                .distinct()
                .filter(job -> entries(job).get(0).fact() instanceof Fact.Opened opened
                        && opened.leg().id().equals(leg)
                        && entries(job).get(0).at().equals(at))
                .toList();
    }

    @Override
    public void bring(Map<String, String> brought, Consumer<Consumer<Brought>> jobs) {
        together(() -> {
            EntryImport into = new EntryImport(prepared, work, waiting);
            jobs.accept(into::add);
            into.writer().finish();
            for (int job : into.writer().jobs()) {
                readBack(job);
            }
            for (Map.Entry<String, String> setting : brought.entrySet()) {
                keep(setting.getKey(), setting.getValue());
            }
            return null;
        });
        settings.putAll(brought);
    }

    /** What came in must be what the next start reads: a whole job, with as many entries as its head says. */
    private void readBack(int job) throws SQLException {
        List<Entry> entries = inLog(job);
        long wanted = prepared.one("SELECT entries FROM head WHERE job = ?", row -> row.getLong(1), job)
                .orElse(0L);
        if (entries.size() != wanted || job != YARD && Job.of(entries).id() != job) {
            throw new JournalException(TEXT.get("sqlite_journal.job_would_not_be_whole_once", job));
        }
    }

    @Override
    public Map<String, String> settings() {
        return OrderedMap.copyOf(settings);
    }

    @Override
    public String setting(String key, String fallback) {
        return settings.getOrDefault(key, fallback);
    }

    @Override
    public void keepSetting(String key, String value) {
        orLater(
                () -> {
                    keep(key, value);
                    return null;
                },
                () -> later(Optional.of(YARD), "", List.of(), Map.of(key, value)));
        settings.put(key, value);
    }

    /** Writes at once, or keeps what is to be written beside the log while somebody else writes to it. */
    private <T> T orLater(SqlWork.Work<T> change, Supplier<T> later) {
        try {
            return bringInWaiting() ? together(change) : later.get();
        } catch (BusyException e) {
            if (!atOnce()) {
                throw e;
            }
            return later.get();
        }
    }

    @Override
    public Entry decide(String by, Fact fact, String key, String value) {
        Entry made = orLater(
                () -> {
                    EntryWriter writer = new EntryWriter(prepared);
                    Entry entry = writer.add(YARD, clock.instant(), by, fact);
                    writer.finish();
                    keep(key, value);
                    return entry;
                },
                () -> later(Optional.of(YARD), by, List.of(fact), Map.of(key, value))
                        .get(0));
        settings.put(key, value);
        return made;
    }

    @Override
    public void keepSheet(String name, String text) {
        orLater(
                () -> {
                    sheets.keep(name, text);
                    return null;
                },
                () -> {
                    waiting.orElseThrow().keepSheet(name, text);
                    return null;
                });
    }

    @Override
    public Optional<String> sheet(String name) {
        return waiting.flatMap(w -> w.sheet(name)).or(() -> sheets.text(name));
    }

    @Override
    public List<String> sheetNames() {
        return sheets.names();
    }

    private void keep(String key, String value) throws SQLException {
        byte[] sum = EntryWriter.Seal.of(prepared).settings();
        Optional<String> before = prepared.one("SELECT value FROM setting WHERE key = ?", row -> row.getString(1), key);
        if (before.isPresent()) {
            sum = Chain.sum(sum, ChainMigration.settingDigest(key, before.get()));
        }
        prepared.change("INSERT OR REPLACE INTO setting (key, value) VALUES (?, ?)", key, value);
        prepared.change("UPDATE seal SET settings = ?", Chain.sum(sum, ChainMigration.settingDigest(key, value)));
    }

    @Override
    public void forgetDerived() {
        rows.together(() -> {
            for (String table : List.of(
                    "visit",
                    "renewal",
                    "expectation",
                    "search",
                    "bench_line",
                    "bench_due",
                    "bench_shelf",
                    "shelf_now",
                    "due_now",
                    "bench_outline",
                    "owed")) {
                rows.update("DELETE FROM " + table);
            }
            // Another hand may have moved the counter of the entries.
            rows.update(
                    "UPDATE sqlite_sequence SET seq = (SELECT coalesce(max(seq), 0) FROM entry) WHERE name = 'entry'");
            rows.update("INSERT INTO owed SELECT job, max(seq) FROM entry WHERE job > 0 GROUP BY job");
        });
        // Without the stamp of the sheets the outlines are drawn anew too.
        keepSetting(Settings.BENCH_STAMP, "");
    }

    @Override
    public void mark(LogKind kind) {
        rows.together(() -> {
            rows.update("UPDATE log SET demo = ?", kind.ordinal());
            byte[] sealed =
                    rows.query(SealMigration.LOG, SealMigration::logDigest).get(0);
            rows.update("UPDATE seal SET log = ?", sealed);
        });
    }

    @Override
    public LogKind kind() {
        return work.read(() -> LogKind.of(
                prepared.one("SELECT demo FROM log", row -> row.getInt(1)).orElseThrow()));
    }

    @Override
    public String noticed() {
        return noticed;
    }

    @Override
    public BenchLines benchLines() {
        return benchLines;
    }

    @Override
    public LogBook book() {
        return book;
    }

    @Override
    public boolean readOnly() {
        return work.readOnly();
    }

    /** A journal that went adrift is let go without closing: that would write what waits into whatever lies there now. */
    @Override
    public void close() {
        try {
            if (identity.isPresent() && identity.get().adrift()) {
                return;
            }
            if (atOnce()) {
                bringInWaiting();
            }
            connection.close();
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("sqlite_journal.the_logbook_could_not_be_closed", SqlWork.plain(e)), e);
        }
        try {
            if (lock.isPresent()) {
                if (identity.isPresent()) {
                    identity.get().close();
                }
                lock.get().close();
            }
        } catch (IOException e) {
            throw new JournalException(TEXT.get("sqlite_journal.the_logbooks_lock_could_not_be", Durable.why(e)), e);
        }
    }
}
