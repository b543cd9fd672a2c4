package mussel.app;

import java.io.PrintWriter;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.book.OpenLog;
import mussel.core.log.DueForecast;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "due",
        mixinStandardHelpOptions = true,
        description = "Lists what is due, the most pressing first, with the estimate of the hours and its band.")
final class DueCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Option(names = "--most", defaultValue = "200", paramLabel = "N", description = "at most so many lines (200)")
    private int most;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = main.clock();
        LocalDate today = LocalDate.now(clock);
        try (OpenLog journal = main.store().read()) {
            List<Awaiting> due = journal.book().due(most);
            PrintWriter out = spec.commandLine().getOut();
            record Line(Awaiting each, DueForecast forecast) {}
            due.stream()
                    .map(a -> new Line(a, DueForecast.of(a.due(), a.readings(), today)))
                    .sorted(java.util.Comparator.comparing(
                            (Line l) -> l.forecast().by()))
                    .forEach(l -> out.println(l.forecast().by() + "  "
                            + l.forecast().urgency().name().toLowerCase(Locale.ROOT) + "  "
                            + l.each().leg().title() + "  " + l.each().due().what() + ".  "
                            + l.forecast().says(today)));
            return 0;
        }
    }
}
