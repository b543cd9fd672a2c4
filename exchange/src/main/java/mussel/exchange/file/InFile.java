package mussel.exchange.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import mussel.exchange.record.Read;

/** A file somebody named: a plain one within its size, or a sentence why not. A pipe or a device is never waited for. */
public final class InFile {
    private InFile() {}

    /** Why a file cannot be opened as a plain one of at most so many bytes; empty where it can. */
    public static Optional<String> refused(Path file, long mostBytes) {
        try {
            if (Files.isDirectory(file)) {
                return Optional.of("is a folder; name a file");
            }
            if (!Files.exists(file)) {
                return Optional.of("is not there");
            }
            if (!Files.isRegularFile(file)) {
                return Optional.of("is no plain file");
            }
            if (!Files.isReadable(file)) {
                return Optional.of("cannot be read: it may not be read by you");
            }
            long bytes = Files.size(file);
            return bytes > mostBytes
                    ? Optional.of("is " + size(bytes) + "; at most " + size(mostBytes) + " are read")
                    : Optional.empty();
        } catch (IOException e) {
            return Optional.of("cannot be read: " + Durable.why(e));
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
            return Read.refused("cannot be read: " + Durable.why(e));
        }
    }

    /** A size in words, rounded so that a bound and what is just above it never read the same. */
    public static String size(long bytes) {
        if (bytes < 1_024) {
            return bytes + " bytes";
        }
        if (bytes < 1_024 * 1_024) {
            return trimmed(bytes / 1_024.0) + " kB";
        }
        return trimmed(bytes / (1_024.0 * 1_024)) + " MB";
    }

    private static String trimmed(double figure) {
        return figure == Math.rint(figure)
                ? String.valueOf((long) figure)
                : String.format(java.util.Locale.ROOT, "%.2f", Math.ceil(figure * 100) / 100);
    }
}
