package mussel.core.verdict;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;
import mussel.core.verdict.LegState.Condition;

/**
 * What the verdict engine needs.
 *
 * @param context what is known beforehand
 * @param findings the outcome of each finding made
 * @param labourPerH the labour rate (money per hour)
 * @param open access levels the job already has open
 * @param goals what doing and leaving a goal costs; the tables' own where not given
 * @param state what is known of the state of the lower unit, by condition
 * @param proof the final check sets of repairs are priced with; both tests where not given
 * @param due goals that are due by their clock
 * @param stageHours what stages take on this lower unit (h); the tables' own where not given
 */
public record VerdictInput(
        @Given("what is known beforehand") Optional<Context> context,
        @Given("the findings made") Map<String, String> findings,
        @Given(value = "the labour rate (money per hour)", min = 0, max = 1e10) double labourPerH,
        @Given("the access levels open") List<String> open,
        @Given("the costs of the goals") Map<String, Costs> goals,
        @Given("the state of the lower unit, by condition") Map<String, String> state,
        @Given("the final check") Optional<String> proof,
        @Given("the goals due by their clock") List<String> due,
        @Given("what stages take on this lower unit (h)") Map<String, Double> stageHours) {
    private static final Messages TEXT = Messages.of(VerdictInput.class);

    private static final String BOTH_HOLDS = "both_holds";

    /** The state an access level leaves. */
    private static final Map<String, LegState> LEFT_BY = Map.of(
            "drain", new LegState(Map.of(Condition.PLUGS, "out", Condition.OIL, "out")),
            "prop_off", new LegState(Map.of(Condition.PROPELLER, "out")),
            "pump_off", new LegState(Map.of(Condition.LEG, "off", Condition.PUMP, "out")),
            "leg_open", new LegState(Map.of(Condition.CASE, "open", Condition.GEARS, "out")));

    /** Keeps its own copies. */
    public VerdictInput {
        findings = new LinkedHashMap<>(findings);
        open = List.copyOf(open);
        goals = new LinkedHashMap<>(goals);
        state = new LinkedHashMap<>(state);
        due = List.copyOf(due);
        stageHours = new LinkedHashMap<>(stageHours);
    }

    /** Findings of a lower unit of whose state nothing more is known than what is open. */
    public VerdictInput(
            Optional<Context> context,
            Map<String, String> findings,
            double labourPerH,
            List<String> open,
            Map<String, Costs> goals) {
        this(context, findings, labourPerH, open, goals, Map.of(), Optional.empty(), List.of(), Map.of());
    }

    /** The same with other findings, and other access levels open. */
    VerdictInput found(Map<String, String> other, List<String> opened) {
        return new VerdictInput(context, other, labourPerH, opened, goals, state, proof, due, stageHours);
    }

    /** The same with other costs, what stages take here, and another final check. */
    public VerdictInput priced(Map<String, Costs> own, Map<String, Double> hours, Optional<String> check) {
        return new VerdictInput(context, findings, labourPerH, open, own, state, check, due, hours);
    }

    /** The same with the state of the lower unit, and what is due whatever the odds. */
    public VerdictInput in(LegState state, List<String> due) {
        Map<String, String> known = new LinkedHashMap<>();
        state.known().forEach((condition, value) -> known.put(condition.id(), value));
        return new VerdictInput(context, findings, labourPerH, open, goals, known, proof, due, stageHours);
    }

    /** The state of the lower unit: what was said of it, and what the access levels leave that are open. */
    LegState legState() {
        LegState known = LegState.UNKNOWN;
        for (String level : open) {
            for (Map.Entry<Condition, String> left :
                    LEFT_BY.getOrDefault(level, LegState.UNKNOWN).known().entrySet()) {
                known = known.with(left.getKey(), left.getValue());
            }
        }
        for (Map.Entry<String, String> said : state.entrySet()) {
            known = known.with(Condition.of(said.getKey()).orElseThrow(), said.getValue());
        }
        return known;
    }

    /** The final check asked for. */
    String proofOr() {
        return proof.orElse(BOTH_HOLDS);
    }

    /** Reports findings, outcomes, access levels and goals the tables do not know. */
    public void check(Knowledge knowledge, Problems problems) {
        findings.forEach((id, outcome) -> {
            Optional<Finding> finding = knowledge.finding(id);
            String at = "/findings/" + id.replace("~", "~0").replace("/", "~1");
            problems.unless(finding.isPresent(), at, TEXT.get("verdict_input.is_no_finding_of_the_tables"));
            finding.ifPresent(f -> problems.unless(
                    f.outcomes().contains(outcome),
                    at,
                    TEXT.get("verdict_input.is_its_outcomes_are", outcome, String.join(", ", f.outcomes()))));
        });
        problems.unless(
                !("yes".equals(findings.get("volume_more")) && "yes".equals(findings.get("volume_less"))),
                "/findings/volume_less",
                TEXT.get("verdict_input.cannot_stand_together_with_volume_more"));
        for (int i = 0; i < open.size(); i++) {
            problems.unless(
                    knowledge.access(open.get(i)).isPresent(),
                    "/open/" + i,
                    TEXT.get("verdict_input.is_no_access_level", open.get(i)));
        }
        goals.keySet()
                .forEach(id -> problems.unless(
                        knowledge.goal(id).isPresent(),
                        "/goals/" + id,
                        TEXT.get("verdict_input.is_no_goal_of_the_tables")));
        state.forEach((id, value) -> Condition.of(id)
                .ifPresentOrElse(
                        c -> problems.unless(
                                c.states().contains(value),
                                "/state/" + id,
                                TEXT.get("verdict_input.is_it_is_one_of", value, String.join(", ", c.states()))),
                        () -> problems.at("/state/" + id, TEXT.get("verdict_input.is_no_condition_of_a_lower"))));
        proof.ifPresent(p -> problems.unless(
                knowledge.repairs().stream().flatMap(r -> r.proofs().stream()).anyMatch(of -> of.id()
                        .equals(p)),
                "/proof",
                TEXT.get("verdict_input.is_no_final_check_of_the", p)));
        stageHours.forEach((id, hours) -> problems.unless(
                hours >= 0
                        && hours <= 1_000
                        && knowledge.repairs().flatMap(r -> r.stage(id)).isPresent(),
                "/stage_hours/" + id,
                TEXT.get("verdict_input.is_h_name_a_stage_of", hours)));
        for (int i = 0; i < due.size(); i++) {
            problems.unless(
                    knowledge.goal(due.get(i)).isPresent(),
                    "/due/" + i,
                    TEXT.get("verdict_input.is_no_goal_of_the_tables"));
        }
        context.ifPresent(c -> {
            for (int i = 0; i < c.twinFound().size(); i++) {
                problems.unless(
                        knowledge.cause(c.twinFound().get(i)).isPresent(),
                        "/context/twin_found/" + i,
                        TEXT.get("verdict_input.is_no_cause", c.twinFound().get(i)));
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
