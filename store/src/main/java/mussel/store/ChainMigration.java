package mussel.store;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mussel.core.language.Messages;
import mussel.exchange.log.Chain;
import org.flywaydb.core.api.migration.Context;

/**
 * Version 7: entries carry their seal and link, jobs their head, the list its count and sum. What was entered before is chained as it stands; since
 * when is written down with it. The log gets an identity of its own.
 */
final class ChainMigration extends LogMigration {
    private static final Messages TEXT = Messages.of(ChainMigration.class);

    private static final int AT_ONCE = 4_000;

    private static final List<String> BEFORE = List.of(
            "DROP TRIGGER entry_is_never_changed",
            "ALTER TABLE entry ADD COLUMN hash BLOB",
            "CREATE TABLE head (job INTEGER PRIMARY KEY, entries INTEGER NOT NULL, last INTEGER NOT NULL, link BLOB NOT NULL)",
            "CREATE TABLE seal (nr INTEGER PRIMARY KEY CHECK (nr = 1), jobs INTEGER NOT NULL, entries INTEGER NOT NULL,"
                    + " heads BLOB NOT NULL, settings BLOB NOT NULL)",
            "CREATE TABLE log (nr INTEGER PRIMARY KEY CHECK (nr = 1), id TEXT NOT NULL, chained_at TEXT NOT NULL,"
                    + " chained_from INTEGER NOT NULL, demo INTEGER NOT NULL)");

    private static final List<String> AFTER = List.of(
            "CREATE TRIGGER entry_is_never_changed BEFORE UPDATE ON entry\nBEGIN\n"
                    + "    SELECT RAISE(ABORT, 'the journal is append-only');\nEND",
            "PRAGMA user_version = 7");

    private final Instant now;

    ChainMigration(Instant now) {
        super("7", "entries are chained");
        this.now = now;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection log = context.getConnection();
        run(log, BEFORE);
        Totals totals = new Totals();
        chain(log, totals);
        try (PreparedStatement seal = log.prepareStatement("INSERT INTO seal VALUES (1, ?, ?, ?, ?)")) {
            seal.setLong(1, totals.jobs);
            seal.setLong(2, totals.entries);
            seal.setBytes(3, totals.heads);
            seal.setBytes(4, settings(log));
            seal.executeUpdate();
        }
        try (PreparedStatement id = log.prepareStatement("INSERT INTO log VALUES (1, ?, ?, ?, 0)")) {
            id.setString(1, UUID.randomUUID().toString());
            id.setString(2, now.toString());
            id.setLong(3, totals.last);
            id.executeUpdate();
        }
        run(log, AFTER);
    }

    private static void run(Connection log, List<String> statements) throws SQLException {
        try (Statement statement = log.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        }
    }

    /** What all jobs come to. */
    private static final class Totals {
        private long jobs;
        private long entries;
        private long last;
        private byte[] heads = Chain.start();
    }

    private static void chain(Connection log, Totals totals) throws SQLException {
        try (Statement statement = log.createStatement();
                ResultSet row = statement.executeQuery("SELECT seq, job, at, by, fact FROM entry ORDER BY job, seq");
                PreparedStatement seal = log.prepareStatement("UPDATE entry SET hash = ? WHERE seq = ?");
                PreparedStatement head = log.prepareStatement("INSERT INTO head VALUES (?, ?, ?, ?)")) {
            Head at = null;
            int waiting = 0;
            while (row.next()) {
                int job = row.getInt(2);
                if (at == null || at.job() != job) {
                    close(at, head, totals);
                    at = Head.before(job);
                }
                byte[] own = Chain.seal(row.getLong(1), job, row.getString(3), row.getString(4), row.getString(5));
                at = at.with(row.getLong(1), own);
                seal.setBytes(1, Chain.carried(own, at.link()));
                seal.setLong(2, row.getLong(1));
                seal.addBatch();
                totals.last = Math.max(totals.last, row.getLong(1));
                waiting++;
                if (waiting == AT_ONCE) {
                    seal.executeBatch();
                    head.executeBatch();
                    waiting = 0;
                }
            }
            close(at, head, totals);
            seal.executeBatch();
            head.executeBatch();
        }
    }

    private static void close(Head at, PreparedStatement head, Totals totals) throws SQLException {
        if (at != null) {
            head.setInt(1, at.job());
            head.setLong(2, at.entries());
            head.setLong(3, at.last());
            head.setBytes(4, at.link());
            head.addBatch();
            totals.jobs++;
            totals.entries += at.entries();
            totals.heads = Chain.sum(totals.heads, at.digest());
        }
    }

    private static byte[] settings(Connection log) throws SQLException {
        byte[] sum = Chain.start();
        try (Statement statement = log.createStatement();
                ResultSet row = statement.executeQuery("SELECT key, value FROM setting")) {
            while (row.next()) {
                sum = Chain.sum(sum, settingDigest(row.getString(1), row.getString(2)));
            }
        }
        return sum;
    }

    /** A setting's part of the sum of all. */
    static byte[] settingDigest(String key, String value) {
        return Chain.digest(key.getBytes(StandardCharsets.UTF_8), value.getBytes(StandardCharsets.UTF_8));
    }
}
