package mussel.core.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Problems;
import org.jgrapht.Graph;
import org.jgrapht.alg.cycle.CycleDetector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;

/** What must hold of a sheet's steps as a graph: no cycle, nothing taken off that is never put back or renewed. */
final class StepGraphRules {
    private static final Messages TEXT = Messages.of(StepGraphRules.class);

    private StepGraphRules() {}

    static void check(SpecSheet sheet, Problems problems, String pointer) {
        cycles(sheet, problems, pointer);
        phases(sheet, problems, pointer);
        mirrors(sheet, problems, pointer);
    }

    private static void cycles(SpecSheet sheet, Problems problems, String pointer) {
        Graph<String, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);
        sheet.steps().forEach(s -> graph.addVertex(s.id()));
        for (int i = 0; i < sheet.steps().size(); i++) {
            Step step = sheet.steps().get(i);
            for (List<String> before : List.of(step.needs(), step.after())) {
                for (String id : before) {
                    if (id.equals(step.id())) {
                        problems.at(pointer + "/steps/" + i, TEXT.get("step_graph_rules.comes_before_itself"));
                    } else if (graph.containsVertex(id)) {
                        graph.addEdge(id, step.id());
                    }
                }
            }
        }
        Set<String> round = new CycleDetector<>(graph).findCycles();
        if (!round.isEmpty()) {
            String names = new TreeSet<>(round).stream().collect(Collectors.joining(", "));
            problems.at(pointer + "/steps", TEXT.get("step_graph_rules.wait_for_each_other_in_a", names));
        }
    }

    /** What a step waits for is done on the same side of the job or an earlier one. */
    private static void phases(SpecSheet sheet, Problems problems, String pointer) {
        for (int i = 0; i < sheet.steps().size(); i++) {
            Step step = sheet.steps().get(i);
            for (int j = 0; j < step.needs().size(); j++) {
                String at = pointer + "/steps/" + i + "/needs/" + j;
                sheet.step(step.needs().get(j))
                        .filter(needed -> needed.phase().compareTo(step.phase()) > 0)
                        .ifPresent(needed -> problems.at(
                                at,
                                TEXT.get(
                                        "step_graph_rules.names_which_comes_later",
                                        needed.id(),
                                        needed.phase().title())));
            }
        }
    }

    private static void mirrors(SpecSheet sheet, Problems problems, String pointer) {
        Map<String, Integer> in = new HashMap<>();
        for (Step step : sheet.steps()) {
            step.partsIn().forEach(p -> in.merge(p.part(), p.qty(), Integer::sum));
        }
        for (int i = 0; i < sheet.steps().size(); i++) {
            List<PartQty> out = sheet.steps().get(i).partsOut();
            for (int j = 0; j < out.size(); j++) {
                problems.unless(
                        in.getOrDefault(out.get(j).part(), 0) >= out.get(j).qty(),
                        pointer + "/steps/" + i + "/parts_out/" + j,
                        TEXT.get(
                                "step_graph_rules.takes_off_which_no_step_puts",
                                out.get(j).qty(),
                                out.get(j).part()));
            }
        }
    }
}
