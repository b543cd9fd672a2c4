package mussel.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * A group of causes that share findings, made ready for one context. Beliefs given any findings follow by exact enumeration; what does not
 * depend on the findings is computed once and kept.
 */
final class Group {
    /** A finding that bears on this many causes or more is taken apart. */
    private static final int WIDE = 7;

    /** The causes, each at its bit. */
    final List<Cause> causes;
    /** The findings that bear on them. */
    final List<Finding> findings;

    private final double[] priors;
    private final boolean[] wide;
    private final Shape light;
    /** The shape without anything taken apart is large and seldom wanted. */
    private final Supplier<Shape> makeDense;

    private final long denseWork;
    private Optional<Shape> dense = Optional.empty();
    private final Evidence nothingMade;
    private final double[][] predictive;

    Group(
            List<Cause> causes,
            List<Finding> findings,
            Map<String, Map<String, Finding.Share>> given,
            List<String> goals,
            Context context,
            SharedTables prepared) {
        this.causes = List.copyOf(causes);
        this.findings = List.copyOf(findings);
        priors = causes.stream().mapToDouble(c -> c.prior(context)).toArray();
        List<int[]> scopes = new ArrayList<>();
        List<List<List<Double>>> rows = new ArrayList<>();
        List<List<Double>> bases = new ArrayList<>();
        wide = new boolean[findings.size()];
        List<Integer> all = new ArrayList<>();
        List<Integer> narrow = new ArrayList<>();
        for (int f = 0; f < wide.length; f++) {
            Map<String, Finding.Share> own = given.get(findings.get(f).id());
            int[] scope = own.keySet().stream().mapToInt(this::position).toArray();
            scopes.add(scope);
            rows.add(own.values().stream().map(Finding.Share::shares).toList());
            bases.add(findings.get(f).base());
            wide[f] = scope.length >= WIDE;
            all.add(Shape.bits(scope));
            if (!wide[f]) {
                narrow.add(Shape.bits(scope));
            }
        }
        int[] goalBits = goals.stream().mapToInt(this::goalBits).toArray();
        int n = causes.size();
        light = new Shape(priors, bases, rows, scopes, wide, goalBits, prepared.packed(n, narrow), prepared);
        Arrangement whole = prepared.whole(n, all);
        boolean same = narrow.size() == all.size();
        denseWork = same ? light.work() : whole.cost();
        makeDense = () -> same
                ? light
                : new Shape(priors, bases, rows, scopes, new boolean[wide.length], goalBits, whole, prepared);
        nothingMade = light.given(new int[findings.size()]);
        predictive = new double[findings.size()][];
    }

    private int position(String cause) {
        for (int i = 0; i < causes.size(); i++) {
            if (causes.get(i).id().equals(cause)) {
                return i;
            }
        }
        throw new IllegalArgumentException("No cause " + cause + " in this group");
    }

    private int goalBits(String goal) {
        int bits = 0;
        for (int i = 0; i < causes.size(); i++) {
            bits |= causes.get(i).goal().equals(goal) ? 1 << i : 0;
        }
        return bits;
    }

    /** The prior of a cause in this context. */
    double prior(int cause) {
        return priors[cause];
    }

    /** How likely an outcome is while nothing else is known. Worked out when first asked for. */
    synchronized double predictive(int finding, int outcome) {
        if (predictive[finding] == null) {
            predictive[finding] = new double[findings.get(finding).outcomes().size()];
            for (int x = 0; x < predictive[finding].length; x++) {
                predictive[finding][x] = nothingMade.after(finding, x).total()
                        / nothingMade.belief().total();
            }
        }
        return predictive[finding][outcome];
    }

    /** The beliefs given findings: for each the outcome plus one, zero where it was not made. */
    Evidence given(int[] made) {
        int apart = 0;
        for (int f = 0; f < made.length; f++) {
            apart += wide[f] && made[f] > 1 ? 1 : 0;
        }
        if (light.work() << apart <= denseWork) {
            Evidence quick = light.given(made);
            if (quick.sound()) {
                return quick;
            }
        }
        return dense().given(made);
    }

    private synchronized Shape dense() {
        if (dense.isEmpty()) {
            dense = Optional.of(makeDense.get());
        }
        return dense.get();
    }
}
