package mussel.exchange.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import mussel.core.book.Filed;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.Job;
import mussel.core.job.Surroundings;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;

/** Tries a job out on the sheets that ship, as the bench and the book would read it. */
final class Folding {
    private static final Map<String, SpecSheet> SHEETS =
            SheetFiles.shipped().stream().collect(Collectors.toMap(SpecSheet::id, Function.identity()));
    private static final Surroundings TRIAL = new Surroundings(
            SheetFiles.shippedYard(), new Judge(KnowledgeFiles.shipped()), List.of(), LocalDate.of(2026, 1, 1));

    private Folding() {}

    /** Whether it can be read; a job of a family that is not here is taken as it is. */
    static boolean works(Job job) {
        SpecSheet sheet = SHEETS.get(job.leg().family());
        if (sheet == null) {
            return true;
        }
        Assessment assessed = Assessment.of(job, sheet, TRIAL);
        return Filed.of(assessed).visit().job() == BenchLine.of(assessed).job();
    }
}
