package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.Callable;
import mussel.core.book.OpenLog;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Job;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.OutFile;
import mussel.work.shop.Workshop;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ParentCommand;
import picocli.CommandLine.Spec;

@Command(name = "report", mixinStandardHelpOptions = true, description = "Writes a job's sheet as PDF.")
final class ReportCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(ReportCommand.class);

    @ParentCommand
    private Main main;

    @Parameters(paramLabel = "JOB", description = "the job's number")
    private int job;

    @Option(names = "--out", required = true, paramLabel = "FILE.pdf", description = "where to write it")
    private Path out;

    @Option(names = "--force", description = "replaces a PDF of that name")
    private boolean force;

    @Option(
            names = "--paper",
            paramLabel = "PAPER",
            defaultValue = "sheet",
            description = "sheet (the job sheet), estimate (for the owner) or mat; default ${DEFAULT-VALUE}")
    private Paper paper;

    /** What can be printed of a job. */
    enum Paper {
        sheet {
            @Override
            void write(Workshop shop, Assessment job, Path out) {
                shop.jobSheets().write(job, out);
            }
        },
        estimate {
            @Override
            void write(Workshop shop, Assessment job, Path out) {
                shop.papers().estimate(job, out);
            }
        },
        mat {
            @Override
            void write(Workshop shop, Assessment job, Path out) {
                shop.papers().mat(job, out);
            }
        };

        abstract void write(Workshop shop, Assessment job, Path out);
    }

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        Clock clock = main.clock();
        OutFile.of(out, OutFile.Kind.PDF, force);
        try (OpenLog journal = main.store().read()) {
            List<Entry> entries = journal.entries(job);
            if (entries.isEmpty()) {
                spec.commandLine().getErr().println(TEXT.get("report_command.there_is_no_job_in", job, main.log()));
                return 2;
            }
            Workshop shop = Yards.over(journal, main.store());
            Job folded = Job.of(entries);
            shop.assess(folded).ifPresentOrElse(a -> paper.write(shop, a, out), () -> {
                throw new JournalException(TEXT.get(
                        "report_command.the_family_sheet_of_job_is",
                        folded.leg().family(),
                        job));
            });
            return 0;
        }
    }
}
