package mussel.core.job;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.Step;

/**
 * What a lower unit's own steps take, by stage and by repair: a step that serves one repair alone is that repair's own work, any other belongs to the
 * stage at its place. Final checks belong to neither.
 *
 * @param stages by stage of the tables (h)
 * @param own by repair (h)
 */
record StageHours(Map<String, Double> stages, Map<String, Double> own) {
    private static final Map<Place, String> AT = new EnumMap<>(Map.of(
            Place.PROPELLER, "prop",
            Place.PLUGS, "plugs",
            Place.JOINT, "leg",
            Place.STAND, "leg",
            Place.PUMP, "pump",
            Place.SEAL_CARRIER, "top",
            Place.SHIFT, "shift_cover",
            Place.PROP_CARRIER, "carrier",
            Place.SKEG, "carrier",
            Place.GEARS, "gears"));
    private static final double HOUR = 60;

    static StageHours of(FamilySheet sheet, Set<String> repairs, double saltYears) {
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
            } else if (AT.containsKey(step.place()) && goals.size() <= 2) {
                stages.merge(AT.get(step.place()), hours, Double::sum);
            }
        }
        return new StageHours(stages, own);
    }
}
