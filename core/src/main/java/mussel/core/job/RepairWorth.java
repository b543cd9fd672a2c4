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
import mussel.core.measure.Money;
import mussel.core.parts.Catalogue;
import mussel.core.plan.PlanResult;
import mussel.core.verdict.VerdictResult;

/** Whether a job is worth doing: the estimate engine fed from plan, verdict, catalogue and yard. */
public final class RepairWorth {
    /** The doubts with the largest expected cost: those beyond these hardly move the range, and each doubles the work. */
    private static final int MOST_DOUBTS = 9;

    private static final double USUAL_LIFE_H = 600;
    private static final double LEAVE_LIFE_SHARE = 0.25;

    private final Money money;
    private final EstimateInput in;
    private final EstimateResult out;
    private final List<String> unpriced;
    private final List<StopPoint> stops;

    private RepairWorth(EstimateInput in, List<String> unpriced, Money money) {
        this.stops = List.of();
        this.in = in;
        this.out = EstimateEngine.run(in);
        this.unpriced = List.copyOf(unpriced);
        this.money = money;
    }

    private RepairWorth(Assessment all) {
        this.money = all.yard().money();
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
            days = Math.max(days, offers.lead(row.part()).orElse(0));
        }
        this.unpriced = List.copyOf(without);
        Job job = all.job();
        double partsTotal = job.reading(Field.PARTS_COST).orElse(parts);
        double tools = job.reading(Field.TOOLS_COST).orElse(0);
        double waits = job.reading(Field.REPAIR_DAYS)
                .orElse(days + Math.ceil(plan.minutes().mean() / 480));
        double perDay = job.reading(Field.DOWNTIME_COST).orElse(all.yard().downtimePerDay());
        this.stops = List.copyOf(StopPoint.of(all));
        List<Doubtful> doubts = StopPoint.all(stops).stream()
                .limit(MOST_DOUBTS)
                .map(a -> new Doubtful(a.title(), a.money(), a.probability()))
                .toList();
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
                exchange(all, offers),
                OptionalDouble.of(job.reading(Field.REPAIR_LIFE).orElse(USUAL_LIFE_H)),
                waits,
                perDay,
                leave(all, repair));
        this.out = EstimateEngine.run(in);
    }

    /** Where to stop and look while this leg's work is done, and what that may add; none for two legs together. */
    public List<StopPoint> stops() {
        return stops;
    }

    /** The estimate of a job with something to do; empty before. */
    static Optional<RepairWorth> of(Assessment all) {
        return all.plan().steps().isEmpty() ? Optional.empty() : Optional.of(new RepairWorth(all));
    }

    /**
     * Two legs as one job: work shared as planned, parts and doubts of both, days that run for both at once; exchanged both or neither, and it comes back
     * when either leg does.
     */
    static RepairWorth both(RepairWorth one, RepairWorth other, PlanResult.Minutes together) {
        EstimateInput a = one.in;
        EstimateInput b = other.in;
        List<Doubtful> doubts = new ArrayList<>(a.doubtful());
        doubts.addAll(b.doubtful());
        List<String> unpriced = new ArrayList<>(one.unpriced);
        other.unpriced.stream().filter(u -> !unpriced.contains(u)).forEach(unpriced::add);
        EstimateInput in = new EstimateInput(
                a.labourPerH(),
                new EstimateInput.Minutes(together.mean(), together.p50(), together.p90()),
                a.partsTotal() + b.partsTotal(),
                Math.max(a.toolsTotal(), b.toolsTotal()),
                likeliest(doubts),
                pairs(a.exchange(), b.exchange()),
                a.repairLifeH(),
                Math.max(a.repairLeadDays(), b.repairLeadDays()),
                Math.max(a.downtimePerDay(), b.downtimePerDay()),
                either(a.leave(), b.leave()));
        return new RepairWorth(in, unpriced, one.money);
    }

    private static List<EstimateInput.Exchange> pairs(
            List<EstimateInput.Exchange> one, List<EstimateInput.Exchange> other) {
        List<EstimateInput.Exchange> pairs = new ArrayList<>();
        for (EstimateInput.Exchange a : one) {
            other.stream()
                    .filter(b -> b.name().equals(a.name()))
                    .forEach(b -> pairs.add(new EstimateInput.Exchange(
                            a.name(),
                            a.price() + b.price(),
                            a.coreCharge() + b.coreCharge(),
                            a.coreReturned() && b.coreReturned(),
                            a.minutes() + b.minutes(),
                            Math.max(a.leadDays(), b.leadDays()),
                            a.expectedLifeH())));
        }
        return pairs;
    }

    private static Optional<EstimateInput.Leave> either(
            Optional<EstimateInput.Leave> one, Optional<EstimateInput.Leave> other) {
        if (one.isEmpty() || other.isEmpty()) {
            // What leaving a leg means that nobody has looked at is not known.
            return Optional.empty();
        }
        double a = one.get().comebackProbability();
        double b = other.get().comebackProbability();
        double any = 1 - (1 - a) * (1 - b);
        double cost = any > 0 ? (a * one.get().comebackCost() + b * other.get().comebackCost()) / any : 0;
        return Optional.of(new EstimateInput.Leave(any, cost, one.get().expectedLifeH()));
    }

    private static List<Doubtful> likeliest(List<Doubtful> doubtful) {
        return doubtful.stream()
                .sorted(Comparator.comparingDouble((Doubtful d) -> -d.price() * d.probability()))
                .limit(MOST_DOUBTS)
                .toList();
    }

    private static List<EstimateInput.Exchange> exchange(Assessment all, Catalogue.FamilyOffers offers) {
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
     * @param all the job
     * @param repair what the repair costs on the mean, as estimated now (money)
     */
    private static Optional<EstimateInput.Leave> leave(Assessment all, double repair) {
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

    /**
     * What the repair came to with the minutes that were, as the estimate reckons: nothing is doubtful any more.
     *
     * @param minutes what the work took (min)
     */
    double cameTo(double minutes) {
        return spent(minutes) + in.toolsTotal() + in.downtimePerDay() * in.repairLeadDays();
    }

    /** Work and parts alone of those minutes (money). */
    double spent(double minutes) {
        return in.labourPerH() * minutes / 60 + in.partsTotal();
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
        return new EstimateWords(in, out, money);
    }

    /** Parts nobody lists a price for; they are missing from the estimate. */
    public List<String> unpriced() {
        return unpriced;
    }
}
