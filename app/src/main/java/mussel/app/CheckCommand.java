package mussel.app;

import java.io.PrintWriter;
import java.util.concurrent.Callable;
import mussel.core.book.LogStore.LogCheck;
import mussel.core.book.OpenLog;
import mussel.core.language.Messages;
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
    private static final Messages TEXT = Messages.of(CheckCommand.class);

    @ParentCommand
    private Main main;

    @Spec
    private CommandSpec spec;

    @Option(
            names = "--mend",
            description =
                    "makes what is derived from the entries (bench, book, due work) anew; the entries stay as they are")
    private boolean mend;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        if (mend) {
            try (OpenLog log = main.store().open()) {
                log.forgetDerived();
            }
            Workshop shop = Yards.open(main.store());
            try {
                shop.book().owe(shop.journal().numbers());
                shop.fileEverything();
                out.println(TEXT.get("check_command.what_is_derived_from_the_entries"));
            } finally {
                shop.journal().close();
            }
        }
        LogCheck found = main.store().check(log -> Yards.over(log, main.store()).fileEverything());
        found.troubles().forEach(out::println);
        out.println(TEXT.get(
                "check_command.jobs_entries_pictures",
                found.jobs(),
                found.entries(),
                found.pictures(),
                (found.troubles().isEmpty()
                        ? "sound."
                        : TEXT.get("check_command.troubles", found.troubles().size()))));
        if (!found.chained().isEmpty()) {
            out.println(found.chained());
        }
        if (found.stale() > 0) {
            out.println(TEXT.get("check_command.jobs_have_gone_on_since_the", found.stale()));
        }
        return found.troubles().isEmpty() ? 0 : 2;
    }
}
