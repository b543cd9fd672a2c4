package mussel.app;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.Callable;
import javafx.application.Application;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.Scratch;
import mussel.store.FileStore;
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
            SheetCommand.class,
            KnowledgeCommand.class,
            PracticeCommand.class,
            SchemaCommand.class,
            ReportCommand.class,
            ExportCommand.class,
            ImportCommand.class,
            DueCommand.class,
            PricesCommand.class,
            CheckCommand.class,
            SalvageCommand.class,
            BackupCommand.class,
            RestoreCommand.class,
            ShotsCommand.class
        })
public final class Main implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(Main.class);

    /** Something was refused; the reason was told. */
    static final int REFUSED = 2;
    /** Something went wrong that nobody foresaw. */
    static final int FAILED = 1;

    @Option(
            names = "--log",
            paramLabel = "FILE",
            scope = ScopeType.INHERIT,
            description = "the logbook to use (default: the yard's own in the user's data folder)")
    private Path log;

    private final Clock clock;

    private Main(Clock clock) {
        this.clock = clock;
    }

    /** Starts Mussel. */
    public static void main(String[] args) {
        Logging.silent();
        Thread.setDefaultUncaughtExceptionHandler((thread, e) -> System.exit(failed(e)));
        if (args.length == 0 || Arrays.equals(args, new String[] {"demo"})) {
            openAtOnce(args.length > 0);
        } else if (args.length == 2 && args[0].equals("--log") && !args[1].startsWith("-")) {
            System.exit(window(path(args[1])));
        }
        Scratch.sweep();
        System.exit(command().execute(args));
    }

    /** A path somebody typed; what the machine cannot name is said, not thrown. */
    private static Path path(String typed) {
        try {
            return Path.of(typed);
        } catch (InvalidPathException e) {
            Terminal.on(Logging.ERR).println(TEXT.get("main.there_can_be_no_file_of", typed));
            System.exit(REFUSED);
            throw e;
        }
    }

    /** Tells what nobody foresaw: a sentence, with where the details are. Returns the exit code. */
    static int failed(Throwable e) {
        PrintWriter err = Terminal.on(Logging.ERR);
        if (e instanceof JournalException) {
            err.println(e.getMessage());
            return REFUSED;
        }
        if (e instanceof UncheckedIOException io) {
            err.println(TEXT.get("main.a_file_could_not_be_read", Durable.why(io.getCause())));
            return REFUSED;
        }
        err.println(Logging.keep(TEXT.get("main.in_a_command"), e));
        return FAILED;
    }

    /** The window without the command line's machinery, which takes a quarter of a second to load. */
    private static void openAtOnce(boolean demo) {
        Path log = demo ? DataFolder.demo() : DataFolder.logbook();
        if (!demo || Files.exists(log)) {
            System.exit(window(log));
        }
    }

    static CommandLine command() {
        return command(Clock.systemDefaultZone());
    }

    /** The command line for which it is as late as that clock says. */
    static CommandLine command(Clock clock) {
        CommandLine command = new CommandLine(new Main(clock))
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setOut(Terminal.on(System.out))
                .setErr(Terminal.on(System.err));
        command.registerConverter(Path.class, typed -> {
            try {
                return Path.of(typed);
            } catch (InvalidPathException e) {
                throw new CommandLine.TypeConversionException(TEXT.get("main.there_can_be_no_file_of_2"));
            }
        });
        return command.setExecutionExceptionHandler((e, line, parsed) -> {
            if (e instanceof JournalException) {
                line.getErr().println(e.getMessage());
                return REFUSED;
            }
            if (e instanceof UncheckedIOException io) {
                line.getErr().println(TEXT.get("main.a_file_could_not_be_read", Durable.why(io.getCause())));
                return REFUSED;
            }
            if (e instanceof IOException io) {
                line.getErr().println(TEXT.get("main.a_file_could_not_be_read", Durable.why(io)));
                return REFUSED;
            }
            line.getErr().println(Logging.keep(TEXT.get("main.in_a_command"), e));
            return FAILED;
        });
    }

    Path log() {
        return log == null ? DataFolder.logbook() : log;
    }

    /** The log that every command works on. */
    FileStore store() {
        return new FileStore(log(), clock);
    }

    /** The clock that every command goes by. */
    Clock clock() {
        return clock;
    }

    boolean logGiven() {
        return log != null;
    }

    @Override
    public Integer call() {
        return window(log());
    }

    /** Opens the window on a logbook and stays until it is closed. Returns the exit code: 0 only where the window stood on its logbook. */
    static int window(Path log) {
        Logging.silent();
        Optional<String> missing = WindowNeeds.missing();
        if (missing.isPresent()) {
            Terminal.on(Logging.ERR).println(missing.get());
            return REFUSED;
        }
        MusselApp.prepare(log);
        try {
            Application.launch(MusselApp.class);
            return MusselApp.exitCode();
        } catch (RuntimeException | LinkageError e) {
            Terminal.on(Logging.ERR)
                    .println(TEXT.get(
                            "main.the_window_could_not_be_shown", Logging.keep(TEXT.get("main.at_the_start"), e)));
            return FAILED;
        }
    }
}
