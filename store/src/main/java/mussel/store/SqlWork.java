package mussel.store;

import java.io.IOException;
import java.sql.SQLException;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** Runs work on the database and says in a sentence why it failed. */
final class SqlWork {
    private static final Messages TEXT = Messages.of(SqlWork.class);

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
            throw new JournalException(TEXT.get("sql_work.the_logbook_is_open_for_reading"));
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
            String sentence = TEXT.get("sql_work.that_could_not_be_written_to", plain(e));
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
            throw new JournalException(TEXT.get("sql_work.the_logbook_could_not_be_read", plain(e)), e);
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
                    case SQLITE_FULL -> TEXT.get("sql_work.the_disk_is_full");
                    case SQLITE_READONLY, SQLITE_READONLY_DIRECTORY, SQLITE_PERM ->
                        TEXT.get("sql_work.it_may_not_be_written_by");
                    case SQLITE_CANTOPEN -> TEXT.get("sql_work.it_cannot_be_opened_or_its");
                    case SQLITE_BUSY, SQLITE_LOCKED, SQLITE_BUSY_SNAPSHOT, SQLITE_BUSY_RECOVERY ->
                        TEXT.get("sql_work.another_program_holds_the_file");
                    case SQLITE_CORRUPT, SQLITE_NOTADB, SQLITE_CORRUPT_SEQUENCE, SQLITE_CORRUPT_VTAB ->
                        TEXT.get("sql_work.the_file_is_damaged");
                    case SQLITE_IOERR_WRITE, SQLITE_IOERR_FSYNC, SQLITE_IOERR_SHMSIZE, SQLITE_IOERR_TRUNCATE ->
                        TEXT.get("sql_work.the_disk_did_not_take_it");
                    case SQLITE_CONSTRAINT, SQLITE_CONSTRAINT_TRIGGER, SQLITE_CONSTRAINT_PRIMARYKEY ->
                        TEXT.get("sql_work.it_does_not_fit_what_is");
                    default ->
                        sqlite.getResultCode().name().startsWith("SQLITE_IOERR")
                                ? TEXT.get("sql_work.the_disk_could_not_be_read")
                                : TEXT.get("sql_work.the_database_refused_it");
                };
            }
            if (t instanceof IOException io) {
                return Durable.why(io);
            }
        }
        return TEXT.get("sql_work.the_details_are_in_the_programs");
    }
}
