package mussel.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import mussel.core.job.JournalException;

/** What kind of log a file is. The order is that of the marks in the file. */
public enum LogKind {
    /** A yard's own. */
    YARD,
    /** Demo data, which may be thrown away. */
    DEMO,
    /** Legs that are not there: it takes practice legs, and nothing else does. */
    PRACTICE;

    /** What the name of a yard's practice log begins with, before the name of the yard's own. */
    public static final String PRACTICE_NAME = "practice-";

    /** The kind of a mark; one that is not known is a yard's, which is never thrown away. */
    static LogKind of(int mark) {
        return mark > 0 && mark < values().length ? values()[mark] : YARD;
    }

    /** The kind of the log in a file, of any version; empty where there is none that can be read. */
    static Optional<LogKind> in(Path file) {
        if (!Files.isRegularFile(file)) {
            return Optional.empty();
        }
        try (Connection reading = LogConnections.reading(file);
                Statement statement = reading.createStatement();
                ResultSet row = statement.executeQuery("SELECT demo FROM log WHERE nr = 1")) {
            return row.next() ? Optional.of(of(row.getInt(1))) : Optional.empty();
        } catch (SQLException | JournalException unread) {
            return Optional.empty();
        }
    }

    /** Whether the log that lies or is to lie in a file is a practice log: by its mark, else by its name. */
    static boolean isPractice(Path file) {
        return in(file).map(k -> k == PRACTICE)
                .orElseGet(() -> file.getFileName().toString().startsWith(PRACTICE_NAME));
    }
}
