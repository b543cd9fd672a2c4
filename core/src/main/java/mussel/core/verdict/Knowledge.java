package mussel.core.verdict;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;

/**
 * The diagnosis tables.
 *
 * @param knowledgeVersion which edition they are
 * @param access what must be open for which look
 * @param goals the repairs
 * @param causes what can be wrong
 * @param findings what can be looked at
 * @param repairs what repairs share and what leaving a fault in brings; without them no sets of repairs are compared
 */
public record Knowledge(
        @Given("the edition") String knowledgeVersion,
        @Given(value = "the access levels", atLeast = 1) List<Access> access,
        @Given(value = "the goals", atLeast = 1) List<RepairGoal> goals,
        @Given(value = "the causes", atLeast = 1) List<Cause> causes,
        @Given(value = "the findings", atLeast = 1) List<Finding> findings,
        @Given("what repairs share and what leaving a fault in brings") Optional<RepairTables> repairs)
        implements Checked {
    private static final Messages TEXT = Messages.of(Knowledge.class);

    /** Rows sum to one this closely. */
    public static final double SUM_WITHIN = 1e-9;

    /** Keeps its own copies. */
    public Knowledge {
        access = List.copyOf(access);
        goals = List.copyOf(goals);
        causes = List.copyOf(causes);
        findings = List.copyOf(findings);
    }

    /** The cause of that id. */
    public Optional<Cause> cause(String id) {
        return causes.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** The goal of that id. */
    public Optional<RepairGoal> goal(String id) {
        return goals.stream().filter(g -> g.id().equals(id)).findFirst();
    }

    /** The finding of that id. */
    public Optional<Finding> finding(String id) {
        return findings.stream().filter(f -> f.id().equals(id)).findFirst();
    }

    /** The access level of that id. */
    public Optional<Access> access(String id) {
        return access.stream().filter(a -> a.id().equals(id)).findFirst();
    }

    /** The same tables with other causes. */
    public Knowledge withCauses(List<Cause> other) {
        return new Knowledge(knowledgeVersion, access, goals, other, findings, repairs);
    }

    /** The same tables with other findings. */
    Knowledge withFindings(List<Finding> other) {
        return new Knowledge(knowledgeVersion, access, goals, causes, other, repairs);
    }

    @Override
    public void check(Problems problems, String pointer) {
        unique(problems, pointer + "/causes", causes, Cause::id);
        unique(problems, pointer + "/findings", findings, Finding::id);
        unique(problems, pointer + "/goals", goals, RepairGoal::id);
        unique(problems, pointer + "/access", access, Access::id);
        for (int i = 0; i < causes.size(); i++) {
            problems.unless(
                    goal(causes.get(i).goal()).isPresent(),
                    pointer + "/causes/" + i + "/goal",
                    TEXT.get("knowledge.is_no_goal", causes.get(i).goal()));
        }
        for (int i = 0; i < findings.size(); i++) {
            check(findings.get(i), problems, pointer + "/findings/" + i);
        }
        repairs.ifPresent(r -> r.check(this, problems, pointer + "/repairs"));
    }

    private void check(Finding finding, Problems problems, String at) {
        problems.unless(
                access(finding.access()).isPresent(),
                at + "/access",
                TEXT.get("knowledge.is_no_access_level", finding.access()));
        past(finding, problems, at);
        finding.once()
                .ifPresent(level -> problems.unless(
                        access(level).isPresent(), at + "/once", TEXT.get("knowledge.is_no_access_level", level)));
        row(finding, finding.base(), problems, at + "/base");
        rows(finding, finding.given(), problems, at + "/given");
        for (int v = 0; v < finding.variants().size(); v++) {
            rows(finding, finding.variants().get(v).given(), problems, at + "/variants/" + v + "/given");
        }
        for (int g = 0; g < finding.gate().size(); g++) {
            Finding.Gate gate = finding.gate().get(g);
            Optional<Finding> other = finding(gate.finding());
            problems.unless(
                    other.isPresent() && other.get().outcomes().containsAll(gate.outcomes()),
                    at + "/gate/" + g,
                    TEXT.get("knowledge.names_a_finding_or_an_outcome", gate.finding()));
        }
    }

    private void past(Finding finding, Problems problems, String at) {
        for (int p = 0; p < finding.notAfter().size(); p++) {
            Finding.Past past = finding.notAfter().get(p);
            Optional<Finding> other = finding(past.finding());
            problems.unless(
                    other.isPresent() && other.get().outcomes().containsAll(past.outcomes()),
                    at + "/not_after/" + p,
                    TEXT.get("knowledge.names_a_finding_or_an_outcome", past.finding()));
        }
    }

    private void rows(Finding finding, List<Finding.Share> rows, Problems problems, String at) {
        for (int i = 0; i < rows.size(); i++) {
            problems.unless(
                    cause(rows.get(i).cause()).isPresent(),
                    at + "/" + i + "/cause",
                    TEXT.get("knowledge.is_no_cause", rows.get(i).cause()));
            row(finding, rows.get(i).shares(), problems, at + "/" + i + "/shares");
        }
    }

    /** A row has a share above zero for each outcome and sums to one. */
    static void row(Finding finding, List<Double> shares, Problems problems, String at) {
        double sum = shares.stream().mapToDouble(d -> d).sum();
        problems.unless(
                shares.size() == finding.outcomes().size(),
                at,
                TEXT.get(
                        "knowledge.has_shares_for_outcomes",
                        shares.size(),
                        finding.outcomes().size()));
        problems.unless(shares.stream().allMatch(d -> d > 0), at, TEXT.get("knowledge.has_a_share_of_zero_nothing"));
        problems.unless(Math.abs(sum - 1) <= SUM_WITHIN, at, TEXT.get("knowledge.sums_to_shares_sum_to_1", sum));
    }

    private static <T> void unique(Problems problems, String at, List<T> all, Function<T, String> id) {
        Map<String, Long> counts = all.stream().collect(Collectors.groupingBy(id, Collectors.counting()));
        Set<String> twice = new HashSet<>();
        counts.forEach((name, count) -> {
            if (count > 1 && twice.add(name)) {
                problems.at(at, TEXT.get("knowledge.holds_more_than_once", name));
            }
        });
    }
}
