package mussel.app;

import java.io.PrintWriter;
import java.time.Clock;
import java.util.concurrent.Callable;
import mussel.store.Integrity;
import mussel.store.LogKind;
import mussel.store.SqliteJournal;
import mussel.work.shop.Workshop;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description =
                "Checks the whole logbook: the file, the chain of every job, every entry, every picture, and what is derived from them. Changes nothing unless told to.")
final class CheckCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Spec
    private CommandSpec spec;

    @Option(
            names = "--mend",
            description =
                    "makes what is derived from the entries (bench, book, due work) anew; the entries stay as they are")
    private boolean mend;

    /** A practice log has a bench of its own, and no shop stands over it: what is derived is not held against anything. */
    private boolean practice(Clock clock) {
        try (SqliteJournal journal = SqliteJournal.read(main.log(), clock)) {
            return journal.kind() == LogKind.PRACTICE;
        }
    }

    @Override
    public Integer call() {
        Clock clock = main.clock();
        PrintWriter out = spec.commandLine().getOut();
        if (mend) {
            try (SqliteJournal journal = SqliteJournal.open(main.log(), clock)) {
                journal.mendCounter();
                journal.forgetDerived();
            }
            Workshop shop = Yards.open(main.log(), clock);
            try {
                shop.book().owe(shop.journal().numbers());
                shop.fileEverything();
                out.println("What is derived from the entries was made anew.");
            } finally {
                shop.journal().close();
            }
        }
        Integrity found = practice(clock)
                ? Integrity.of(main.log(), clock)
                : Integrity.of(main.log(), clock, journal -> Yards.over(journal, main.log(), clock)
                        .fileEverything());
        found.troubles().forEach(out::println);
        out.println(found.jobs() + " jobs, " + found.entries() + " entries, " + found.pictures() + " pictures: "
                + (found.troubles().isEmpty() ? "sound." : found.troubles().size() + " troubles."));
        if (!found.chained().isEmpty()) {
            out.println(found.chained());
        }
        if (found.stale() > 0) {
            out.println(found.stale()
                    + " jobs have gone on since the bench was last shown; the next start brings it up to date.");
        }
        return found.troubles().isEmpty() ? 0 : 2;
    }
}
