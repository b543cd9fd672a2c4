package mussel.work.shop;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.IntPredicate;

/**
 * A file that may be taken in.
 *
 * @param file the file
 * @param says what taking it in would change, in sentences
 * @param refused why it cannot be taken in, each with its place; empty where it can
 * @param changes whether anything would change
 * @param take takes it in, all or nothing, on any thread; asks now and then whether to go on and tells how many jobs are in; a
 *     JournalException says why it could not
 * @param then what remains to be done on the interface thread
 */
public record ImportPreview(
        Path file,
        List<String> says,
        List<String> refused,
        boolean changes,
        Consumer<IntPredicate> take,
        Runnable then) {
    /** Keeps its own copies. */
    public ImportPreview {
        says = List.copyOf(says);
        refused = List.copyOf(refused);
    }

    /** A file that cannot be taken in. */
    public static ImportPreview refused(Path file, List<String> why) {
        return new ImportPreview(file, List.of(), why, false, pace -> {}, () -> {});
    }

    /** Whether it can be taken in. */
    public boolean sound() {
        return refused.isEmpty();
    }
}
