package mussel.core.sheet;

import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;

/**
 * One step of the work.
 *
 * @param id its id, unique over all phases
 * @param title what is done
 * @param phase which side of the job
 * @param place where the hands are
 * @param needs steps without which it cannot be done: they come along
 * @param after steps it follows when they are in the plan anyway
 * @param goals the goals it serves; empty for a step that only comes along
 * @param mirrors the strip step it undoes; it is in the plan when that one is
 * @param detail how, in a sentence or two
 * @param school where the trade differs: the other way and what it risks
 * @param tools what must lie ready
 * @param consumables what is used up
 * @param partsOut what comes off, in order, with how it lay
 * @param partsIn what goes in, in order, with how it goes
 * @param fasteners fastener groups opened or closed
 * @param cautions where a hand would be hurt or a part ruined
 * @param ask what to write down here; a hyphen where nothing
 * @param finds findings of the diagnosis that are made here
 * @param minutes how long
 * @param seizes what may have seized when salt has been at it
 * @param cureMin how long what it glues must cure before the leg is run, day and night (min)
 * @param once whether it is done once for both legs of a twin
 */
@Wide("One step as spec sheets write it: a component is a line of the file format.")
public record Step(
        @Given("the step's id") String id,
        @Given("what is done") String title,
        @Given("the phase") Phase phase,
        @Given("the place") Place place,
        @Given("the steps it needs") List<String> needs,
        @Given("the steps it follows") List<String> after,
        @Given("the goals it serves") List<String> goals,
        @Given(value = "the step it undoes", orElse = "-") String mirrors,
        @Given(value = "how it is done", orElse = "-") String detail,
        @Given(value = "the other school", orElse = "-") String school,
        @Given("the tools") List<String> tools,
        @Given("the consumables") List<String> consumables,
        @Given("the parts that come off") List<PartQty> partsOut,
        @Given("the parts that go in") List<PartQty> partsIn,
        @Given("the fasteners") List<String> fasteners,
        @Given("the cautions") List<String> cautions,
        @Given(value = "what to write down", orElse = "-") String ask,
        @Given("the findings made here") List<String> finds,
        @Given("the minutes it takes") Minutes minutes,
        @Given("what may have seized") Optional<Seizure> seizes,
        @Given(value = "the minutes its sealant cures", kind = Kind.DURATION, min = 0, max = 20_000, orElse = "0")
                double cureMin,
        @Given(value = "whether it is done once for twins", orElse = "false") boolean once) {
    private static final Messages TEXT = Messages.of(Step.class);

    /** Keeps its own copies. */
    public Step {
        needs = List.copyOf(needs);
        after = List.copyOf(after);
        goals = List.copyOf(goals);
        tools = List.copyOf(tools);
        consumables = List.copyOf(consumables);
        partsOut = List.copyOf(partsOut);
        partsIn = List.copyOf(partsIn);
        fasteners = List.copyOf(fasteners);
        cautions = List.copyOf(cautions);
        finds = List.copyOf(finds);
    }

    /**
     * Its mean with what seizing adds (min).
     *
     * @param saltYears years the leg has been in salt
     */
    public double meanMinutes(double saltYears) {
        return minutes.mean()
                + seizes.map(s -> s.probability(saltYears) * s.extraMin()).orElse(0.0);
    }

    /** The same step, taking other minutes. */
    public Step taking(Minutes other) {
        return with(other, seizes);
    }

    /** The same step, taking as many more minutes where something is stuck; one at which nothing seizes stays. */
    public Step seizing(double extraMin) {
        return with(minutes, seizes.map(s -> new Seizure(s.what(), s.ratePerYear(), extraMin)));
    }

    private Step with(Minutes took, Optional<Seizure> seized) {
        return new Step(
                id,
                title,
                phase,
                place,
                needs,
                after,
                goals,
                mirrors,
                detail,
                school,
                tools,
                consumables,
                partsOut,
                partsIn,
                fasteners,
                cautions,
                ask,
                finds,
                took,
                seized,
                cureMin,
                once);
    }

    /** Whether the text says something; sheets write a hyphen for nothing. */
    public static boolean says(String text) {
        return !text.equals("-");
    }

    /**
     * How long a step takes.
     *
     * @param low when all goes well (min)
     * @param likely usually (min)
     * @param high when it fights back (min)
     */
    public record Minutes(
            @Given(value = "the least minutes", kind = Kind.DURATION, min = 0, max = 2_000) double low,
            @Given(value = "the usual minutes", kind = Kind.DURATION, min = 0, max = 2_000) double likely,
            @Given(value = "the most minutes", kind = Kind.DURATION, min = 0, max = 2_000) double high)
            implements Checked {
        /** Mean of the Beta-PERT distribution with lambda 4 (Malcolm, Roseboom, Clark and Fazar 1959). */
        public double mean() {
            return (low + 4 * likely + high) / 6;
        }

        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(low <= likely && likely <= high, pointer, TEXT.get("step.must_rise_from_low_over_likely"));
        }
    }
}
