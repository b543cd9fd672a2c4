package mussel.core.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.SpecSheet;

/**
 * What a leg and its engine need before frost: amounts by the same bottle arithmetic as the fill. Engine oil, filter and the stabiliser's dose are
 * the maker's and its bottle's figures; nobody here knows them before they are typed.
 *
 * @param tankMl fuel in the tank (ml)
 * @param doseMlPerL stabiliser for each litre of fuel (ml/l)
 * @param engineOilMl engine oil with a change (ml)
 * @param filterMl what a new filter takes up (ml)
 * @param bottles the bottles there are to buy, of whatever they hold
 */
public record LayUp(
        @Given(value = "the fuel in the tank", kind = Kind.VOLUME, min = 0, max = 2_000_000) OptionalDouble tankMl,
        @Given(value = "the dose of stabiliser (ml for each litre)", min = 0, minOpen = true, max = 100)
                OptionalDouble doseMlPerL,
        @Given(value = "the engine oil of a change", kind = Kind.VOLUME, min = 0, max = 100_000)
                OptionalDouble engineOilMl,
        @Given(value = "what the filter takes up", kind = Kind.VOLUME, min = 0, max = 10_000) OptionalDouble filterMl,
        @Given(value = "the bottles", atLeast = 1) List<FillInput.Bottle> bottles) {
    private static final double LEAST_ML = 10;
    private static final Messages TEXT = Messages.of(LayUp.class);

    /** Keeps its own copy. */
    public LayUp {
        bottles = List.copyOf(bottles);
    }

    /** The stabiliser for the tank (ml); empty without tank or dose. */
    public OptionalDouble stabiliserMl() {
        return tankMl.isPresent() && doseMlPerL.isPresent()
                ? OptionalDouble.of(tankMl.getAsDouble() / 1_000 * doseMlPerL.getAsDouble())
                : OptionalDouble.empty();
    }

    /** The bottles for so much of something; empty where the yard has written none down that hold it, or for less than is ever poured. */
    Optional<FillResult> bottles(double ml, FillInput.Holds what) {
        List<FillInput.Bottle> fit =
                bottles.stream().filter(b -> b.holds() == what).toList();
        return fit.isEmpty() || ml < LEAST_ML
                ? Optional.empty()
                : Optional.of(FillEngine.run(new FillInput(ml, 0, 0, 0, fit, OptionalDouble.empty())));
    }

    /** What to do, in the order hands go, with the amounts that are known. */
    public List<String> steps(SpecSheet sheet, YardUnits units) {
        List<String> steps = new ArrayList<>();
        steps.add(TEXT.get(
                "layup.fuel",
                amount(stabiliserMl(), units)
                        .map(ml -> ml
                                + bottles(stabiliserMl().getAsDouble(), FillInput.Holds.STABILISER)
                                        .map(r -> " (" + buy(r, units) + ")")
                                        .orElse(""))
                        .orElse(TEXT.get("layup.dose"))));
        // The engine's oil is changed after it ran, so that no old oil lies in it all winter.
        steps.add(TEXT.get("layup.fog"));
        double oil = engineOilMl.orElse(0);
        steps.add(
                engineOilMl.isPresent()
                        ? TEXT.get(
                                "layup.engine",
                                Display.exact(Kind.VOLUME, oil + filterMl.orElse(0), units),
                                buy(oil + filterMl.orElse(0), FillInput.Holds.ENGINE_OIL, units))
                        : TEXT.get("layup.engine.unknown"));
        OptionalDouble holds = sheet.oil().capacityMl();
        double besides = sheet.oil().purgeMl() + sheet.oil().spillMl();
        steps.add(
                holds.isPresent()
                        ? TEXT.get(
                                "layup.gear",
                                sheet.title(),
                                Display.exact(Kind.VOLUME, holds.getAsDouble(), units),
                                buy(holds.getAsDouble() + besides, FillInput.Holds.GEAR_OIL, units))
                        : TEXT.get("layup.gear.unknown", sheet.title()));
        steps.add(TEXT.get("layup.drain"));
        steps.add(TEXT.get("layup.anodes"));
        return steps;
    }

    private String buy(double ml, FillInput.Holds what, YardUnits units) {
        return bottles(ml, what)
                .map(r -> buy(r, units))
                .orElseGet(() -> TEXT.get("layup.buy.none." + NamedBy.file(what)));
    }

    private static String buy(FillResult result, YardUnits units) {
        List<String> bought = new ArrayList<>();
        result.use().stream().filter(u -> u.count() > 0).forEach(u -> bought.add(u.count() + " × " + u.name()));
        return TEXT.get("layup.buy", String.join(" + ", bought), Display.exact(Kind.VOLUME, result.leaveMl(), units));
    }

    private static Optional<String> amount(OptionalDouble ml, YardUnits units) {
        return ml.isPresent() ? Optional.of(Display.estimate(Kind.VOLUME, ml.getAsDouble(), units)) : Optional.empty();
    }
}
