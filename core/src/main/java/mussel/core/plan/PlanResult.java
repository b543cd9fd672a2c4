package mussel.core.plan;

import java.util.List;
import java.util.Optional;
import mussel.core.measure.Wide;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.Substitute;

/**
 * The work with its times.
 *
 * @param goals the goals planned for, with what the yard's policy adds
 * @param steps every step in working order
 * @param minutes how long it takes
 * @param tools what must lie ready
 * @param toolsMissing those the yard does not have
 * @param substitutes what can stand in for missing ones
 * @param consumables what is used up
 * @param parts what must be there to fit
 * @param marginal what each further goal costs while it is open, and later
 * @param twin doing the sister leg at once; empty unless asked for
 */
public record PlanResult(
        List<String> goals,
        List<TimedStep> steps,
        Minutes minutes,
        List<String> tools,
        List<String> toolsMissing,
        List<Substitute> substitutes,
        List<String> consumables,
        List<Needed> parts,
        List<Marginal> marginal,
        Optional<Twin> twin) {
    /** Keeps its own copies. */
    public PlanResult {
        goals = List.copyOf(goals);
        steps = List.copyOf(steps);
        tools = List.copyOf(tools);
        toolsMissing = List.copyOf(toolsMissing);
        substitutes = List.copyOf(substitutes);
        consumables = List.copyOf(consumables);
        parts = List.copyOf(parts);
        marginal = List.copyOf(marginal);
    }

    /**
     * One step.
     *
     * @param id its id
     * @param title what is done
     * @param phase which side of the job
     * @param place where the hands are
     * @param needs earlier steps it waits for
     * @param minutesMean its mean with what seizing adds (min)
     * @param seizedProbability how likely it has seized (0..1)
     * @param tools what must lie ready
     * @param partsOut what comes off
     * @param partsIn what goes in
     * @param fasteners fastener groups opened or closed
     * @param cautions where a hand would be hurt or a part ruined
     * @param cureMin how long what it glues must cure before the engine runs (min)
     */
    @Wide("The headless contract of the plan engine: a component is a field of its schema.")
    public record TimedStep(
            String id,
            String title,
            Phase phase,
            Place place,
            List<String> needs,
            double minutesMean,
            double seizedProbability,
            List<String> tools,
            List<PartQty> partsOut,
            List<PartQty> partsIn,
            List<String> fasteners,
            List<String> cautions,
            double cureMin) {}

    /**
     * How long the whole takes.
     *
     * @param mean on the mean, exact (min)
     * @param p50 in half of all cases at most (min)
     * @param p90 in nine of ten cases at most (min)
     */
    public record Minutes(double mean, double p50, double p90) {}

    /**
     * A part to have at hand.
     *
     * @param part its id
     * @param qty how many
     * @param why which goal, or that it is always new
     * @param kit a kit of the family that holds it; empty where none does
     */
    public record Needed(String part, int qty, String why, Optional<String> kit) {}

    /**
     * One goal more.
     *
     * @param goal its id
     * @param extraMinutes what it adds now, on the mean (min)
     * @param aloneMinutes what it takes later as a job of its own, on the mean (min)
     */
    public record Marginal(String goal, double extraMinutes, double aloneMinutes) {}

    /**
     * Both legs of a twin at once.
     *
     * @param togetherMinutes both in one go, on the mean (min)
     * @param apartMinutes one after the other as two jobs (min)
     * @param savedMinutes what doing both at once saves (min)
     */
    public record Twin(double togetherMinutes, double apartMinutes, double savedMinutes) {}
}
