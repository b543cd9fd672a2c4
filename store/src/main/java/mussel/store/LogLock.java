package mussel.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;

/** The right to write to a log: one process at a time has it. */
final class LogLock {
    private static final Messages TEXT = Messages.of(LogLock.class);

    private LogLock() {}

    /** Takes the right to write to a log until the channel is closed. */
    static FileChannel take(Path file) {
        try {
            Durable.folders(file.getParent());
            FileChannel channel = LogFile.lockChannel(file);
            try {
                if (channel.tryLock() != null) {
                    return channel;
                }
            } catch (OverlappingFileLockException e) {
                closeQuietly(channel, e);
                throw openElsewhere(file, e);
            }
            channel.close();
            throw openElsewhere(file, null);
        } catch (IOException e) {
            throw new JournalException(TEXT.get("log_lock.the_folder_of_the_logbook_cannot", file, Durable.why(e)), e);
        }
    }

    static final class OpenElsewhereException extends JournalException {
        private static final long serialVersionUID = 1L;

        OpenElsewhereException(String message, Throwable cause) {
            super(message, cause);
        }
    }

    private static JournalException openElsewhere(Path file, Throwable cause) {
        return new OpenElsewhereException(TEXT.get("log_lock.the_logbook_is_open_in_another", file), cause);
    }

    static void closeQuietly(AutoCloseable resource, Exception cause) {
        try {
            resource.close();
        } catch (Exception e) {
            cause.addSuppressed(e);
        }
    }
}
