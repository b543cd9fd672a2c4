package mussel.store;

import java.sql.SQLException;
import mussel.core.job.JournalException;
import org.sqlite.SQLiteException;

/** Runs work on the database and says in a sentence why it failed. */
final class SqlWork {
    private final boolean readOnly;

    SqlWork(boolean readOnly) {
        this.readOnly = readOnly;
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
        try {
            return work.run();
        } catch (JournalException e) {
            throw e;
        } catch (SQLException | RuntimeException e) {
            throw new JournalException(
                    "That could not be written to the logbook: " + plain(e) + ". Type it again once that is mended.",
                    e);
        }
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

    /** What SQLite says, in a technician's words. */
    static String plain(Throwable e) {
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
