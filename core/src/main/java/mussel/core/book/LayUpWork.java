package mussel.core.book;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import mussel.core.job.Assessment;
import mussel.core.job.Beside;
import mussel.core.job.Field;
import mussel.core.job.Job;

/**
 * The lay-up of one boat as it is done: its steps in the order hands go, each ticked and kept.
 *
 * @param lines the steps
 */
public record LayUpWork(List<Line> lines) {
    /** What the steps are known by, in their order. */
    public static final List<String> STEPS = List.of("fuel", "fog", "engine_oil", "gear_oil", "pump", "rest");

    private static final String BEFORE = "layup:";

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
        Beside beside = new Beside(now);
        OptionalDouble dose = beside.ofTheEngine(Field.STABILISER_DOSE);
        return new LayUp(
                beside.ofTheEngine(Field.FUEL_TANK),
                dose,
                beside.ofTheEngine(Field.ENGINE_TAKES),
                beside.ofTheEngine(Field.FILTER_HOLDS),
                now.yard().bottles());
    }

    /** The lay-up of a job. */
    public static LayUpWork of(Assessment now) {
        List<String> steps = needs(now).steps(now.sheet(), now.yard().reads());
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < STEPS.size(); i++) {
            String id = BEFORE + STEPS.get(i);
            lines.add(new Line(id, steps.get(i), now.job().ticked(id).isPresent()));
        }
        return new LayUpWork(lines);
    }

    /** How many are done. */
    public int done() {
        return (int) lines.stream().filter(Line::done).count();
    }

    /** Whether it was begun on a job. */
    public static boolean begun(Job job) {
        return STEPS.stream().anyMatch(s -> job.ticked(BEFORE + s).isPresent());
    }
}
