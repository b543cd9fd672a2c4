package mussel.core.plan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.PlanResult.Marginal;
import mussel.core.plan.PlanResult.Needed;
import mussel.core.plan.PlanResult.TimedStep;
import mussel.core.plan.PlanResult.Twin;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.PumpPolicy;
import mussel.core.sheet.Seizure;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;

/** The plan with its times, its tools and what further goals would cost. A pure function of input and sheet. */
public final class PlanEngine {
    private PlanEngine() {}

    /**
     * Plans the work with its times.
     *
     * @param in the checked input
     * @param sheet the family it names
     */
    public static PlanResult run(PlanInput in, SpecSheet sheet) {
        List<String> goals = withPolicy(in, sheet);
        Plan plan = Planner.plan(sheet, goals);
        List<Step> steps = plan.steps().stream().map(PlannedStep::step).toList();
        Set<String> missing = new LinkedHashSet<>(plan.tools());
        missing.removeAll(new HashSet<>(in.haveTools()));
        Set<String> consumables = new LinkedHashSet<>();
        steps.forEach(s -> consumables.addAll(s.consumables()));
        return new PlanResult(
                goals,
                plan.steps().stream().map(s -> timed(s, in.saltYears())).toList(),
                Durations.of(steps, in.saltYears(), in.seed()),
                plan.tools(),
                List.copyOf(missing),
                sheet.substitutes().stream()
                        .filter(s -> missing.contains(s.tool()))
                        .toList(),
                List.copyOf(consumables),
                plan.parts().stream().map(PlanEngine::needed).toList(),
                marginal(sheet, goals, in.saltYears()),
                in.twin() ? Optional.of(twin(steps, in.saltYears())) : Optional.empty());
    }

    private static Needed needed(Plan.PartNeed need) {
        return new Needed(
                need.part().part(),
                need.part().qty(),
                need.why(),
                Optional.of(need.kit()).filter(k -> !k.isEmpty()));
    }

    private static TimedStep timed(PlannedStep planned, double saltYears) {
        Step step = planned.step();
        double seized =
                step.seizes().map((Seizure s) -> s.probability(saltYears)).orElse(0.0);
        return new TimedStep(
                step.id(),
                step.title(),
                step.phase(),
                step.place(),
                planned.needs(),
                step.meanMinutes(saltYears),
                seized,
                step.tools(),
                step.partsOut(),
                step.partsIn(),
                step.fasteners(),
                step.cautions(),
                step.cureMin());
    }

    private static List<String> withPolicy(PlanInput in, SpecSheet sheet) {
        List<String> goals = new ArrayList<>(new LinkedHashSet<>(in.goals()));
        boolean always = in.policy().equals(Optional.of(PumpPolicy.ALWAYS));
        if (always && !sheet.renewsImpeller(goals) && legDown(Planner.plan(sheet, goals))) {
            sheet.goals().stream()
                    .filter(g -> g.means(Goal.Meaning.RENEWS_IMPELLER))
                    .findFirst()
                    .ifPresent(g -> goals.add(g.id()));
        }
        return goals;
    }

    private static boolean legDown(Plan plan) {
        return plan.of(Phase.DOWN).stream().anyMatch(s -> s.step().place() == Place.STAND);
    }

    /**
     * What each goal not chosen adds now and takes later as a job of its own, in the sheet's order.
     *
     * @param sheet the family's checked sheet
     * @param goals those chosen
     * @param saltYears years the leg has been in salt
     */
    public static List<Marginal> marginal(SpecSheet sheet, Collection<String> goals, double saltYears) {
        double now = meanMinutes(sheet, goals, saltYears);
        List<Marginal> marginal = new ArrayList<>();
        for (Goal goal : sheet.goals()) {
            if (!goals.contains(goal.id())) {
                Set<String> more = new LinkedHashSet<>(goals);
                more.add(goal.id());
                marginal.add(new Marginal(
                        goal.id(),
                        meanMinutes(sheet, more, saltYears) - now,
                        meanMinutes(sheet, List.of(goal.id()), saltYears)));
            }
        }
        return marginal;
    }

    /**
     * How long the work on these goals takes on average (min), exactly; the percentiles of {@link #run} need draws.
     *
     * @param sheet the family's checked sheet
     * @param goals what is to be done
     * @param saltYears years the leg has been in salt
     */
    public static double meanMinutes(SpecSheet sheet, Collection<String> goals, double saltYears) {
        Set<String> chosen = Planner.closure(sheet, new HashSet<>(goals));
        return sheet.steps().stream()
                .filter(s -> chosen.contains(s.id()))
                .mapToDouble(s -> s.meanMinutes(saltYears))
                .sum();
    }

    /**
     * How long two legs take in one go, each with work of its own: what is done once for both counts once.
     *
     * @param one the steps of one leg, in working order
     * @param salt years it has been in salt
     * @param other those of the leg beside it
     * @param otherSalt years that has been in salt
     * @param once what is done once for both
     */
    public static PlanResult.Minutes together(
            List<Step> one, double salt, List<Step> other, double otherSalt, Predicate<Step> once) {
        Set<String> shared = new HashSet<>();
        one.stream().filter(once).forEach(s -> shared.add(s.id()));
        List<Step> rest = other.stream().filter(s -> !shared.contains(s.id())).toList();
        return Durations.of(List.of(new Durations.OnLeg(one, salt), new Durations.OnLeg(rest, otherSalt)), 1);
    }

    private static Twin twin(List<Step> steps, double saltYears) {
        double one = Durations.mean(steps, saltYears);
        double saved = Durations.mean(steps.stream().filter(Step::once).toList(), saltYears);
        return new Twin(2 * one - saved, 2 * one, saved);
    }
}
