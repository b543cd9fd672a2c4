package mussel.desktop.kit;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Asks for files and folders with the system's own dialog. Nothing chosen is an empty answer. */
public final class FileDialog {
    private static Optional<List<File>> answers = Optional.empty();

    private FileDialog() {}

    /** What a dialog lets be chosen. */
    public enum Kind {
        /** Anything. */
        ANY("", List.of()),
        /** Pictures. */
        PICTURE("Pictures", List.of("*.jpg", "*.jpeg", "*.png", "*.gif")),
        /** Tables, as spreadsheets and instruments write them. */
        TABLE("CSV", List.of("*.csv", "*.txt", "*.tsv"));

        private final String title;
        private final List<String> patterns;

        Kind(String title, List<String> patterns) {
            this.title = title;
            this.patterns = patterns;
        }
    }

    /**
     * Answers every dialog from here on without showing it, for tests: the system's own takes all keys until it is closed.
     *
     * @param files what is chosen each time; none: the dialog is closed without a choice
     */
    public static void answerWith(List<File> files) {
        answers = Optional.of(List.copyOf(files));
    }

    /** A file to read. */
    public static Optional<Path> open(Node from, String title, Kind kind) {
        return ask(from, window -> list(chooser(title, kind).showOpenDialog(window)))
                .map(files -> files.get(0).toPath());
    }

    /** Several files to read; empty where none was chosen. */
    public static List<Path> openSeveral(Node from, String title, Kind kind) {
        return ask(from, window -> chooser(title, kind).showOpenMultipleDialog(window))
                .map(files -> files.stream().map(File::toPath).toList())
                .orElse(List.of());
    }

    /** A folder to write into. */
    public static Optional<Path> folder(Node from, String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        return ask(from, window -> list(chooser.showDialog(window)))
                .map(files -> files.get(0).toPath());
    }

    /** A file to write; its ending says what kind it is. */
    public static Optional<Path> save(Node from, String title, String name, Optional<Path> folder) {
        FileChooser chooser = chooser(title, Kind.ANY);
        folder.map(Path::toFile).ifPresent(chooser::setInitialDirectory);
        chooser.setInitialFileName(name);
        String ending = name.substring(name.lastIndexOf('.') + 1);
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(ending.toUpperCase(Locale.ROOT), "*." + ending));
        return ask(from, window -> list(chooser.showSaveDialog(window)))
                .map(files -> files.get(0).toPath());
    }

    private static FileChooser chooser(String title, Kind kind) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        if (!kind.patterns.isEmpty()) {
            chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind.title, kind.patterns));
        }
        return chooser;
    }

    private static List<File> list(File file) {
        return file == null ? List.of() : List.of(file);
    }

    private static Optional<List<File>> ask(Node from, Function<Window, List<File>> dialog) {
        return answers.or(() -> Optional.ofNullable(dialog.apply(from.getScene().getWindow())))
                .filter(files -> !files.isEmpty());
    }
}
