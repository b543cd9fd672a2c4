package mussel.core.library;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Wide;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Place;
import mussel.core.sheet.Seizure;
import mussel.core.sheet.Step;

/**
 * What one family does otherwise at a step of the library; what is absent stays.
 *
 * @param title what is done
 * @param place where the hands are
 * @param needs steps without which it cannot be done
 * @param after steps it follows
 * @param detail how
 * @param school the other school
 * @param tools what must lie ready
 * @param consumables what is used up
 * @param partsOut what comes off
 * @param partsIn what goes in
 * @param fasteners fastener groups opened or closed
 * @param cautions where a hand would be hurt
 * @param ask what to write down
 * @param minutes how long
 * @param seizes what may have seized
 * @param cureMin how long what it glues must cure (min)
 */
@Wide("A change of one step as model files write it: a component is a line of the file format.")
public record StepChange(
        @Given("what is done") Optional<String> title,
        @Given("the place") Optional<Place> place,
        @Given("the steps it needs") List<String> needs,
        @Given("the steps it follows") List<String> after,
        @Given("how it is done") Optional<String> detail,
        @Given("the other school") Optional<String> school,
        @Given("the tools") List<String> tools,
        @Given("the consumables") List<String> consumables,
        @Given("the parts that come off") List<PartQty> partsOut,
        @Given("the parts that go in") List<PartQty> partsIn,
        @Given("the fasteners") List<String> fasteners,
        @Given("the cautions") List<String> cautions,
        @Given("what to write down") Optional<String> ask,
        @Given("the minutes it takes") Optional<Step.Minutes> minutes,
        @Given("what may have seized") Optional<Seizure> seizes,
        @Given(value = "the minutes its sealant cures", kind = Kind.DURATION, min = 0, max = 20_000)
                OptionalDouble cureMin) {
    /** Keeps its own copies. */
    public StepChange {
        needs = List.copyOf(needs);
        after = List.copyOf(after);
        tools = List.copyOf(tools);
        consumables = List.copyOf(consumables);
        partsOut = List.copyOf(partsOut);
        partsIn = List.copyOf(partsIn);
        fasteners = List.copyOf(fasteners);
        cautions = List.copyOf(cautions);
    }
}
