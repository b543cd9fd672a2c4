package mussel.core.practice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Tables;
import org.hipparchus.random.MersenneTwister;

/**
 * A leg that is not there: its true causes drawn from the tables' priors in its context, each finding drawn from them by noisy-MAX when it is first asked for,
 * and kept. The random source is the Mersenne Twister MT19937 (Matsumoto and Nishimura 1998), seeded by an array of the seed's two halves and the leg's number,
 * its doubles taken in the tables' order: first one for each cause, then one for each finding. So the same seed, number and tables give the same leg on every
 * machine, in whatever order it is looked at.
 */
public final class PracticeLeg {
    private static final int HALF = 32;

    private final long seed;
    private final int number;
    private final Tables tables;
    private final Set<String> causes = new HashSet<>();
    private final Map<String, Double> drawn = new HashMap<>();
    private final Map<String, String> seen = new HashMap<>();

    private PracticeLeg(long seed, int number, Tables tables) {
        MersenneTwister random = source(seed, number);
        this.seed = seed;
        this.number = number;
        this.tables = tables;
        for (Cause cause : tables.knowledge().causes()) {
            if (random.nextDouble() < cause.prior(tables.context())) {
                causes.add(cause.id());
            }
        }
        tables.knowledge().findings().forEach(f -> drawn.put(f.id(), random.nextDouble()));
    }

    /**
     * Draws a leg.
     *
     * @param seed of the whole draw
     * @param number which leg of it
     * @param tables what is true of legs, ready for its context
     */
    public static PracticeLeg of(long seed, int number, Tables tables) {
        return new PracticeLeg(seed, number, tables);
    }

    static MersenneTwister source(long seed, int number) {
        return new MersenneTwister(new int[] {(int) (seed >>> HALF), (int) seed, number});
    }

    /** A source of its own for what is read of this leg: what else was read before does not change it. */
    MersenneTwister source(String what) {
        int[] key = new int[3 + what.length()];
        key[0] = (int) (seed >>> HALF);
        key[1] = (int) seed;
        key[2] = number;
        for (int i = 0; i < what.length(); i++) {
            key[i + 3] = what.charAt(i);
        }
        return new MersenneTwister(key);
    }

    /** Which leg of the draw. */
    public int number() {
        return number;
    }

    /** What is known of it before anyone looks. */
    public Context context() {
        return tables.context();
    }

    /** What is wrong with it. */
    public Set<String> causes() {
        return Set.copyOf(causes);
    }

    /** What a look shows; the same however often it is made. */
    public String look(String finding) {
        return seen.computeIfAbsent(finding, id -> {
            Finding of = tables.knowledge().finding(id).orElseThrow();
            double[] shares = tables.shares(id, causes);
            double upTo = 0;
            for (int x = 0; x < shares.length - 1; x++) {
                upTo += shares[x];
                if (drawn.get(id) < upTo) {
                    return of.outcomes().get(x);
                }
            }
            return of.outcomes().get(shares.length - 1);
        });
    }

    /** The goals that what is wrong with it calls for, in the tables' order. */
    public List<String> called() {
        Knowledge knowledge = tables.knowledge();
        List<String> called = new ArrayList<>();
        knowledge.goals().stream()
                .map(g -> g.id())
                .filter(g -> knowledge.causes().stream().anyMatch(c -> c.goal().equals(g) && causes.contains(c.id())))
                .forEach(called::add);
        return called;
    }
}
