package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.measure.NamedBy;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planner;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.exchange.record.Read;
import org.junit.jupiter.api.Test;

/** Rules of the bench for the steps of a leg that no file describes, each with a leg beside it whose steps stay as they were. */
class StepRulesTest {
    private static final Library LIBRARY = Library.shipped();
    private static final Pattern SIZED = Pattern.compile("(spanner|bit) \\d+ mm");

    private static SpecSheet leg(Size size, Map<String, String> given) {
        ObjectNode sheet = JsonNodeFactory.instance
                .objectNode()
                .put("format", "mussel-sheet/2")
                .put("title", "Nameless")
                .put("size", NamedBy.file(size));
        ObjectNode features = sheet.putObject("features");
        given.forEach(features::put);
        Read<SpecSheet> made = Expansion.expand(sheet, LIBRARY);
        assertThat(made.problems()).isEmpty();
        return made.value().orElseThrow();
    }

    private static String text(Step step) {
        return String.join(" ", List.of(step.title(), step.detail(), step.ask(), step.school())) + " "
                + String.join(" ", step.cautions()) + " " + String.join(" ", step.tools());
    }

    private static String text(SpecSheet sheet, Predicate<Step> of) {
        return sheet.steps().stream().filter(of).map(StepRulesTest::text).collect(Collectors.joining("\n"));
    }

    private static boolean joint(Step step) {
        return step.id().startsWith("leg_");
    }

    @Test
    void whichNutFreesTheJointIsAskedAndNeverSaidOfALegNobodyReadTheManualOf() {
        SpecSheet unread = leg(Size.MID, Map.of("linkage", "nut_pair"));
        String open = text(unread.step("linkage_open").orElseThrow());
        assertThat(open)
                .contains("find out before anything turns", "measure the thread that shows")
                .doesNotContain("Undo the lower nut", "Undo the upper nut");
        assertThat(text(unread.step("linkage_close").orElseThrow())).doesNotContain("Lower nut", "upper nut");
        assertThat(text(leg(Size.MID, Map.of("linkage", "nut_pair", "freeing_nut", "upper"))
                        .step("linkage_open")
                        .orElseThrow()))
                .contains("Undo the upper nut only");
        assertThat(LIBRARY.feature("freeing_nut").orElseThrow().asked(Map.of("linkage", "rod_clamp")))
                .as("a clamp has no such question")
                .isFalse();
    }

    @Test
    void boltsAreBoltsWhereBoltsWereAnswered() {
        for (Size size : Size.values()) {
            assertThat(text(leg(size, Map.of("joint", "bolts")), StepRulesTest::joint))
                    .as(size.name())
                    .doesNotContainPattern("(?i)\\bnuts?\\b|\\bstuds?\\b|locknut");
            assertThat(text(leg(size, Map.of("joint", "studs")), StepRulesTest::joint))
                    .as(size.name())
                    .contains("nut");
        }
    }

    @Test
    void engineOilComesOutFirstForTheReasonThatWasAnswered() {
        String laid = text(leg(Size.PORTABLE, Map.of("engine_oil_first", "true"))
                .step("engine_oil_out")
                .orElseThrow());
        String above = text(leg(Size.LARGE, Map.of("engine_oil_first", "sump_above"))
                .step("engine_oil_out")
                .orElseThrow());
        assertThat(laid).contains("floods its cylinder").doesNotContain("sump stands");
        assertThat(above).contains("sump stands above the joint").doesNotContain("set");
        assertThat(leg(Size.LARGE, Map.of("engine_oil_first", "false")).step("engine_oil_out"))
                .isEmpty();
    }

    @Test
    void aSplitCaseIsTurnedOverOnTheBenchBeforeItsHalfComesOff() {
        SpecSheet split = leg(Size.PORTABLE, Map.of("case", "split_skeg"));
        List<String> plan = Planner.plan(split, List.of("propshaft_seals")).steps().stream()
                .map(s -> s.step().id())
                .toList();
        assertThat(plan).containsSubsequence("leg_drop", "leg_stand", "prop_carrier_out", "shift_felt");
        assertThat(text(split.step("prop_carrier_out").orElseThrow())).contains("upside down", "hanging");
        assertThat(Planner.plan(split, List.of("propshaft_seals")).parts())
                .extracting(p -> p.part().part())
                .contains("shaft_housing_oring");
        SpecSheet whole = leg(Size.PORTABLE, Map.of("propshaft_carrier", "bolts"));
        assertThat(Planner.plan(whole, List.of("propshaft_seals")).steps())
                .extracting(s -> s.step().id())
                .doesNotContain("leg_drop");
        assertThat(whole.part("shaft_housing_oring")).isEmpty();
    }

    @Test
    void sealsPressedIntoTheCaseGoInByATubeAndNoPress() {
        Step pressed = leg(Size.MID, Map.of("seal_carrier", "pressed"))
                .step("seals_in")
                .orElseThrow();
        assertThat(text(pressed)).contains("tube over the shaft", "tape over the spline", "stop at its depth");
        assertThat(pressed.tools()).doesNotContain("arbor press");
        assertThat(leg(Size.MID, Map.of("seal_carrier", "bolted"))
                        .step("seals_in")
                        .orElseThrow()
                        .tools())
                .contains("arbor press");
    }

    @Test
    void theExhaustsSealantStandsWhereverTheFeatureSaysSo() {
        for (String drive : List.of("pin", "splines")) {
            Step grease = leg(Size.PORTABLE, Map.of("drive", drive, "exhaust_bead", "true"))
                    .step("spline_grease")
                    .orElseThrow();
            assertThat(grease.consumables()).as(drive).contains("exhaust sealant");
            assertThat(grease.cureMin()).as(drive).isPositive();
        }
        assertThat(leg(Size.PORTABLE, Map.of("exhaust_bead", "false"))
                        .step("spline_grease")
                        .orElseThrow()
                        .cureMin())
                .isZero();
    }

    @Test
    void whatFollowsFromAnAnswerIsNotAsked() {
        Feature tab = LIBRARY.feature("trim_tab").orElseThrow();
        assertThat(tab.asked(Map.of())).isTrue();
        assertThat(tab.asked(Map.of("hidden_fastener", "under_tab"))).isFalse();
        assertThat(tab.followsFrom(Map.of("hidden_fastener", "under_tab"))).contains("true");
        assertThat(LIBRARY.feature("case").orElseThrow().asked(Map.of("propshaft_carrier", "halves")))
                .isFalse();
    }

    @Test
    void ofFiveHundredRandomLegsNoStepNamesWhatTheAnswersDoNotGiveAndThePlansKeepTheirOrder() {
        SplittableRandom random = new SplittableRandom(3500);
        for (int i = 0; i < 500; i++) {
            Map<String, String> given = given(random);
            SpecSheet sheet = leg(Size.values()[random.nextInt(Size.values().length)], given);
            for (Step step : sheet.steps()) {
                String says = text(step);
                assertThat(says).as("%s %s", given, step.id()).doesNotContain("{", "}");
                assertThat(SIZED.matcher(says).find())
                        .as("a size that nobody typed: %s %s", given, says)
                        .isFalse();
                if (step.phase() == Phase.BUILD || step.phase() == Phase.PROVE) {
                    assertThat(says).as("asked on the way in only").doesNotContain("Look whether");
                }
            }
            if ("bolts".equals(given.get("joint"))) {
                assertThat(text(sheet, StepRulesTest::joint)).doesNotContainPattern("(?i)\\bnuts?\\b|\\bstuds?\\b");
            }
            if (!given.containsKey("freeing_nut")) {
                assertThat(text(sheet, s -> s.id().startsWith("linkage_")))
                        .doesNotContain("Undo the lower nut", "Undo the upper nut");
            }
            ordered(sheet, given, random);
        }
    }

    private static Map<String, String> given(SplittableRandom random) {
        Map<String, String> given = new HashMap<>();
        for (Feature feature : LIBRARY.features()) {
            if (random.nextInt(3) > 0 && feature.asked(given)) {
                given.put(
                        feature.id(),
                        feature.answers()
                                .get(random.nextInt(feature.answers().size()))
                                .id());
            }
        }
        return given;
    }

    private static void ordered(SpecSheet sheet, Map<String, String> given, SplittableRandom random) {
        List<String> goals = new ArrayList<>();
        sheet.goals().stream().filter(g -> random.nextInt(4) == 0).forEach(g -> goals.add(g.id()));
        List<String> plan = Planner.plan(sheet, goals).steps().stream()
                .map(PlannedStep::step)
                .map(Step::id)
                .toList();
        before(plan, "lash_check", "seals_in", given);
        before(plan, "lash_check", "prop_seals_in", given);
        before(plan, "shift_felt", "fill_up", given);
        before(plan, "prop_carrier_in", "shift_felt", given);
        before(plan, "oil_out", "carrier_off", given);
        before(plan, "leg_drop", "housing_off", given);
        before(plan, "leg_up", "fill_up", given);
    }

    private static void before(List<String> plan, String one, String other, Map<String, String> given) {
        if (plan.contains(one) && plan.contains(other)) {
            assertThat(plan.indexOf(one))
                    .as("%s before %s of %s in %s", one, other, given, plan)
                    .isLessThan(plan.indexOf(other));
        }
    }
}
