package mussel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javafx.application.Application;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ScopeType;

/** The one door: the window without a command, or a command without a window. */
@Command(
        name = "mussel",
        mixinStandardHelpOptions = true,
        version = "Mussel 0.1.0",
        description = "The bench companion for outboard lower units.",
        footer = {
            "",
            "The launcher adds:",
            "  test          runs all tests",
            "  bench         runs the benchmarks, as a table and as JSON",
            "  package       makes the application image and the Debian package",
            "",
            "Without a command the window opens on the yard's own logbook."
        },
        subcommands = {
            DemoCommand.class,
            CalcCommand.class,
            FamiliesCommand.class,
            KnowledgeCommand.class,
            SchemaCommand.class,
            ReportCommand.class,
            ExportCommand.class,
            ImportCommand.class,
            DueCommand.class,
            CheckCommand.class,
            BackupCommand.class,
            RestoreCommand.class,
            ShotsCommand.class
        })
public final class Main implements Runnable {
    @Option(
            names = "--log",
            paramLabel = "FILE",
            scope = ScopeType.INHERIT,
            description = "the logbook to use (default: the yard's own in the user's data folder)")
    private Path log;

    /** Starts Mussel. */
    public static void main(String[] args) {
        Logging.silent();
        if (args.length == 0 || Arrays.equals(args, new String[] {"demo"})) {
            openAtOnce(args.length > 0);
        } else if (args.length == 2 && args[0].equals("--log") && !args[1].startsWith("-")) {
            window(Path.of(args[1]));
            System.exit(0);
        }
        System.exit(command().execute(args));
    }

    /** The window without the command line's machinery, which takes a quarter of a second to load. */
    private static void openAtOnce(boolean demo) {
        Path log = demo ? DataFolder.demo() : DataFolder.logbook();
        if (!demo || Files.exists(log)) {
            window(log);
            System.exit(0);
        }
    }

    static CommandLine command() {
        return new CommandLine(new Main())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setExecutionExceptionHandler((e, line, parsed) -> {
                    java.util.logging.Logger.getLogger("mussel").log(java.util.logging.Level.SEVERE, "In a command", e);
                    line.getErr().println(e.getMessage());
                    return 2;
                });
    }

    Path log() {
        return log == null ? DataFolder.logbook() : log;
    }

    boolean logGiven() {
        return log != null;
    }

    @Override
    public void run() {
        window(log());
    }

    /** Opens the window on a logbook and stays until it is closed. */
    static void window(Path log) {
        Logging.silent();
        MusselApp.prepare(log);
        Application.launch(MusselApp.class);
    }
}
