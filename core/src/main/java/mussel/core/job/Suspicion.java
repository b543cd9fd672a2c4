package mussel.core.job;

import java.util.LinkedHashMap;
import java.util.Map;
import mussel.core.verdict.Cause;
import mussel.core.verdict.VerdictResult;

/** How likely it is that something is wrong at each place of the case. */
final class Suspicion {
    private Suspicion() {}

    /**
     * The probability at each place, by the place's name. Where all causes of a goal sit at one place, as the two lips of a pair do, it is
     * that of any of them; else that of the likeliest.
     */
    static Map<String, Double> byPlace(Assessment all) {
        VerdictResult verdict = all.verdict();
        Map<String, Double> places = new LinkedHashMap<>();
        for (Cause cause : all.knowledge().causes()) {
            if (!all.verdictWords().risen(cause.goal())) {
                continue;
            }
            boolean together = all.knowledge().causes().stream()
                    .filter(c -> c.goal().equals(cause.goal()))
                    .allMatch(c -> c.place().equals(cause.place()));
            double p = together
                    ? verdict.decision(cause.goal()).orElseThrow().probability()
                    : verdict.cause(cause.id()).orElseThrow().probability();
            places.merge(cause.place(), p, Math::max);
        }
        return places;
    }
}
