package mussel.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;

/** Where the yard's data lives: the user's data folder as his system has it. */
final class DataFolder {
    private static final Messages TEXT = Messages.of(DataFolder.class);

    private static final String LOGBOOK = "yard.mussel";
    private static final String DEMO = "demo.mussel";

    private DataFolder() {}

    /** The folder, made where it is missing. */
    static Path path() {
        String os = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        Path home = Path.of(System.getProperty("user.home"));
        Path folder;
        if (os.contains("win")) {
            folder = env("LOCALAPPDATA", home.resolve("AppData").resolve("Local"));
        } else if (os.contains("mac")) {
            folder = home.resolve("Library").resolve("Application Support");
        } else {
            folder = env("XDG_DATA_HOME", home.resolve(".local").resolve("share"));
        }
        try {
            Path data = folder.resolve("mussel");
            Durable.folders(data);
            Durable.keepPrivate(data);
            return data;
        } catch (IOException e) {
            throw new JournalException(
                    TEXT.get("data_folder.the_data_folder_cannot_be_made", folder.resolve("mussel"), Durable.why(e)),
                    e);
        }
    }

    private static Path env(String name, Path otherwise) {
        String value = System.getenv(name);
        // What is not absolute is to be ignored, as the XDG base directory specification has it.
        return value == null || value.isBlank() || !Path.of(value).isAbsolute() ? otherwise : Path.of(value);
    }

    static Path logbook() {
        return path().resolve(LOGBOOK);
    }

    static Path demo() {
        return path().resolve(DEMO);
    }

    /** Where a yard's own family sheets lie. */
    static Path families() {
        return path().resolve("families");
    }
}
