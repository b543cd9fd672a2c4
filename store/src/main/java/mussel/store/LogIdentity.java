package mussel.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;

/**
 * Which file a log is: its device and inode, the log's own id in it, and the write-ahead file beside. Asked before each entry, since a file can be
 * deleted, moved or replaced under an open window; what is written then would be lost, or mixed into another log.
 *
 * <p>The id is looked for in the bytes of the page that holds it. The file by itself need not be a sound database while the log is open: with a reader
 * beside, pages move into it from the write-ahead file a few at a time. It is read through one channel that stays open, since on POSIX systems closing
 * any descriptor of a file gives up all locks of the process on it, SQLite's among them.
 */
final class LogIdentity implements AutoCloseable {
    private static final Messages TEXT = Messages.of(LogIdentity.class);

    private static final int TRIES = 6;
    private static final long BETWEEN_NANOS = TimeUnit.MILLISECONDS.toNanos(40);

    private final Path file;
    private final FileChannel bytesOfFile;
    private final long pageAt;
    private final int pageSize;
    /** Whether the page with the id was seen in the file itself: it may wait in the write-ahead file at first. */
    private boolean seen;

    private final Path wal;
    private final String id;
    private final Object key;
    private Object walKey;
    private FileTime written;
    private long bytes;
    private String adrift = "";

    /**
     * Notes what is open.
     *
     * @param connection on the log, which tells where in the file its id is
     */
    LogIdentity(Path file, String id, Connection connection) throws IOException, SQLException {
        this.file = file;
        this.pageSize = number(connection, "PRAGMA page_size");
        this.pageAt = (number(connection, "SELECT rootpage FROM sqlite_master WHERE name = 'log'") - 1L) * pageSize;
        this.bytesOfFile = FileChannel.open(file, StandardOpenOption.READ);
        this.wal = file.resolveSibling(file.getFileName() + "-wal");
        this.id = id;
        BasicFileAttributes now = Files.readAttributes(file, BasicFileAttributes.class);
        this.key = now.fileKey();
        this.written = now.lastModifiedTime();
        this.bytes = now.size();
        this.seen = inItsPage();
    }

    /**
     * The identity of a log that is open.
     *
     * @throws JournalException with a sentence where the log has lost its id, or cannot be read
     */
    static LogIdentity of(Path path, Connection connection) {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("SELECT id FROM log WHERE nr = 1")) {
            if (!row.next()) {
                throw new JournalException(TEXT.get("log_identity.the_logbook_has_lost_its_own", path));
            }
            return new LogIdentity(path, row.getString(1), connection);
        } catch (SQLException | IOException e) {
            throw LogConnections.unopened(path, e);
        }
    }

    private static int number(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            return row.next() ? row.getInt(1) : 0;
        }
    }

    @Override
    public void close() throws IOException {
        bytesOfFile.close();
    }

    /** The file it was when it was opened, as the system numbers it. */
    String key() {
        return String.valueOf(key);
    }

    /** The log's own id. */
    String id() {
        return id;
    }

    /**
     * Makes sure that the file is the one that was opened.
     *
     * @throws AdriftException with a sentence when it is not; it never is again
     */
    synchronized void check() {
        if (!adrift.isEmpty()) {
            throw new AdriftException(adrift);
        }
        Optional<String> wrong = wrong();
        if (wrong.isPresent()) {
            adrift = TEXT.get("log_identity.the_logbook", file, wrong.get());
            throw new AdriftException(adrift);
        }
    }

    synchronized boolean adrift() {
        return !adrift.isEmpty();
    }

    private Optional<String> wrong() {
        BasicFileAttributes now;
        try {
            now = Files.readAttributes(file, BasicFileAttributes.class);
        } catch (IOException e) {
            return Optional.of(TEXT.get("log_identity.was_deleted_or_moved_while_it"));
        }
        if (key != null && !key.equals(now.fileKey())) {
            return Optional.of(TEXT.get("log_identity.was_replaced_by_another_file_while"));
        }
        if (!now.lastModifiedTime().equals(written) || now.size() != bytes) {
            if (!holdsId()) {
                return Optional.of(TEXT.get("log_identity.was_written_over_with_other_content"));
            }
            written = now.lastModifiedTime();
            bytes = now.size();
        }
        return walWrong();
    }

    /** The write-ahead file is there from the first entry on, and stays the same until the log is closed. */
    private Optional<String> walWrong() {
        Object now;
        try {
            now = Files.readAttributes(wal, BasicFileAttributes.class).fileKey();
        } catch (IOException e) {
            now = null;
        }
        if (walKey == null) {
            walKey = now;
            return Optional.empty();
        }
        return walKey.equals(now)
                ? Optional.empty()
                : Optional.of(TEXT.get("log_identity.lost_the_file_beside_it_while", wal.getFileName()));
    }

    /** Looked for in the file as it is; while a page is being written it is looked for again. */
    private boolean holdsId() {
        for (int i = 0; i < TRIES; i++) {
            boolean there = inItsPage();
            if (there || !seen) {
                seen |= there;
                return true;
            }
            LockSupport.parkNanos(BETWEEN_NANOS);
        }
        return false;
    }

    private boolean inItsPage() {
        ByteBuffer page = ByteBuffer.allocate(pageSize);
        try {
            int at = 0;
            while (page.hasRemaining() && at >= 0) {
                at = bytesOfFile.read(page, pageAt + page.position());
            }
        } catch (IOException e) {
            return false;
        }
        return new String(page.array(), 0, page.position(), StandardCharsets.ISO_8859_1).contains(id);
    }

    /** The id in a log as it lies, without what waits beside it; empty where there is none to be read. */
    static Optional<String> id(Path file) {
        try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file.toUri() + "?immutable=1");
                Statement statement = db.createStatement();
                ResultSet row = statement.executeQuery("SELECT id FROM log WHERE nr = 1")) {
            return row.next() ? Optional.ofNullable(row.getString(1)) : Optional.empty();
        } catch (SQLException e) {
            return Optional.empty();
        }
    }
}
