package mussel.core.visit;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;

/**
 * Engine oil by the fill engine: what is poured first, and what the filter takes up once it has run. Half of what a new filter holds is filled after the first
 * run, so that half is held back at first.
 *
 * @param takesMl what the engine takes without its filter, as its manual says (ml)
 * @param filterMl what a new filter holds (ml); none where it stays
 * @param wentInMl what went in (ml)
 * @param bottles the bottles of engine oil
 */
public record EngineOil(
        OptionalDouble takesMl, OptionalDouble filterMl, OptionalDouble wentInMl, List<FillInput.Bottle> bottles) {
    private static final Messages TEXT = Messages.of(EngineOil.class);
    private static final double HELD_BACK = 0.5;
    /** What a dipstick does not tell: a twentieth. */
    private static final double NEAR = 0.05;

    private static final double LEAST_ML = 10;

    /** Keeps its own copy. */
    public EngineOil {
        bottles = bottles.stream()
                .filter(b -> b.holds() == FillInput.Holds.ENGINE_OIL)
                .toList();
    }

    /** What it takes in all (ml); empty where nobody typed what the manual says. */
    public OptionalDouble allMl() {
        return takesMl.isPresent()
                ? OptionalDouble.of(takesMl.getAsDouble() + filterMl.orElse(0))
                : OptionalDouble.empty();
    }

    /** What is poured before it first runs (ml). */
    public OptionalDouble firstMl() {
        return allMl().isPresent()
                ? OptionalDouble.of(allMl().getAsDouble() - HELD_BACK * filterMl.orElse(0))
                : OptionalDouble.empty();
    }

    /** Which bottles are used and bought; empty where the amount is not known or no bottle is. */
    public Optional<FillResult> use() {
        return allMl().isPresent() && allMl().getAsDouble() >= LEAST_ML && !bottles.isEmpty()
                ? Optional.of(
                        FillEngine.run(new FillInput(allMl().getAsDouble(), 0, 0, 0, bottles, OptionalDouble.empty())))
                : Optional.empty();
    }

    /** What to pour, in sentences. */
    public List<String> says(YardUnits units) {
        if (allMl().isEmpty()) {
            return List.of(TEXT.get("engine_oil.unknown"));
        }
        String all = Display.exact(Kind.VOLUME, allMl().getAsDouble(), units);
        String pour = filterMl.orElse(0) > 0
                ? TEXT.get(
                        "engine_oil.pour", Display.exact(Kind.VOLUME, firstMl().getAsDouble(), units), all)
                : TEXT.get("engine_oil.bare", all);
        String buy = use().map(u -> u.use().stream()
                        .filter(b -> b.buy() > 0)
                        .map(b -> b.buy() + " × " + b.name())
                        .collect(Collectors.joining(" + ")))
                .map(b -> b.isEmpty() ? TEXT.get("engine_oil.owned") : TEXT.get("engine_oil.buy", b))
                .orElseGet(() -> TEXT.get("engine_oil.none"));
        return wentInMl.isPresent() ? List.of(pour, buy, check(units)) : List.of(pour, buy);
    }

    /** Whether too much or too little went in. */
    public boolean off() {
        return allMl().isPresent()
                && wentInMl.isPresent()
                && Math.abs(wentInMl.getAsDouble() - allMl().getAsDouble()) > NEAR * allMl().getAsDouble();
    }

    private String check(YardUnits units) {
        double over = wentInMl.getAsDouble() - allMl().getAsDouble();
        String in = Display.exact(Kind.VOLUME, wentInMl.getAsDouble(), units);
        if (!off()) {
            return TEXT.get("engine_oil.right", in);
        }
        return TEXT.get(
                over > 0 ? "engine_oil.over" : "engine_oil.under",
                in,
                Display.estimate(Kind.VOLUME, Math.abs(over), units));
    }
}
