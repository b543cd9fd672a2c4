package mussel.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import mussel.core.book.LogKind;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;

/** Looks at a log file before anyone opens it for work: is it one of ours, sound, and not newer than this program? Changes nothing. */
final class LogFile {
    private static final Messages TEXT = Messages.of(LogFile.class);

    /** What the name of a shop's practice log begins with, before the name of the shop's own. */
    static final String PRACTICE_NAME = "practice-";

    static final int APPLICATION_ID = 1297437516;
    static final int SCHEMA_VERSION = 11;

    private static final String MAGIC = "SQLite format 3\0";
    private static final int HEADER = 100;
    private static final int USER_VERSION_AT = 60;
    private static final int APPLICATION_ID_AT = 68;
    private static final long QUICK_CHECK_UP_TO = 32L * 1024 * 1024;

    private LogFile() {}

    /** Where a log really lies: links are followed, so that whoever comes by another name meets the same lock and the same files beside. */
    static Path real(Path file) {
        try {
            if (Files.exists(file)) {
                return file.toRealPath();
            }
            if (Files.isSymbolicLink(file)) {
                Path target = file.toAbsolutePath().resolveSibling(Files.readSymbolicLink(file));
                return target.normalize();
            }
            Path folder = Durable.folderOf(file);
            return Files.exists(folder) ? folder.toRealPath().resolve(file.getFileName()) : file.toAbsolutePath();
        } catch (IOException e) {
            throw new JournalException(TEXT.get("log_file.the_logbook_cannot_be_found", file, Durable.why(e)), e);
        }
    }

    /** A log and what lies beside it belong to their owner alone. */
    static void keepPrivate(Path file) {
        for (String ending : List.of("", "-wal", "-shm", ".lock", ".pictures", ".backups")) {
            Path part = file.resolveSibling(file.getFileName() + ending);
            if (Files.exists(part)) {
                Durable.keepPrivate(part);
            }
        }
    }

    /** The schema version found; 0 for a file yet to be made. Refuses with a sentence what is not a log of ours. */
    static int inspect(Path file) {
        return inspect(file, QUICK_CHECK_UP_TO);
    }

    /** The same, with the file checked whatever its size. */
    static int inspectWhole(Path file) {
        return inspect(file, Long.MAX_VALUE);
    }

    private static int inspect(Path file, long checkUpTo) {
        try {
            if (!Files.exists(file)) {
                return 0;
            }
            if (Files.isDirectory(file)) {
                throw refuse(file, TEXT.get("log_file.is_a_folder_name_a_file"));
            }
            if (!Files.isRegularFile(file)) {
                throw refuse(file, TEXT.get("log_file.is_no_plain_file_name_one"));
            }
            if (Files.size(file) == 0) {
                return 0;
            }
            byte[] header = header(file);
            if (header.length < HEADER
                    || !new String(header, 0, 16, java.nio.charset.StandardCharsets.ISO_8859_1).equals(MAGIC)) {
                throw refuse(file, TEXT.get("log_file.is_not_a_mussel_logbook_or"));
            }
            ByteBuffer fields = ByteBuffer.wrap(header);
            if (fields.getInt(APPLICATION_ID_AT) != APPLICATION_ID) {
                return versionOfUnmarked(file);
            }
            int version = fields.getInt(USER_VERSION_AT);
            if (version > SCHEMA_VERSION) {
                throw refuse(file, TEXT.get("log_file.was_written_by_a_newer_mussel", version, SCHEMA_VERSION));
            }
            if (Files.size(file) <= checkUpTo) {
                quickCheck(file);
            }
            return version;
        } catch (IOException e) {
            throw new JournalException(TEXT.get("log_file.the_logbook_cannot_be_read", file, Durable.why(e)), e);
        }
    }

    /** A file whose first migration was cut off has its marks in the write-ahead log alone. */
    private static int versionOfUnmarked(Path file) throws IOException {
        if (hasPendingLog(file)) {
            return 0;
        }
        throw refuse(file, TEXT.get("log_file.is_a_database_of_another_program"));
    }

    private static byte[] header(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(HEADER);
        }
    }

    static boolean hasPendingLog(Path file) throws IOException {
        Path wal = file.resolveSibling(file.getFileName() + "-wal");
        return Files.exists(wal) && Files.size(wal) > 0;
    }

    /** SQLite's own check, at the opening of files small enough that nobody waits for it; through a connection that cannot write. */
    private static void quickCheck(Path file) throws IOException {
        if (hasPendingLog(file)) {
            quickCheck(file, "?mode=ro");
            return;
        }
        try {
            quickCheck(file, "?immutable=1");
        } catch (JournalException e) {
            // Somebody may have begun to write meanwhile: then it changed under the eyes of whoever took it for still.
            if (!Files.exists(file.resolveSibling(file.getFileName() + "-wal"))) {
                throw e;
            }
            quickCheck(file, "?mode=ro");
        }
    }

    private static void quickCheck(Path file, String mode) {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file.toUri() + mode);
                Statement statement = db.createStatement();
                ResultSet result = statement.executeQuery("PRAGMA quick_check(1)")) {
            String verdict = result.next() ? result.getString(1) : TEXT.get("log_file.no_answer");
            if (!"ok".equals(verdict)) {
                throw refuse(file, TEXT.get("log_file.is_damaged_it_was_left_as"));
            }
        } catch (SQLException e) {
            if (!SqlWork.damaged(e)) {
                throw new JournalException(TEXT.get("log_file.the_logbook_cannot_be_read", file, SqlWork.plain(e)), e);
            }
            throw new JournalException(TEXT.get("log_file.the_logbook_is_damaged_and_cannot", file), e);
        }
    }

    /** A channel on the lock beside the file, for {@link FileChannel#tryLock()}. */
    static FileChannel lockChannel(Path file) throws IOException {
        Path lock = file.resolveSibling(file.getFileName() + ".lock");
        Durable.begin(lock);
        return FileChannel.open(lock, StandardOpenOption.READ, StandardOpenOption.WRITE);
    }

    private static JournalException refuse(Path file, String why) {
        return new JournalException(TEXT.get("log_file.the_logbook", file, why));
    }

    /** The kind of the log in a file, of any version; empty where there is none that can be read. */
    static Optional<LogKind> kind(Path file) {
        if (!Files.isRegularFile(file)) {
            return Optional.empty();
        }
        try (Connection reading = LogConnections.reading(file);
                Statement statement = reading.createStatement();
                ResultSet row = statement.executeQuery("SELECT demo FROM log WHERE nr = 1")) {
            return row.next() ? Optional.of(LogKind.of(row.getInt(1))) : Optional.empty();
        } catch (SQLException | JournalException unread) {
            return Optional.empty();
        }
    }

    /** Whether the log that lies or is to lie in a file is a practice log: by its mark, else by its name. */
    static boolean isPractice(Path file) {
        return kind(file)
                .map(k -> k == LogKind.PRACTICE)
                .orElseGet(() -> file.getFileName().toString().startsWith(PRACTICE_NAME));
    }
}
