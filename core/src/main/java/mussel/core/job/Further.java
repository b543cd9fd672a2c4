package mussel.core.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.measure.Display;
import mussel.core.measure.Sentences;
import mussel.core.parts.Catalogue;
import mussel.core.plan.PlanResult;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.verdict.VerdictResult;

/**
 * One goal, chosen or not: what it adds while the leg is open against what it takes later as a job of its own, weighed with how likely it
 * is called for.
 *
 * @param goal its id
 * @param title its name
 * @param chosen whether it is to be done
 * @param probability that any of its causes is there; empty before anything was looked at
 * @param extraMinutes what it adds now (min); 0 where it is chosen
 * @param extraMoney work and parts of that (money)
 * @param laterMinutes what it takes later on its own (min)
 * @param laterMoney work and parts of that (money)
 */
public record Further(
        String goal,
        String title,
        boolean chosen,
        Optional<Double> probability,
        double extraMinutes,
        double extraMoney,
        double laterMinutes,
        double laterMoney) {
    private static final Sentences SAY = Sentences.beside(Further.class);
    private static final double FOR_NOTHING = 1;
    private static final double LEAST_GAIN = 5;

    /** Every goal of a job's family, in the sheet's order. */
    static List<Further> of(Assessment all) {
        Map<String, PlanResult.Marginal> marginal = new HashMap<>();
        all.timedPlan().marginal().forEach(m -> marginal.put(m.goal(), m));
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        List<Further> further = new ArrayList<>();
        for (Goal goal : all.sheet().goals()) {
            PlanResult.Marginal minutes = marginal.get(goal.id());
            double now = 0;
            double later = 0;
            for (PartQty fit : goal.fits()) {
                double price = fit.qty() * offers.price(fit.part()).orElse(0);
                later += price;
                now += all.supply().need().containsKey(fit.part()) ? 0 : price;
            }
            double perMinute = all.yard().labourPerH() / 60;
            double extra = minutes == null ? 0 : minutes.extraMinutes();
            double alone = minutes == null ? 0 : minutes.aloneMinutes();
            further.add(new Further(
                    goal.id(),
                    goal.title(),
                    minutes == null,
                    probability(all, goal.id()),
                    extra,
                    extra * perMinute + now,
                    alone,
                    alone * perMinute + later));
        }
        return further;
    }

    private static Optional<Double> probability(Assessment all, String goal) {
        return all.findings().isEmpty()
                ? Optional.empty()
                : all.verdict().decisions().stream()
                        .filter(d -> d.goal().equals(goal))
                        .map(VerdictResult.Decision::probability)
                        .findFirst();
    }

    /** Whether doing it now costs less than leaving it risks, by more than small change. */
    public boolean worthIt() {
        return !chosen && probability.isPresent() && extraMoney + LEAST_GAIN < probability.get() * laterMoney;
    }

    /** What it costs now and later. */
    public String cost() {
        if (chosen) {
            return SAY.say("further.chosen");
        }
        String later = SAY.say("further.later", Display.workTime(laterMinutes), Display.money(laterMoney));
        return extraMinutes < FOR_NOTHING && extraMoney < FOR_NOTHING
                ? SAY.say("further.free") + " " + later
                : SAY.say("further.now", Display.workTime(extraMinutes), Display.money(extraMoney)) + " " + later;
    }

    /** What the odds say to it; empty before anything was looked at. */
    public String advice() {
        if (probability.isEmpty() || chosen) {
            return "";
        }
        String percent = String.valueOf(Math.round(100 * probability.get()));
        return worthIt()
                ? SAY.say("further.do", percent, Display.money(probability.get() * laterMoney))
                : SAY.say("further.leave", percent, Display.money(probability.get() * laterMoney));
    }
}
