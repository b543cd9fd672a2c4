package mussel.core.verdict;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The tables in use, ready for the contexts lately asked for: preparing them takes longer than judging. For one thread at a time. */
public final class Judge {
    private static final int CONTEXTS_KEPT = 32;

    private final Knowledge knowledge;
    private final Map<List<Integer>, Arrangement> arranged = new HashMap<>();
    private final Map<Context, Tables> ready = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Context, Tables> eldest) {
            return size() > CONTEXTS_KEPT;
        }
    };

    /** A judge with these tables. */
    public Judge(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    /** The tables. */
    public Knowledge knowledge() {
        return knowledge;
    }

    /** The tables ready for a context. */
    public synchronized Tables tables(Context context) {
        return ready.computeIfAbsent(context, c -> Tables.of(knowledge, c, arranged));
    }

    /** Judges findings that fit the tables. */
    public VerdictResult judge(VerdictInput in) {
        return VerdictEngine.run(tables(in.context().orElseGet(Context::empty)), in);
    }
}
