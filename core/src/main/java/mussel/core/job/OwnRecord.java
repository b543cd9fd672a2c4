package mussel.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mussel.core.language.Messages;
import mussel.core.log.CameBack;
import mussel.core.log.Share;
import mussel.core.log.Visit;
import mussel.core.measure.Display;
import mussel.core.measure.Money;
import mussel.core.measure.OrderedMap;

/**
 * What the yard's own tagged jobs of a family say: how long its steps take, how often its estimates held, and what came back has cost.
 *
 * @param times how long the steps take
 * @param quotes how many estimates an owner said yes to, and how many jobs stayed within the most that was named
 * @param back by the title of what was repaired, what each comeback of it cost (money)
 * @param counts whether the yard wants those costs in the cost of leaving a thing
 */
public record OwnRecord(OwnTimes times, Share quotes, Map<String, List<Double>> back, boolean counts) {
    /** Of a yard with nothing behind it. */
    public static final OwnRecord NONE = new OwnRecord(OwnTimes.NONE, new Share(0, 0), Map.of(), false);

    /** How many comebacks the diagnosis tables' own figure weighs. */
    public static final int WEIGHT_OF_TABLES = 5;

    private static final Messages TEXT = Messages.of(OwnRecord.class);

    /** Keeps its own copy. */
    public OwnRecord {
        back = OrderedMap.copyOf(back);
    }

    /** The record of a family's visits, in any order. */
    public static OwnRecord of(List<Visit> visits, boolean counts) {
        List<Visit> inOrder = visits.stream()
                .sorted(Comparator.comparing(Visit::leg).thenComparing(Visit::job))
                .toList();
        List<Visit.Work> quoted = visits.stream()
                .filter(v -> v.tagged().isPresent())
                .flatMap(v -> v.work().stream())
                .filter(w -> w.quoted().isPresent())
                .toList();
        Share quotes = new Share(quoted.size(), (int) quoted.stream()
                .filter(w -> w.cameTo() <= w.quoted().getAsDouble())
                .count());
        Map<String, List<Double>> back = new HashMap<>();
        for (CameBack each : CameBack.among(inOrder)) {
            each.next().work().ifPresent(w -> each.repair().done().forEach(goal -> back.computeIfAbsent(
                            goal, g -> new ArrayList<>())
                    .add(w.spent())));
        }
        return new OwnRecord(OwnTimes.of(visits), quotes, back, counts);
    }

    /** What comebacks of each repair have cost, in a sentence each. */
    public List<String> costs(String family, Money money) {
        List<String> costs = new ArrayList<>();
        new TreeMap<>(back)
                .forEach((goal, own) -> costs.add(TEXT.get(
                        counts ? "back.counted" : "back.shown",
                        family,
                        goal,
                        String.valueOf(own.size()),
                        money.sum(own.stream()
                                .mapToDouble(Double::doubleValue)
                                .average()
                                .orElse(0)),
                        String.valueOf(WEIGHT_OF_TABLES))));
        return costs;
    }

    /** How often the most that an estimate named held, with bounds; empty where no owner was asked by one yet. */
    public String quoted() {
        if (quotes.of() == 0) {
            return "";
        }
        double[] bounds = quotes.bounds();
        return TEXT.get(
                "quotes.held",
                String.valueOf(quotes.were()),
                String.valueOf(quotes.of()),
                Display.percent(bounds[0]),
                Display.percent(bounds[1]));
    }

    /**
     * What a comeback of a goal costs with what the yard's own have cost, as if the reckoned figure had been seen {@value #WEIGHT_OF_TABLES} times; empty where
     * none has come back, or the yard does not want it counted.
     *
     * @param goal its title
     * @param reckoned what it is reckoned at without (money)
     */
    public Optional<Double> comeback(String goal, double reckoned) {
        List<Double> own = back.getOrDefault(goal, List.of());
        return !counts || own.isEmpty()
                ? Optional.empty()
                : Optional.of((WEIGHT_OF_TABLES * reckoned
                                + own.stream().mapToDouble(Double::doubleValue).sum())
                        / (WEIGHT_OF_TABLES + own.size()));
    }
}
