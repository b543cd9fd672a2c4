package mussel.work.shop;

import java.util.Optional;
import mussel.core.job.Job;
import mussel.core.practice.Exercise;
import mussel.core.practice.Workplace;

/** Practice legs of a shop over the practice log, each with what it is worked on. */
final class PracticeJobs {
    private PracticeJobs() {}

    /** An exercise by its job; empty where it is none, or the sheet of its family or its lesson is not here. */
    static Optional<Exercise> exercise(Workshop shop, Job job) {
        return Exercise.of(
                job,
                shop.tables().judge()::tables,
                shop.practice().lessons(),
                shop.yard().labourPerH(),
                shop.sheets()
                        .workedBy(job)
                        .map(sheet -> new Workplace(sheet, shop.surroundings(job), shop.instruments())));
    }
}
