package mussel.core.verdict;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mussel.core.measure.StopToken;

/** The tables in use, ready for the contexts lately asked for: preparing them takes longer than judging. For one thread at a time. */
public final class Judge {
    private static final int CONTEXTS_KEPT = 32;

    private final Knowledge knowledge;
    private final Overrides own;
    private final SharedTables prepared = new SharedTables();
    private final Map<Context, Tables> ready = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Context, Tables> eldest) {
            return size() > CONTEXTS_KEPT;
        }
    };

    /** A judge with these tables. */
    public Judge(Knowledge knowledge) {
        this(knowledge, Overrides.none());
    }

    /** A judge with these tables, the yard's own numbers in place. */
    public Judge(Knowledge tables, Overrides own) {
        this.knowledge = own.over(tables);
        this.own = own;
    }

    /** What the yard itself says goals cost, at a labour rate (money per hour). */
    public Map<String, VerdictInput.Costs> ownCosts(double labourPerH) {
        return own.costs(labourPerH);
    }

    /** The tables. */
    public Knowledge knowledge() {
        return knowledge;
    }

    /** The tables ready for a context. */
    public synchronized Tables tables(Context context) {
        return ready.computeIfAbsent(context, c -> Tables.of(knowledge, c, prepared));
    }

    /** Rounds of checks and sets of repairs; takes longer than a verdict and may run beside others. */
    public Repairs repairs(VerdictInput in, Set<String> chosen, StopToken stop) {
        return VerdictEngine.repairs(tables(in.context().orElseGet(Context::empty)), in, chosen, stop);
    }

    /** Where to stop and look while repairs are made, and what that may add. */
    public List<Repairs.Stop> stops(VerdictInput in, Set<String> chosen) {
        return VerdictEngine.stops(tables(in.context().orElseGet(Context::empty)), in, chosen);
    }

    /** Judges findings that fit the tables. */
    public VerdictResult judge(VerdictInput in) {
        return VerdictEngine.run(tables(in.context().orElseGet(Context::empty)), in);
    }
}
