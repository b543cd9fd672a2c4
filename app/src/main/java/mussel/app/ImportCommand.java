package mussel.app;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import mussel.desktop.desk.Incoming;
import mussel.desktop.desk.Workshop;
import mussel.exchange.file.Scratch;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
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

    @Mixin
    private IncomingFile file = new IncomingFile();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = Clock.systemDefaultZone();
        Path folder = Scratch.folder();
        // A look leaves nothing behind, not even an empty logbook.
        boolean none = file.dryRun() && !Files.exists(main.log());
        Workshop shop = Yards.open(none ? folder.resolve("empty.mussel") : main.log(), clock);
        try {
            return takeIn(shop);
        } finally {
            shop.journal().close();
            Scratch.remove(folder);
        }
    }

    private int takeIn(Workshop shop) {
        Incoming incoming = shop.data().look(file.path(), done -> true);
        PrintWriter err = spec.commandLine().getErr();
        incoming.refused().forEach(why -> err.println(file.path().getFileName() + ": " + why));
        incoming.says().forEach(spec.commandLine().getOut()::println);
        if (incoming.sound() && !file.dryRun() && incoming.changes()) {
            incoming.take().accept(done -> true);
            incoming.then().run();
            shop.fileEverything();
        }
        return incoming.sound() ? 0 : 2;
    }
}
