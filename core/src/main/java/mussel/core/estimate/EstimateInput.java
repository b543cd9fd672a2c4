package mussel.core.estimate;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * What the estimate engine needs. Money is in the yard's own, whatever that is.
 *
 * @param labourPerH the labour rate (money per hour)
 * @param minutes how long the repair takes
 * @param partsTotal what the parts cost that are needed for certain
 * @param toolsTotal what special tools cost to buy or hire
 * @param doubtful parts that may turn out to be needed
 * @param exchange exchange units on offer
 * @param repairLifeH how long the repaired leg should run (h)
 * @param repairLeadDays days until it can be back (d)
 * @param downtimePerDay what a day without the leg costs
 * @param leave leaving it as it is; not weighed when absent
 */
public record EstimateInput(
        @Given(value = "the labour rate (money per hour)", min = 0, max = 1e10) double labourPerH,
        @Given("how long the repair takes") Minutes minutes,
        @Given(value = "what the parts cost", min = 0, max = 1e13) double partsTotal,
        @Given(value = "what special tools cost", min = 0, max = 1e13, orElse = "0") double toolsTotal,
        @Given("the doubtful parts") List<Doubtful> doubtful,
        @Given("the exchange units") List<Exchange> exchange,
        @Given(value = "how long the repair lasts", kind = Kind.RUNNING, min = 0, minOpen = true, max = 100_000)
                OptionalDouble repairLifeH,
        @Given(value = "the days until the repair is done", min = 0, max = 1_000, orElse = "0") double repairLeadDays,
        @Given(value = "what a day without the leg costs", min = 0, max = 1e12, orElse = "0") double downtimePerDay,
        @Given("what leaving it means") Optional<Leave> leave)
        implements Checked {
    private static final Messages TEXT = Messages.of(EstimateInput.class);

    /** The most doubtful parts that are enumerated. */
    public static final int MOST_DOUBTFUL = 20;

    /** Keeps its own copies. */
    public EstimateInput {
        doubtful = List.copyOf(doubtful);
        exchange = List.copyOf(exchange);
    }

    /** The expected cost of the doubtful parts. */
    double doubtfulMean() {
        return doubtful.stream().mapToDouble(d -> d.price() * d.probability()).sum();
    }

    /** What the doubtful parts cost if all are needed. */
    double doubtfulTotal() {
        return doubtful.stream().mapToDouble(Doubtful::price).sum();
    }

    /** What of a repair is certain before labour: parts, tools and the days without the leg. */
    double certain() {
        return partsTotal + toolsTotal + downtimePerDay * repairLeadDays;
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                doubtful.size() <= MOST_DOUBTFUL,
                pointer + "/doubtful",
                TEXT.get("estimate_input.has_parts_at_most_are_enumerated", doubtful.size(), MOST_DOUBTFUL));
        Set<String> names = new HashSet<>(Set.of(EstimateEngine.REPAIR, EstimateEngine.LEAVE));
        for (int i = 0; i < exchange.size(); i++) {
            problems.unless(
                    names.add(exchange.get(i).name()),
                    pointer + "/exchange/" + i + "/name",
                    TEXT.get("estimate_input.stands_twice_or_is_repair_or"));
        }
    }

    /**
     * How long the repair takes, as the plan says.
     *
     * @param mean on the mean (min)
     * @param p50 in half of all cases at most (min)
     * @param p90 in nine of ten cases at most (min)
     */
    public record Minutes(
            @Given(value = "the mean minutes", kind = Kind.DURATION, min = 0, minOpen = true, max = 1_000_000)
                    double mean,
            @Given(value = "the median minutes", kind = Kind.DURATION, min = 0, minOpen = true, max = 1_000_000)
                    double p50,
            @Given(
                            value = "the minutes kept in nine of ten cases",
                            kind = Kind.DURATION,
                            min = 0,
                            minOpen = true,
                            max = 1_000_000)
                    double p90)
            implements Checked {
        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(p50 <= p90, pointer + "/p90", TEXT.get("estimate_input.is_below_the_median_min", p50));
        }
    }

    /**
     * A part that may turn out to be needed.
     *
     * @param part which
     * @param price of it
     * @param probability that it is needed (0..1)
     */
    public record Doubtful(
            @Given("the doubtful part") String part,
            @Given(value = "its price", min = 0, max = 1e13) double price,
            @Given(value = "the probability that it is needed", min = 0, max = 1) double probability) {}

    /**
     * An exchange unit.
     *
     * @param name what it is called
     * @param price of it
     * @param coreCharge what is kept when the old unit does not come back
     * @param coreReturned whether it goes back, and is fit to
     * @param minutes to fit it (min)
     * @param leadDays days until it is here (d)
     * @param expectedLifeH how long it should run (h)
     */
    public record Exchange(
            @Given("the unit's name") String name,
            @Given(value = "its price", min = 0, max = 1e13) double price,
            @Given(value = "the core charge", min = 0, max = 1e13, orElse = "0") double coreCharge,
            @Given(value = "whether the old unit goes back", orElse = "true") boolean coreReturned,
            @Given(value = "the minutes to fit it", kind = Kind.DURATION, min = 0, max = 100_000, orElse = "0")
                    double minutes,
            @Given(value = "the days until it is here", min = 0, max = 1_000, orElse = "0") double leadDays,
            @Given(value = "how long it lasts", kind = Kind.RUNNING, min = 0, minOpen = true, max = 100_000)
                    OptionalDouble expectedLifeH) {}

    /**
     * Leaving it as it is.
     *
     * @param comebackProbability that it comes back (0..1)
     * @param comebackCost what that costs
     * @param expectedLifeH how long it should run (h)
     */
    public record Leave(
            @Given(value = "the probability that it comes back", min = 0, max = 1) double comebackProbability,
            @Given(value = "what a comeback costs", min = 0, max = 1e13) double comebackCost,
            @Given(value = "how long it lasts", kind = Kind.RUNNING, min = 0, minOpen = true, max = 100_000)
                    OptionalDouble expectedLifeH) {}
}
