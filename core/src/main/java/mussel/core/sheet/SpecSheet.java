package mussel.core.sheet;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;

/**
 * Everything Mussel knows of one family of legs. The maker's manual for the exact unit outranks every value in it.
 *
 * @param id the family's id in files, lower case with hyphens
 * @param title its name for people
 * @param maker who builds it
 * @param origin where the values come from, shown beside them
 * @param construction how it is built
 * @param oil what it is filled with
 * @param gearcase how it drains
 * @param leakTest the holds it is tested with
 * @param plugs its plugs, in the order of the sheet
 * @param seals its seals, with their orientation
 * @param fasteners its fasteners, with their torques
 * @param parts its parts
 * @param kits the kits sold for it
 * @param goals what can be repaired
 * @param steps the step graph over all phases
 * @param intervals what is due, and how often
 * @param pump its water pump; empty where the sheet does not describe it
 * @param setup how its gears are set up; empty where the sheet does not say
 * @param substitutes what can stand in for special tools
 * @param drawing the cutaway, back to front
 * @param estimates what no manual said and is estimated for a leg of its size, by its place in the sheet
 */
@Wide("A spec sheet: a component is a section of the file format.")
public record SpecSheet(
        @Given("the family's id") String id,
        @Given("the family's name") String title,
        @Given("the maker") String maker,
        @Given("where the values come from") String origin,
        @Given("how the leg is built") Construction construction,
        @Given("the oil it takes") OilNeed oil,
        @Given(value = "the case's draining figures", name = "case") Gearcase gearcase,
        @Given("the holds it is tested with") LeakTest leakTest,
        @Given(value = "the plugs", atLeast = 2) List<Plug> plugs,
        @Given(value = "the seals", atLeast = 1) List<Seal> seals,
        @Given(value = "the fasteners", atLeast = 1) List<Fastener> fasteners,
        @Given(value = "the parts", atLeast = 1) List<Part> parts,
        @Given("the kits") List<Kit> kits,
        @Given(value = "the repair goals", atLeast = 1) List<Goal> goals,
        @Given(value = "the steps", atLeast = 1) List<Step> steps,
        @Given("the intervals") List<Interval> intervals,
        @Given("the water pump") Optional<PumpSheet> pump,
        @Given("how the gears are set up") Optional<SetupSheet> setup,
        @Given("what stands in for special tools") List<Substitute> substitutes,
        @Given(value = "the cutaway", atLeast = 1) List<Region> drawing,
        @Given("what is estimated for a leg of its size") List<String> estimates)
        implements Checked {
    /** Keeps its own copies. */
    public SpecSheet {
        plugs = List.copyOf(plugs);
        seals = List.copyOf(seals);
        fasteners = List.copyOf(fasteners);
        parts = List.copyOf(parts);
        kits = List.copyOf(kits);
        goals = List.copyOf(goals);
        steps = List.copyOf(steps);
        intervals = List.copyOf(intervals);
        substitutes = List.copyOf(substitutes);
        drawing = List.copyOf(drawing);
        estimates = List.copyOf(estimates);
    }

    /** The part with that id. */
    public Optional<Part> part(String partId) {
        return parts.stream().filter(p -> p.id().equals(partId)).findFirst();
    }

    /** The fastener group with that id. */
    public Optional<Fastener> fastener(String fastenerId) {
        return fasteners.stream().filter(f -> f.id().equals(fastenerId)).findFirst();
    }

    /** Whether what stands at a place was said by no manual and is estimated for a leg of its size. */
    public boolean isEstimate(String place) {
        return estimates.contains(place);
    }

    /** The goal with that id. */
    public Optional<Goal> goal(String goalId) {
        return goals.stream().filter(g -> g.id().equals(goalId)).findFirst();
    }

    /** The step with that id. */
    public Optional<Step> step(String stepId) {
        return steps.stream().filter(s -> s.id().equals(stepId)).findFirst();
    }

    @Override
    public void check(Problems problems, String pointer) {
        new SheetRules(this, problems, pointer).check();
    }

    /** Whether any of those goals means that; goals the sheet does not know mean nothing. */
    public boolean means(Collection<String> of, Goal.Meaning meaning) {
        return goals.stream().anyMatch(g -> g.means(meaning) && of.contains(g.id()));
    }

    /** Whether any of those goals brings a new impeller, alone or with its pump. */
    public boolean renewsImpeller(Collection<String> of) {
        return means(of, Goal.Meaning.RENEWS_IMPELLER) || means(of, Goal.Meaning.RENEWS_PUMP);
    }

    /** The same family with other steps. */
    public SpecSheet with(List<Step> other) {
        return new SpecSheet(
                id,
                title,
                maker,
                origin,
                construction,
                oil,
                gearcase,
                leakTest,
                plugs,
                seals,
                fasteners,
                parts,
                kits,
                goals,
                other,
                intervals,
                pump,
                setup,
                substitutes,
                drawing,
                estimates);
    }

    /** The regions a small picture of the leg shows. */
    public List<Region> outline() {
        return drawing.stream()
                .filter(r -> r.kind() == Region.Material.CASTING
                        || r.kind() == Region.Material.CAVITY
                        || r.kind() == Region.Material.PLATE && !Step.says(r.part()))
                .toList();
    }
}
