package mussel.core.verdict;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Given;

/**
 * Something that can be wrong; present or not, several at once.
 *
 * @param id its id
 * @param title its name
 * @param prior the probability before anything is known
 * @param place where it sits: a part of the family's sheet, or one of {@code case}, {@code oil}, {@code powerhead}
 * @param goal the repair goal it calls for
 * @param why the reason for the prior
 * @param factors what moves its odds
 * @param called its name in some contexts
 */
public record Cause(
        @Given("the cause's id") String id,
        @Given("the cause's name") String title,
        @Given(value = "the probability beforehand", min = 0, minOpen = true, max = 0.99) double prior,
        @Given("where it sits") String place,
        @Given("the goal it calls for") String goal,
        @Given("the reason for the number") String why,
        @Given("what moves its odds") List<Factor> factors,
        @Given("its name in some contexts") List<Called> called) {
    /** The place of what is wrong with the oil itself. */
    public static final String OIL = "oil";
    /** Odds move by no more than this factor either way. */
    public static final double MOST_FACTOR = 20;

    /** Keeps its own copy. */
    public Cause {
        factors = List.copyOf(factors);
        called = List.copyOf(called);
    }

    /** Its name in a context: with both lips outward a pair has an inner and an outer one. */
    public String title(Context context) {
        return called.stream()
                .filter(c ->
                        c.key().matches(context, Optional.of(c.is()), OptionalDouble.empty(), OptionalDouble.empty()))
                .map(Called::title)
                .findFirst()
                .orElse(title);
    }

    /** Whether what the leg came in for speaks for it. */
    boolean raisedByComplaint(Context context) {
        return factors.stream()
                .filter(f -> f.key() == When.COMPLAINT && f.factor() > 1)
                .anyMatch(f -> f.key().matches(context, f.is(), f.from(), f.to()));
    }

    /** The prior after the context has moved its odds. */
    public double prior(Context context) {
        double factor = 1;
        for (Factor f : factors) {
            if (f.key().matches(context, f.is(), f.from(), f.to())) {
                factor *= f.factor();
            }
        }
        double kept = Math.min(MOST_FACTOR, Math.max(1 / MOST_FACTOR, factor));
        double odds = prior / (1 - prior) * kept;
        return kept == 1 ? prior : odds / (1 + odds);
    }

    /** The same cause with another prior. */
    public Cause withPrior(double other, String reason) {
        return new Cause(id, title, other, place, goal, reason, factors, called);
    }

    /**
     * A name in some contexts.
     *
     * @param key the key of the context
     * @param is its value
     * @param title the name then
     */
    public record Called(
            @Given("the key of the context") When key,
            @Given("its value") String is,
            @Given("the name then") String title) {}

    /**
     * What moves the odds.
     *
     * @param key the key of the context
     * @param is the value that counts
     * @param from or from here on, itself included
     * @param to up to here, itself included
     * @param factor what the odds are multiplied by
     * @param why the reason
     */
    public record Factor(
            @Given("the key of the context") When key,
            @Given("the value that counts") Optional<String> is,
            @Given("the least that counts") OptionalDouble from,
            @Given("the most that counts") OptionalDouble to,
            @Given(value = "what the odds are multiplied by", min = 0.05, max = 20) double factor,
            @Given("the reason for the number") String why) {}
}
