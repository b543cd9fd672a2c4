package mussel.core.practice;

import java.util.List;
import java.util.Map;
import java.util.Set;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.RepairGoal;
import mussel.core.verdict.VerdictInput.Costs;

/** What goals cost on a practice leg. */
interface Costing {
    /** What doing and leaving each goal costs beside those chosen, as the verdict weighs it; the tables' own for those left out. */
    Map<String, Costs> costs(List<String> chosen);

    /**
     * What doing these goals together costs, work and parts (money).
     *
     * @param opened access levels that looking has paid for already
     */
    double work(List<String> goals, Set<String> opened);

    /** What it costs when a goal that is called for was left (money). */
    double comeback(String goal);

    /** As the tables have it, in hours at a rate: each goal by itself. */
    static Costing tables(Knowledge knowledge, double labourPerH) {
        return new Costing() {
            @Override
            public Map<String, Costs> costs(List<String> chosen) {
                return Map.of();
            }

            @Override
            public double work(List<String> goals, Set<String> opened) {
                return goals.stream()
                        .flatMap(g -> knowledge.goal(g).stream())
                        .mapToDouble(RepairGoal::marginalCost)
                        .map(h -> h * labourPerH)
                        .sum();
            }

            @Override
            public double comeback(String goal) {
                return knowledge.goal(goal).map(RepairGoal::comebackCost).orElse(0.0) * labourPerH;
            }
        };
    }
}
