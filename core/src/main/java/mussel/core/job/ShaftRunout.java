package mussel.core.job;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import mussel.core.propeller.RunoutEngine;
import mussel.core.propeller.RunoutInput;
import mussel.core.propeller.RunoutResult;
import mussel.core.propeller.RunoutWords;
import mussel.core.sheet.SpecSheet;

/**
 * The run-out of a job's propeller shaft.
 *
 * @param in what was read and the limit it is held against
 * @param out what that means; empty where the marks contradict each other
 * @param problems why there is no answer
 */
public record ShaftRunout(RunoutInput in, Optional<RunoutResult> out, List<Problem> problems) {
    private static final double U_INDICATOR_MM = 0.01;

    /** The run-out, once both marks were read. */
    public static Optional<ShaftRunout> of(Job job, SpecSheet sheet) {
        OptionalDouble high = job.reading(Field.RUNOUT_HIGH);
        OptionalDouble low = job.reading(Field.RUNOUT_LOW);
        if (high.isEmpty() || low.isEmpty()) {
            return Optional.empty();
        }
        RunoutInput in = new RunoutInput(
                high.getAsDouble(),
                low.getAsDouble(),
                job.reading(Field.RUNOUT_PLAY).orElse(0),
                sheet.construction().runoutLimitMm(),
                U_INDICATOR_MM);
        Problems found = new Problems();
        in.check(found, "");
        return Optional.of(
                new ShaftRunout(in, found.none() ? Optional.of(RunoutEngine.run(in)) : Optional.empty(), found.list()));
    }

    /** The finding it makes; none while the reading cannot decide. */
    Optional<String> finding() {
        return out.map(RunoutResult::verdict).flatMap(verdict -> switch (verdict) {
            case STRAIGHT -> Optional.of("straight");
            case BENT -> Optional.of("bent");
            case UNDECIDED -> Optional.empty();
        });
    }

    /** What it means and what to do, the most important first; what to mend where the marks contradict each other. */
    public List<String> notes(YardUnits units) {
        return words(units).map(RunoutWords::notes).orElseGet(() -> List.of(RunoutWords.swapped()));
    }

    /** The same in words. */
    public Optional<RunoutWords> words(YardUnits units) {
        return out.map(o -> new RunoutWords(in, o, units));
    }
}
