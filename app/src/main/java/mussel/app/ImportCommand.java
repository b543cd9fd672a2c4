package mussel.app;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import mussel.exchange.file.Scratch;
import mussel.store.FileStore;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Workshop;
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
        Clock clock = main.clock();
        Path folder = Scratch.folder();
        try {
            // A look leaves nothing behind, not even an empty logbook, and neither does a file that is refused.
            boolean none = !Files.exists(main.log());
            if (none && !look(folder.resolve("empty.mussel"), clock)) {
                return Main.REFUSED;
            }
            return none && file.dryRun() ? 0 : takeIn(main.log(), clock);
        } finally {
            Scratch.remove(folder);
        }
    }

    /** Says what an empty logbook would get, where nothing is taken in or the file is refused; whether it is sound. */
    private boolean look(Path empty, Clock clock) {
        Workshop shop = Yards.open(new FileStore(empty, clock));
        try {
            ImportPreview incoming = shop.data().look(file.path(), done -> true);
            if (!incoming.sound() || file.dryRun()) {
                say(incoming);
            }
            return incoming.sound();
        } finally {
            shop.journal().close();
        }
    }

    private int takeIn(Path log, Clock clock) {
        Workshop shop = Yards.open(new FileStore(log, clock));
        try {
            return takeIn(shop);
        } finally {
            shop.journal().close();
        }
    }

    private void say(ImportPreview incoming) {
        PrintWriter err = spec.commandLine().getErr();
        incoming.refused().forEach(why -> err.println(file.path().getFileName() + ": " + why));
        incoming.says().forEach(spec.commandLine().getOut()::println);
    }

    private int takeIn(Workshop shop) {
        ImportPreview incoming = shop.data().look(file.path(), done -> true);
        say(incoming);
        if (incoming.sound() && !file.dryRun() && incoming.changes()) {
            incoming.take().accept(done -> true);
            incoming.then().run();
            shop.fileEverything();
        }
        return incoming.sound() ? 0 : 2;
    }
}
