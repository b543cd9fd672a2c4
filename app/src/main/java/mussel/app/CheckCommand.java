package mussel.app;

import java.io.PrintWriter;
import java.time.Clock;
import java.util.concurrent.Callable;
import mussel.store.Integrity;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description = "Checks the whole logbook: the file, every entry, every job, every picture. Changes nothing.")
final class CheckCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Integrity found = Integrity.of(main.log(), Clock.systemDefaultZone());
        PrintWriter out = spec.commandLine().getOut();
        found.troubles().forEach(out::println);
        out.println(found.jobs() + " jobs, " + found.entries() + " entries, " + found.pictures() + " pictures: "
                + (found.troubles().isEmpty() ? "sound." : found.troubles().size() + " troubles."));
        if (found.stale() > 0) {
            out.println(found.stale()
                    + " jobs have gone on since the bench was last shown; the next start brings it up to date.");
        }
        return found.troubles().isEmpty() ? 0 : 2;
    }
}
