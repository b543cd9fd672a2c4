package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import mussel.app.data.Exporter;
import mussel.core.book.OpenLog;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(
        name = "export",
        mixinStandardHelpOptions = true,
        description =
                "Writes the log, one job or one leg, in an open format: json (every entry), csv (a folder of lists), ics (what is due).")
final class ExportCommand implements Callable<Integer> {
    @ParentCommand
    private Main main;

    @Option(names = "--format", required = true, paramLabel = "FORMAT", description = "json, csv or ics")
    private Exporter.Format format;

    @Option(names = "--out", required = true, paramLabel = "PATH", description = "the file, or for csv the folder")
    private Path out;

    @Option(names = "--force", description = "replaces files of the same kind that are there")
    private boolean force;

    @ArgGroup
    private Only only = new Only();

    /** Which part of the log. */
    private static final class Only {
        @Option(names = "--job", paramLabel = "ID", description = "only this job")
        private Integer job;

        @Option(names = "--leg", paramLabel = "LEG", description = "only this leg, like \"Spat Lass, port\"")
        private String leg;

        Exporter.Scope of(Exporter exporter) {
            if (job != null) {
                return exporter.job(job);
            }
            return leg != null ? exporter.leg(leg) : Exporter.Scope.ALL;
        }
    }

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = main.clock();
        try (OpenLog journal = main.store().read()) {
            Exporter exporter = new Exporter(journal, journal.book());
            exporter.export(
                            format,
                            out.toAbsolutePath(),
                            only.of(exporter),
                            LocalDate.now(clock),
                            clock.instant(),
                            force)
                    .forEach(spec.commandLine().getOut()::println);
            return 0;
        }
    }
}
