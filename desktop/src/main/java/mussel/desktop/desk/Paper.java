package mussel.desktop.desk;

import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.desktop.kit.FileDialog;
import mussel.work.shop.Workshop;

/** Writes a paper into a file off the interface thread, and says how it went. */
public final class Paper {
    private static final Messages TEXT = Messages.of(Paper.class);

    private Paper() {}

    /** Asks where a paper shall go; empty when the person thought better of it. */
    public static Optional<Path> place(Node from, String title, String name) {
        return FileDialog.save(from, title, name, Optional.empty());
    }

    /** The same, in the folder papers went to last; where it goes is kept for the next. */
    public static Optional<Path> place(Workshop shop, Node from, String title, String name) {
        Optional<Path> there = FileDialog.save(from, title, name, shop.paperFolder());
        there.map(Path::getParent).ifPresent(shop::setPaperFolder);
        return there;
    }

    /** Where the last paper went, without asking; asks where none did yet. A paper of that name stays and the new one is numbered. */
    public static Optional<Path> placeAsLast(Workshop shop, Node from, String title, String name) {
        Optional<Path> folder = shop.paperFolder();
        return folder.isEmpty() ? place(shop, from, title, name) : folder.map(f -> free(f, name));
    }

    private static Path free(Path folder, String name) {
        int dot = name.lastIndexOf('.');
        Path there = folder.resolve(name);
        for (int i = 2; Files.exists(there); i++) {
            there = folder.resolve(name.substring(0, dot) + "-" + i + name.substring(dot));
        }
        return there;
    }

    /** Writes; the sentence says where it lies or why it does not. */
    public static void write(Workshop shop, String what, Path file, Runnable writing, Consumer<String> say) {
        shop.background()
                .begin(
                        stop -> {
                            writing.run();
                            return null;
                        },
                        written -> say.accept(TEXT.get("paper.written", file)),
                        why -> say.accept(
                                why instanceof JournalException
                                        ? why.getMessage()
                                        : TEXT.get("paper.could_not_be_written_to_choose", what, file, reason(why))));
    }

    private static String reason(Throwable failure) {
        return failure instanceof UncheckedIOException io ? io.getCause().getMessage() : TEXT.get("paper.it_failed");
    }
}
