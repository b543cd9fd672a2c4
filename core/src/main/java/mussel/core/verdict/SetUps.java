package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.verdict.VerdictResult.Bearing;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Together;

/**
 * What a set-up is worth that opens several looks. One by one each look would have to pay the whole set-up by itself, and one that only says
 * something beside another is worth nothing: so the best few of each set-up are valued as one, exactly, over all that they can show together. The
 * rest of the looks are left out, so the value is rather too low than too high.
 */
final class SetUps {
    /** Looks valued together: each more multiplies the work by its outcomes. */
    private static final int MOST_TOGETHER = 3;
    /** With more to sum over only two are valued together, */
    private static final int MUCH_WORK = 1_200;
    /** and with still more, when nearly all has been looked at, each by itself. */
    private static final int MOST_WORK = 2_400;

    private final VerdictEngine engine;
    private final Tables tables;
    private final VerdictInput in;
    private final List<Evidence> evidence;
    private final List<Belief> now;
    private final double costNow;
    private final Map<String, Check> singly = new HashMap<>();
    private final int together;

    SetUps(VerdictEngine engine, Tables tables, VerdictInput in, List<Evidence> evidence, List<Check> checks) {
        this.engine = engine;
        this.tables = tables;
        this.in = in;
        this.evidence = evidence;
        this.now = evidence.stream().map(Evidence::belief).toList();
        this.costNow = engine.cost(now);
        checks.forEach(c -> singly.put(c.finding(), c));
        int work = evidence.stream().mapToInt(Evidence::work).max().orElse(0);
        together = work <= MUCH_WORK ? MOST_TOGETHER : work <= MOST_WORK ? 2 : 1;
    }

    /** Every set-up still to be made that opens two looks or more and may pay, the most valuable first. */
    List<Together> valued() {
        return valued(Optional.empty());
    }

    /**
     * The same of those alone that may be advised before another.
     *
     * @param floor what would be advised without any of them
     */
    List<Together> valued(Optional<Together> floor) {
        // What is open already is looked at one by one, as long as any look pays by itself.
        boolean nothingPays = singly.values().stream().noneMatch(c -> c.value() > 0);
        List<Together> valued = new ArrayList<>();
        double most = costNow - engine.costKnowing(now);
        for (Access access : tables.knowledge().access()) {
            if (together < 2
                    || !nothingPays && (access.minutes() == 0 || in.open().contains(access.id()))) {
                continue;
            }
            if (most - tables.setUp(access.id(), in) * in.labourPerH() / 60 <= 0) {
                // Not even knowing everything would pay this set-up.
                continue;
            }
            List<Look> best = best(access);
            double least = most - tables.setUp(access.id(), in) * in.labourPerH() / 60;
            if (best.size() > 1
                    && floor.map(f -> mayLead(access, best, least, f)).orElse(true)) {
                valued.add(value(access, best));
            }
        }
        valued.sort(Comparator.comparingDouble(Together::value).reversed().thenComparing(Together::access));
        return valued;
    }

    private record Look(int group, int at, Finding finding, Check check) {
        /** What it saves less its own time, once the set-up is there. */
        double worth(double labourPerH) {
            return check.saves() - finding.minutes() * labourPerH / 60;
        }
    }

    /** The looks worth most, those for the complaint alone where there are any; a look behind a closed gate only beside one that may open it. */
    private List<Look> best(Access access) {
        List<Look> looks = new ArrayList<>();
        for (int g = 0; g < evidence.size(); g++) {
            Group group = tables.groups().get(g);
            for (int f = 0; f < group.findings.size(); f++) {
                Finding finding = group.findings.get(f);
                if (finding.access().equals(access.id()) && engine.offered(finding)) {
                    Check check = singly.get(finding.id());
                    looks.add(new Look(g, f, finding, check == null ? engine.check(g, f, finding, costNow) : check));
                }
            }
        }
        looks.sort(Comparator.comparing((Look l) -> l.check().bearing())
                .thenComparing(Comparator.comparingDouble((Look l) -> l.worth(in.labourPerH()))
                        .reversed())
                .thenComparing(l -> l.finding().id()));
        if (looks.stream().anyMatch(l -> l.check().bearing() == Bearing.COMPLAINT)) {
            looks.removeIf(l -> l.check().bearing() == Bearing.BESIDE);
        }
        List<Look> open =
                looks.stream().filter(l -> l.finding().open(in.findings())).toList();
        List<Look> best = new ArrayList<>(open.stream().limit(together).toList());
        if (best.size() < together) {
            looks.stream()
                    .filter(l -> !open.contains(l))
                    .filter(l -> l.finding().gate().stream().anyMatch(g -> best.stream()
                            .anyMatch(b -> b.finding().id().equals(g.finding()))))
                    .limit(together - best.size())
                    .toList()
                    .forEach(best::add);
        }
        return best;
    }

    /** Whether looks worth at most so much may be advised before another, by the order of what is advised. */
    private boolean mayLead(Access access, List<Look> best, double atMost, Together floor) {
        int bearing = bearing(best).compareTo(floor.bearing());
        if (bearing != 0) {
            return bearing < 0;
        }
        boolean strip = tables.knowledge().access(floor.access()).orElseThrow().stripDown();
        return strip == access.stripDown() ? atMost > floor.value() : strip;
    }

    private static Bearing bearing(List<Look> looks) {
        return looks.stream().anyMatch(l -> l.check().bearing() == Bearing.COMPLAINT)
                ? Bearing.COMPLAINT
                : Bearing.BESIDE;
    }

    private Together value(Access access, List<Look> best) {
        Sum sum = new Sum();
        Map<String, String> found = new HashMap<>(in.findings());
        walk(best, 0, 1, new ArrayList<>(evidence), found, sum);
        double minutes = sum.minutes + tables.setUp(access.id(), in);
        double saves = costNow - sum.cost;
        return new Together(
                access.id(),
                best.stream().map(l -> l.finding().id()).toList(),
                saves,
                minutes,
                saves - minutes * in.labourPerH() / 60,
                bearing(best));
    }

    private static final class Sum {
        private double cost;
        private double minutes;
    }

    /** Every outcome of the looks from one on, each with its weight. */
    private void walk(
            List<Look> looks, int from, double weight, List<Evidence> so, Map<String, String> found, Sum sum) {
        if (from == looks.size()) {
            sum.cost += weight * engine.cost(so.stream().map(Evidence::belief).toList());
            return;
        }
        Look look = looks.get(from);
        if (!look.finding().open(found)) {
            walk(looks, from + 1, weight, so, found, sum);
            return;
        }
        sum.minutes += weight * look.finding().minutes();
        Evidence before = so.get(look.group());
        int outcomes = look.finding().outcomes().size();
        if (from == looks.size() - 1) {
            List<Belief> beliefs =
                    new ArrayList<>(so.stream().map(Evidence::belief).toList());
            for (Belief after : before.each(look.at(), outcomes)) {
                beliefs.set(look.group(), after);
                sum.cost += weight * after.total() / before.belief().total() * engine.cost(beliefs);
            }
            return;
        }
        for (int x = 0; x < outcomes; x++) {
            Evidence after = before.and(look.at(), x);
            so.set(look.group(), after);
            found.put(look.finding().id(), look.finding().outcomes().get(x));
            walk(
                    looks,
                    from + 1,
                    weight * after.belief().total() / before.belief().total(),
                    so,
                    found,
                    sum);
        }
        so.set(look.group(), before);
        found.remove(look.finding().id());
    }
}
