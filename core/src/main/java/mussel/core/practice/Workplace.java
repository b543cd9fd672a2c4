package mussel.core.practice;

import mussel.core.instrument.Instruments;
import mussel.core.job.Assessment;
import mussel.core.job.Job;
import mussel.core.job.Surroundings;
import mussel.core.sheet.SpecSheet;

/**
 * Where a practice leg of a family is worked on.
 *
 * @param sheet the sheet of its family
 * @param surroundings the yard, its prices and its tables
 * @param instruments the simulated instruments it is read with
 */
public record Workplace(SpecSheet sheet, Surroundings surroundings, Instruments instruments) {
    /** A job as it is judged here. */
    Assessment assessed(Job job) {
        return Assessment.of(job, sheet, surroundings);
    }
}
