package mussel.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import mussel.app.demo.DemoYard;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;

@Command(
        name = "demo",
        mixinStandardHelpOptions = true,
        description = "Opens the window on a throwaway copy of the demo yard.")
final class DemoCommand implements Runnable {
    @ParentCommand
    private Main main;

    @Option(names = "--fresh", description = "begin the demo anew")
    private boolean fresh;

    @Override
    public void run() {
        Path file = main.logGiven() ? main.log() : DataFolder.demo();
        try {
            seed(file, fresh);
        } catch (IOException e) {
            throw new IllegalStateException(
                    "The demo's logbook " + file + " cannot be made: " + e.getMessage() + ".", e);
        }
        Main.window(file);
    }

    /** Makes the demo's file where there is none, or anew. */
    static void seed(Path file, boolean fresh) throws IOException {
        if (fresh) {
            for (String suffix : new String[] {"", "-wal", "-shm"}) {
                Files.deleteIfExists(file.resolveSibling(file.getFileName() + suffix));
            }
        }
        if (!Files.exists(file)) {
            DemoYard.fill(file, Clock.systemUTC().instant());
        }
    }
}
