package mussel.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.Scratch;

/**
 * A write-ahead file that a crash has left is played into the log it belongs to and into no other. Which that is stands in the lock beside: the
 * log's own id and the file it was. Where another lies there now, it is tried on a copy first.
 */
final class WriteAhead {
    private static final Messages TEXT = Messages.of(WriteAhead.class);

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
    private static final int MOST = 400;

    private WriteAhead() {}

    /** Writes down which log is open. */
    static void note(FileChannel lock, LogIdentity identity) {
        try {
            byte[] text = (identity.id() + "\n" + identity.key()).getBytes(StandardCharsets.UTF_8);
            lock.truncate(0);
            lock.write(ByteBuffer.wrap(text), 0);
            lock.force(true);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("write_ahead.the_lock_beside_the_logbook_cannot", Durable.why(e)), e);
        }
    }

    /** Before a log is opened for work: takes a write-ahead file away that is not its own. Returns what is to be told. */
    static String check(Path log, FileChannel lock, Clock clock) {
        try {
            if (!Files.exists(log) || Files.size(log) == 0 || !LogFile.hasPendingLog(log)) {
                return "";
            }
            List<String> noted = noted(lock);
            if (noted.size() < 2 || noted.get(1).equals(key(log))) {
                return "";
            }
            // Half of its pages may be in the write-ahead file: then the file by itself shows no id.
            boolean another =
                    LogIdentity.id(log).filter(id -> !id.equals(noted.get(0))).isPresent();
            return !another && soundTogether(log, noted.get(0)) ? "" : takeAway(log, clock);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("write_ahead.the_logbook_cannot_be_opened", log, Durable.why(e)), e);
        }
    }

    private static List<String> noted(FileChannel lock) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(MOST);
        int read = lock.read(buffer, 0);
        return read <= 0
                ? List.of()
                : new String(buffer.array(), 0, read, StandardCharsets.UTF_8)
                        .lines()
                        .toList();
    }

    private static String key(Path log) throws IOException {
        return String.valueOf(
                Files.readAttributes(log, BasicFileAttributes.class).fileKey());
    }

    /** Whether log and write-ahead file make a sound log of that id together, tried on copies. */
    private static boolean soundTogether(Path log, String id) throws IOException {
        Path folder = Scratch.folder();
        try {
            Path copy = folder.resolve("log");
            Files.copy(log, copy);
            Files.copy(log.resolveSibling(log.getFileName() + "-wal"), folder.resolve("log-wal"));
            List<String> troubles = new ArrayList<>();
            try (Connection reading = LogConnections.reading(copy)) {
                ChainCheck.of(reading, troubles::add, jobs -> true);
                Rows rows = new Rows(reading, SqlWork.reading());
                return troubles.isEmpty()
                        && rows.query("SELECT id FROM log WHERE nr = 1", row -> row.getString(1))
                                .equals(List.of(id))
                        && rows.query("PRAGMA quick_check(1)", row -> row.getString(1))
                                .equals(List.of("ok"));
            } catch (SQLException | JournalException e) {
                return false;
            }
        } finally {
            Scratch.remove(folder);
        }
    }

    private static String takeAway(Path log, Clock clock) throws IOException {
        Path aside = log.resolveSibling(
                log.getFileName() + ".kept-" + LocalDateTime.now(clock).format(STAMP) + "-wal");
        Files.move(log.resolveSibling(log.getFileName() + "-wal"), aside);
        Files.deleteIfExists(log.resolveSibling(log.getFileName() + "-shm"));
        return TEXT.get("write_ahead.the_logbook_was_replaced_while_another", log, aside.getFileName());
    }
}
