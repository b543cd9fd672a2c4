package mussel.core.verdict;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The diagnosis tables made ready for one context: the groups of causes that share findings. Worth keeping while the context stays. */
public final class Tables {
    /** The most causes a group may have, so that it can be enumerated. */
    public static final int LARGEST_GROUP = 20;

    private final Knowledge knowledge;
    private final Context context;
    private final List<String> goals;
    private final List<Group> groups = new ArrayList<>();
    private final Map<String, Map<String, Finding.Share>> given = new HashMap<>();
    private final Map<String, List<String>> bearing = new LinkedHashMap<>();

    private final Map<String, Access> access = new HashMap<>();
    private final Map<String, Finding> findings = new HashMap<>();
    private final Map<String, Double> sway = new HashMap<>();
    /** The findings that bear on what the leg came in for. */
    private final Set<String> raised = new HashSet<>();

    private final SharedTables prepared;

    private Tables(Knowledge knowledge, Context context, SharedTables prepared) {
        this.prepared = prepared;
        this.knowledge = knowledge;
        this.context = context;
        this.goals = knowledge.goals().stream().map(RepairGoal::id).toList();
        for (Finding finding : knowledge.findings()) {
            Map<String, Finding.Share> rows = finding.given(context);
            given.put(finding.id(), rows);
            bearing.put(finding.id(), List.copyOf(rows.keySet()));
            findings.put(finding.id(), finding);
            sway.put(finding.id(), sway(finding, rows.values()));
        }
        knowledge.access().forEach(a -> access.put(a.id(), a));
        Set<String> complaint = knowledge.causes().stream()
                .filter(c -> c.raisedByComplaint(context))
                .map(Cause::id)
                .collect(Collectors.toSet());
        knowledge.findings().stream()
                .filter(f -> f.given().stream().anyMatch(s -> complaint.contains(s.cause())))
                .forEach(f -> raised.add(f.id()));
        List<String> left =
                new ArrayList<>(knowledge.causes().stream().map(Cause::id).toList());
        while (!left.isEmpty()) {
            Set<String> together = new HashSet<>(Set.of(left.get(0)));
            int size;
            do {
                size = together.size();
                for (List<String> causes : bearing.values()) {
                    if (causes.stream().anyMatch(together::contains)) {
                        together.addAll(causes);
                    }
                }
            } while (together.size() > size);
            left.removeAll(together);
            groups.add(group(together));
        }
    }

    private Group group(Set<String> together) {
        if (together.size() > LARGEST_GROUP) {
            throw new IllegalArgumentException(together.size() + " causes share findings with each other; at most "
                    + LARGEST_GROUP + " can be enumerated");
        }
        List<Cause> ordered = knowledge.causes().stream()
                .filter(c -> together.contains(c.id()))
                .toList();
        List<Finding> findings = knowledge.findings().stream()
                .filter(f -> together.contains(bearing.get(f.id()).get(0)))
                .toList();
        return new Group(ordered, findings, given, goals, context, prepared);
    }

    /** Prepares the tables for a context. */
    public static Tables of(Knowledge knowledge, Context context) {
        return new Tables(knowledge, context, new SharedTables());
    }

    /** The same, sharing what does not depend on the context. */
    static Tables of(Knowledge knowledge, Context context, SharedTables prepared) {
        return new Tables(knowledge, context, prepared);
    }

    /** The tables. */
    public Knowledge knowledge() {
        return knowledge;
    }

    /** The context. */
    public Context context() {
        return context;
    }

    /** The causes of each group. */
    public List<List<String>> causesByGroup() {
        return groups.stream()
                .map(g -> g.causes.stream().map(Cause::id).toList())
                .toList();
    }

    /**
     * How likely each outcome of a finding is while exactly these causes are there: noisy-MAX (Diez 1993).
     *
     * @param finding its id
     * @param causes the causes that are there, whether or not they bear on it
     */
    public double[] shares(String finding, Set<String> causes) {
        Finding of = knowledge.finding(finding).orElseThrow();
        double[] upTo = Likelihood.cumulative(of.base());
        given.get(finding).forEach((cause, share) -> {
            if (causes.contains(cause)) {
                double[] own = Likelihood.cumulative(share.shares());
                for (int x = 0; x < upTo.length; x++) {
                    upTo[x] *= own[x];
                }
            }
        });
        double[] shares = new double[upTo.length];
        for (int x = 0; x < shares.length; x++) {
            double last = x == shares.length - 1 ? 1 : upTo[x];
            shares[x] = last - (x == 0 ? 0 : upTo[x - 1]);
        }
        return shares;
    }

    /** Whether a look is still to be made, can be made on this leg and can be made now, whatever its gate. */
    public boolean offered(Finding finding, VerdictInput in) {
        return !in.findings().containsKey(finding.id())
                && opened(finding, in)
                && finding.possible(context, in.findings())
                && !excluded(finding, in)
                && !forbidden(finding, in);
    }

    /** Whether the state of the lower unit, where anything was said of it, allows none of the rounds a look is made in. */
    private boolean forbidden(Finding finding, VerdictInput in) {
        if (in.state().isEmpty() || knowledge.repairs().isEmpty()) {
            return false;
        }
        LegState state = in.legState();
        List<RepairTables.Round> rounds = knowledge.repairs().get().rounds().stream()
                .filter(r -> r.looks().contains(finding.id()))
                .toList();
        return !rounds.isEmpty()
                && rounds.stream().noneMatch(r -> r.unmet(state).isEmpty());
    }

    /** Whether what must be open before a look is, or was: something that is seen there was found. */
    private boolean opened(Finding finding, VerdictInput in) {
        return finding.once().isEmpty()
                || in.open().contains(finding.once().get())
                || in.findings().keySet().stream()
                        .anyMatch(made ->
                                finding(made).access().equals(finding.once().get()));
    }

    /** More and less than went in are one measurement. */
    private static boolean excluded(Finding finding, VerdictInput in) {
        return finding.id().equals("volume_less") && "yes".equals(in.findings().get("volume_more"))
                || finding.id().equals("volume_more")
                        && "yes".equals(in.findings().get("volume_less"));
    }

    List<Group> groups() {
        return groups;
    }

    /**
     * By which factor a finding can change the odds of anything at most: the largest ratio of the shares that any two sets of causes give to one of its outcomes. With c(x)
     * the share of what is at most x, a product over the causes (noisy-MAX), an outcome's share is c(x) (1 - c(x-1) / c(x)); the first factor falls with each cause and the
     * second rises.
     */
    double sway(Finding finding) {
        return sway.get(finding.id());
    }

    private static double sway(Finding finding, Collection<Finding.Share> rows) {
        double[] least = Likelihood.cumulative(finding.base());
        double[] most = least.clone();
        for (Finding.Share share : rows) {
            double[] own = Likelihood.cumulative(share.shares());
            for (int x = 0; x < least.length; x++) {
                least[x] *= own[x];
            }
        }
        least[least.length - 1] = 1;
        most[most.length - 1] = 1;
        double sway = 1;
        for (int x = 0; x < least.length; x++) {
            double rest = x == 0 ? 1 : 1 - most[x - 1] / most[x];
            double above = x == 0 ? 1 : 1 - least[x - 1] / least[x];
            double low = least[x] * rest;
            sway = low > 0 ? Math.max(sway, most[x] * above / low) : Double.POSITIVE_INFINITY;
        }
        return sway;
    }

    /** Whether a finding bears on what the leg came in for. */
    boolean raised(Finding finding) {
        return raised.contains(finding.id());
    }

    /** What a look takes now, its set-up with it where that is not open (min). */
    double minutes(Finding finding, VerdictInput in) {
        return finding.minutes() + setUp(finding.access(), in);
    }

    /** What a set-up takes now: nothing where it is open (min). */
    double setUp(String of, VerdictInput in) {
        return in.open().contains(of) ? 0 : access.get(of).minutes();
    }

    /**
     * A finding by its id.
     *
     * @throws IllegalArgumentException where the tables have none of that id; input is checked against them before
     */
    Finding finding(String id) {
        if (!findings.containsKey(id)) {
            throw new IllegalArgumentException("No finding " + id);
        }
        return findings.get(id);
    }

    List<String> goals() {
        return goals;
    }

    /** The group and place of a finding. */
    Place place(String finding) {
        for (Group group : groups) {
            int at = IntStream.range(0, group.findings.size())
                    .filter(i -> group.findings.get(i).id().equals(finding))
                    .findFirst()
                    .orElse(-1);
            if (at >= 0) {
                return new Place(group, at);
            }
        }
        throw new IllegalArgumentException("No finding " + finding);
    }

    /**
     * Where a finding stands.
     *
     * @param group its group
     * @param at its place in it
     */
    record Place(Group group, int at) {}
}
