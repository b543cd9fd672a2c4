package mussel.exchange.file;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;

/** Folders for the time of one process: they go when it ends, and what one that was killed has left goes when the next begins. */
public final class Scratch {
    private static final String NAME = "mussel-scratch-";
    private static final AtomicBoolean BEGUN = new AtomicBoolean();

    private Scratch() {}

    /** A new folder for the owner alone. */
    public static Path folder() {
        try {
            if (BEGUN.compareAndSet(false, true)) {
                sweep();
                Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(own()), "scratch"));
            }
            Durable.folders(own());
            return Files.createTempDirectory(own(), "");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path own() {
        return root().resolve(NAME + ProcessHandle.current().pid());
    }

    private static Path root() {
        return Path.of(System.getProperty("java.io.tmpdir"));
    }

    /** Removes what processes have left that are no more. */
    public static void sweep() {
        try (DirectoryStream<Path> left = Files.newDirectoryStream(root(), NAME + "*")) {
            for (Path folder : left) {
                long pid = Long.parseLong(folder.getFileName().toString().substring(NAME.length()));
                Optional<ProcessHandle> living = ProcessHandle.of(pid).filter(ProcessHandle::isAlive);
                if (living.isEmpty() && Files.isWritable(folder)) {
                    remove(folder);
                }
            }
        } catch (IOException | NumberFormatException e) {
            // Nothing depends on it: the next start tries again.
            return;
        }
    }

    /** Removes a folder with all that is in it, as far as that goes. */
    public static void remove(Path folder) {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            List<Path> deepestFirst = files.sorted(Comparator.reverseOrder()).toList();
            for (Path file : deepestFirst) {
                Files.deleteIfExists(file);
            }
        } catch (IOException | UncheckedIOException e) {
            // What another process holds is swept at the next start.
            return;
        }
    }
}
