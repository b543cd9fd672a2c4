package mussel.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import javafx.application.Application;
import mussel.core.language.Messages;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "shots",
        mixinStandardHelpOptions = true,
        description = "Renders every main view from demo data to PNG.")
final class ShotsCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(ShotsCommand.class);

    @Parameters(paramLabel = "DIR", description = "where the pictures go")
    private Path folder;

    @Option(
            names = "--size",
            paramLabel = "WxH",
            defaultValue = "1280x800",
            description = "size of the window (default ${DEFAULT-VALUE})")
    private String size;

    @Option(names = "--dark", description = "in the dark look")
    private boolean dark;

    @Option(names = "--glove", description = "with the Glove setting")
    private boolean glove;

    @Option(
            names = "--only",
            paramLabel = "NAME",
            arity = "1..*",
            description = "only these views, as their pictures are named")
    private Set<String> only = Set.of();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        if (!size.matches("[1-9]\\d{2,3}x[1-9]\\d{2,3}")) {
            spec.commandLine().getErr().println(TEXT.get("shots_command.a_size_is_written_1280x800_not", size));
            return 2;
        }
        Optional<String> missing = WindowNeeds.missing();
        if (missing.isPresent()) {
            spec.commandLine().getErr().println(missing.get());
            return Main.REFUSED;
        }
        Files.createDirectories(folder);
        Logging.toFileIn(DataFolder.path());
        String[] sides = size.split("x");
        ShotsApp.prepare(folder, Integer.parseInt(sides[0]), Integer.parseInt(sides[1]), dark, glove);
        ShotsApp.only(only);
        try {
            Application.launch(ShotsApp.class);
            return 0;
        } catch (RuntimeException | LinkageError e) {
            spec.commandLine()
                    .getErr()
                    .println(TEXT.get(
                            "shots_command.the_window_could_not_be_shown",
                            Logging.keep(TEXT.get("shots_command.at_the_start"), e)));
            return Main.FAILED;
        }
    }
}
