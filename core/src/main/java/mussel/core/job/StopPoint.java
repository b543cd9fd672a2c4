package mussel.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.NamedBy;
import mussel.core.parts.Catalogue;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.PlanResult;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.verdict.Finding;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;

/**
 * Where to stop and look while the chosen repairs are made, and what that may add. Strip-down, estimate, the owner's paper and the parts list read this one
 * list.
 *
 * @param stage what is open then, in words
 * @param afterStep the step after which it is open; empty where the plan has none of that place
 * @param looks what to look at, in words
 * @param adds the repairs that may come on top, the likeliest first
 */
public record StopPoint(String stage, Optional<String> afterStep, List<String> looks, List<Adds> adds) {
    private static final Messages TEXT = Messages.of(StopPoint.class);

    /** Keeps its own copies. */
    public StopPoint {
        looks = List.copyOf(looks);
        adds = List.copyOf(adds);
    }

    /**
     * A repair that may come on top.
     *
     * @param goal its id
     * @param title its name
     * @param probability how likely (0 to 1)
     * @param money its parts and the work it adds to the plan (money)
     */
    public record Adds(String goal, String title, double probability, double money) {}

    /** The stop points of a job with something chosen; none before anything was found. */
    static List<StopPoint> of(Assessment all) {
        Optional<RepairTables> tables = all.knowledge().repairs();
        if (tables.isEmpty() || all.findings().isEmpty() || all.goals().isEmpty()) {
            return List.of();
        }
        List<StopPoint> points = new ArrayList<>();
        for (Repairs.Stop stop : all.judge().stops(all.verdictInput(), Set.copyOf(all.goals()))) {
            List<Adds> adds = stop.adds().stream()
                    .flatMap(a -> all.sheet().goal(a.goal()).stream().map(g -> adds(all, g, a.probability())))
                    .filter(a -> a.money() > 0)
                    .toList();
            if (!adds.isEmpty()) {
                RepairTables.Stage stage = tables.get().stage(stop.after()).orElseThrow();
                points.add(new StopPoint(stage.title(), step(all, stage), looks(all, stop), adds));
            }
        }
        return points;
    }

    private static List<String> looks(Assessment all, Repairs.Stop stop) {
        return stop.looks().stream()
                .map(f -> all.knowledge().finding(f).map(Finding::title).orElse(f))
                .toList();
    }

    /** The last step down at a stage's places. */
    private static Optional<String> step(Assessment all, RepairTables.Stage stage) {
        return all.plan().steps().stream()
                .map(PlannedStep::step)
                .filter(s -> s.phase() == Phase.DOWN || s.phase() == Phase.STRIP)
                .filter(s -> stage.places().contains(NamedBy.file(s.place())))
                .reduce((a, b) -> b)
                .map(s -> s.id());
    }

    private static Adds adds(Assessment all, Goal goal, double probability) {
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        double money = all.timedPlan().marginal().stream()
                        .filter(m -> m.goal().equals(goal.id()))
                        .mapToDouble(PlanResult.Marginal::extraMinutes)
                        .findFirst()
                        .orElse(0)
                * all.yard().labourPerH()
                / 60;
        for (PartQty fit : goal.fits()) {
            boolean along = all.supply().need().containsKey(fit.part());
            money += along ? 0 : fit.qty() * offers.price(fit.part()).orElse(0);
        }
        return new Adds(goal.id(), goal.title(), probability, money);
    }

    /** All that may come on top, each repair once, with the largest expected cost first. */
    static List<Adds> all(List<StopPoint> points) {
        return points.stream()
                .flatMap(p -> p.adds().stream())
                .collect(Collectors.toMap(Adds::goal, a -> a, (a, b) -> a))
                .values()
                .stream()
                .sorted(Comparator.comparingDouble((Adds a) -> -a.money() * a.probability())
                        .thenComparing(Adds::goal))
                .toList();
    }

    /** As it stands at its step. */
    public String says(mussel.core.measure.Money money) {
        String what = looks.isEmpty() ? stage : String.join(", ", looks);
        return TEXT.get(
                "stop",
                what.substring(0, 1).toLowerCase(Locale.ROOT) + what.substring(1),
                adds.stream()
                        .limit(3)
                        .map(a -> TEXT.get(
                                "stop.adds", a.title(), Display.percent(a.probability()), money.sum(a.money())))
                        .collect(Collectors.joining("; ")));
    }
}
