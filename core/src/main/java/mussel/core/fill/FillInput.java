package mussel.core.fill;

import java.util.List;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;

/**
 * What the fill engine needs.
 *
 * @param capacityMl how much the case holds (ml)
 * @param residualMl what is still in it (ml)
 * @param purgeMl what the hose is purged with (ml)
 * @param spillMl what is lost at the plugs (ml)
 * @param bottles the bottles there are, owned or for sale
 * @param pumpedMl what the case took (ml)
 * @param pours what is poured; a bottle that holds anything else is refused
 */
public record FillInput(
        @Given(value = "how much the case holds", kind = Kind.VOLUME, min = 10, max = 200_000) double capacityMl,
        @Given(value = "how much is still in the case", kind = Kind.VOLUME, min = 0, max = 200_000, orElse = "0")
                double residualMl,
        @Given(value = "how much the hose is purged with", kind = Kind.VOLUME, min = 0, max = 20_000, orElse = "0")
                double purgeMl,
        @Given(value = "how much is lost at the plugs", kind = Kind.VOLUME, min = 0, max = 20_000, orElse = "0")
                double spillMl,
        @Given(value = "the bottles there are", atLeast = 1) List<Bottle> bottles,
        @Given(value = "how much the case took", kind = Kind.VOLUME, min = 0, max = 200_000) OptionalDouble pumpedMl,
        @Given(value = "what is poured", orElse = "gear_oil") Holds pours)
        implements Checked {
    private static final Messages TEXT = Messages.of(FillInput.class);

    private static final int MOST_BOTTLES = 40;
    private static final int MOST_POURED = 1_000;

    /** A fill of what the bottles hold. */
    public FillInput(
            double capacityMl,
            double residualMl,
            double purgeMl,
            double spillMl,
            List<Bottle> bottles,
            OptionalDouble pumpedMl) {
        this(
                capacityMl,
                residualMl,
                purgeMl,
                spillMl,
                bottles,
                pumpedMl,
                bottles.isEmpty() ? Holds.GEAR_OIL : bottles.get(0).holds());
    }

    /** Keeps its own copy. */
    public FillInput {
        bottles = List.copyOf(bottles);
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                residualMl <= capacityMl,
                pointer + "/residual_ml",
                TEXT.get("fill_input.is_more_than_the_case_holds", capacityMl));
        problems.unless(
                bottles.size() <= MOST_BOTTLES,
                pointer + "/bottles",
                TEXT.get("fill_input.has_kinds_of_bottle_at_most", bottles.size(), MOST_BOTTLES));
        double largest = bottles.stream().mapToDouble(Bottle::ml).max().orElse(capacityMl);
        int owned = bottles.stream().mapToInt(Bottle::have).sum();
        problems.unless(
                capacityMl <= MOST_POURED * largest && owned <= MOST_POURED,
                pointer + "/bottles",
                TEXT.get("fill_input.are_too_small_or_too_many", MOST_POURED));
        for (int i = 0; i < bottles.size(); i++) {
            problems.unless(
                    bottles.get(i).holds() == pours,
                    pointer + "/bottles/" + i + "/holds",
                    TEXT.get(
                            "fill_input.is_and_is_poured_leave_this",
                            NamedBy.file(bottles.get(i).holds()),
                            NamedBy.file(pours)));
            String name = bottles.get(i).name();
            boolean first =
                    bottles.subList(0, i).stream().noneMatch(b -> b.name().equals(name));
            problems.unless(
                    first,
                    pointer + "/bottles/" + i + "/name",
                    TEXT.get("fill_input.stands_twice_give_each_bottle_its"));
        }
    }

    /**
     * One size of bottle.
     *
     * @param name what the yard calls it
     * @param ml what a whole one holds (ml)
     * @param price of a whole one
     * @param have whole ones owned
     * @param openedMl what is left in an opened one (ml)
     * @param holds what is in it
     */
    public record Bottle(
            @Given("the bottle's name") String name,
            @Given(value = "what a whole bottle holds", kind = Kind.VOLUME, min = 1, max = 250_000) double ml,
            @Given(value = "the price of a bottle", min = 0, max = 1e12) double price,
            @Given(value = "how many whole bottles are owned", min = 0, max = 10_000, orElse = "0") int have,
            @Given(
                            value = "how much is left in an opened one",
                            kind = Kind.VOLUME,
                            min = 0,
                            max = 250_000,
                            orElse = "0")
                    double openedMl,
            @Given(value = "what is in the bottle", orElse = "gear_oil") Holds holds)
            implements Checked {
        /** A bottle of gear oil. */
        public Bottle(String name, double ml, double price, int have, double openedMl) {
            this(name, ml, price, have, openedMl, Holds.GEAR_OIL);
        }

        @Override
        public void check(Problems problems, String pointer) {
            problems.unless(
                    openedMl <= ml, pointer + "/opened_ml", TEXT.get("fill_input.is_more_than_a_whole_one", ml));
        }
    }

    /** What a bottle holds. */
    public enum Holds {
        /** Oil for the lower unit. */
        GEAR_OIL,
        /** Oil for the engine. */
        ENGINE_OIL,
        /** What keeps fuel from ageing. */
        STABILISER,
        /** Grease, in a tub or a cartridge. */
        GREASE
    }
}
