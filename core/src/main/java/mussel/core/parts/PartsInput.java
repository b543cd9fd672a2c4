package mussel.core.parts;

import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;

/**
 * What the parts engine needs.
 *
 * @param need what the job needs
 * @param shelf what the yard has; used first
 * @param offers what can be bought
 * @param suppliers who sells it
 * @param objective what the order shall be best at
 * @param deadlineDays offers that take longer are left out (d); no deadline when empty
 * @param dayCost what a day costs while the boat stands and waits (money per day); part of what is cheapest
 */
public record PartsInput(
        @Given(value = "what the job needs", stated = true) List<Wanted> need,
        @Given("what is on the shelf") List<Shelved> shelf,
        @Given(value = "what can be bought", stated = true) List<Offer> offers,
        @Given(value = "who sells it", stated = true) List<Supplier> suppliers,
        @Given(value = "what the order shall be best at", orElse = "cost") Objective objective,
        @Given(value = "the days until it must be here", min = 0, max = 1_000) OptionalDouble deadlineDays,
        @Given(value = "what a day of waiting costs", min = 0, max = 1e9, orElse = "0") double dayCost)
        implements Checked {
    private static final Messages TEXT = Messages.of(PartsInput.class);

    /** The most kinds of parts, offers and suppliers that are weighed. */
    public static final int MOST = 2_000;

    /** Keeps its own copies. */
    public PartsInput {
        need = List.copyOf(need);
        shelf = List.copyOf(shelf);
        offers = List.copyOf(offers);
        suppliers = List.copyOf(suppliers);
    }

    @Override
    public void check(Problems problems, String pointer) {
        atMost(problems, pointer + "/need", need);
        atMost(problems, pointer + "/offers", offers);
        Set<String> known = new HashSet<>();
        for (int i = 0; i < suppliers.size(); i++) {
            problems.unless(
                    known.add(suppliers.get(i).id()),
                    pointer + "/suppliers/" + i + "/id",
                    TEXT.get("parts_input.stands_twice_give_each_supplier_its"));
        }
        Set<List<String>> numbers = new HashSet<>();
        for (int i = 0; i < offers.size(); i++) {
            Offer offer = offers.get(i);
            problems.unless(
                    known.contains(offer.supplier()),
                    pointer + "/offers/" + i + "/supplier",
                    TEXT.get(
                            "parts_input.is_which_is_not_among_the",
                            offer.supplier(),
                            known.stream().sorted().collect(Collectors.joining(", "))));
            problems.unless(
                    numbers.add(List.of(offer.supplier(), offer.sku())),
                    pointer + "/offers/" + i + "/sku",
                    TEXT.get("parts_input.stands_twice_at_this_supplier_put"));
        }
    }

    private static void atMost(Problems problems, String pointer, List<?> list) {
        problems.unless(
                list.size() <= MOST, pointer, TEXT.get("parts_input.has_lines_at_most_are_weighed", list.size(), MOST));
    }

    /** The same need, the best order for something else. */
    public PartsInput with(Objective other) {
        return new PartsInput(need, shelf, offers, suppliers, other, deadlineDays, dayCost);
    }
}
