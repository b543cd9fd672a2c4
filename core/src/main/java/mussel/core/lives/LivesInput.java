package mussel.core.lives;

import java.util.List;
import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * The lives of one kind of part.
 *
 * @param lives each life, ended by failure or cut off before it
 * @param confidence of the bounds, two-sided
 * @param risk the share that may fail before the interval is over
 * @param calendarMonths the yard's present interval; empty where it has none
 * @param hoursPerMonth how much the yard's legs run (h a month); needed to compare with the calendar
 * @param plannedCost what a planned replacement costs (money)
 * @param failureCost what a failure costs, the replacement included (money)
 */
public record LivesInput(
        @Given(value = "the lives", atLeast = 1) List<Life> lives,
        @Given(value = "the confidence of the bounds", min = 0.5, max = 0.999, orElse = "0.95") double confidence,
        @Given(value = "the share that may fail", min = 0.001, max = 0.9, orElse = "0.1") double risk,
        @Given(value = "the present interval", kind = Kind.MONTHS, min = 0.1, max = 240) OptionalDouble calendarMonths,
        @Given(value = "the hours a month", kind = Kind.RUNNING, min = 0.1, max = 744) OptionalDouble hoursPerMonth,
        @Given(value = "the cost of a planned replacement", kind = Kind.MONEY, min = 0, minOpen = true, max = 1e13)
                OptionalDouble plannedCost,
        @Given(value = "the cost of a failure", kind = Kind.MONEY, min = 0, minOpen = true, max = 1e13)
                OptionalDouble failureCost) {
    /** Keeps its own copy. */
    public LivesInput {
        lives = List.copyOf(lives);
    }

    /** Lives alone, judged as usual. */
    public static LivesInput of(List<Life> lives) {
        return new LivesInput(
                lives,
                0.95,
                0.1,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** How many ended by failure. */
    public int failures() {
        return (int) lives.stream().filter(Life::failed).count();
    }

    /**
     * One life.
     *
     * @param hours how long it lasted, or was seen to last (h)
     * @param failed whether it ended by failure; false where it was taken out before, or still runs
     */
    public record Life(
            @Given(value = "how long it lasted", kind = Kind.RUNNING, min = 0, minOpen = true, max = 1e6) double hours,
            @Given("whether it failed") boolean failed) {}
}
