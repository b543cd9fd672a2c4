package mussel.core.plan;

import java.util.List;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Step;

/**
 * The work that a set of goals calls for.
 *
 * @param steps every step in working order
 * @param parts what must be there to fit, with the reason
 * @param tools what must lie ready, each once
 * @param fasteners fastener groups closed again on the build side, in order
 * @param minutesMean mean of the whole (min)
 */
public record Plan(
        List<PlannedStep> steps,
        List<PartNeed> parts,
        List<String> tools,
        List<Fastener> fasteners,
        double minutesMean) {
    /** Keeps its own copies. */
    public Plan {
        steps = List.copyOf(steps);
        parts = List.copyOf(parts);
        tools = List.copyOf(tools);
        fasteners = List.copyOf(fasteners);
    }

    /** A plan with nothing in it. */
    public static Plan nothing() {
        return new Plan(List.of(), List.of(), List.of(), List.of(), 0);
    }

    /** The steps of the given phases, in order. */
    public List<PlannedStep> of(Phase... phases) {
        List<Phase> wanted = List.of(phases);
        return steps.stream().filter(s -> wanted.contains(s.step().phase())).toList();
    }

    /**
     * One step of the plan.
     *
     * @param step the sheet's step
     * @param needs the earlier steps of this plan it waits for
     */
    public record PlannedStep(Step step, List<String> needs) {
        /** Keeps its own copy. */
        public PlannedStep {
            needs = List.copyOf(needs);
        }
    }

    /**
     * A part to have at hand.
     *
     * @param part which and how many
     * @param why which goal, or that it is always renewed once disturbed
     * @param kit the chosen goals' kit that holds it; empty when it must be ordered singly
     */
    public record PartNeed(PartQty part, String why, String kit) {}
}
