package mussel.core.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import mussel.core.sheet.FamilySheet;

/** Plans with their times, the last few kept: the same work is asked for at every keystroke. Not for several threads. */
public final class Planning {
    private static final int KEPT = 12;

    private final Map<Asked, PlanResult> kept = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, PlanResult> eldest) {
            return size() > KEPT;
        }
    };

    private record Asked(PlanInput in, FamilySheet sheet) {
        /** A sheet is the same only if it is the same object: to compare two would take longer than to plan. */
        @Override
        public boolean equals(Object other) {
            return other instanceof Asked asked && sheet == asked.sheet && in.equals(asked.in);
        }

        @Override
        public int hashCode() {
            return in.hashCode();
        }
    }

    /** The plan of checked input over its sheet. */
    public synchronized PlanResult of(PlanInput in, FamilySheet sheet) {
        return kept.computeIfAbsent(new Asked(in, sheet), a -> PlanEngine.run(in, sheet));
    }
}
