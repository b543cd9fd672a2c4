package mussel.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.parts.Catalogue;
import mussel.core.plan.PlanResult;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.VerdictInput;

/**
 * What each goal costs on this leg: the minutes it adds to the other goals chosen, at the yard's rate, and the parts it brings; and what it costs
 * when it is left and comes back. Verdict, Strip-down and estimate all weigh these. A goal that is chosen is priced as if it were not, so that the
 * first is judged like the others.
 *
 * @param goal its id
 * @param extraMinutes what it adds to the other goals chosen (min)
 * @param extraMoney work and parts of that (money)
 * @param laterMinutes what it takes later as a job of its own (min)
 * @param laterMoney work and parts of that (money)
 * @param standing the days without the boat that a second job costs (money)
 * @param spoilt what running on usually spoils, by the diagnosis tables (money)
 * @param own what is done and spoilt when it comes back, as the yard's own comebacks have it, where it wants them counted (money)
 */
public record GoalCosts(
        String goal,
        double extraMinutes,
        double extraMoney,
        double laterMinutes,
        double laterMoney,
        double standing,
        double spoilt,
        Optional<Double> own) {
    /** A working day (min). */
    private static final double DAY = 480;

    /** What leaving it costs when it comes back (money). */
    public double comeback() {
        return own.orElse(laterMoney + spoilt) + standing;
    }

    /** Every goal of a job's family, by id, in the sheet's order. */
    static Map<String, GoalCosts> of(Assessment all) {
        Map<String, GoalCosts> costs = new LinkedHashMap<>();
        Map<String, PlanResult.Marginal> open = new LinkedHashMap<>();
        all.planning().marginal(all.timed(), all.goals(), all.saltYears()).forEach(m -> open.put(m.goal(), m));
        for (Goal goal : all.sheet().goals()) {
            PlanResult.Marginal minutes = open.containsKey(goal.id()) ? open.get(goal.id()) : without(all, goal.id());
            costs.put(goal.id(), of(all, goal, minutes));
        }
        return costs;
    }

    private static PlanResult.Marginal without(Assessment all, String goal) {
        List<String> others = new ArrayList<>(all.goals());
        others.remove(goal);
        return all.planning().marginal(all.timed(), others, all.saltYears()).stream()
                .filter(m -> m.goal().equals(goal))
                .findFirst()
                .orElseThrow();
    }

    private static GoalCosts of(Assessment all, Goal goal, PlanResult.Marginal minutes) {
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        boolean chosen = all.goals().contains(goal.id());
        double rate = all.yard().labourPerH();
        Optional<RepairGoal> tables = all.knowledge().goal(goal.id());
        double now = 0;
        double later = 0;
        boolean priced = goal.fits().isEmpty();
        for (PartQty fit : goal.fits()) {
            OptionalDouble price = offers.price(fit.part());
            priced |= price.isPresent();
            later += fit.qty() * price.orElse(0);
            now += !chosen && all.supply().need().containsKey(fit.part()) ? 0 : fit.qty() * price.orElse(0);
        }
        if (!priced) {
            later = tables.map(t -> t.marginalParts() * rate).orElse(0.0);
            now = later;
        }
        double perMinute = rate / 60;
        double days = Math.ceil(minutes.aloneMinutes() / DAY);
        double dayCost =
                all.job().reading(Field.DOWNTIME_COST).orElse(all.yard().downtimePerDay());
        double spoilt = tables.map(t -> Math.max(0, t.comebackParts() - t.marginalParts()) * rate)
                .orElse(0.0);
        return new GoalCosts(
                goal.id(),
                minutes.extraMinutes(),
                minutes.extraMinutes() * perMinute + now,
                minutes.aloneMinutes(),
                minutes.aloneMinutes() * perMinute + later,
                days * dayCost,
                spoilt,
                all.own().comeback(goal.title(), minutes.aloneMinutes() * perMinute + later + spoilt));
    }

    /** As the verdict weighs it. */
    VerdictInput.Costs costs() {
        return new VerdictInput.Costs(extraMoney, comeback());
    }
}
