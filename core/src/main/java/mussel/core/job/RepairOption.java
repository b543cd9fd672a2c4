package mussel.core.job;

import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Money;
import mussel.core.parts.Catalogue;
import mussel.core.verdict.VerdictResult;

/**
 * One goal, chosen or not: what it adds while the leg is open against what it takes later as a job of its own, weighed with how likely it
 * is called for.
 *
 * @param goal its id
 * @param title its name
 * @param chosen whether it is to be done
 * @param probability that any of its causes is there; empty before anything was looked at
 * @param extraMinutes what it adds to the other goals chosen (min)
 * @param extraMoney work and parts of that (money)
 * @param laterMinutes what it takes later on its own (min)
 * @param laterMoney work and parts of that (money)
 * @param comeback what leaving it costs when it comes back: that, the boat standing still and what running on spoils (money)
 * @param called whether the verdict says to do it: the yard's own costs outrank the plan's there
 * @param swapMinutes what swapping the whole leg takes (min); infinite where no unit is to be had
 * @param money the money the yard reckons in
 */
public record RepairOption(
        String goal,
        String title,
        boolean chosen,
        Optional<Double> probability,
        double extraMinutes,
        double extraMoney,
        double laterMinutes,
        double laterMoney,
        double comeback,
        boolean called,
        double swapMinutes,
        Money money) {
    private static final Messages TEXT = Messages.of(RepairOption.class);
    private static final double FOR_NOTHING = 1;

    /** Every goal of a job's family, in the sheet's order. */
    static List<RepairOption> of(Assessment all) {
        double swap = all.stores().catalogue().of(all.sheet().id()).exchange().stream()
                .mapToDouble(Catalogue.Unit::minutes)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        return all.sheet().goals().stream()
                .map(goal -> {
                    GoalCosts costs = all.goalCosts().get(goal.id());
                    return new RepairOption(
                            goal.id(),
                            goal.title(),
                            all.goals().contains(goal.id()),
                            probability(all, goal.id()),
                            costs.extraMinutes(),
                            costs.extraMoney(),
                            costs.laterMinutes(),
                            costs.laterMoney(),
                            costs.comeback(),
                            called(all, goal.id()),
                            swap,
                            all.yard().money());
                })
                .toList();
    }

    private static boolean called(Assessment all, String goal) {
        return all.judged()
                && all.verdict().decision(goal).map(VerdictResult.Decision::act).orElse(false);
    }

    private static Optional<Double> probability(Assessment all, String goal) {
        return !all.judged()
                ? Optional.empty()
                : all.verdict().decisions().stream()
                        .filter(d -> d.goal().equals(goal))
                        .map(VerdictResult.Decision::probability)
                        .findFirst();
    }

    /** Whether doing it now costs less than leaving it risks: the verdict's own decision. */
    public boolean worthIt() {
        return probability.isPresent() && called;
    }

    /** What it costs now and later. */
    public String cost() {
        String swap = laterMinutes > swapMinutes ? " " + TEXT.get("further.swap", Display.workTime(swapMinutes)) : "";
        if (chosen) {
            return TEXT.get("further.chosen") + swap;
        }
        if (Math.abs(laterMinutes - extraMinutes) < FOR_NOTHING && Math.abs(laterMoney - extraMoney) < FOR_NOTHING) {
            // Nothing is open for it to share: one price, not the same one twice.
            return TEXT.get("further.alone", Display.workTime(laterMinutes), money.sum(laterMoney)) + swap;
        }
        String later = TEXT.get("further.later", Display.workTime(laterMinutes), money.sum(laterMoney)) + swap;
        return extraMinutes < FOR_NOTHING && extraMoney < FOR_NOTHING
                ? TEXT.get("further.free") + " " + later
                : TEXT.get("further.now", Display.workTime(extraMinutes), money.sum(extraMoney)) + " " + later;
    }

    /** What the odds say to it, chosen or not; empty before anything was looked at. */
    public String advice() {
        if (probability.isEmpty()) {
            return "";
        }
        String percent = String.valueOf(Math.round(100 * probability.get()));
        String risk = money.sum(probability.get() * comeback);
        if (chosen) {
            return worthIt()
                    ? TEXT.get("further.right", percent, risk)
                    : TEXT.get("further.doubt", percent, risk, money.sum(extraMoney));
        }
        return worthIt() ? TEXT.get("further.do", percent, risk) : TEXT.get("further.leave", percent, risk);
    }
}
