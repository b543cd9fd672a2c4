package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * Which repairs are best done together. A repair shares its way in with others, and what is left brings the boat back once, not once for each
 * repair; so whole sets are compared by what they cost now and what is to be expected later. All means are exact under the tables.
 *
 * <p>For fixed stages the cost is a submodular function of the set: what a repair adds is the less the more others are in. A repair that does not pay
 * with all others out never pays, and one that pays with all others in always does (Goldengorin 1995); what stays undecided is tried one by one.
 */
final class RepairSets {
    /** From here on a fault counts as seen. */
    static final double SEEN = 0.85;
    /** Repairs less likely than this are no member of a set. */
    static final double LEAST_LIKELY = 0.01;

    private final int stages;
    private final double[] stageCost;
    private final long[] renews;
    private final int goals;
    private final int[] opens;
    /** By stage, the repairs that open it. */
    private final long[] openers;

    /** The repairs that a repair does along with itself. */
    private final long[] covers;

    private final double[] ownCost;
    private final int[] goalOf;
    /** The one fault a repair is for; below zero where there are several or none. */
    private final int[] onlyFault;

    private final double[] bringsBack;
    private final double[] spoils;
    private final double[][] shown;
    private final double[] proofCost;
    private final int[] seenAt;
    /** The stages at which any fault is seen. */
    private final int seeing;

    private final double visit;
    private final int open;
    private final long always;
    private final Expectation believed;
    private final double[] probability;
    private final double[] present;
    private final long members;
    private final Map<Key, Double> means = new HashMap<>();

    private static final int BACK = 0;
    private static final int AGAIN = 1;
    private static final int CALLED = 2;

    /** Which product is meant: the repairs left that count in it, the stages at which faults were seen, the final check, and what it is for. */
    private record Key(long left, int seen, int proof, int of) {}

    /**
     * Prepares the comparison.
     *
     * @param tables the stages and what leaving a fault does
     * @param knowledge the goals and causes in their order
     * @param prices what an hour costs, and what repairs cost by themselves where that is known better than from the tables
     * @param state what is open already and what must be done whatever the odds
     * @param believed the faults, given what was found
     */
    RepairSets(RepairTables tables, Knowledge knowledge, Prices prices, Open state, Expectation believed) {
        this.believed = believed;
        stages = tables.stages().size();
        List<String> stageIds =
                tables.stages().stream().map(RepairTables.Stage::id).toList();
        List<String> goalIds = knowledge.goals().stream().map(RepairGoal::id).toList();
        List<String> causeIds = knowledge.causes().stream().map(Cause::id).toList();
        goals = goalIds.size();
        double rate = prices.perHour();
        stageCost = tables.stages().stream()
                .mapToDouble(s -> prices.stageHours().getOrDefault(s.id(), s.hours()) * rate)
                .toArray();
        int[] with = new int[stages];
        renews = new long[stages];
        for (int k = 0; k < stages; k++) {
            RepairTables.Stage stage = tables.stages().get(k);
            with[k] = 1 << k;
            for (String before : stage.after()) {
                with[k] |= with[stageIds.indexOf(before)];
            }
            for (String goal : stage.renews()) {
                renews[k] |= 1L << goalIds.indexOf(goal);
            }
        }
        opens = new int[goals];
        covers = new long[goals];
        ownCost = new double[goals];
        for (RepairTables.Repair repair : tables.goals()) {
            int g = goalIds.indexOf(repair.id());
            for (String stage : repair.opens()) {
                opens[g] |= with[stageIds.indexOf(stage)];
            }
            for (String goal : repair.covers()) {
                covers[g] |= 1L << goalIds.indexOf(goal);
            }
            ownCost[g] = prices.own().getOrDefault(repair.id(), rate * (repair.ownHours() + repair.partsHours()));
        }
        openers = new long[stages];
        for (int g = 0; g < goals; g++) {
            for (int k = 0; k < stages; k++) {
                openers[k] |= (opens[g] >> k & 1) != 0 ? 1L << g : 0;
            }
        }
        int n = causeIds.size();
        goalOf = knowledge.causes().stream()
                .mapToInt(c -> goalIds.indexOf(c.goal()))
                .toArray();
        onlyFault = new int[goals];
        for (int g = 0; g < goals; g++) {
            int at = g;
            int[] faults = IntStream.range(0, n).filter(c -> goalOf[c] == at).toArray();
            onlyFault[g] = faults.length == 1 ? faults[0] : -1;
        }
        bringsBack = new double[n];
        spoils = new double[n];
        seenAt = new int[n];
        shown = new double[tables.proofs().size()][n];
        proofCost = tables.proofs().stream().mapToDouble(p -> p.hours() * rate).toArray();
        for (RepairTables.Left left : tables.causes()) {
            int c = causeIds.indexOf(left.id());
            bringsBack[c] = left.bringsBack();
            spoils[c] = left.spoilsHours() * rate;
            seenAt[c] = left.seenAt().map(s -> 1 << stageIds.indexOf(s)).orElse(0);
            for (int p = 0; p < shown.length; p++) {
                shown[p][c] =
                        left.shownAtProof().getOrDefault(tables.proofs().get(p).id(), 0.0);
            }
        }
        visit = tables.visitHours() * rate;
        int opened = 0;
        for (String stage : state.stages()) {
            opened |= with[stageIds.indexOf(stage)];
        }
        open = opened;
        present = believed.present(n);
        probability = new double[goals];
        long likely = 0;
        long must = 0;
        for (int g = 0; g < goals; g++) {
            int at = g;
            probability[g] = 1 - mean(i -> goalOf[i] == at ? 0 : 1);
            boolean unseen = true;
            for (int c = 0; c < n; c++) {
                unseen &= goalOf[c] != g || (seenAt[c] != 0);
            }
            boolean ready = unseen && probability[g] < SEEN;
            if (unseen && !ready) {
                // It was seen: nothing is left to be found on the way.
                for (int c = 0; c < n; c++) {
                    seenAt[c] = goalOf[c] == g ? 0 : seenAt[c];
                }
            }
            likely |= probability[g] >= LEAST_LIKELY && !ready ? 1L << g : 0;
            must |= state.goals().contains(goalIds.get(g)) ? 1L << g : 0;
        }
        seeing = Arrays.stream(seenAt).reduce(0, (a, b) -> a | b);
        members = likely;
        always = must;
    }

    private RepairSets(RepairSets before, Expectation believed) {
        this.believed = believed;
        stages = before.stages;
        stageCost = before.stageCost;
        renews = before.renews;
        goals = before.goals;
        opens = before.opens;
        openers = before.openers;
        covers = before.covers;
        ownCost = before.ownCost;
        goalOf = before.goalOf;
        onlyFault = before.onlyFault;
        bringsBack = before.bringsBack;
        spoils = before.spoils;
        shown = before.shown;
        proofCost = before.proofCost;
        seenAt = before.seenAt;
        seeing = before.seeing;
        visit = before.visit;
        open = before.open;
        always = before.always;
        members = before.members;
        probability = before.probability;
        present = believed.present(before.present.length);
    }

    /** The same costs with other beliefs: what may be chosen stays as it was. */
    RepairSets believing(Expectation other) {
        return new RepairSets(this, other);
    }

    /** What the cheapest of some sets would cost if something else were believed (money). */
    double least(List<Long> of, int proof, Expectation believed) {
        RepairSets then = believing(believed);
        double least = Double.POSITIVE_INFINITY;
        for (long set : of) {
            int closure = closure(set);
            double now = now(set, closure, proof);
            if (now < least) {
                least = Math.min(least, now + then.later(set, closure, proof, least - now));
            }
        }
        return least;
    }

    /**
     * What things cost.
     *
     * @param perHour the labour rate (money per hour)
     * @param own what repairs cost by themselves, their way in open (money), where it is not as the tables say
     * @param stageHours what stages take (h), where it is not as the tables say
     */
    record Prices(double perHour, Map<String, Double> own, Map<String, Double> stageHours) {
        Prices(double perHour, Map<String, Double> own) {
            this(perHour, own, Map.of());
        }
    }

    /**
     * Where the lower unit stands.
     *
     * @param stages those that are open already
     * @param goals the repairs that are done whatever the odds: due by their clock, or what lies open anyway
     */
    record Open(List<String> stages, Set<String> goals) {
        static final Open NOTHING = new Open(List.of(), Set.of());
    }

    private double mean(IntToDoubleFunction factor) {
        double[] factors = new double[present.length];
        for (int c = 0; c < factors.length; c++) {
            factors[c] = factor.applyAsDouble(c);
        }
        return believed.of(factors);
    }

    /** How likely each repair is called for. */
    double[] probabilities() {
        return probability.clone();
    }

    /** Whether a set is what somebody may choose: likely repairs, what is done whatever the odds, and what their stages renew. */
    boolean eligible(long set) {
        return closed(set & members) == set;
    }

    /** The stages a set opens, with all they come after; those that are open already among them. */
    int closure(long set) {
        int closure = open;
        for (long left = set; left != 0; left &= left - 1) {
            closure |= opens[Long.numberOfTrailingZeros(left)];
        }
        return closure;
    }

    /** The set with all that is done whatever the odds and all that its stages renew by rule. */
    long closed(long set) {
        long closed = set | always;
        while (true) {
            long more = closed | renewed(closure(closed));
            if (more == closed) {
                return closed;
            }
            closed = more;
        }
    }

    private long renewed(int closure) {
        long renewed = 0;
        for (int left = closure; left != 0; left &= left - 1) {
            renewed |= renews[Integer.numberOfTrailingZeros(left)];
        }
        return renewed;
    }

    /** What a set costs now (money). */
    double now(long set, int proof) {
        return now(set, closure(set), proof);
    }

    private double now(long set, int closure, int proof) {
        double now = proofCost[proof];
        for (int left = closure & ~open; left != 0; left &= left - 1) {
            now += stageCost[Integer.numberOfTrailingZeros(left)];
        }
        for (long left = set; left != 0; left &= left - 1) {
            now += ownCost[Long.numberOfTrailingZeros(left)];
        }
        return now;
    }

    /** The chance that the boat comes back (0 to 1). */
    double back(long set, int proof) {
        return back(set, closure(set), proof);
    }

    private double back(long set, int closure, int proof) {
        long left = all() & ~done(set);
        return 1
                - means.computeIfAbsent(
                        new Key(left, closure & seeing, proof, BACK),
                        k -> mean(c -> in(left, c) ? 1 - (1 - shown(c, closure, proof)) * bringsBack[c] : 1));
    }

    /** A set with what its repairs do along with themselves. */
    long done(long set) {
        long done = set;
        for (long rest = set; rest != 0; rest &= rest - 1) {
            done |= covers[Long.numberOfTrailingZeros(rest)];
        }
        return done;
    }

    private long all() {
        return goals == Long.SIZE ? -1 : (1L << goals) - 1;
    }

    private boolean in(long set, int cause) {
        return (set >> goalOf[cause] & 1) != 0;
    }

    private boolean seen(int cause, int closure) {
        return (seenAt[cause] & closure) != 0;
    }

    private double shown(int cause, int closure, int proof) {
        return seen(cause, closure) ? 1 : shown[proof][cause];
    }

    /** The chance that a fault that is left is dealt with after all: shown at the final check, or back later. */
    private double acted(int cause, int closure, int proof) {
        double shows = shown(cause, closure, proof);
        return shows + (1 - shows) * bringsBack[cause];
    }

    /** What is to be expected later (money). */
    double later(long set, int proof) {
        return later(set, closure(set), proof);
    }

    private double later(long set, int closure, int proof) {
        return later(set, closure, proof, Double.POSITIVE_INFINITY);
    }

    /** The same as far as it matters: once it is known to be more than a limit, it may be too little. */
    private double later(long set, int closure, int proof, double limit) {
        long left = all() & ~done(set);
        double later = 0;
        for (int c = 0; c < present.length; c++) {
            if (in(left, c)) {
                later += present[c] * (1 - shown(c, closure, proof)) * spoils[c];
            }
        }
        if (later < limit) {
            later += visit * back(set, closure, proof);
        }
        for (long rest = left; rest != 0 && later < limit; rest &= rest - 1) {
            int g = Long.numberOfTrailingZeros(rest);
            later += ownCost[g] * calledLater(g, closure, proof);
        }
        for (int k = 0; k < stages && later < limit; k++) {
            later += stageCost[k] * again(k, left, closure, proof);
        }
        return later;
    }

    /** The chance that a repair that was left is done after all. */
    private double calledLater(int goal, int closure, int proof) {
        if (onlyFault[goal] >= 0) {
            return present[onlyFault[goal]] * acted(onlyFault[goal], closure, proof);
        }
        return 1
                - means.computeIfAbsent(
                        new Key(1L << goal, closure & seeing, proof, CALLED),
                        key -> mean(c -> goalOf[c] == goal ? 1 - acted(c, closure, proof) : 1));
    }

    /** The chance that a stage is opened for what was left. */
    private double again(int stage, long left, int closure, int proof) {
        long those = left & openers[stage];
        if (those == 0) {
            return 0;
        }
        boolean openNow = (closure >> stage & 1) != 0;
        return 1
                - means.computeIfAbsent(
                        new Key(those, closure & seeing | (openNow ? 1 << RepairTables.MOST_STAGES : 0), proof, AGAIN),
                        k -> mean(c ->
                                in(those, c) && !(seen(c, closure) && openNow) ? 1 - acted(c, closure, proof) : 1));
    }

    /** What a set costs now and later (money). */
    double total(long set, int proof) {
        return total(set, closure(set), proof);
    }

    private double total(long set, int closure, int proof) {
        return now(set, closure, proof) + later(set, closure, proof);
    }

    /** The best set of all, and the best of those that open the same. */
    List<Long> best(int proof) {
        List<Long> best = new ArrayList<>();
        for (int closure : closures()) {
            spanning(closure, closed(0) & fitting(closure) | renewed(closure), proof, best);
        }
        best.sort(Comparator.comparingDouble((Long s) -> total(s, proof)).thenComparing(Comparator.naturalOrder()));
        return best;
    }

    /** The closures that some set has. */
    private Set<Integer> closures() {
        Set<Integer> closures = new LinkedHashSet<>();
        List<Long> found = new ArrayList<>(List.of(closed(0)));
        closures.add(closure(found.get(0)));
        for (int i = 0; i < found.size(); i++) {
            for (long rest = members & ~found.get(i); rest != 0; rest &= rest - 1) {
                long more = closed(found.get(i) | Long.lowestOneBit(rest));
                if (closures.add(closure(more))) {
                    found.add(more);
                }
            }
        }
        return closures;
    }

    private long fitting(int closure) {
        long fitting = 0;
        for (int g = 0; g < goals; g++) {
            fitting |= (opens[g] & ~closure) == 0 ? 1L << g : 0;
        }
        return fitting;
    }

    /** Adds the cheapest set that opens just these stages; a stage that nothing in it opens is given each repair that does, in turn. */
    private void spanning(int closure, long in, int proof, List<Long> to) {
        covering(closure, in, members & fitting(closure), proof, to);
    }

    /** With each repair that does others along with it in and out in turn: what it does for them is no matter of degree. */
    private void covering(int closure, long in, long may, int proof, List<Long> to) {
        for (long rest = may & ~in; rest != 0; rest &= rest - 1) {
            int g = Long.numberOfTrailingZeros(rest);
            if (covers[g] != 0) {
                covering(closure, in | 1L << g, may, proof, to);
                covering(closure, in, may & ~(1L << g), proof, to);
                return;
            }
        }
        within(closure, in, may, proof, to);
    }

    private void within(int closure, long in, long may, int proof, List<Long> to) {
        long set = cheapest(closure, in, may & ~in, proof);
        // What a stage renews by rule opens no stage by itself.
        int missing = closure & ~closure(set & (members | always));
        if (missing == 0) {
            long closed = closed(set);
            if (closure(closed) == closure && !to.contains(closed)) {
                to.add(closed);
            }
            return;
        }
        int stage = Integer.highestOneBit(missing);
        for (long rest = may & ~in; rest != 0; rest &= rest - 1) {
            long goal = Long.lowestOneBit(rest);
            if ((opens[Long.numberOfTrailingZeros(goal)] & stage) != 0) {
                within(closure, in | goal, may, proof, to);
            }
        }
    }

    /** The cheapest set for given stages that holds some repairs and may hold others. */
    private long cheapest(int closure, long in, long may, int proof) {
        long set = in;
        long open = may;
        boolean again = true;
        while (again) {
            again = false;
            for (long rest = open; rest != 0; rest &= rest - 1) {
                long goal = Long.lowestOneBit(rest);
                if (adds(set, goal, closure, proof) <= 0) {
                    set |= goal;
                    open &= ~goal;
                    again = true;
                } else if (adds(set | open & ~goal, goal, closure, proof) >= 0) {
                    open &= ~goal;
                    again = true;
                }
            }
        }
        return tried(set, open, closure, proof);
    }

    private double adds(long set, long goal, int closure, int proof) {
        return total(set | goal, closure, proof) - total(set, closure, proof);
    }

    private long tried(long set, long open, int closure, int proof) {
        long best = set;
        double least = Double.POSITIVE_INFINITY;
        long part = open;
        while (true) {
            double total = total(set | part, closure, proof);
            if (total < least) {
                least = total;
                best = set | part;
            }
            if (part == 0) {
                return best;
            }
            part = part - 1 & open;
        }
    }
}
