package mussel.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateInput;
import mussel.core.estimate.EstimateInput.Doubtful;
import mussel.core.estimate.EstimateResult;
import mussel.core.estimate.EstimateWords;
import mussel.core.parts.Catalogue;
import mussel.core.plan.PlanResult;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.verdict.VerdictResult;

/** Whether a job is worth doing: the estimate engine fed from plan, verdict, catalogue and yard. */
public final class Worth {
    private static final double LEAST_DOUBT = 0.02;
    /** The doubts with the largest expected cost: those beyond these hardly move the range, and each doubles the work. */
    private static final int MOST_DOUBTS = 9;

    private static final double USUAL_LIFE_H = 600;
    private static final double LEAVE_LIFE_SHARE = 0.25;

    private final Assessment all;
    private final EstimateInput in;
    private final EstimateResult out;
    private final List<String> unpriced;

    private Worth(Assessment all) {
        this.all = all;
        PlanResult plan = all.timedPlan();
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        List<String> without = new ArrayList<>();
        double parts = 0;
        int days = 0;
        for (Supply.Row row : all.supply().rows()) {
            OptionalDouble price = offers.price(row.part());
            if (price.isEmpty()) {
                without.add(row.title());
            }
            parts += row.need() * price.orElse(0);
            days = Math.max(days, lead(offers, row.part()));
        }
        this.unpriced = List.copyOf(without);
        Job job = all.job();
        double partsTotal = job.reading(Field.PARTS_COST).orElse(parts);
        double tools = job.reading(Field.TOOLS_COST).orElse(0);
        double waits = job.reading(Field.REPAIR_DAYS)
                .orElse(days + Math.ceil(plan.minutes().mean() / 480));
        double perDay = job.reading(Field.DOWNTIME_COST).orElse(all.yard().downtimePerDay());
        List<Doubtful> doubts = doubtful(offers);
        double repair = all.yard().labourPerH() * plan.minutes().mean() / 60
                + partsTotal
                + tools
                + waits * perDay
                + doubts.stream().mapToDouble(d -> d.price() * d.probability()).sum();
        this.in = new EstimateInput(
                all.yard().labourPerH(),
                new EstimateInput.Minutes(
                        plan.minutes().mean(),
                        plan.minutes().p50(),
                        plan.minutes().p90()),
                partsTotal,
                tools,
                doubts,
                exchange(offers),
                OptionalDouble.of(job.reading(Field.REPAIR_LIFE).orElse(USUAL_LIFE_H)),
                waits,
                perDay,
                leave(repair));
        this.out = EstimateEngine.run(in);
    }

    /** The estimate of a job with something to do; empty before. */
    static Optional<Worth> of(Assessment all) {
        return all.plan().steps().isEmpty() ? Optional.empty() : Optional.of(new Worth(all));
    }

    private static int lead(Catalogue.FamilyOffers offers, String part) {
        return offers.offers().stream()
                .filter(o -> o.of(part) > 0 && o.stock() > 0)
                .mapToInt(o -> o.leadDays())
                .min()
                .orElse(0);
    }

    /** Goals not chosen, each with the price of what it renews and the probability that it is called for. */
    private List<Doubtful> doubtful(Catalogue.FamilyOffers offers) {
        List<Doubtful> doubtful = new ArrayList<>();
        if (all.findings().isEmpty()) {
            return doubtful;
        }
        for (VerdictResult.Decision decision : all.verdict().decisions()) {
            Optional<Goal> goal = all.sheet().goal(decision.goal());
            if (goal.isEmpty() || all.goals().contains(decision.goal()) || decision.probability() < LEAST_DOUBT) {
                continue;
            }
            double price = 0;
            for (PartQty fit : goal.get().fits()) {
                boolean along = all.supply().need().containsKey(fit.part());
                price += along ? 0 : fit.qty() * offers.price(fit.part()).orElse(0);
            }
            double labour = marginalMinutes(decision.goal()) * all.yard().labourPerH() / 60;
            if (price + labour > 0) {
                doubtful.add(new Doubtful(goal.get().title(), price + labour, decision.probability()));
            }
        }
        return doubtful.stream()
                .sorted(Comparator.comparingDouble((Doubtful d) -> -d.price() * d.probability()))
                .limit(MOST_DOUBTS)
                .toList();
    }

    private double marginalMinutes(String goal) {
        return all.timedPlan().marginal().stream()
                .filter(m -> m.goal().equals(goal))
                .mapToDouble(PlanResult.Marginal::extraMinutes)
                .findFirst()
                .orElse(0);
    }

    private List<EstimateInput.Exchange> exchange(Catalogue.FamilyOffers offers) {
        boolean back = !all.job().choice(Scale.CORE_BACK).equals(Optional.of("no"));
        return offers.exchange().stream()
                .map(u -> new EstimateInput.Exchange(
                        u.name(), u.price(), u.coreCharge(), back, u.minutes(), u.leadDays(), u.expectedLifeH()))
                .toList();
    }

    /**
     * Leaving it: it comes back when any of the chosen goals is truly called for. Then the whole repair is due all the same, with its doubts and the
     * days without the boat, and what running on with each fault has spoilt meanwhile comes on top.
     *
     * @param repair what the repair costs on the mean, as estimated now (money)
     */
    private Optional<EstimateInput.Leave> leave(double repair) {
        if (all.findings().isEmpty()) {
            return Optional.empty();
        }
        double none = 1;
        double spoilt = 0;
        for (VerdictResult.Decision decision : all.verdict().decisions()) {
            if (all.goals().contains(decision.goal())) {
                none *= 1 - decision.probability();
                spoilt += decision.probability()
                        * all.goalCosts().get(decision.goal()).spoilt();
            }
        }
        double comeback = repair + (none < 1 ? spoilt / (1 - none) : 0);
        return Optional.of(
                new EstimateInput.Leave(1 - none, comeback, OptionalDouble.of(USUAL_LIFE_H * LEAVE_LIFE_SHARE)));
    }

    /** What the engine was fed. */
    public EstimateInput input() {
        return in;
    }

    /** What each way costs. */
    public EstimateResult result() {
        return out;
    }

    /** The same in words. */
    public EstimateWords words() {
        return new EstimateWords(in, out, all.yard().money());
    }

    /** Parts nobody lists a price for; they are missing from the estimate. */
    public List<String> unpriced() {
        return unpriced;
    }
}
