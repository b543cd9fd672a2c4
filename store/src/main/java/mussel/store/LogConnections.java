package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import org.sqlite.SQLiteConfig;

/** Connections to a log file: for work, or for reading beside whoever works in it. */
final class LogConnections {
    private static final Messages TEXT = Messages.of(LogConnections.class);

    private static final int AT_ONCE_MS = 50;
    private static final int TRIES = 4;
    private static final long BETWEEN_NANOS = TimeUnit.MILLISECONDS.toNanos(40);

    private LogConnections() {}

    /**
     * A connection that cannot write. Where even the files beside the log cannot be made, as on a full disk or a share for reading, the log
     * is read as it lies, unless entries wait in its write-ahead file.
     */
    static Connection reading(Path file) {
        try {
            for (int tries = 1; ; tries++) {
                Connection connection = connect("jdbc:sqlite:" + file.toUri() + "?mode=ro", new SQLiteConfig(), file);
                try (Statement probe = connection.createStatement()) {
                    probe.executeQuery("SELECT count(*) FROM sqlite_master").close();
                    return connection;
                } catch (SQLException e) {
                    connection.close();
                    boolean others = Files.exists(file.resolveSibling(file.getFileName() + "-wal"));
                    if (others && tries < TRIES) {
                        // The last one who wrote is just closing it, or the first just opening.
                        LockSupport.parkNanos(BETWEEN_NANOS);
                        continue;
                    }
                    if (LogFile.hasPendingLog(file)) {
                        throw e;
                    }
                    return connect("jdbc:sqlite:" + file.toUri() + "?immutable=1", new SQLiteConfig(), file);
                }
            }
        } catch (SQLException | IOException e) {
            throw unopened(file, e);
        }
    }

    /** The same for the hands at the window, which wait for no other writer: what they enter meanwhile is kept beside the log. */
    static Connection atOnce(Path file) {
        Connection connection = writing(file);
        try (Statement pragma = connection.createStatement()) {
            pragma.execute("PRAGMA busy_timeout = " + AT_ONCE_MS);
            return connection;
        } catch (SQLException e) {
            throw unopened(file, e);
        }
    }

    /** A connection for work. A transaction says when it begins that it will write: beside another writer it waits then, and does not fail later. */
    static Connection writing(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setTransactionMode(SQLiteConfig.TransactionMode.IMMEDIATE);
        Connection connection = connect("jdbc:sqlite:" + file.toUri(), config, file);
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

    static JournalException unopened(Path file, Exception e) {
        return new JournalException(
                TEXT.get("log_connections.the_logbook_cannot_be_opened", file, SqlWork.plain(e)), e);
    }
}
