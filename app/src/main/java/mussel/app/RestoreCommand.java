package mussel.app;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.Callable;
import mussel.core.book.LogCopy;
import mussel.core.book.Merge;
import mussel.store.Backups;
import mussel.store.SqliteJournal;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "restore",
        mixinStandardHelpOptions = true,
        description = "Puts a backup in place of the logbook. What is there now is backed up before.")
final class RestoreCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Mixin
    private IncomingFile file = new IncomingFile();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = Clock.systemDefaultZone();
        preview(clock).forEach(spec.commandLine().getOut()::println);
        if (file.dryRun()) {
            return 0;
        }
        PrintWriter out = spec.commandLine().getOut();
        if (Files.exists(main.log())) {
            SqliteJournal.open(main.log(), clock).close();
        }
        Backups.of(main.log(), clock)
                .restore(file.path())
                .ifPresent(before -> out.println("What was there is kept in " + before + "."));
        out.println("Restored into " + main.log() + ".");
        return 0;
    }

    /** What the backup holds, and what of the log it does not. */
    private List<String> preview(Clock clock) {
        return Backups.look(file.path(), clock, inside -> {
            LogCopy kept = new LogCopy(inside.settings(), inside.all());
            String holds = "The backup holds " + kept.jobs().size() + " jobs with " + kept.entries() + " entries.";
            if (!Files.exists(main.log())) {
                return List.of(holds, "There is no logbook " + main.log() + " yet.");
            }
            try (SqliteJournal here = SqliteJournal.read(main.log(), clock)) {
                Merge lost = Merge.of(inside, new LogCopy(java.util.Map.of(), here.all()));
                return List.of(
                        holds,
                        lost.changes()
                                ? "Not in it, and gone from the logbook after restoring: "
                                        + lost.says().get(0)
                                : "Everything in the logbook is in it.");
            }
        });
    }
}
