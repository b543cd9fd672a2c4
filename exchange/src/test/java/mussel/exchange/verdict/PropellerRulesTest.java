package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planner;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Context;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.Repairs;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PropellerRulesTest {
    private static VerdictInput found(Optional<Complaint> complaint, Map<String, String> findings) {
        Context context = Context.empty().withComplaint(complaint.stream().toList());
        return new VerdictInput(
                Optional.of(context),
                findings,
                80,
                List.of(),
                Map.of(),
                Map.of(),
                Optional.empty(),
                List.of(),
                Map.of());
    }

    private static Tables tables(VerdictInput in) {
        return Tables.of(KnowledgeFiles.shipped(), in.context().orElseThrow());
    }

    private static Map<String, Double> causes(VerdictInput in) {
        return VerdictEngine.run(tables(in), in).causes().stream()
                .collect(Collectors.toMap(VerdictResult.CauseBelief::id, VerdictResult.CauseBelief::probability));
    }

    private static Repairs advice(VerdictInput in) {
        return VerdictEngine.repairs(tables(in), in);
    }

    @Test
    void aLegThatShakesIsWalkedRoundThenItsPropellerComesOff() {
        VerdictInput in = found(Optional.of(Complaint.SHAKES), Map.of());
        List<String> rounds =
                advice(in).rounds().stream().map(Repairs.Round::round).toList();
        assertThat(rounds.subList(0, 2)).containsExactly("walk_round", "propeller_off");
        assertThat(advice(in).rounds().get(1).looks()).contains("hub_mark", "shaft_runout");
    }

    @Test
    void aShaftThatRunsOutIsRenewedAndAHubThatMovedIsNotTheDog() {
        VerdictInput bent = found(Optional.of(Complaint.SHAKES), Map.of("shaft_runout", "bent"));
        assertThat(causes(bent).get("shaft_bent")).isGreaterThan(0.8);
        assertThat(advice(bent).sets().get(0).goals()).contains("prop_shaft");
        VerdictInput hub = found(Optional.of(Complaint.GEAR_TROUBLE), Map.of("hub_mark", "moved"));
        assertThat(causes(hub).get("hub_slipped")).isGreaterThan(0.6);
        assertThat(advice(hub).sets().get(0).goals()).contains("propeller");
    }

    /** What the indicator and the paint mark say outranks what the leg came in for: nobody is told to fit a shaft that the odds then leave alone. */
    @Test
    void whatWasMeasuredIsBelievedWhateverTheComplaint() {
        for (Complaint complaint : Complaint.values()) {
            VerdictInput bent = found(Optional.of(complaint), Map.of("shaft_runout", "bent", "oil_water", "streaks"));
            assertThat(causes(bent).get("shaft_bent")).as("%s", complaint).isGreaterThan(0.8);
            assertThat(advice(bent).sets().get(0).goals()).as("%s", complaint).contains("prop_shaft");
            VerdictInput moved = found(Optional.of(complaint), Map.of("hub_mark", "moved"));
            assertThat(advice(moved).sets().get(0).goals()).as("%s", complaint).contains("propeller");
        }
    }

    @Test
    void whoseLegDoesNotShakeIsSoldNoPropeller() {
        VerdictInput service = found(Optional.of(Complaint.SERVICE), Map.of());
        assertThat(advice(service).sets().get(0).goals()).doesNotContain("propeller", "prop_shaft");
        assertThat(causes(service).get("blade_bent")).isLessThan(0.05);
    }

    static List<SpecSheet> families() {
        return SheetFiles.shipped();
    }

    @ParameterizedTest
    @MethodSource("families")
    void aNewShaftTakesNewSealsAndIsProvenUnderWay(SpecSheet sheet) {
        List<String> steps = Planner.plan(sheet, Set.of("prop_shaft")).steps().stream()
                .map(PlannedStep::step)
                .map(s -> s.id())
                .toList();
        assertThat(steps).containsSubsequence("prop_off", "prop_shaft_out", "prop_shaft_in", "prop_on", "prove_push");
        assertThat(steps).contains("prop_seals_in", "hold_again");
        List<String> propeller = Planner.plan(sheet, Set.of("propeller")).steps().stream()
                .map(PlannedStep::step)
                .map(s -> s.id())
                .toList();
        assertThat(propeller)
                .contains("prop_judged", "prop_on", "prove_push")
                .doesNotContain("oil_out", "prop_carrier_out");
    }
}
