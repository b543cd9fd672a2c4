package mussel.core.verdict;

import mussel.core.measure.Given;

/**
 * A repair a cause calls for, with what it costs to do it and to leave it.
 *
 * @param id its id
 * @param title its name
 * @param marginalCost what it costs while the job is on (money)
 * @param comebackCost what it costs when it is left and comes back (money)
 */
public record RepairGoal(
        @Given("the goal's id") String id,
        @Given("the goal's name") String title,
        @Given(value = "the cost of doing it (money)", min = 0, max = 1_000_000) double marginalCost,
        @Given(value = "the cost when it comes back (money)", min = 0, max = 1_000_000) double comebackCost) {}
