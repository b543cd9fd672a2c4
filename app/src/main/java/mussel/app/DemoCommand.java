package mussel.app;

import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import mussel.app.demo.DemoPractice;
import mussel.app.demo.DemoYard;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.store.DemoLog;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;

@Command(
        name = "demo",
        mixinStandardHelpOptions = true,
        description = "Opens the window on a throwaway copy of the demo yard.")
final class DemoCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(DemoCommand.class);

    @ParentCommand
    private Main main;

    @Option(names = "--fresh", description = "begin the demo anew")
    private boolean fresh;

    @Override
    public Integer call() {
        Path file = main.logGiven() ? main.log() : DataFolder.demo();
        if (!main.logGiven() && fresh && Files.exists(file) && !DemoLog.is(file)) {
            DemoLog.setAside(file);
        }
        seed(file, fresh);
        DemoPractice.beside(file, Clock.systemUTC().instant());
        return Main.window(file);
    }

    /**
     * Makes the demo's file where there is none, or anew. A logbook that is no demo data is never touched.
     *
     * @throws JournalException with a sentence when there is something else, or it is open
     */
    static void seed(Path file, boolean fresh) {
        if (Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
            if (!DemoLog.is(file)) {
                throw new JournalException(TEXT.get("demo_command.is_no_demo_data_and_nothing", file));
            }
            if (!fresh) {
                return;
            }
            DemoLog.throwAway(file);
        }
        DemoYard.fill(file, Clock.systemUTC().instant());
    }
}
