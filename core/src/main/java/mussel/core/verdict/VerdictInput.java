package mussel.core.verdict;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;

/**
 * What the verdict engine needs.
 *
 * @param context what is known beforehand
 * @param findings the outcome of each finding made
 * @param labourPerH the labour rate (money per hour)
 * @param open access levels the job already has open
 * @param goals what doing and leaving a goal costs; the tables' own where not given
 */
public record VerdictInput(
        @Given("what is known beforehand") Optional<Context> context,
        @Given("the findings made") Map<String, String> findings,
        @Given(value = "the labour rate (money per hour)", min = 0, max = 1e10) double labourPerH,
        @Given("the access levels open") List<String> open,
        @Given("the costs of the goals") Map<String, Costs> goals) {
    /** Keeps its own copies. */
    public VerdictInput {
        findings = new LinkedHashMap<>(findings);
        open = List.copyOf(open);
        goals = new LinkedHashMap<>(goals);
    }

    /** Reports findings, outcomes, access levels and goals the tables do not know. */
    public void check(Knowledge knowledge, Problems problems) {
        findings.forEach((id, outcome) -> {
            Optional<Finding> finding = knowledge.finding(id);
            String at = "/findings/" + id.replace("~", "~0").replace("/", "~1");
            problems.unless(finding.isPresent(), at, "is no finding of the tables");
            finding.ifPresent(f -> problems.unless(
                    f.outcomes().contains(outcome),
                    at,
                    "is " + outcome + "; its outcomes are " + String.join(", ", f.outcomes())));
        });
        problems.unless(
                !("yes".equals(findings.get("volume_more")) && "yes".equals(findings.get("volume_less"))),
                "/findings/volume_less",
                "cannot stand together with volume_more: more or less came out, not both");
        for (int i = 0; i < open.size(); i++) {
            problems.unless(
                    knowledge.access(open.get(i)).isPresent(), "/open/" + i, "is no access level: " + open.get(i));
        }
        goals.keySet()
                .forEach(id ->
                        problems.unless(knowledge.goal(id).isPresent(), "/goals/" + id, "is no goal of the tables"));
        context.ifPresent(c -> {
            for (int i = 0; i < c.twinFound().size(); i++) {
                problems.unless(
                        knowledge.cause(c.twinFound().get(i)).isPresent(),
                        "/context/twin_found/" + i,
                        "is no cause: " + c.twinFound().get(i));
            }
        });
    }

    /**
     * What a goal costs.
     *
     * @param marginalCost to do it while the job is on (money)
     * @param comebackCost when it is left and comes back (money)
     */
    public record Costs(
            @Given(value = "the cost of doing it (money)", min = 0, max = 1e12) double marginalCost,
            @Given(value = "the cost when it comes back (money)", min = 0, max = 1e12) double comebackCost) {}
}
