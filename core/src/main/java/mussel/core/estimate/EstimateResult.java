package mussel.core.estimate;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What each way costs.
 *
 * @param options repair, the exchange units and leaving it, in that order
 * @param cheapest the option with the least mean
 * @param pRepairCheapest the probability that repairing comes out cheaper than every other option
 * @param flipsAt where the answer changes
 */
public record EstimateResult(List<Option> options, String cheapest, double pRepairCheapest, FlipsAt flipsAt) {
    /** Keeps its own copy. */
    public EstimateResult {
        options = List.copyOf(options);
    }

    /** The option of that name. */
    public Option option(String name) {
        return options.stream().filter(o -> o.name().equals(name)).findFirst().orElseThrow();
    }

    /**
     * One way.
     *
     * @param name repair, leave, or the exchange unit's name
     * @param mean what it costs on the mean
     * @param p10 what it costs at least in nine of ten cases
     * @param p50 what it costs at most in half of all cases
     * @param p90 what it costs at most in nine of ten cases
     * @param perLifeHour the mean for each hour it should last; empty when that is not known
     * @param leadDays days without the leg (d)
     */
    public record Option(
            String name,
            double mean,
            double p10,
            double p50,
            double p90,
            OptionalDouble perLifeHour,
            double leadDays) {}

    /**
     * Where the cheapest mean changes.
     *
     * @param labourPerH the labour rate nearest to today's at which it does; empty when none does
     * @param doubtfulTotal the total of the doubtful parts' prices at which it does; empty when none does
     */
    public record FlipsAt(OptionalDouble labourPerH, OptionalDouble doubtfulTotal) {}
}
