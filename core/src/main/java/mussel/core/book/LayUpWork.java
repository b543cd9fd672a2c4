package mussel.core.book;

import java.util.ArrayList;
import java.util.List;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegBefore;
import mussel.core.job.Yard;
import mussel.core.language.Messages;

/**
 * The lay-up of one boat as it is done: its steps in the order hands go, each ticked and kept.
 *
 * @param lines the steps
 */
public record LayUpWork(List<Line> lines) {
    private static final Messages TEXT = Messages.of(LayUpWork.class);

    /** What the steps are known by, in their order. */
    public static final List<String> STEPS = List.of("fuel", "fog", "engine_oil", "gear_oil", "pump", "rest");

    /** Keeps its own copy. */
    public LayUpWork {
        lines = List.copyOf(lines);
    }

    /**
     * A step.
     *
     * @param id what its tick is known by
     * @param says what to do, with its amounts
     * @param done whether it is ticked
     */
    public record Line(String id, String says, boolean done) {}

    /** What a leg's engine and tank take, as far as anybody has typed it. */
    public static LayUp needs(Assessment now) {
        return needs(now.job(), now.before(), now.yard());
    }

    /** The same without computing anything else of the job. */
    public static LayUp needs(Job job, LegBefore before, Yard yard) {
        return new LayUp(
                before.ofTheEngine(Field.FUEL_TANK, job),
                before.ofTheEngine(Field.STABILISER_DOSE, job),
                before.ofTheEngine(Field.ENGINE_TAKES, job),
                before.ofTheEngine(Field.FILTER_HOLDS, job),
                yard.bottles());
    }

    /** The lay-up of a job. */
    public static LayUpWork of(Assessment now) {
        List<String> steps = needs(now).steps(now.sheet(), now.yard().reads());
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < STEPS.size(); i++) {
            String id = LegBefore.LAY_UP + STEPS.get(i);
            lines.add(new Line(id, steps.get(i), now.job().ticked(id).isPresent()));
        }
        return new LayUpWork(lines);
    }

    /** How many are done. */
    public int done() {
        return (int) lines.stream().filter(Line::done).count();
    }

    /** How many of its steps are done on a job. */
    public static int done(Job job) {
        return LegBefore.layUp(job).size();
    }

    /** The lay-up of a job as a list for paper. */
    public WorkList list(Assessment now) {
        return new WorkList(
                TEXT.get("list.layup"),
                TEXT.get("list.layup.intro"),
                lines.stream().map(l -> new WorkList.Line(l.says(), l.done())).toList(),
                new EngineSide(now).waiting());
    }
}
