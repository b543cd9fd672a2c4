package mussel.core.plan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PartNeed;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Fastener;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Kit;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import org.jgrapht.Graphs;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;

/**
 * Chooses and orders the steps for a set of goals: what the goals need and nothing else, each step after all it waits for, work at
 * one place kept together, the sheet's order where nothing else decides.
 */
public final class Planner {
    private static final Messages TEXT = Messages.of(Planner.class);

    private Planner() {}

    /**
     * Plans the work.
     *
     * @param sheet the family's checked sheet
     * @param goals goal ids of that family; unknown ones are refused by an IllegalArgumentException
     */
    public static Plan plan(SpecSheet sheet, Collection<String> goals) {
        for (String goal : goals) {
            sheet.goal(goal)
                    .orElseThrow(
                            () -> new IllegalArgumentException("The sheet " + sheet.id() + " has no goal " + goal));
        }
        if (goals.isEmpty()) {
            return Plan.nothing();
        }
        Set<String> chosen = closure(sheet, new HashSet<>(goals));
        List<PlannedStep> steps = order(sheet, chosen);
        Set<String> tools = new LinkedHashSet<>();
        Set<Fastener> closed = new LinkedHashSet<>();
        double minutes = 0;
        for (PlannedStep planned : steps) {
            tools.addAll(planned.step().tools());
            minutes += planned.step().minutes().mean();
            if (planned.step().phase() == Phase.BUILD) {
                planned.step().fasteners().forEach(id -> sheet.fastener(id).ifPresent(closed::add));
            }
        }
        return new Plan(steps, parts(sheet, goals, steps), List.copyOf(tools), List.copyOf(closed), minutes);
    }

    /** Everything the goals need: their own steps, what these need, and the mirror of whatever was opened. */
    static Set<String> closure(SpecSheet sheet, Set<String> goals) {
        Map<String, List<String>> undoneBy = new HashMap<>();
        Deque<String> open = new ArrayDeque<>();
        for (Step step : sheet.steps()) {
            if (Step.says(step.mirrors())) {
                undoneBy.computeIfAbsent(step.mirrors(), k -> new ArrayList<>()).add(step.id());
            }
            if (step.goals().stream().anyMatch(goals::contains)) {
                open.add(step.id());
            }
        }
        Set<String> chosen = new HashSet<>();
        while (!open.isEmpty()) {
            String id = open.remove();
            if (chosen.add(id)) {
                sheet.step(id).ifPresent(s -> open.addAll(s.needs()));
                open.addAll(undoneBy.getOrDefault(id, List.of()));
            }
        }
        return chosen;
    }

    private static List<PlannedStep> order(SpecSheet sheet, Set<String> chosen) {
        Map<String, Step> steps = new LinkedHashMap<>();
        Map<String, Integer> rank = new HashMap<>();
        DirectedAcyclicGraph<String, DefaultEdge> graph = new DirectedAcyclicGraph<>(DefaultEdge.class);
        for (Step step : sheet.steps()) {
            rank.put(step.id(), rank.size());
            if (chosen.contains(step.id())) {
                steps.put(step.id(), step);
                graph.addVertex(step.id());
            }
        }
        for (Step step : steps.values()) {
            before(step, steps.keySet()).forEach(id -> graph.addEdge(id, step.id()));
        }
        List<PlannedStep> ordered = new ArrayList<>();
        Set<String> ready = new HashSet<>(graph.vertexSet());
        ready.removeIf(id -> graph.inDegreeOf(id) > 0);
        Place last = null;
        while (!ready.isEmpty()) {
            Place here = last;
            Step next = ready.stream()
                    .map(steps::get)
                    .min(Comparator.comparing(Step::phase)
                            .thenComparing(s -> s.place() == here ? 0 : 1)
                            .thenComparing(s -> rank.get(s.id())))
                    .orElseThrow();
            ready.remove(next.id());
            List<String> following = Graphs.successorListOf(graph, next.id());
            graph.removeVertex(next.id());
            following.stream().filter(id -> graph.inDegreeOf(id) == 0).forEach(ready::add);
            ordered.add(new PlannedStep(next, List.copyOf(before(next, steps.keySet()))));
            last = next.place();
        }
        return ordered;
    }

    private static Set<String> before(Step step, Set<String> chosen) {
        Set<String> before = new LinkedHashSet<>(step.needs());
        before.addAll(step.after());
        before.retainAll(chosen);
        return before;
    }

    /** What the goals renew, and what is always renewed once it has been disturbed. */
    private static List<PartNeed> parts(SpecSheet sheet, Collection<String> goals, List<PlannedStep> steps) {
        Map<String, Integer> qty = new LinkedHashMap<>();
        Map<String, String> why = new LinkedHashMap<>();
        for (String id : goals) {
            Goal goal = sheet.goal(id).orElseThrow();
            for (PartQty fit : goal.fits()) {
                qty.merge(fit.part(), fit.qty(), Math::max);
                why.putIfAbsent(fit.part(), goal.title());
            }
        }
        Map<String, Integer> disturbed = new LinkedHashMap<>();
        for (PlannedStep planned : steps) {
            for (PartQty in : planned.step().partsIn()) {
                Optional<Part> part = sheet.part(in.part()).filter(Part::alwaysNew);
                if (part.isPresent()) {
                    // Three plugs that go in one after the other take three washers.
                    disturbed.merge(in.part(), in.qty(), Integer::sum);
                    why.putIfAbsent(
                            in.part(),
                            TEXT.get("planner.always_new", planned.step().title()));
                }
            }
        }
        disturbed.forEach((part, many) -> qty.merge(part, many, Math::max));
        return qty.entrySet().stream()
                .map(e -> new PartNeed(
                        new PartQty(e.getKey(), e.getValue(), "-"), why.get(e.getKey()), kitHolding(sheet, e.getKey())))
                .toList();
    }

    private static String kitHolding(SpecSheet sheet, String part) {
        return sheet.kits().stream()
                .filter(k -> k.contains().stream().anyMatch(p -> p.part().equals(part)))
                .map(Kit::title)
                .findFirst()
                .orElse("");
    }
}
