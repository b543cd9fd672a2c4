package mussel.core.verdict;

import mussel.core.measure.Given;

/**
 * A repair a cause calls for, with what it usually costs to do it and to leave it: in hours of work, and in parts as the hours they are worth,
 * so that the tables hold no currency.
 *
 * @param id its id
 * @param title its name
 * @param marginalHours the work while the job is on (h)
 * @param marginalParts the parts of that (hours of work they are worth)
 * @param comebackHours the work when it is left and comes back (h)
 * @param comebackParts parts and standing still of that (hours of work they are worth)
 */
public record RepairGoal(
        @Given("the goal's id") String id,
        @Given("the goal's name") String title,
        @Given(value = "the hours of doing it", min = 0, max = 1_000) double marginalHours,
        @Given(value = "its parts, in hours of work", min = 0, max = 10_000) double marginalParts,
        @Given(value = "the hours when it comes back", min = 0, max = 1_000) double comebackHours,
        @Given(value = "its parts then, in hours of work", min = 0, max = 10_000) double comebackParts) {
    /** What doing it costs, as a multiple of the labour rate (h). */
    public double marginalCost() {
        return marginalHours + marginalParts;
    }

    /** What its coming back costs, as a multiple of the labour rate (h). */
    public double comebackCost() {
        return comebackHours + comebackParts;
    }
}
