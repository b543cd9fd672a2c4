package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.measure.Money;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.Bearing;
import mussel.core.verdict.VerdictResult.Check;
import mussel.core.verdict.VerdictResult.Together;
import mussel.core.verdict.VerdictWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a leg came in for, what is seen in the hand, and what the shipped tables make of both. */
class ComplaintAndSeenTest {
    private static final Knowledge SHIPPED = KnowledgeFiles.shipped();
    private static final Tables PLAIN = Tables.of(SHIPPED, Context.empty());
    private static final Tables SPLIT =
            Tables.of(SHIPPED, Context.empty().built(Context.CaseKind.SPLIT, Context.SealLayout.BACK_TO_BACK));
    private static final Tables BOTH_OUT =
            Tables.of(SHIPPED, Context.empty().built(Context.CaseKind.ONE_PIECE, Context.SealLayout.BOTH_OUT));
    private static final VerdictResult NOTHING = judge(PLAIN);

    private static VerdictResult judge(Tables tables, String... pairs) {
        Map<String, String> made = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            made.put(pairs[i], pairs[i + 1]);
        }
        return VerdictEngine.run(tables, new VerdictInput(Optional.empty(), made, 72, List.of(), Map.of()));
    }

    private static Tables broughtFor(Complaint... complaints) {
        return Tables.of(SHIPPED, Context.empty().withComplaint(List.of(complaints)));
    }

    private static double p(VerdictResult out, String cause) {
        return out.cause(cause).orElseThrow().probability();
    }

    private static double goal(VerdictResult out, String goal) {
        return out.decision(goal).orElseThrow().probability();
    }

    private static String head(Tables tables, String... pairs) {
        return new VerdictWords(SHIPPED, tables.context(), judge(tables, pairs), Money.UNSAID).head();
    }

    /** Chipped teeth and what else lies in the hand leave little doubt. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "gear_teeth chipped gears",
                "gear_teeth pitted gears",
                "dog_lugs chipped clutch_dog",
                "lip_profile_driveshaft torn driveshaft_seals",
                "lip_profile_propshaft torn propshaft_seals",
                "journal_groove fingernail shaft_sleeve",
                "propshaft_journal_groove fingernail propshaft_sleeve",
                "washers torn plug_washers",
                "washers missing plug_washers",
                "washers doubled plug_washers",
                "vane_set flattened impeller",
                "rotation_feel seized bearings",
                "fishing_line cut_into_seal propshaft_seals",
                "casting_crack yes case_repair",
                "linkage_measured off linkage"
            })
    void whatIsSeenInTheHandIsSure(String rule) {
        String[] words = rule.split(" ");
        double sure = words[0].equals("casting_crack") || words[0].equals("linkage_measured") ? 0.7 : 0.85;
        assertThat(goal(judge(PLAIN, words[0], words[1]), words[2])).isGreaterThan(sure);
    }

    @Test
    void standingWaterRaisesBearingsAndGearsLess() {
        VerdictResult sludge = judge(PLAIN, "oil_water", "sludge");
        double bearings = p(sludge, "bearing_failure") / p(NOTHING, "bearing_failure");
        double gears = p(sludge, "gear_wear") / p(NOTHING, "gear_wear");
        assertThat(bearings).isGreaterThan(1.5).isGreaterThan(gears);
        assertThat(gears).isGreaterThan(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"rotation_feel seized", "stiff_to_turn locked"})
    void sliversAndASeizedShaftAreTheBearings(String seized) {
        String[] words = seized.split(" ");
        VerdictResult out = judge(PLAIN, "magnet", "slivers", words[0], words[1]);
        assertThat(out.causes().get(0).id()).isEqualTo("bearing_failure");
        assertThat(p(out, "bearing_failure")).isGreaterThan(0.8);
    }

    /** P(streaks or worse | the lip alone) = 1 - base cdf at haze x the lip's cdf at haze. */
    @ParameterizedTest
    @ValueSource(strings = {"driveshaft_oil_lip", "propshaft_oil_lip"})
    void theOilSideLipAloneLetsLittleWaterIn(String lip) {
        Finding water = SHIPPED.finding("oil_water").orElseThrow();
        double base = water.base().get(0) + water.base().get(1);
        List<Double> own = water.given(Context.empty()).get(lip).shares();
        assertThat(1 - base * (own.get(0) + own.get(1))).isLessThan(0.2);
    }

    @Test
    void milkNeverMakesTheOilChangeTheHeadlineWhileALeakIsLikelier() {
        for (String[] seen : new String[][] {
            {"oil_water", "milky"},
            {"oil_water", "haze"},
            {"oil_water", "sludge", "volume_more", "yes"},
            {"oil_water", "streaks", "oil_heat", "darkened"},
            {"free_water_first", "plenty"}
        }) {
            assertThat(head(PLAIN, seen)).as(String.join(" ", seen)).doesNotContain("Oil change");
        }
        assertThat(head(PLAIN, "oil_heat", "darkened", "magnet", "paste", "oil_water", "none"))
                .contains("Oil change");
        assertThat(head(PLAIN, "oil_type", "wrong")).contains("Oil change");
    }

    @Test
    void theWeepingJointOfASplitCaseGetsItsCord() {
        VerdictResult out = judge(SPLIT, "joint_weep", "yes");
        assertThat(goal(out, "carrier_orings")).isGreaterThan(0.8);
        assertThat(goal(out, "case_repair")).isLessThan(0.1);
    }

    @Test
    void aGrooveBelongsToItsOwnShaft() {
        VerdictResult drive = judge(PLAIN, "journal_groove", "fingernail");
        assertThat(p(drive, "propshaft_groove")).isCloseTo(p(NOTHING, "propshaft_groove"), within(1e-9));
        VerdictResult prop = judge(PLAIN, "propshaft_journal_groove", "fingernail");
        assertThat(p(prop, "shaft_groove")).isCloseTo(p(NOTHING, "shaft_groove"), within(1e-9));
        VerdictResult bubbles = judge(PLAIN, "pressure_hold", "slow", "bubbles_propshaft", "yes");
        assertThat(p(bubbles, "propshaft_groove")).isGreaterThan(p(NOTHING, "propshaft_groove"));
    }

    @Test
    void withBothLipsOutwardTheyAreInnerAndOuterAndNothingTellsThemApart() {
        Context both = BOTH_OUT.context();
        assertThat(SHIPPED.causes())
                .filteredOn(c -> c.id().endsWith("_lip"))
                .extracting(c -> c.title(both))
                .containsExactly(
                        "Driveshaft seal, inner lip",
                        "Driveshaft seal, outer lip",
                        "Propeller shaft seal, inner lip",
                        "Propeller shaft seal, outer lip");
        assertThat(SHIPPED.causes())
                .filteredOn(c -> c.id().endsWith("_lip"))
                .extracting(c -> c.title(Context.empty()))
                .allMatch(t -> t.endsWith("-side lip"));
        for (String[] seen : new String[][] {
            {"vacuum_hold", "fast"},
            {"vacuum_hold", "slow", "pressure_hold", "tight"},
            {"oil_water", "milky", "vacuum_hold", "fast"}
        }) {
            VerdictResult out = judge(BOTH_OUT, seen);
            for (String pair : List.of("driveshaft", "propshaft")) {
                double inner = odds(p(out, pair + "_oil_lip")) / odds(p(NOTHING, pair + "_oil_lip"));
                double outer = odds(p(out, pair + "_water_lip")) / odds(p(NOTHING, pair + "_water_lip"));
                assertThat(inner / outer).as(pair).isCloseTo(1, within(0.05));
            }
            assertThat(new VerdictWords(SHIPPED, both, out, Money.UNSAID).lipSide())
                    .isEmpty();
        }
    }

    private static double odds(double p) {
        return p / (1 - p);
    }

    static Stream<Cause> causes() {
        return SHIPPED.causes().stream();
    }

    @ParameterizedTest
    @MethodSource("causes")
    void anythingConfirmedOnTheSisterLegRaisesItHere(Cause cause) {
        Context twin = new Context(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(cause.id()),
                List.of(),
                Optional.empty(),
                OptionalDouble.empty());
        assertThat(cause.prior(twin)).isGreaterThan(cause.prior());
        SHIPPED.causes().stream().filter(c -> c != cause).forEach(c -> assertThat(c.prior(twin))
                .isEqualTo(c.prior()));
    }

    private static final Set<String> COOLING = Set.of(
            "telltale_tank",
            "telltale_cups",
            "flow_ratio",
            "flow_drops_at_speed",
            "hot_at_speed",
            "hot_at_idle",
            "vane_tips",
            "vane_set",
            "hub_bond",
            "plate_groove",
            "telltale_probe",
            "intake_look",
            "tube_seat",
            "exhaust_bead",
            "thermostat_test",
            "pump_key");

    private static boolean shifting(String finding) {
        return SHIPPED.finding(finding).orElseThrow().given().stream()
                .anyMatch(s -> Set.of("linkage_off", "dog_wear", "gear_wear").contains(s.cause()));
    }

    @ParameterizedTest
    @EnumSource(
            value = Complaint.class,
            names = {"HOT", "WEAK_STREAM"})
    void aLegThatCameInHotIsLookedAtOnItsCoolingSide(Complaint complaint) {
        List<String> looks = looks(broughtFor(complaint));
        assertThat(COOLING).as(looks.toString()).contains(looks.get(0));
        assertThat(looks.subList(0, 8).stream().filter(COOLING::contains).count())
                .as(looks.toString())
                .isGreaterThanOrEqualTo(5);
    }

    private static List<String> looks(Tables tables, String... pairs) {
        return judge(tables, pairs).checks().stream().map(Check::finding).toList();
    }

    @Test
    void oneThatWillNotEngageIsLookedAtWhereItShifts() {
        for (String finding : List.of("will_not_engage", "jumps_out_of_gear")) {
            String worst = finding.equals("will_not_engage") ? "both" : "always";
            assertThat(looks(PLAIN, finding, worst).get(0)).isEqualTo("linkage_measured");
        }
        for (List<String> looks : List.of(
                looks(broughtFor(Complaint.GEAR_TROUBLE)),
                looks(broughtFor(Complaint.GEAR_TROUBLE), "will_not_engage", "both"),
                looks(broughtFor(Complaint.GEAR_TROUBLE), "jumps_out_of_gear", "always"))) {
            assertThat(shifting(looks.get(0))).as(looks.toString()).isTrue();
            assertThat(looks.subList(0, 8).stream()
                            .filter(ComplaintAndSeenTest::shifting)
                            .count())
                    .as(looks.toString())
                    .isGreaterThanOrEqualTo(5);
        }
    }

    @Test
    void oneWithWaterInItsOilAsBefore() {
        VerdictResult out = judge(broughtFor(Complaint.WATER_IN_OIL));
        assertThat(out.checks().stream().limit(3).map(Check::access)).doesNotContain("pump_off", "leg_open");
        assertThat(out.checks().get(0).finding()).isEqualTo("oil_water");
        assertThat(goal(out, "driveshaft_seals")).isGreaterThan(goal(NOTHING, "driveshaft_seals"));
    }

    @Test
    void serviceMovesNoneAndALookSaysWhatItIsFor() {
        assertThat(judge(broughtFor(Complaint.SERVICE)).causes())
                .allSatisfy(c -> assertThat(c.prior()).isCloseTo(p(NOTHING, c.id()), within(1e-12)));
        assertThat(NOTHING.checks()).allMatch(c -> c.bearing() == Bearing.BESIDE);
        List<Check> hot = judge(broughtFor(Complaint.HOT)).checks();
        assertThat(hot)
                .filteredOn(c -> c.finding().equals("intake_look"))
                .extracting(Check::bearing)
                .containsExactly(Bearing.COMPLAINT);
        assertThat(hot)
                .filteredOn(c -> c.finding().equals("washers"))
                .extracting(Check::bearing)
                .containsExactly(Bearing.BESIDE);
        assertThat(p(judge(broughtFor(Complaint.HOT, Complaint.WATER_IN_OIL)), "plug_washers"))
                .as("several may be picked")
                .isGreaterThan(p(NOTHING, "plug_washers"));
    }

    @Test
    void theNextLookIsForTheComplaintFirst() {
        Tables hot = broughtFor(Complaint.HOT);
        VerdictWords words = new VerdictWords(SHIPPED, hot.context(), judge(hot), Money.UNSAID);
        Together next = words.advised().orElseThrow();
        assertThat(COOLING).as(words.next()).contains(next.findings().get(0));
        assertThat(words.next())
                .contains(SHIPPED.finding(next.findings().get(0)).orElseThrow().title());
        Tables trouble = broughtFor(Complaint.GEAR_TROUBLE);
        Together first = new VerdictWords(SHIPPED, trouble.context(), judge(trouble), Money.UNSAID)
                .advised()
                .orElseThrow();
        assertThat(SHIPPED.access(first.access()).orElseThrow().stripDown())
                .as("the case can still be opened after")
                .isFalse();
    }

    /** Opening the plugs buys what lies behind them: no single look pays the eight minutes, and together they do. */
    @Test
    void looksThatShareASetUpAreValuedTogether() {
        Together plugs = NOTHING.together().stream()
                .filter(t -> t.access().equals("drain"))
                .findFirst()
                .orElseThrow();
        double best = NOTHING.checks().stream()
                .filter(c -> c.access().equals("drain"))
                .mapToDouble(Check::saves)
                .max()
                .orElseThrow();
        assertThat(plugs.findings()).hasSize(3);
        assertThat(plugs.saves()).isGreaterThan(best);
        assertThat(plugs.minutes()).isCloseTo(8 + 3, within(1e-9));
        Together tester = judge(PLAIN, "oil_water", "milky").together().stream()
                .filter(t -> t.access().equals("hold"))
                .findFirst()
                .orElseThrow();
        assertThat(tester.findings()).startsWith("pressure_hold").contains("vacuum_hold");
        assertThat(tester.minutes())
                .as("a look behind a closed gate is made only when a hold leaks")
                .isBetween(10 + 8 + 8.0, 10 + 8 + 8 + 1.0);
    }

    @Test
    void costsAreHoursOfTheRateSoThatEveryDecisionIsTheSameAtAnyRate() {
        for (double rate : new double[] {40, 80, 150, 1_500}) {
            VerdictResult out = VerdictEngine.run(
                    PLAIN, new VerdictInput(Optional.empty(), Map.of("oil_water", "milky"), rate, List.of(), Map.of()));
            double seals = SHIPPED.goal("driveshaft_seals").orElseThrow().marginalCost();
            assertThat(out.decision("driveshaft_seals").orElseThrow().expectedCostDo())
                    .isEqualTo(seals * rate);
            assertThat(out.checks())
                    .extracting(Check::finding)
                    .isEqualTo(judge(PLAIN, "oil_water", "milky").checks().stream()
                            .map(Check::finding)
                            .toList());
        }
    }
}
