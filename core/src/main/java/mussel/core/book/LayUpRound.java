package mussel.core.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import mussel.core.fill.FillEngine;
import mussel.core.fill.FillInput;
import mussel.core.fill.FillResult;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;

/**
 * The lay-up of several boats as one round: what to buy for all of it. Bottles are shared, so that one opened for a boat serves the next.
 *
 * @param lines what is needed of each thing that is poured
 * @param unknown boats of which something is not known, each with what
 * @param cost of what is bought (money)
 */
public record LayUpRound(List<Line> lines, List<String> unknown, double cost) {
    private static final Messages TEXT = Messages.of(LayUpRound.class);
    private static final double LEAST_ML = 10;
    /** The most the fill engine weighs at once (ml). */
    private static final double MOST_ML = 200_000;

    /** Keeps its own copies. */
    public LayUpRound {
        lines = List.copyOf(lines);
        unknown = List.copyOf(unknown);
    }

    /**
     * Something that is poured.
     *
     * @param what what it is
     * @param ml how much for all (ml)
     * @param boats for how many boats
     * @param use the bottles; none where the yard has written none down
     */
    public record Line(FillInput.Holds what, double ml, int boats, List<FillResult.Use> use) {
        /** Keeps its own copy. */
        public Line {
            use = List.copyOf(use);
        }

        /** What of it to buy, in a sentence. */
        public String says(YardUnits units) {
            String buy = use.stream()
                    .filter(u -> u.buy() > 0)
                    .map(u -> u.buy() + " × " + u.name())
                    .collect(Collectors.joining(" + "));
            return TEXT.get(
                    use.isEmpty() ? "round.none" : buy.isEmpty() ? "round.owned" : "round.buy",
                    TEXT.get("round." + NamedBy.file(what)),
                    Display.exact(Kind.VOLUME, ml, units),
                    boats,
                    buy);
        }
    }

    /**
     * One boat of the round.
     *
     * @param title what it is called
     * @param needs what its engine and tank take
     * @param gearMl what its case takes with what goes into hose and spill (ml); empty where nobody knows
     */
    public record Boat(String title, LayUp needs, OptionalDouble gearMl) {}

    /** The round over some boats. */
    public static LayUpRound of(List<Boat> boats, List<FillInput.Bottle> bottles) {
        List<Line> lines = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        double[] gear = new double[2];
        double[] engine = new double[2];
        double[] stabiliser = new double[2];
        for (Boat boat : boats) {
            List<String> open = new ArrayList<>();
            add(gear, boat.gearMl(), "round.gear_oil", open);
            OptionalDouble oil = boat.needs().engineOilMl();
            add(
                    engine,
                    oil.isPresent()
                            ? OptionalDouble.of(
                                    oil.getAsDouble() + boat.needs().filterMl().orElse(0))
                            : oil,
                    "round.engine_oil",
                    open);
            add(stabiliser, boat.needs().stabiliserMl(), "round.stabiliser", open);
            if (!open.isEmpty()) {
                unknown.add(TEXT.get("round.unknown", boat.title(), String.join(", ", open)));
            }
        }
        double cost = 0;
        cost += line(lines, FillInput.Holds.GEAR_OIL, gear, bottles);
        cost += line(lines, FillInput.Holds.ENGINE_OIL, engine, bottles);
        cost += line(lines, FillInput.Holds.STABILISER, stabiliser, bottles);
        return new LayUpRound(lines, unknown, cost);
    }

    /** The round as a list for paper: its boats, and below what to buy. */
    public static WorkList list(List<WorkList.Line> boats, List<String> buy) {
        return new WorkList(TEXT.get("list.round"), TEXT.get("list.round.intro"), boats, buy);
    }

    private static void add(double[] sum, OptionalDouble ml, String what, List<String> open) {
        if (ml.isPresent()) {
            sum[0] += ml.getAsDouble();
            sum[1]++;
        } else {
            open.add(TEXT.get(what));
        }
    }

    private static double line(List<Line> lines, FillInput.Holds what, double[] sum, List<FillInput.Bottle> bottles) {
        List<FillInput.Bottle> fit =
                bottles.stream().filter(b -> b.holds() == what).toList();
        if (sum[0] < LEAST_ML) {
            return 0;
        }
        if (fit.isEmpty()) {
            lines.add(new Line(what, sum[0], (int) sum[1], List.of()));
            return 0;
        }
        // What is more than the engine weighs at once is bought in whole bottles of the kind that is cheapest by
        // volume.
        FillInput.Bottle cheap = fit.stream()
                .min(Comparator.comparingDouble(b -> b.price() / b.ml()))
                .orElseThrow();
        int drums = (int) Math.max(0, Math.ceil((sum[0] - MOST_ML) / cheap.ml()));
        double rest = sum[0] - drums * cheap.ml();
        FillResult use = FillEngine.run(new FillInput(Math.max(LEAST_ML, rest), 0, 0, 0, fit, OptionalDouble.empty()));
        List<FillResult.Use> all = new ArrayList<>(use.use());
        if (drums > 0) {
            all.replaceAll(u -> u.name().equals(cheap.name())
                    ? new FillResult.Use(u.name(), u.count() + drums, u.buy() + drums, u.openedMl())
                    : u);
            if (all.stream().noneMatch(u -> u.name().equals(cheap.name()))) {
                all.add(new FillResult.Use(cheap.name(), drums, drums, 0));
            }
        }
        lines.add(new Line(what, sum[0], (int) sum[1], all));
        return use.cost() + drums * cheap.price();
    }
}
