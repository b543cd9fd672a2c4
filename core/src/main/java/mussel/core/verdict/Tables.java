package mussel.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** The diagnosis tables made ready for one context: the groups of causes that share findings. Worth keeping while the context stays. */
public final class Tables {
    /** The most causes a group may have, so that it can be enumerated. */
    public static final int LARGEST_GROUP = 18;

    private final Knowledge knowledge;
    private final Context context;
    private final List<String> goals;
    private final List<Group> groups = new ArrayList<>();

    private Tables(Knowledge knowledge, Context context) {
        this.knowledge = knowledge;
        this.context = context;
        this.goals = knowledge.goals().stream().map(RepairGoal::id).toList();
        List<Cause> left = new ArrayList<>(knowledge.causes());
        while (!left.isEmpty()) {
            List<Cause> together = new ArrayList<>(List.of(left.get(0)));
            int size;
            do {
                size = together.size();
                for (Finding finding : knowledge.findings()) {
                    List<Cause> bearing = bearing(finding);
                    if (bearing.stream().anyMatch(together::contains)) {
                        bearing.stream().filter(c -> !together.contains(c)).forEach(together::add);
                    }
                }
            } while (together.size() > size);
            left.removeAll(together);
            groups.add(group(together));
        }
    }

    private Group group(List<Cause> together) {
        if (together.size() > LARGEST_GROUP) {
            throw new IllegalArgumentException(together.size() + " causes share findings with each other; at most "
                    + LARGEST_GROUP + " can be enumerated");
        }
        List<Cause> ordered =
                knowledge.causes().stream().filter(together::contains).toList();
        List<Finding> findings = knowledge.findings().stream()
                .filter(f -> bearing(f).stream().anyMatch(together::contains))
                .toList();
        return new Group(ordered, findings, goals, context);
    }

    private List<Cause> bearing(Finding finding) {
        return finding.given(context).keySet().stream()
                .map(id -> knowledge.cause(id).orElseThrow())
                .toList();
    }

    /** Prepares the tables for a context. */
    public static Tables of(Knowledge knowledge, Context context) {
        return new Tables(knowledge, context);
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

    List<Group> groups() {
        return groups;
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
