package mussel.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.logging.FileHandler;
import java.util.logging.Handler;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/** Logging into a rotating file in the data folder; nothing of it on the screen. */
public final class Logging {
    private static final int FILE_BYTES = 1024 * 1024;
    private static final int FILES = 5;

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
        } catch (IOException e) {
            root.setLevel(Level.OFF);
        }
        Thread.setDefaultUncaughtExceptionHandler(
                (thread, e) -> Logger.getLogger("mussel").log(Level.SEVERE, "In " + thread.getName(), e));
    }
}
