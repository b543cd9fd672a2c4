package mussel.desktop.desk;

import java.io.File;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.concurrent.Task;
import javafx.scene.Node;
import javafx.stage.FileChooser;
import mussel.core.job.JournalException;

/** Writes a paper into a file off the interface thread, and says how it went. */
public final class Paper {
    private Paper() {}

    /** Asks where a paper shall go; empty when the person thought better of it. */
    public static Optional<Path> place(Node from, String title, String name) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.setInitialFileName(name);
        String kind = name.substring(name.lastIndexOf('.') + 1);
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(kind.toUpperCase(java.util.Locale.ROOT), "*." + kind));
        return Optional.ofNullable(chooser.showSaveDialog(from.getScene().getWindow()))
                .map(File::toPath);
    }

    /** Writes; the sentence says where it lies or why it does not. Returns the task, for those who show that it is at work. */
    public static Task<Void> write(String what, Path file, Runnable writing, Consumer<String> say) {
        Task<Void> task = new Task<>() {
            @Override
            protected Void call() {
                writing.run();
                return null;
            }
        };
        task.setOnSucceeded(e -> say.accept("Written: " + file));
        task.setOnFailed(e -> say.accept(
                task.getException() instanceof JournalException journal
                        ? journal.getMessage()
                        : what + " could not be written to " + file + ": " + reason(task.getException())
                                + ". Choose another place."));
        Thread thread = new Thread(task, "paper");
        thread.setDaemon(true);
        thread.start();
        return task;
    }

    private static String reason(Throwable failure) {
        return failure instanceof UncheckedIOException io ? io.getCause().getMessage() : "it failed";
    }
}
