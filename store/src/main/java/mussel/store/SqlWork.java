package mussel.store;

import java.io.IOException;
import java.sql.SQLException;
import mussel.core.job.JournalException;
import mussel.exchange.file.Durable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** Runs work on the database and says in a sentence why it failed. */
final class SqlWork {
    private final boolean readOnly;
    private final Runnable guard;

    /** Work that reads. */
    static SqlWork reading() {
        return new SqlWork(true, () -> {});
    }

    /**
     * Work on a log.
     *
     * @param guard asked before anything is written; throws a JournalException where it may not be
     */
    SqlWork(boolean readOnly, Runnable guard) {
        this.readOnly = readOnly;
        this.guard = guard;
    }

    interface Work<T> {
        T run() throws SQLException;
    }

    boolean readOnly() {
        return readOnly;
    }

    <T> T write(Work<T> work) {
        if (readOnly) {
            throw new JournalException("The logbook is open for reading only. Nothing was written.");
        }
        guard.run();
        return step(work);
    }

    /** A step of work that was begun by {@link #write}. */
    <T> T step(Work<T> work) {
        try {
            return work.run();
        } catch (JournalException e) {
            throw e;
        } catch (SQLException | RuntimeException e) {
            String sentence =
                    "That could not be written to the logbook: " + plain(e) + ". Type it again once that is mended.";
            throw busy(e) ? new BusyException(sentence, e) : new JournalException(sentence, e);
        }
    }

    private static boolean busy(Throwable e) {
        return e instanceof SQLiteException sqlite
                && (sqlite.getResultCode().code & 0xff) == SQLiteErrorCode.SQLITE_BUSY.code;
    }

    /** Whether the log refused what was to be written for its own sake, and not because of the disk or another program. */
    static boolean refusedForGood(JournalException e) {
        return !(e instanceof BusyException)
                && !(e instanceof AdriftException)
                && (!(e.getCause() instanceof SQLException)
                        || e.getCause() instanceof SQLiteException sqlite
                                && (sqlite.getResultCode().code & 0xff) == SQLiteErrorCode.SQLITE_CONSTRAINT.code);
    }

    <T> T read(Work<T> work) {
        try {
            return work.run();
        } catch (JournalException e) {
            throw e;
        } catch (SQLException | RuntimeException e) {
            throw new JournalException("The logbook could not be read: " + plain(e) + ".", e);
        }
    }

    /** Whether the disk that is written to has no room left. */
    static boolean isFull(SQLException e) {
        return e instanceof SQLiteException sqlite
                && (sqlite.getResultCode() == SQLiteErrorCode.SQLITE_FULL
                        || sqlite.getResultCode() == SQLiteErrorCode.SQLITE_IOERR_WRITE);
    }

    /** Whether the file itself is damaged, and not only out of reach for now. */
    static boolean damaged(SQLException e) {
        return e instanceof SQLiteException sqlite
                && ((sqlite.getResultCode().code & 0xff) == SQLiteErrorCode.SQLITE_CORRUPT.code
                        || sqlite.getResultCode() == SQLiteErrorCode.SQLITE_NOTADB);
    }

    /** What SQLite says, in a technician's words. */
    static String plain(Throwable e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof SQLiteException sqlite) {
                return switch (sqlite.getResultCode()) {
                    case SQLITE_FULL -> "the disk is full";
                    case SQLITE_READONLY, SQLITE_READONLY_DIRECTORY, SQLITE_PERM -> "it may not be written by you";
                    case SQLITE_CANTOPEN -> "it cannot be opened, or its folder may not be written by you";
                    case SQLITE_BUSY, SQLITE_LOCKED, SQLITE_BUSY_SNAPSHOT, SQLITE_BUSY_RECOVERY ->
                        "another program holds the file";
                    case SQLITE_CORRUPT, SQLITE_NOTADB, SQLITE_CORRUPT_SEQUENCE, SQLITE_CORRUPT_VTAB ->
                        "the file is damaged";
                    case SQLITE_IOERR_WRITE, SQLITE_IOERR_FSYNC, SQLITE_IOERR_SHMSIZE, SQLITE_IOERR_TRUNCATE ->
                        "the disk did not take it";
                    case SQLITE_CONSTRAINT, SQLITE_CONSTRAINT_TRIGGER, SQLITE_CONSTRAINT_PRIMARYKEY ->
                        "it does not fit what is there";
                    default ->
                        sqlite.getResultCode().name().startsWith("SQLITE_IOERR")
                                ? "the disk could not be read"
                                : "the database refused it";
                };
            }
            if (t instanceof IOException io) {
                return Durable.why(io);
            }
        }
        return "the details are in the program's own log";
    }
}
