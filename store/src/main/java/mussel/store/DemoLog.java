package mussel.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import mussel.core.book.LogKind;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;

/** Logs of demo data, the only ones that are ever thrown away. */
public final class DemoLog {
    private static final Messages TEXT = Messages.of(DemoLog.class);

    private static final List<String> PARTS = List.of("-wal", "-shm", "");

    private DemoLog() {}

    /** Whether a file is a log that is marked as demo data; whatever cannot be read is none. */
    public static boolean is(Path file) {
        try (SqliteJournal journal = SqliteJournal.read(file, Clock.systemUTC())) {
            return journal.kind() == LogKind.DEMO;
        } catch (JournalException e) {
            return false;
        }
    }

    /**
     * Throws demo data away.
     *
     * @throws JournalException with a sentence when it is something else or open; nothing has changed then
     */
    public static void throwAway(Path named) {
        Path file = LogFile.real(named);
        try (FileChannel held = LogLock.take(file)) {
            if (!held.isOpen() || !is(file)) {
                throw new JournalException(TEXT.get("demo_log.is_no_demo_data_nothing_of", file));
            }
            for (String part : PARTS) {
                Files.deleteIfExists(file.resolveSibling(file.getFileName() + part));
            }
        } catch (IOException e) {
            throw new JournalException(TEXT.get("demo_log.the_demo_data_cannot_be_removed", file, Durable.why(e)), e);
        }
    }

    /** Moves what lies in the demo data's place, and is none, out of the way under a name of its own. */
    public static void setAside(Path named) {
        Path file = LogFile.real(named);
        try (FileChannel held = LogLock.take(file)) {
            int nr = 1;
            while (held.isOpen() && Files.exists(file.resolveSibling(file.getFileName() + ".set-aside-" + nr))) {
                nr++;
            }
            for (String part : PARTS) {
                Path from = file.resolveSibling(file.getFileName() + part);
                if (Files.exists(from)) {
                    Files.move(from, file.resolveSibling(file.getFileName() + ".set-aside-" + nr + part));
                }
            }
        } catch (IOException e) {
            throw new JournalException(TEXT.get("demo_log.cannot_be_set_aside", file, Durable.why(e)), e);
        }
    }
}
