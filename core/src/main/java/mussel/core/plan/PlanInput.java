package mussel.core.plan;

import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PumpPolicy;
import mussel.core.sheet.SpecSheet;

/**
 * What the plan engine needs.
 *
 * @param family the family's id
 * @param goals what is to be repaired
 * @param saltYears years the leg has been in salt (a)
 * @param twin whether the sister leg is to be done as well
 * @param policy when the yard renews impellers; {@code always} takes the impeller along whenever the leg is down
 * @param haveTools the tools the yard has, as the steps name them
 * @param seed of the draws for the percentiles: same seed, same answer
 */
public record PlanInput(
        @Given("the family") String family,
        @Given(value = "what is to be repaired", stated = true) List<String> goals,
        @Given(value = "the years in salt", min = 0, max = 100, orElse = "0") double saltYears,
        @Given(value = "whether the twin is done too", orElse = "false") boolean twin,
        @Given("the yard's policy for impellers") Optional<PumpPolicy> policy,
        @Given("the tools there are") List<String> haveTools,
        @Given(value = "the seed", min = -2_147_483_648.0, max = 2_147_483_647.0, orElse = "1") int seed) {
    private static final Messages TEXT = Messages.of(PlanInput.class);

    /** Keeps its own copies. */
    public PlanInput {
        goals = List.copyOf(goals);
        haveTools = List.copyOf(haveTools);
    }

    /** The checks that need the families there are. */
    public void check(List<SpecSheet> families, Problems problems) {
        Optional<SpecSheet> sheet =
                families.stream().filter(f -> f.id().equals(family)).findFirst();
        if (sheet.isEmpty()) {
            problems.at(
                    "/family",
                    TEXT.get(
                            "plan_input.is_which_is_no_family_here",
                            family,
                            String.join(
                                    ", ", families.stream().map(SpecSheet::id).toList())));
            return;
        }
        for (int i = 0; i < goals.size(); i++) {
            problems.unless(
                    sheet.get().goal(goals.get(i)).isPresent(),
                    "/goals/" + i,
                    TEXT.get(
                            "plan_input.is_which_is_no_goal_of",
                            goals.get(i),
                            family,
                            String.join(
                                    ", ",
                                    sheet.get().goals().stream().map(Goal::id).toList())));
        }
    }
}
