package mussel.app;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import java.util.logging.FileHandler;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;

/** Logging into a rotating file in the data folder; nothing of it on the screen. */
public final class Logging {
    private static final Messages TEXT = Messages.of(Logging.class);

    private static final int FILE_BYTES = 1024 * 1024;
    private static final int FILES = 5;

    private static Optional<Path> keptIn = Optional.empty();

    /** The terminal's own stream for what went wrong: while a window is open everything else that is written there goes into the log. */
    static final PrintStream ERR = System.err;

    /** For the logging system, which takes this class in place of its own configuration: no handler at all. */
    public Logging() {}

    /** Nothing is logged until there is a file to log into: the terminal is kept clean, the default configuration unread. */
    static void silent() {
        System.setProperty("java.util.logging.config.class", Logging.class.getName());
    }

    static void toFileIn(Path folder) {
        Logger root = Logger.getLogger("");
        for (Handler handler : root.getHandlers()) {
            root.removeHandler(handler);
        }
        try {
            FileHandler file = new FileHandler(
                    folder.resolve("mussel.%g.log").toString().replace("\\", "/"), FILE_BYTES, FILES, true);
            file.setFormatter(new SimpleFormatter());
            file.setLevel(Level.INFO);
            root.addHandler(file);
            Durable.keepPrivate(folder.resolve("mussel.0.log"));
            keptIn = Optional.of(folder.resolve("mussel.0.log"));
        } catch (IOException e) {
            root.setLevel(Level.OFF);
        }
    }

    /** What libraries write onto the terminal, traces among it, goes into the log instead. */
    static void quieten() {
        System.setErr(new PrintStream(new Lines(), true, StandardCharsets.UTF_8));
    }

    /** Each line written becomes a record. */
    private static final class Lines extends ByteArrayOutputStream {
        @Override
        public synchronized void flush() {
            String text = toString(StandardCharsets.UTF_8).strip();
            reset();
            if (!text.isEmpty()) {
                Logger.getLogger("mussel").log(Level.WARNING, text);
            }
        }
    }

    /** Keeps what went wrong with its details, and returns the sentence for the user. */
    static String keep(String when, Throwable e) {
        if (keptIn.isEmpty()) {
            toFileIn(DataFolder.path());
        }
        Logger.getLogger("mussel").log(Level.SEVERE, when, e);
        return TEXT.get(
                "logging.something_went_wrong_in_mussel_itself",
                keptIn.map(file -> TEXT.get("logging.the_details_are_in", file))
                        .orElse(TEXT.get("logging.the_details_could_not_be_kept")));
    }
}
