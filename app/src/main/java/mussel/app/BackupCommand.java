package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import mussel.store.Backups;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "backup",
        mixinStandardHelpOptions = true,
        description =
                "Writes the whole logbook with its pictures and the yard’s own sheets into one file, for a shelf or another machine.")
final class BackupCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Option(names = "--out", paramLabel = "FILE", description = "where to write it (default: here, named by the day)")
    private Path out;

    @Option(names = "--force", description = "replaces a backup of that name")
    private boolean force;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = main.clock();
        Path file = out == null ? Path.of("mussel-" + LocalDate.now(clock) + Backups.ENDING) : out;
        Backups.of(main.log(), DataFolder.path(), clock).everything(file, force);
        spec.commandLine().getOut().println(file);
        return 0;
    }
}
