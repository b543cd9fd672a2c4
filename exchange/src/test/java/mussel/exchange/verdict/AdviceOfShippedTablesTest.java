package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.verdict.Context;
import mussel.core.verdict.Repairs;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import org.junit.jupiter.api.Test;

/** What a seasoned technician would answer on lower units in the state they are in; each with the reason in its name. */
class AdviceOfShippedTablesTest {
    private static final Set<String> RUNNING = Set.of("on_cups", "in_tank", "under_way");

    private static Repairs advice(Context.Complaint complaint, Map<String, String> found, Map<String, String> state) {
        return advice(complaint, found, state, List.of());
    }

    private static Repairs advice(
            Context.Complaint complaint, Map<String, String> found, Map<String, String> state, List<String> due) {
        Context context = Context.empty().withComplaint(List.of(complaint));
        return VerdictEngine.repairs(
                Tables.of(KnowledgeFiles.shipped(), context),
                new VerdictInput(
                        Optional.of(context), found, 80, List.of(), Map.of(), state, Optional.empty(), due, Map.of()));
    }

    private static List<String> best(Repairs advice) {
        return advice.sets().get(0).goals();
    }

    /** The rounds that can be made now, in the order advised. */
    private static List<String> now(Repairs advice) {
        return advice.rounds().stream()
                .filter(Repairs.Round::possible)
                .map(Repairs.Round::round)
                .toList();
    }

    @Test
    void aDryLegWithChipsIsNotRun() {
        Repairs advice =
                advice(Context.Complaint.NOISE, Map.of("magnet", "chips"), Map.of("oil", "out", "plugs", "out"));
        assertThat(now(advice)).doesNotContainAnyElementsOf(RUNNING).doesNotContain("first_drops");
        assertThat(advice.rounds().stream()
                        .filter(r -> RUNNING.contains(r.round()))
                        .map(Repairs.Round::needsFirst))
                .isNotEmpty()
                .allMatch(needs -> needs.contains("oil_in"));
        assertThat(best(advice)).contains("oil_change").containsAnyOf("gears", "bearings");
    }

    @Test
    void aLegThatIsDownWithItsPumpOffGetsAnImpellerSinceComingBackForItCostsMore() {
        Repairs advice = advice(Context.Complaint.SERVICE, Map.of(), Map.of("leg", "off", "pump", "out"));
        assertThat(best(advice)).contains("impeller");
        assertThat(now(advice)).doesNotContainAnyElementsOf(RUNNING);
    }

    @Test
    void anOpenCaseWithASeizedShaftIsNeitherHeldNorRun() {
        Repairs advice = advice(
                Context.Complaint.STIFF,
                Map.of("rotation_feel", "seized"),
                Map.of("case", "open", "gears", "out", "turns", "locked", "leg", "off"));
        assertThat(advice.rounds().stream().map(Repairs.Round::round)).doesNotContainAnyElementsOf(RUNNING);
        assertThat(now(advice)).doesNotContain("tester_on");
        assertThat(best(advice)).contains("bearings");
    }

    @Test
    void aLegThatCameAloneIsNeverRun() {
        Repairs advice = advice(Context.Complaint.WATER_IN_OIL, Map.of(), Map.of("engine", "away", "leg", "off"));
        assertThat(advice.rounds().stream().map(Repairs.Round::round)).doesNotContainAnyElementsOf(RUNNING);
        assertThat(now(advice)).startsWith("first_drops");
    }

    @Test
    void waterInTheOilBeginsWithTheFirstDropsAndNotAtThePropeller() {
        Repairs advice = advice(Context.Complaint.WATER_IN_OIL, Map.of(), Map.of());
        assertThat(advice.rounds().get(0).round()).isEqualTo("first_drops");
        assertThat(advice.rounds().get(0).looks()).containsExactly("free_water_first", "oil_water");
        assertThat(advice.rounds().get(0).bearing()).isEqualTo(VerdictResult.Bearing.COMPLAINT);
    }

    @Test
    void aWeakStreamWithIntakeAndTelltaleClearGoesToTheTank() {
        Repairs nothing = advice(Context.Complaint.WEAK_STREAM, Map.of(), Map.of());
        assertThat(now(nothing)).startsWith("walk_round", "in_tank");
        Repairs clear = advice(
                Context.Complaint.WEAK_STREAM, Map.of("intake_look", "clear", "telltale_probe", "clear"), Map.of());
        assertThat(clear.rounds().stream().map(Repairs.Round::round)).contains("in_tank");
        assertThat(best(clear)).contains("impeller");
    }

    @Test
    void gearTroubleBeginsWithTheLinkageAgainstItsMark() {
        Repairs advice = advice(Context.Complaint.GEAR_TROUBLE, Map.of("will_not_engage", "one_way"), Map.of());
        assertThat(advice.rounds().get(0).round()).isEqualTo("walk_round");
        assertThat(advice.rounds().get(0).looks()).contains("linkage_measured");
        assertThat(best(advice)).contains("linkage");
    }

    @Test
    void noiseIsTurnedByHandThenTheMagnetAndNeverRunBeforeIt() {
        Repairs advice = advice(Context.Complaint.NOISE, Map.of(), Map.of());
        assertThat(now(advice)).startsWith("walk_round", "drained").doesNotContainAnyElementsOf(RUNNING);
        assertThat(advice.rounds().get(0).looks()).contains("rotation_feel");
        assertThat(advice.rounds().get(1).looks()).contains("magnet");
    }

    @Test
    void milkWithBothHoldsSlowIsNotLeftThoughNoSealAloneIsLikely() {
        Repairs advice = advice(
                Context.Complaint.WATER_IN_OIL,
                Map.of("oil_water", "milky", "pressure_hold", "slow", "vacuum_hold", "slow"),
                Map.of());
        assertThat(best(advice)).contains("driveshaft_seals", "propshaft_seals", "oil_change", "plug_washers");
        assertThat(advice.rounds().get(0).round())
                .as("soap while the tester is on")
                .isEqualTo("tester_on");
        assertThat(advice.sets().get(0).back())
                .isLessThan(advice.sets().get(advice.sets().size() - 1).back() / 2);
    }

    @Test
    void tightUnderPressureAndSlowUnderVacuumIsAWaterSideLipSoTheShaftSealsGoAndTheShiftSealStays() {
        Repairs advice = advice(
                Context.Complaint.WATER_IN_OIL,
                Map.of("oil_water", "milky", "pressure_hold", "tight", "vacuum_hold", "slow"),
                Map.of("oil", "out", "plugs", "out"));
        assertThat(best(advice)).contains("driveshaft_seals", "propshaft_seals").doesNotContain("shift_seal");
    }

    @Test
    void soapIsNotOfferedUnderVacuumAlone() {
        Repairs advice = advice(
                Context.Complaint.WATER_IN_OIL,
                Map.of("oil_water", "milky", "pressure_hold", "tight", "vacuum_hold", "fast"),
                Map.of());
        assertThat(advice.rounds().stream().flatMap(r -> r.looks().stream()))
                .noneMatch(look -> look.startsWith("bubbles_"));
    }

    @Test
    void sludgeIsChangedAndTheCaseIsNotClosedOnIt() {
        Repairs advice = advice(
                Context.Complaint.WATER_IN_OIL, Map.of("oil_water", "sludge"), Map.of("oil", "out", "plugs", "out"));
        assertThat(best(advice)).contains("oil_change").containsAnyOf("driveshaft_seals", "propshaft_seals");
    }

    @Test
    void aServiceWithTheOilOutIsItsOilAndItsWashersAndWhatIsDue() {
        Map<String, String> fine = Map.of("oil_water", "none", "magnet", "paste", "washers", "flattened");
        Repairs advice =
                advice(Context.Complaint.SERVICE, fine, Map.of("oil", "out", "plugs", "out"), List.of("impeller"));
        assertThat(best(advice))
                .contains("oil_change", "plug_washers", "impeller")
                .doesNotContain("driveshaft_seals");
        assertThat(best(advice(Context.Complaint.SERVICE, fine, Map.of("oil", "out", "plugs", "out"))))
                .contains("oil_change", "plug_washers")
                .doesNotContain("gears", "bearings", "case_repair");
    }

    @Test
    void wornTipsInTheHandAreNotClearedByAStrongStream() {
        Repairs advice = advice(
                Context.Complaint.SERVICE,
                Map.of("vane_tips", "worn", "telltale_tank", "strong"),
                Map.of("leg", "off", "pump", "out"));
        assertThat(best(advice)).contains("impeller");
    }

    @Test
    void airAtThePropellerShaftUnderPressureHasPassedTheOilSideLip() {
        Context context = Context.empty().withComplaint(List.of(Context.Complaint.OIL_OUTSIDE));
        VerdictResult verdict = VerdictEngine.run(
                Tables.of(KnowledgeFiles.shipped(), context),
                new VerdictInput(
                        Optional.of(context),
                        Map.of("pressure_hold", "slow", "bubbles_propshaft", "yes"),
                        80,
                        List.of(),
                        Map.of()));
        double oil = verdict.cause("propshaft_oil_lip").orElseThrow().probability();
        double water = verdict.cause("propshaft_water_lip").orElseThrow().probability();
        assertThat(oil).isGreaterThan(0.7).isGreaterThan(2 * water);
    }

    @Test
    void aSleeveIsHadReadyUntilTheGrooveIsSeenAndThenDone() {
        Map<String, String> found = Map.of(
                "oil_water", "milky", "pressure_hold", "slow", "vacuum_hold", "slow", "bubbles_driveshaft", "yes");
        Repairs before = advice(Context.Complaint.WATER_IN_OIL, found, Map.of());
        assertThat(best(before)).contains("driveshaft_seals").doesNotContain("shaft_sleeve");
        assertThat(before.ready().stream().map(Repairs.Ready::goal)).contains("shaft_sleeve");
        assertThat(before.stops().stream()
                        .filter(s -> s.after().equals("top"))
                        .flatMap(s -> s.adds().stream())
                        .map(Repairs.Adds::goal))
                .contains("shaft_sleeve");
        Map<String, String> seen = new java.util.HashMap<>(found);
        seen.put("journal_groove", "fingernail");
        Repairs after = advice(
                Context.Complaint.WATER_IN_OIL,
                seen,
                Map.of("leg", "off", "pump", "out", "seal_carrier", "out", "oil", "out", "plugs", "out"));
        assertThat(best(after)).contains("driveshaft_seals", "shaft_sleeve");
    }

    @Test
    void aRoundIsNeverWorthLessThanMinusItsPrice() {
        Repairs advice = advice(Context.Complaint.WATER_IN_OIL, Map.of("oil_water", "streaks"), Map.of());
        assertThat(advice.rounds()).isNotEmpty().allSatisfy(r -> assertThat(r.value())
                .isGreaterThanOrEqualTo(-r.minutes() * 80 / 60 - 1e-9));
    }

    @Test
    void leavingItIsOfferedLastAndNeverAloneWhileALeakIsLikelierThanNot() {
        Repairs advice = advice(Context.Complaint.WATER_IN_OIL, Map.of("oil_water", "milky"), Map.of());
        assertThat(advice.sets()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(advice.sets().stream().map(s -> s.goals().size()).collect(Collectors.toList()))
                .last()
                .isEqualTo(advice.sets().stream()
                        .mapToInt(s -> s.goals().size())
                        .min()
                        .getAsInt());
    }
}
