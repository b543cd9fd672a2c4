package mussel.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mussel.core.plan.Plan;
import mussel.core.sheet.Part;

/**
 * A kind of loose piece.
 *
 * @param part its id
 * @param expected how many come off
 * @param counted how many were counted on the mat; empty where nobody did
 */
public record LoosePiece(String part, int expected, OptionalDouble counted) {
    /** Those that come off in a job. */
    static List<LoosePiece> of(Assessment now) {
        Map<String, Integer> out = new LinkedHashMap<>();
        for (Plan.PlannedStep step : now.stripSteps()) {
            step.step().partsOut().stream()
                    .filter(p -> now.sheet().part(p.part()).map(Part::loose).orElse(false))
                    .forEach(p -> out.merge(p.part(), p.qty(), Integer::sum));
        }
        return out.entrySet().stream()
                .map(e -> new LoosePiece(e.getKey(), e.getValue(), now.job().reading(Field.COUNTED.of(e.getKey()))))
                .toList();
    }

    /** Whether the count was made and is short or over. */
    public boolean off() {
        return counted.isPresent() && counted.getAsDouble() != expected;
    }
}
