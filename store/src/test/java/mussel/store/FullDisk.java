package mussel.store;

import java.lang.reflect.Field;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;

/** Lets a logbook find its disk full: SQLite refuses to grow the file, as it does when no page is left on the disk. */
final class FullDisk {
    private static final int EVERYTHING = 1_073_741_823;

    private FullDisk() {}

    /** From now on the file may grow by so many pages. */
    static void after(SqliteJournal journal, int pages) throws SQLException, ReflectiveOperationException {
        try (Statement statement = connection(journal).createStatement();
                ResultSet now = statement.executeQuery("PRAGMA page_count")) {
            limit(journal, now.getInt(1) + pages);
        }
    }

    /** Somebody has made room. */
    static void over(SqliteJournal journal) throws SQLException, ReflectiveOperationException {
        limit(journal, EVERYTHING);
    }

    private static void limit(SqliteJournal journal, int pages) throws SQLException, ReflectiveOperationException {
        try (Statement statement = connection(journal).createStatement()) {
            statement.execute("PRAGMA max_page_count = " + pages);
        }
    }

    private static Connection connection(SqliteJournal journal) throws ReflectiveOperationException {
        Field field = SqliteJournal.class.getDeclaredField("connection");
        field.setAccessible(true);
        return (Connection) field.get(journal);
    }
}
