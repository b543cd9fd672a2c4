package mussel.core.practice;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.measure.NamedBy;
import mussel.core.parts.Catalogue;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.verdict.Access;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.VerdictInput.Costs;

/** What goals cost on a leg of a family: the minutes of the plan at the yard's rate and the parts at the catalogue's prices. */
final class PlanCosting implements Costing {
    private static final double HOUR = 60;

    private final LegRef leg;
    private final List<Fact> known;
    private final Workplace at;
    private final Map<List<String>, Assessment> assessed = new HashMap<>();
    private final Map<List<String>, Map<String, Costs>> costs = new HashMap<>();

    /**
     * Costs of a leg.
     *
     * @param known what is known of it before anyone looks
     */
    PlanCosting(LegRef leg, List<Fact> known, Workplace at) {
        this.leg = leg;
        this.known = List.copyOf(known);
        this.at = at;
    }

    private Assessment with(List<String> goals) {
        return assessed.computeIfAbsent(goals, chosen -> {
            List<Fact> facts = new ArrayList<>(List.of(new Fact.Opened(leg)));
            facts.addAll(known);
            chosen.forEach(g -> facts.add(new Fact.Chosen(Scale.GOAL.of(g), "yes")));
            List<Entry> entries = new ArrayList<>();
            facts.forEach(f -> entries.add(new Entry(entries.size() + 1L, 1, Instant.EPOCH, "", f)));
            return at.assessed(Job.of(entries));
        });
    }

    @Override
    public Map<String, Costs> costs(List<String> chosen) {
        return costs.computeIfAbsent(chosen, c -> with(c).verdictInput().goals());
    }

    @Override
    public double work(List<String> goals, Set<String> opened) {
        if (goals.isEmpty()) {
            return 0;
        }
        Assessment all = with(goals);
        double minutes = all.timedPlan().minutes().mean();
        double paid = opensAgain(all).stream()
                .filter(opened::contains)
                .flatMap(a -> all.knowledge().access(a).stream())
                .mapToDouble(Access::minutes)
                .sum();
        return Math.max(0, minutes - paid) * all.yard().labourPerH() / HOUR + parts(all, goals);
    }

    /** Access levels that the plan opens itself: what looking has opened is not opened twice. */
    private static Set<String> opensAgain(Assessment all) {
        Set<String> off = all.stripSteps().stream()
                .flatMap(s -> s.step().partsOut().stream())
                .map(PartQty::part)
                .collect(Collectors.toSet());
        return all.sheet().parts().stream()
                .filter(p -> off.contains(p.id()))
                .flatMap(p -> p.opens().stream())
                .map(NamedBy::file)
                .collect(Collectors.toSet());
    }

    /** What the parts of goals cost: by the catalogue, else as the tables have it for the whole goal. */
    private double parts(Assessment all, List<String> goals) {
        Catalogue.FamilyOffers offers = all.stores().catalogue().of(all.sheet().id());
        Map<String, Integer> needed = new HashMap<>();
        double money = 0;
        for (Goal goal : all.sheet().goals()) {
            if (!goals.contains(goal.id())) {
                continue;
            }
            boolean priced = goal.fits().isEmpty()
                    || goal.fits().stream().anyMatch(f -> offers.price(f.part()).isPresent());
            if (priced) {
                goal.fits().forEach(f -> needed.merge(f.part(), f.qty(), Math::max));
            } else {
                money += all.knowledge()
                                .goal(goal.id())
                                .map(RepairGoal::marginalParts)
                                .orElse(0.0)
                        * all.yard().labourPerH();
            }
        }
        for (Map.Entry<String, Integer> part : needed.entrySet()) {
            money += part.getValue() * offers.price(part.getKey()).orElse(0);
        }
        return money;
    }

    @Override
    public double comeback(String goal) {
        Costs own = costs(List.of()).get(goal);
        return own != null
                ? own.comebackCost()
                : with(List.of()).knowledge().goal(goal).orElseThrow().comebackCost()
                        * with(List.of()).yard().labourPerH();
    }
}
