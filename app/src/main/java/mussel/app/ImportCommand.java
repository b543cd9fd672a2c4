package mussel.app;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import mussel.app.data.Importer;
import mussel.desktop.desk.Incoming;
import mussel.desktop.desk.Workshop;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "import",
        mixinStandardHelpOptions = true,
        description =
                "Takes in a log, a job, a backup or a sheet: all of it or nothing. Nothing that is there is changed.")
final class ImportCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Parameters(paramLabel = "FILE", description = "what to take in")
    private Path file;

    @Option(names = "--dry-run", description = "only says what would change")
    private boolean dryRun;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = Clock.systemDefaultZone();
        Workshop shop = Yards.open(
                main.log(), clock, Families.load(DataFolder.families()).sheets());
        try (var journal = shop.journal()) {
            Incoming incoming = new Importer(journal, DataFolder.path(), clock)
                    .look(file.toAbsolutePath())
                    .get();
            PrintWriter err = spec.commandLine().getErr();
            incoming.refused().forEach(why -> err.println(file.getFileName() + ": " + why));
            incoming.says().forEach(spec.commandLine().getOut()::println);
            if (incoming.sound() && !dryRun && incoming.changes()) {
                incoming.take().run();
                shop.refreshBench();
            }
            return incoming.sound() ? 0 : 2;
        }
    }
}
