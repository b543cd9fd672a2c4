package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import mussel.core.verdict.Cause;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.core.verdict.VerdictResult.CauseBelief;
import mussel.core.verdict.VerdictResult.Check;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What must hold of the tables that ship, rule by rule, and that the quick posterior equals the long way round. */
class VerdictOfShippedTablesTest {
    private static final Knowledge SHIPPED = KnowledgeFiles.shipped();
    private static final Tables PLAIN = Tables.of(SHIPPED, Context.empty());
    private static final Tables BOTH_OUT = Tables.of(SHIPPED, sealed(Context.SealLayout.BOTH_OUT));
    private static final List<String> LIVE = List.of(
            "driveshaft_oil_lip",
            "driveshaft_water_lip",
            "propshaft_oil_lip",
            "propshaft_water_lip",
            "shift_seal",
            "plug_washers",
            "carrier_orings",
            "shaft_groove",
            "propshaft_groove",
            "case_leak");

    private static Context sealed(Context.SealLayout layout) {
        return Context.empty().built(Context.CaseKind.ONE_PIECE, layout);
    }

    private static Map<String, String> made(String... pairs) {
        Map<String, String> made = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            made.put(pairs[i], pairs[i + 1]);
        }
        return made;
    }

    private static VerdictResult judge(Tables tables, Map<String, String> findings, double labour) {
        return VerdictEngine.run(tables, new VerdictInput(Optional.empty(), findings, labour, List.of(), Map.of()));
    }

    private static VerdictResult judge(String... pairs) {
        return judge(PLAIN, made(pairs), 80);
    }

    private static double p(VerdictResult out, String cause) {
        return out.cause(cause).orElseThrow().probability();
    }

    private static double goal(VerdictResult out, String goal) {
        return out.decision(goal).orElseThrow().probability();
    }

    private static double odds(double p) {
        return p / (1 - p);
    }

    private static final VerdictResult NOTHING = judge();

    @Test
    void withoutFindingsEveryPosteriorIsItsPrior() {
        assertThat(NOTHING.causes()).hasSize(SHIPPED.causes().size()).allSatisfy(c -> {
            assertThat(c.probability()).isCloseTo(c.prior(), within(1e-12));
            assertThat(c.prior()).isEqualTo(SHIPPED.cause(c.id()).orElseThrow().prior());
        });
        assertThat(NOTHING.surpriseBits()).isZero();
    }

    @Test
    void oilSidePumpSideAndPropellerAreGroupsOfTheirOwn() {
        assertThat(PLAIN.causesByGroup()).extracting(List::size).containsExactlyInAnyOrder(19, 8, 2, 1);
    }

    private static List<String> looks(Tables tables, String... pairs) {
        return judge(tables, made(pairs), 80).checks().stream()
                .map(VerdictResult.Check::finding)
                .toList();
    }

    private static Tables caseOf(Context.CaseKind kind) {
        return Tables.of(SHIPPED, Context.empty().built(kind, Context.SealLayout.BACK_TO_BACK));
    }

    /** No joint of a one-piece case, nothing that ran out first after the drain, no growl of a seized leg, no vacuum into a full case. */
    @Test
    void onlyLooksThatCanBeMadeAreOffered() {
        assertThat(looks(caseOf(Context.CaseKind.ONE_PIECE))).doesNotContain("joint_weep");
        assertThat(looks(caseOf(Context.CaseKind.SPLIT))).contains("joint_weep");
        assertThat(looks(PLAIN)).as("what is not known forbids nothing").contains("joint_weep", "free_water_first");
        assertThat(looks(PLAIN, "oil_water", "milky")).doesNotContain("free_water_first");
        assertThat(looks(PLAIN, "magnet", "paste")).doesNotContain("free_water_first");
        assertThat(looks(PLAIN)).contains("growl", "knock", "jumps_out_of_gear", "will_not_engage");
        for (String[] stuck : new String[][] {{"rotation_feel", "seized"}, {"stiff_to_turn", "locked"}}) {
            assertThat(looks(PLAIN, stuck))
                    .doesNotContain("growl", "knock", "jumps_out_of_gear", "will_not_engage")
                    .contains("shaft_play");
        }
        assertThat(looks(PLAIN)).contains("pressure_hold").doesNotContain("vacuum_hold");
        assertThat(looks(PLAIN, "oil_water", "milky")).contains("vacuum_hold");
        VerdictResult open =
                VerdictEngine.run(PLAIN, new VerdictInput(Optional.empty(), Map.of(), 80, List.of("drain"), Map.of()));
        assertThat(open.checks()).extracting(VerdictResult.Check::finding).contains("vacuum_hold");
        assertThat(SHIPPED.finding("hot_at_speed").orElseThrow().access())
                .as("on cups it may only idle")
                .isEqualTo("underway");
        double without = p(judge("oil_water", "milky"), "carrier_orings");
        assertThat(p(
                        judge(caseOf(Context.CaseKind.ONE_PIECE), made("oil_water", "milky", "joint_weep", "yes"), 80),
                        "carrier_orings"))
                .as("one that is given all the same counts")
                .isGreaterThan(without);
    }

    /** By what a leg that will not take a gear, or sits stiff, is brought for. */
    @Test
    void shiftTroublePointsAtLinkageDogAndGears() {
        VerdictResult will = judge("will_not_engage", "both");
        assertThat(p(will, "linkage_off")).isGreaterThan(0.5);
        assertThat(p(judge("will_not_engage", "both", "linkage_measured", "right"), "dog_wear"))
                .isGreaterThan(p(will, "dog_wear"));
        assertThat(p(judge("linkage_measured", "off"), "linkage_off")).isGreaterThan(0.6);
        assertThat(looks(PLAIN, "oil_water", "milky"))
                .as("nobody measures the linkage of a leg that shifts")
                .doesNotContain("linkage_measured");
        assertThat(p(judge("stiff_to_turn", "locked"), "bearing_failure"))
                .isGreaterThan(10 * p(NOTHING, "bearing_failure"));
        VerdictResult seized = judge("magnet", "slivers", "stiff_to_turn", "locked", "rotation_feel", "seized");
        assertThat(p(seized, "bearing_failure")).isGreaterThan(0.8);
        assertThat(seized.causes().get(0).id()).isEqualTo("bearing_failure");
    }

    static Stream<Finding> findings() {
        return SHIPPED.findings().stream();
    }

    @ParameterizedTest
    @MethodSource("findings")
    void theLastOutcomeNeverLowersACauseListedUnderIt(Finding finding) {
        VerdictResult out =
                judge(finding.id(), finding.outcomes().get(finding.outcomes().size() - 1));
        finding.given().forEach(s -> assertThat(p(out, s.cause()))
                .as(finding.id() + " on " + s.cause())
                .isGreaterThanOrEqualTo(p(NOTHING, s.cause()) - 1e-12));
    }

    private static Map<String, String> halfAnswered(Random random, List<Finding> among) {
        Map<String, String> made = new LinkedHashMap<>();
        for (Finding finding : among) {
            boolean twice = finding.id().equals("volume_less") && "yes".equals(made.get("volume_more"));
            if (random.nextBoolean() && !twice) {
                made.put(
                        finding.id(),
                        finding.outcomes().get(random.nextInt(finding.outcomes().size())));
            }
        }
        return made;
    }

    private static Map<String, String> counted(Map<String, String> made) {
        Map<String, String> counted = new LinkedHashMap<>(made);
        counted.keySet().removeIf(id -> {
            Finding f = SHIPPED.finding(id).orElseThrow();
            return f.outcomes().get(0).equals(made.get(id)) && !f.open(made);
        });
        return counted;
    }

    @Property(tries = 12)
    void thePosteriorEqualsTheLongWayRound(@ForAll long seed) {
        Random random = new Random(seed);
        Tables tables = random.nextBoolean() ? PLAIN : BOTH_OUT;
        Map<String, String> made = halfAnswered(random, SHIPPED.findings());
        VerdictResult out = judge(tables, made, 80);
        double together = 0;
        for (List<String> group : tables.causesByGroup()) {
            Map<String, String> mine = counted(made);
            mine.keySet().removeIf(id -> SHIPPED.finding(id).orElseThrow().given().stream()
                    .noneMatch(s -> group.contains(s.cause())));
            BruteForce brute = new BruteForce(SHIPPED, tables.context(), group, mine);
            brute.posterior()
                    .forEach((cause, expected) ->
                            assertThat(p(out, cause)).as(cause).isCloseTo(expected, within(1e-9)));
            together += Math.log(brute.total()) / Math.log(2);
        }
        double apart = counted(made).entrySet().stream()
                .mapToDouble(e -> Math.log(new BruteForce(
                                        SHIPPED,
                                        tables.context(),
                                        SHIPPED.finding(e.getKey()).orElseThrow().given().stream()
                                                .map(Finding.Share::cause)
                                                .toList(),
                                        Map.of(e.getKey(), e.getValue()))
                                .total())
                        / Math.log(2))
                .sum();
        assertThat(out.surpriseBits()).isCloseTo(apart - together, within(1e-6));
        assertThat(out.causes())
                .allSatisfy(c -> assertThat(c.probability()).isBetween(0.0, 1.0).isFinite());
    }

    @Property(tries = 6)
    void evidenceIsTheOddsWithOverTheOddsWithout(@ForAll long seed) {
        Random random = new Random(seed);
        Map<String, String> made = counted(halfAnswered(random, SHIPPED.findings()));
        VerdictResult all = judge(PLAIN, made, 80);
        List<String> ids = new ArrayList<>(made.keySet());
        String dropped = ids.get(random.nextInt(ids.size()));
        boolean opensAGate = SHIPPED.findings().stream()
                .flatMap(f -> f.gate().stream())
                .anyMatch(g -> g.finding().equals(dropped));
        if (opensAGate) {
            return;
        }
        Map<String, String> fewer = new LinkedHashMap<>(made);
        fewer.remove(dropped);
        VerdictResult without = judge(PLAIN, fewer, 80);
        for (CauseBelief c : all.causes()) {
            double expected = Math.log(odds(c.probability()) / odds(p(without, c.id()))) / Math.log(2);
            c.evidence().stream().filter(e -> e.finding().equals(dropped)).forEach(e -> assertThat(e.bits())
                    .isCloseTo(expected, within(1e-6)));
        }
    }

    @Test
    void explainingAway() {
        VerdictResult milk = judge("oil_water", "milky");
        for (String[] way : new String[][] {
            {"bubbles_driveshaft", "driveshaft_seals", "propshaft_seals"},
            {"bubbles_propshaft", "propshaft_seals", "driveshaft_seals"}
        }) {
            double before = goal(NOTHING, way[2]);
            double risen = goal(milk, way[2]);
            assertThat(risen).isGreaterThanOrEqualTo(before * 1.5);
            double after = goal(judge("oil_water", "milky", way[0], "yes"), way[2]);
            assertThat(risen - after).isGreaterThanOrEqualTo((risen - before) / 3);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"doubled", "torn"})
    void badWashersWithHazeAndTightHoldsLead(String washers) {
        VerdictResult out =
                judge("washers", washers, "oil_water", "haze", "pressure_hold", "tight", "vacuum_hold", "tight");
        assertThat(out.causes().get(0).id()).isEqualTo("plug_washers");
        assertThat(goal(out, "driveshaft_seals")).isLessThan(0.2);
        assertThat(goal(out, "propshaft_seals")).isLessThan(0.2);
    }

    @ParameterizedTest
    @ValueSource(strings = {"driveshaft", "propshaft"})
    void eachHoldSpeaksOfItsOwnLip(String pair) {
        String goal = pair + "_seals";
        double before = odds(goal(NOTHING, goal));
        for (Tables tables : List.of(PLAIN, Tables.of(SHIPPED, sealed(Context.SealLayout.BACK_TO_BACK)))) {
            VerdictResult pressure = judge(tables, made("pressure_hold", "tight"), 80);
            assertThat(odds(goal(pressure, goal)) / before).isGreaterThanOrEqualTo(0.25);
            VerdictResult both = judge(tables, made("pressure_hold", "tight", "vacuum_hold", "tight"), 80);
            assertThat(odds(goal(both, goal)) / before).isLessThan(0.1);
            VerdictResult oilSide = judge(tables, made("pressure_hold", "slow", "vacuum_hold", "tight"), 80);
            assertThat(p(oilSide, pair + "_oil_lip")).isGreaterThan(p(oilSide, pair + "_water_lip"));
            VerdictResult waterSide = judge(tables, made("pressure_hold", "tight", "vacuum_hold", "fast"), 80);
            assertThat(p(waterSide, pair + "_water_lip")).isGreaterThan(p(waterSide, pair + "_oil_lip"));
        }
        for (String[] holds : new String[][] {{"slow", "tight"}, {"tight", "slow"}, {"fast", "fast"}}) {
            VerdictResult out = judge(BOTH_OUT, made("pressure_hold", holds[0], "vacuum_hold", holds[1]), 80);
            double oil = odds(p(out, pair + "_oil_lip")) / odds(p(NOTHING, pair + "_oil_lip"));
            double water = odds(p(out, pair + "_water_lip")) / odds(p(NOTHING, pair + "_water_lip"));
            assertThat(oil / water).isCloseTo(1, within(0.05));
        }
    }

    @Test
    void darkOilWithPasteIsAge() {
        VerdictResult out = judge("oil_heat", "darkened", "magnet", "paste", "oil_water", "none", "washers", "sound");
        assertThat(out.causes().get(0).id()).isEqualTo("oil_aged");
        assertThat(p(out, "oil_aged")).isGreaterThan(0.5);
        assertThat(goal(out, "driveshaft_seals")).isLessThan(0.15);
        assertThat(goal(out, "propshaft_seals")).isLessThan(0.15);
    }

    @Test
    void theTelltale() {
        VerdictResult cups = judge("telltale_cups", "none", "telltale_tank", "strong");
        PLAIN.causesByGroup().stream()
                .filter(g -> g.contains("telltale_blocked"))
                .flatMap(List::stream)
                .forEach(c -> assertThat(p(cups, c)).as(c).isLessThanOrEqualTo(p(NOTHING, c) + 1e-12));
        VerdictResult cool = judge("telltale_tank", "none", "hot_at_speed", "no", "hot_at_idle", "no");
        for (String pump : List.of("impeller_worn", "impeller_set", "pump_body_worn", "impeller_slipping")) {
            assertThat(p(cool, "telltale_blocked")).isGreaterThan(p(cool, pump));
        }
    }

    @Test
    void waterBackSoonIsALiveLeak() {
        VerdictResult out = judge("water_back_after_refill", "yes");
        double none = LIVE.stream().mapToDouble(c -> 1 - p(out, c)).reduce(1, (a, b) -> a * b);
        assertThat((1 - none) / p(out, "water_by_handling")).isGreaterThanOrEqualTo(10);
        Map<String, String> made = made("water_back_after_refill", "yes", "oil_water", "haze");
        VerdictResult haze = judge(PLAIN, made, 80);
        assertThat(p(haze, "water_by_handling")).isLessThan(0.5);
    }

    @ParameterizedTest
    @ValueSource(strings = {"slivers", "chips"})
    void chipsAndSliversAreGearsOrBearingsWhateverTheOilLooksLike(String metal) {
        for (String water : SHIPPED.finding("oil_water").orElseThrow().outcomes()) {
            for (String heat : SHIPPED.finding("oil_heat").orElseThrow().outcomes()) {
                for (String sheen : SHIPPED.finding("oil_metal").orElseThrow().outcomes()) {
                    VerdictResult out =
                            judge("magnet", metal, "oil_water", water, "oil_heat", heat, "oil_metal", sheen);
                    double neither = (1 - p(out, "gear_wear")) * (1 - p(out, "bearing_failure"));
                    assertThat(1 - neither).as(water + heat + sheen).isGreaterThan(0.5);
                }
            }
        }
    }

    @Test
    void eachMechanicalFaultHasItsVoice() {
        VerdictResult growl = judge("rotation_feel", "gritty", "growl", "yes");
        assertThat(p(growl, "bearing_failure"))
                .isGreaterThan(p(growl, "gear_wear"))
                .isGreaterThan(0.5);
        VerdictResult knock = judge("knock", "yes", "magnet", "chips");
        assertThat(p(knock, "gear_wear"))
                .isGreaterThan(p(knock, "bearing_failure"))
                .isGreaterThan(0.5);
        VerdictResult jumps = judge("jumps_out_of_gear", "always");
        assertThat(p(jumps, "dog_wear")).isGreaterThan(p(jumps, "gear_wear")).isGreaterThan(0.5);
        VerdictResult square = judge("jumps_out_of_gear", "always", "dog_lugs", "square");
        assertThat(p(square, "linkage_off"))
                .isGreaterThan(p(square, "dog_wear"))
                .isGreaterThan(0.5);
    }

    @ParameterizedTest
    @ValueSource(doubles = {40, 60, 80, 110, 150})
    void withMilkTheFirstLooksNeedNoStripDown(double labour) {
        VerdictResult out = judge(PLAIN, made("oil_water", "milky"), labour);
        List<String> first = out.checks().stream().limit(3).map(Check::access).toList();
        assertThat(first).doesNotContain("pump_off", "leg_open");
        assertThat(out.checks().get(0).value()).isPositive();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "oil_type wrong oil_change",
                "joint_weep yes carrier_orings",
                "hub_bond slipped impeller",
                "pump_key sheared impeller",
                "prop_hub_oil running propshaft_seals",
                "shift_shaft_oil running shift_seal",
                "ring_under_impeller ring driveshaft_seals",
                "plug_drip yes plug_washers"
            })
    void aSeenFaultIsNearCertain(String rule) {
        String[] words = rule.split(" ");
        assertThat(goal(judge(words[0], words[1]), words[2])).isGreaterThan(0.8);
    }

    @Test
    void aClosedGateIgnoresWhatOnlyRepeatsTheHold() {
        VerdictResult tight = judge("pressure_hold", "tight", "bubbles_driveshaft", "no");
        VerdictResult same = judge("pressure_hold", "tight");
        assertThat(p(tight, "driveshaft_oil_lip")).isEqualTo(p(same, "driveshaft_oil_lip"));
        assertThat(same.checks()).extracting(Check::finding).doesNotContain("bubbles_driveshaft", "flow_ratio");
        assertThat(judge("pressure_hold", "slow").checks())
                .extracting(Check::finding)
                .contains("bubbles_driveshaft", "worse_side_load");
        VerdictResult seen = judge("pressure_hold", "tight", "bubbles_driveshaft", "yes");
        assertThat(p(seen, "driveshaft_oil_lip")).isGreaterThan(p(same, "driveshaft_oil_lip"));
    }

    @Test
    void findingsThatContradictEachOtherAreNamed() {
        VerdictResult out = judge(
                "pressure_hold",
                "tight",
                "vacuum_hold",
                "tight",
                "bubbles_driveshaft",
                "yes",
                "prop_hub_oil",
                "running",
                "oil_water",
                "none",
                "free_water_first",
                "none",
                "ring_under_impeller",
                "none");
        assertThat(out.surpriseBits()).isGreaterThan(VerdictResult.CONTRADICTION_BITS);
        assertThat(out.surprisedBy()).hasValueSatisfying(f -> assertThat(f).isIn("prop_hub_oil", "bubbles_driveshaft"));
        assertThat(judge("oil_water", "milky", "free_water_first", "plenty").surprisedBy())
                .isEmpty();
    }

    @Test
    void whatIsOpenCostsItsSetUpNoMore() {
        VerdictInput shut = new VerdictInput(Optional.empty(), Map.of(), 80, List.of(), Map.of());
        VerdictInput open = new VerdictInput(Optional.empty(), Map.of(), 80, List.of("pump_off"), Map.of());
        assertThat(minutes(shut, "vane_tips")).isEqualTo(36);
        assertThat(minutes(open, "vane_tips")).isEqualTo(1);
        assertThat(minutes(shut, "pressure_hold")).isEqualTo(18);
    }

    private static double minutes(VerdictInput in, String finding) {
        return VerdictEngine.run(PLAIN, in).checks().stream()
                .filter(c -> c.finding().equals(finding))
                .findFirst()
                .orElseThrow()
                .minutes();
    }

    @Test
    void everyNumberHasItsReason() {
        assertThat(SHIPPED.causes()).extracting(Cause::why).allMatch(w -> w.length() > 8);
        assertThat(SHIPPED.findings()).allSatisfy(f -> {
            assertThat(f.why()).isNotBlank();
            assertThat(f.given()).extracting(Finding.Share::why).allMatch(w -> w.length() > 4);
        });
    }

    @Test
    void theGainOfALookIsNeverNegativeAndTheLooksAreSorted() {
        VerdictResult out = judge("oil_water", "streaks", "washers", "flattened");
        assertThat(out.checks()).allMatch(c -> c.gainBits() > -1e-12 && c.saves() > -1e-9);
        double[] values = out.checks().stream().mapToDouble(Check::value).toArray();
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        for (int i = 0; i < values.length; i++) {
            assertThat(values[i]).isEqualTo(sorted[values.length - 1 - i]);
        }
    }
}
