package mussel.app;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import mussel.core.language.Messages;
import mussel.store.Salvage;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "salvage",
        mixinStandardHelpOptions = true,
        description =
                "Brings every entry that is whole out of a damaged logbook into a new one, and says which are not. The damaged one stays as it is.")
final class SalvageCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(SalvageCommand.class);

    @ParentCommand
    private Main main;

    @Parameters(paramLabel = "DAMAGED", description = "the damaged logbook")
    private Path damaged;

    @Option(names = "--out", required = true, paramLabel = "NEW", description = "the new logbook; a name that is free")
    private Path out;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Salvage.bring(damaged.toAbsolutePath(), out.toAbsolutePath(), main.clock())
                .forEach(spec.commandLine().getOut()::println);
        spec.commandLine().getOut().println(TEXT.get("salvage_command.was_left_as_it_is", damaged));
        return 0;
    }
}
