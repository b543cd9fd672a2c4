package mussel.app;

import java.io.PrintWriter;
import java.util.concurrent.Callable;
import mussel.app.data.Restorer;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "restore",
        mixinStandardHelpOptions = true,
        description =
                "Puts a backup in place of the logbook. What is there now is kept: as a backup, or set aside where it is damaged.")
final class RestoreCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Mixin
    private IncomingFile file = new IncomingFile();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Restorer restorer = new Restorer(main.log(), DataFolder.path(), main.clock());
        PrintWriter out = spec.commandLine().getOut();
        restorer.preview(file.path()).forEach(out::println);
        if (!file.dryRun()) {
            restorer.restore(file.path()).forEach(out::println);
        }
        return 0;
    }
}
