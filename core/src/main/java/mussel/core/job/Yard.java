package mussel.core.job;

import java.util.List;
import java.util.Optional;
import mussel.core.drain.DrainInput;
import mussel.core.fill.FillInput;
import mussel.core.measure.Given;
import mussel.core.measure.YardUnits;

/**
 * What a yard keeps and how it works.
 *
 * @param name the yard's name, as printed
 * @param units the units it reads in
 * @param oils the oils on its shelf
 * @param bottles the bottles it buys
 * @param labourPerH its labour rate (money per hour)
 * @param downtimePerDay what a day without a leg costs an owner, unless a job says otherwise (money per day)
 * @param pumpHabit how it renews pumps
 * @param tools the special tools it has, as the steps name them
 */
public record Yard(
        @Given("the yard's name") String name,
        @Given(value = "the units", orElse = "metric") YardUnits units,
        @Given(value = "the oils", atLeast = 1) List<Oil> oils,
        @Given(value = "the bottles", atLeast = 1) List<FillInput.Bottle> bottles,
        @Given(value = "the labour rate (money per hour)", min = 0, max = 10_000, orElse = "72") double labourPerH,
        @Given(value = "what a day without a leg costs (money per day)", min = 0, max = 1_000_000, orElse = "0")
                double downtimePerDay,
        @Given("how it renews pumps") Optional<PumpHabit> pumpHabit,
        @Given("its special tools") List<String> tools) {
    /** Keeps its own copies. */
    public Yard {
        tools = List.copyOf(tools);
        oils = List.copyOf(oils);
        bottles = List.copyOf(bottles);
    }

    /** The oil with that id; the first of the list where it is not known. */
    public Oil oil(Optional<String> id) {
        return oils.stream()
                .filter(o -> id.isPresent() && o.id().equals(id.get()))
                .findFirst()
                .orElse(oils.get(0));
    }

    /** The same yard reading in other units. */
    public Yard in(YardUnits other) {
        return new Yard(name, other, oils, bottles, labourPerH, downtimePerDay, pumpHabit, tools);
    }

    /** The same yard with another habit for pumps. */
    public Yard with(PumpHabit habit) {
        return new Yard(name, units, oils, bottles, labourPerH, downtimePerDay, Optional.of(habit), tools);
    }

    /** How it renews pumps; by condition where it never said. */
    public PumpHabit pump() {
        return pumpHabit.orElse(PumpHabit.USUAL);
    }

    /**
     * An oil on the shelf.
     *
     * @param id its id
     * @param title its name
     * @param dye the colour its blender gave it
     * @param data viscosity and density
     */
    public record Oil(
            @Given("the oil's id") String id,
            @Given("the oil's name") String title,
            @Given("the oil's dye") Dye dye,
            @Given("viscosity and density") DrainInput.Oil data) {}

    /** The dyes of fresh gear oil. */
    public enum Dye {
        /** Green. */
        GREEN,
        /** Blue. */
        BLUE,
        /** Amber. */
        AMBER,
        /** Red. */
        RED
    }
}
