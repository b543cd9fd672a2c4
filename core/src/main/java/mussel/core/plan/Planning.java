package mussel.core.plan;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mussel.core.sheet.SpecSheet;

/** Plans with their times and what further goals would add, the last few kept: the same is asked for at every keystroke. */
public final class Planning {
    private static final int PLANS = 12;
    private static final int ADDITIONS = 64;

    private final Map<Asked<PlanInput>, PlanResult> plans = new Recent<>(PLANS);
    private final Map<Asked<Chosen>, List<PlanResult.Marginal>> additions = new Recent<>(ADDITIONS);

    private record Chosen(List<String> goals, double saltYears) {}

    private record Asked<T>(T what, SpecSheet sheet) {
        /** A sheet is the same only if it is the same object: to compare two would take longer than to plan. */
        @Override
        public boolean equals(Object other) {
            return other instanceof Asked<?> asked && sheet == asked.sheet && what.equals(asked.what);
        }

        @Override
        public int hashCode() {
            return what.hashCode();
        }
    }

    private static final class Recent<K, V> extends LinkedHashMap<K, V> {
        private static final long serialVersionUID = 1L;

        private final int most;

        Recent(int most) {
            super(16, 0.75f, true);
            this.most = most;
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
        }
    }

    /** The plan of checked input over its sheet. */
    public synchronized PlanResult of(PlanInput in, SpecSheet sheet) {
        return plans.computeIfAbsent(new Asked<>(in, sheet), a -> PlanEngine.run(in, sheet));
    }

    /** What each goal not chosen would add, as {@link PlanEngine#marginal} has it. */
    public synchronized List<PlanResult.Marginal> marginal(
            SpecSheet sheet, Collection<String> goals, double saltYears) {
        return additions.computeIfAbsent(
                new Asked<>(new Chosen(List.copyOf(goals), saltYears), sheet),
                a -> List.copyOf(PlanEngine.marginal(sheet, goals, saltYears)));
    }
}
