package mussel.core.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.measure.NamedBy;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.core.verdict.RepairTables;

/**
 * What a lower unit's own steps take, by stage and by repair: a step that serves one repair alone is that repair's own work, any other belongs to the
 * stage at its place. Final checks belong to neither.
 *
 * @param stages by stage of the tables (h)
 * @param own by repair (h)
 */
record StageHours(Map<String, Double> stages, Map<String, Double> own) {
    private static final double HOUR = 60;

    static StageHours of(SpecSheet sheet, RepairTables tables, double saltYears) {
        Map<String, String> at = new HashMap<>();
        tables.stages().forEach(s -> s.places().forEach(place -> at.put(place, s.id())));
        Set<String> repairs =
                tables.goals().stream().map(RepairTables.Repair::id).collect(Collectors.toSet());
        Map<String, Double> stages = new HashMap<>();
        Map<String, Double> own = new HashMap<>();
        Map<String, List<String>> serves = sheet.steps().stream()
                .collect(Collectors.toMap(
                        Step::id,
                        s -> s.goals().stream().filter(repairs::contains).toList(),
                        (a, b) -> a));
        for (Step step : sheet.steps()) {
            if (step.phase() == Phase.PROVE) {
                continue;
            }
            List<String> goals = serves.getOrDefault(step.mirrors(), serves.get(step.id()));
            double hours = step.meanMinutes(saltYears) / HOUR;
            if (goals.size() == 1) {
                own.merge(goals.get(0), hours, Double::sum);
            } else if (at.containsKey(NamedBy.file(step.place())) && goals.size() <= 2) {
                stages.merge(at.get(NamedBy.file(step.place())), hours, Double::sum);
            }
        }
        return new StageHours(stages, own);
    }
}
