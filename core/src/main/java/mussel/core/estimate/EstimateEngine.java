package mussel.core.estimate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import mussel.core.estimate.EstimateInput.Exchange;
import mussel.core.estimate.EstimateInput.Leave;
import mussel.core.estimate.EstimateResult.FlipsAt;
import mussel.core.estimate.EstimateResult.Option;

/** Weighs repair against exchange against leaving it. A pure function of its input. */
public final class EstimateEngine {
    /** The name of repairing. */
    public static final String REPAIR = "repair";
    /** The name of leaving it. */
    public static final String LEAVE = "leave";

    private EstimateEngine() {}

    /** Computes the estimate; the input has been checked. */
    public static EstimateResult run(EstimateInput in) {
        RepairCost repair = new RepairCost(in);
        List<Option> options = new ArrayList<>();
        double repairMean = in.certain() + in.labourPerH() * in.minutes().mean() / 60 + in.doubtfulMean();
        options.add(new Option(
                REPAIR,
                repairMean,
                repair.quantile(0.1),
                repair.quantile(0.5),
                repair.quantile(0.9),
                perHour(repairMean, in.repairLifeH()),
                in.repairLeadDays()));
        for (Exchange unit : in.exchange()) {
            double cost = fixed(in, unit) + in.labourPerH() * unit.minutes() / 60;
            options.add(new Option(
                    unit.name(), cost, cost, cost, cost, perHour(cost, unit.expectedLifeH()), unit.leadDays()));
        }
        in.leave().ifPresent(leave -> options.add(leave(leave)));
        return new EstimateResult(
                options,
                options.stream()
                        .min(Comparator.comparingDouble(Option::mean))
                        .orElseThrow()
                        .name(),
                pRepairCheapest(in, repair, options),
                new FlipsAt(labourFlip(in, options), doubtfulFlip(in, options)));
    }

    /** What of an exchange does not hang on the labour rate. */
    private static double fixed(EstimateInput in, Exchange unit) {
        return unit.price() + (unit.coreReturned() ? 0 : unit.coreCharge()) + in.downtimePerDay() * unit.leadDays();
    }

    private static Option leave(Leave leave) {
        double p = leave.comebackProbability();
        double mean = p * leave.comebackCost();
        return new Option(
                LEAVE,
                mean,
                stepQuantile(0.1, p, leave.comebackCost()),
                stepQuantile(0.5, p, leave.comebackCost()),
                stepQuantile(0.9, p, leave.comebackCost()),
                perHour(mean, leave.expectedLifeH()),
                0);
    }

    /** Nothing with probability 1 - p, else the cost. */
    private static double stepQuantile(double at, double p, double cost) {
        return at <= 1 - p ? 0 : cost;
    }

    private static OptionalDouble perHour(double mean, OptionalDouble lifeH) {
        return lifeH.isPresent() ? OptionalDouble.of(mean / lifeH.getAsDouble()) : lifeH;
    }

    private static double pRepairCheapest(EstimateInput in, RepairCost repair, List<Option> options) {
        double exchange = options.subList(1, 1 + in.exchange().size()).stream()
                .mapToDouble(Option::mean)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        if (in.leave().isEmpty()) {
            return repair.atMost(exchange);
        }
        double p = in.leave().get().comebackProbability();
        double comeback = in.leave().get().comebackCost();
        return p * repair.atMost(Math.min(exchange, comeback)) + (1 - p) * repair.atMost(Math.min(exchange, 0));
    }

    /** Means are straight lines over the labour rate: the crossing nearest to today's at which another becomes the lowest. */
    private static OptionalDouble labourFlip(EstimateInput in, List<Option> options) {
        double[] hours = new double[options.size()];
        hours[0] = in.minutes().mean() / 60;
        for (int i = 0; i < in.exchange().size(); i++) {
            hours[i + 1] = in.exchange().get(i).minutes() / 60;
        }
        int best = cheapest(options);
        double now = in.labourPerH();
        return IntStream.range(0, options.size())
                .mapToDouble(other -> crossing(options, hours, best, other, now))
                .filter(rate -> rate >= 0 && rate != now)
                .boxed()
                .min(Comparator.comparingDouble(rate -> Math.abs(rate - now)))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    /** The rate at which the other costs as much as the best; NaN where they never meet. */
    private static double crossing(List<Option> options, double[] hours, int best, int other, double now) {
        double slope = hours[other] - hours[best];
        return other == best || slope == 0
                ? Double.NaN
                : now - (options.get(other).mean() - options.get(best).mean()) / slope;
    }

    private static int cheapest(List<Option> options) {
        int best = 0;
        for (int i = 1; i < options.size(); i++) {
            if (options.get(i).mean() < options.get(best).mean()) {
                best = i;
            }
        }
        return best;
    }

    /** The doubtful parts' prices moved together until repairing costs as much as the best other way. */
    private static OptionalDouble doubtfulFlip(EstimateInput in, List<Option> options) {
        OptionalDouble other =
                options.stream().skip(1).mapToDouble(Option::mean).min();
        double share = in.doubtfulMean();
        if (other.isEmpty() || share <= 0) {
            return OptionalDouble.empty();
        }
        double times = 1 + (other.getAsDouble() - options.get(0).mean()) / share;
        return times >= 0 ? OptionalDouble.of(times * in.doubtfulTotal()) : OptionalDouble.empty();
    }
}
