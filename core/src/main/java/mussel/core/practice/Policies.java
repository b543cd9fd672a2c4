package mussel.core.practice;

import java.util.Optional;
import java.util.Set;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictResult.Together;

/** Goes about legs in the ways there are. */
final class Policies {
    private static final Set<String> CAREFUL = Set.of("seen", "drain", "prop_off", "hold");
    private static final Set<String> EVERYTHING = Set.of("seen", "drain", "prop_off", "pump_off", "leg_open");

    private Policies() {}

    /** Goes about a leg and hands it back. */
    static Reckoning play(Bench bench, Policy policy) {
        switch (policy) {
            case ADVICE -> bench.followAdvice();
            case SINGLE -> singly(bench);
            case CHECKLIST -> bench.lookAtAll(CAREFUL);
            case STRIP -> {
                bench.openEverything();
                bench.lookAtAll(EVERYTHING);
            }
            case BLIND -> {
                // Nothing is looked at.
            }
        }
        return policy == Policy.SINGLE ? bench.handBackSingly() : bench.handBack();
    }

    private static void singly(Bench bench) {
        boolean more = true;
        while (more) {
            Optional<Together> next = VerdictEngine.advice(bench.tables(), bench.stateless())
                    .advised(bench.tables().knowledge());
            int before = bench.looks();
            next.ifPresent(t -> t.findings().forEach(bench::look));
            more = bench.looks() > before;
        }
    }

    /** What a technician who knew what is wrong would do. */
    static Reckoning known(Bench bench) {
        return bench.handBack(bench.leg().called());
    }
}
