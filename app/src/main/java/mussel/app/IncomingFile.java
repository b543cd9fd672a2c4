package mussel.app;

import java.nio.file.Path;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The file a command takes in, and whether it is only looked at. */
final class IncomingFile {
    @Parameters(paramLabel = "FILE", description = "what to take in")
    private Path file;

    @Option(names = "--dry-run", description = "only says what would change")
    private boolean dryRun;

    Path path() {
        return file.toAbsolutePath();
    }

    boolean dryRun() {
        return dryRun;
    }
}
