package mussel.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Together;

/** Goes about legs in the ways there are. */
final class Policies {
    private static final Set<String> CAREFUL = Set.of("seen", "drain", "prop_off", "hold");
    private static final Set<String> EVERYTHING = Set.of("seen", "drain", "prop_off", "pump_off", "leg_open");
    /** Looks that are thought two steps ahead; those worth less by themselves hardly lead anywhere. */
    private static final int BREADTH = 6;

    private final Tables tables;
    private final double labourPerH;
    private final Costing costing;

    Policies(Tables tables, double labourPerH) {
        this(tables, labourPerH, Costing.tables(tables.knowledge(), labourPerH));
    }

    Policies(Tables tables, double labourPerH, Costing costing) {
        this.tables = tables;
        this.labourPerH = labourPerH;
        this.costing = costing;
    }

    /** Goes about a leg and leaves it on the bench, looked at. */
    Bench look(PracticeLeg leg, Policy policy) {
        Bench bench = new Bench(leg, tables, labourPerH, costing);
        switch (policy) {
            case ADVICE -> advised(bench);
            case CHECKLIST -> bench.lookAtAll(CAREFUL);
            case STRIP -> {
                EVERYTHING.stream().sorted().forEach(bench::open);
                bench.lookAtAll(EVERYTHING);
            }
            case BLIND -> {
                // Nothing is looked at.
            }
            case LOOKAHEAD -> ahead(bench);
        }
        return bench;
    }

    private static void advised(Bench bench) {
        boolean more = true;
        while (more) {
            Optional<Together> next = bench.advice().advised(bench.tables().knowledge());
            more = next.isPresent();
            next.ifPresent(t -> t.findings().forEach(bench::look));
        }
    }

    /** The look whose own worth, with the best that may follow each of its outcomes, is greatest; while that is more than nothing. */
    private void ahead(Bench bench) {
        boolean more = true;
        while (more) {
            VerdictResult now = bench.ranked();
            double best = 0;
            List<String> chosen = List.of();
            for (Together each : candidates(now)) {
                double worth = two(bench, each);
                if (worth > best) {
                    best = worth;
                    chosen = each.findings();
                }
            }
            more = !chosen.isEmpty();
            chosen.forEach(bench::look);
        }
    }

    private static List<Together> candidates(VerdictResult now) {
        List<Together> all = new ArrayList<>(now.together());
        now.checks().stream().map(Check::alone).forEach(all::add);
        return all.stream()
                .sorted((a, b) -> Double.compare(b.value(), a.value()))
                .limit(BREADTH)
                .toList();
    }

    /** The worth of a set of looks with the best one after them. */
    private double two(Bench bench, Together first) {
        double[] after = {0};
        bench.expect(first.findings(), (so, weight) -> {
            VerdictResult then = so.advice();
            double next = Math.max(
                    then.together().stream().mapToDouble(Together::value).max().orElse(0),
                    then.checks().stream().mapToDouble(Check::value).max().orElse(0));
            after[0] += weight * Math.max(0, next);
        });
        return first.value() + after[0];
    }

    /** What a technician who knew what is wrong would do. */
    static Reckoning known(Bench bench) {
        return bench.handBack(bench.leg().called());
    }
}
