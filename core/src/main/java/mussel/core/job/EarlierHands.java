package mussel.core.job;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Money;
import mussel.core.measure.NamedBy;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.Step;

/**
 * What earlier hands did wrong at a lower unit, as it shows at its steps: picked there, with what putting it right costs, and told to the owner.
 */
public final class EarlierHands {
    private static final Messages TEXT = Messages.of(EarlierHands.class);

    private EarlierHands() {}

    /** What is found of them. */
    public enum Kind {
        /** A bolt is not there, or only corrosion holds it. */
        BOLT_MISSING,
        /** Bolts of other lengths or threads. */
        BOLTS_MIXED,
        /** A washer under a washer. */
        WASHER_DOUBLED,
        /** A plate or gasket the wrong way up. */
        UPSIDE_DOWN,
        /** The impeller turned in against its direction. */
        IMPELLER_BACKWARD,
        /** Sealant where it must be dry. */
        SEALANT;

        /** In words. */
        public String title() {
            return TEXT.get("hands." + NamedBy.file(this));
        }

        private boolean showsAt(Step step) {
            return switch (this) {
                case BOLT_MISSING, BOLTS_MIXED -> !step.fasteners().isEmpty();
                case WASHER_DOUBLED -> step.place() == Place.PLUGS;
                case UPSIDE_DOWN -> step.place() == Place.PUMP;
                case IMPELLER_BACKWARD ->
                    step.place() == Place.PUMP && !step.goals().isEmpty();
                case SEALANT ->
                    List.of(Place.PUMP, Place.SEAL_CARRIER, Place.JOINT).contains(step.place());
            };
        }
    }

    /** What may show at a step, on the way in; nothing on the way back. */
    public static List<Kind> at(Step step) {
        boolean in = step.phase() == Phase.DOWN || step.phase() == Phase.STRIP;
        boolean opens = !step.partsOut().isEmpty() || !step.fasteners().isEmpty();
        return in && opens
                ? Arrays.stream(Kind.values()).filter(k -> k.showsAt(step)).toList()
                : List.of();
    }

    /** Where it is kept that something was found at a step. */
    public static Address address(Step step, Kind kind) {
        return Scale.EARLIER_HANDS.of(step.id() + "." + NamedBy.file(kind));
    }

    /**
     * One thing found.
     *
     * @param step where it showed
     * @param kind what it is
     * @param costs what putting it right at that step costs; empty where nobody said (money)
     */
    public record Found(Step step, Kind kind, OptionalDouble costs) {
        /** In words, for the owner too. */
        public String says(Money money) {
            return costs.isPresent()
                    ? TEXT.get("hands.found.cost", step.title(), kind.title(), money.exact(costs.getAsDouble()))
                    : TEXT.get("hands.found", step.title(), kind.title());
        }
    }

    /** Everything found, in the order of the plan; the cost of a step stands at the first thing found there. */
    public static List<Found> of(Assessment all) {
        List<Found> found = new ArrayList<>();
        for (Step step : all.sheet().steps()) {
            OptionalDouble costs = all.job().reading(Field.HANDS_COST.of(step.id()));
            for (Kind kind : at(step)) {
                if (all.job().choice(address(step, kind)).filter("yes"::equals).isPresent()) {
                    found.add(new Found(step, kind, costs));
                    costs = OptionalDouble.empty();
                }
            }
        }
        return found;
    }
}
