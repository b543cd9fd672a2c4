package mussel.exchange.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.exchange.record.Read;

/** A file somebody named: a plain one within its size, or a sentence why not. A pipe or a device is never waited for. */
public final class InFile {
    private static final Messages TEXT = Messages.of(InFile.class);

    private InFile() {}

    /** Why a file cannot be opened as a plain one of at most so many bytes; empty where it can. */
    public static Optional<String> refused(Path file, long mostBytes) {
        try {
            if (Files.isDirectory(file)) {
                return Optional.of(TEXT.get("in_file.is_a_folder_name_a_file"));
            }
            if (!Files.exists(file)) {
                return Optional.of(TEXT.get("in_file.is_not_there"));
            }
            if (!Files.isRegularFile(file)) {
                return Optional.of(TEXT.get("in_file.is_no_plain_file"));
            }
            if (!Files.isReadable(file)) {
                return Optional.of(TEXT.get("in_file.cannot_be_read_it_may_not"));
            }
            long bytes = Files.size(file);
            return bytes > mostBytes
                    ? Optional.of(TEXT.get("in_file.is_at_most_are_read", size(bytes), size(mostBytes)))
                    : Optional.empty();
        } catch (IOException e) {
            return Optional.of(TEXT.get("in_file.cannot_be_read", Durable.why(e)));
        }
    }

    /** The bytes of a plain file within its size, or the sentence why not. */
    public static Read<byte[]> bytes(Path file, long mostBytes) {
        Optional<String> refused = refused(file, mostBytes);
        if (refused.isPresent()) {
            return Read.refused(refused.get());
        }
        try {
            return Read.of(Files.readAllBytes(file));
        } catch (IOException e) {
            return Read.refused(TEXT.get("in_file.cannot_be_read", Durable.why(e)));
        }
    }

    /** A size in words, rounded so that a bound and what is just above it never read the same. */
    public static String size(long bytes) {
        if (bytes < 1_024) {
            return TEXT.get("in_file.bytes", bytes);
        }
        if (bytes < 1_024 * 1_024) {
            return TEXT.get("in_file.kb", trimmed(bytes / 1_024.0));
        }
        return TEXT.get("in_file.mb", trimmed(bytes / (1_024.0 * 1_024)));
    }

    private static String trimmed(double figure) {
        return figure == Math.rint(figure)
                ? String.valueOf((long) figure)
                : String.format(java.util.Locale.ROOT, "%.2f", Math.ceil(figure * 100) / 100);
    }
}
