package mussel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.plan.Plan;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planner;
import mussel.core.sheet.Construction;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.core.verdict.RepairGoal;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of the plan, over the sets of goals of every shipped family. */
class PlanOfShippedFamiliesTest {
    private static final long SEED = 20_261_123;
    private static final Map<Case, Plan> PLANS = new IdentityHashMap<>();
    private static final List<Case> CASES = cases().toList();

    record Case(SpecSheet sheet, List<String> goals) {
        /** Made once for all laws: it is a value, and planning is what takes the time. */
        Plan plan() {
            return PLANS.computeIfAbsent(this, c -> Planner.plan(sheet, goals));
        }

        @Override
        public String toString() {
            return sheet.id() + " " + goals;
        }
    }

    /**
     * Each goal alone, each pair, all of them and many sets at random. The steps of a set are the union of those of its goals (a law
     * below), so these stand for all of the quarter million sets of a family.
     */
    static Stream<Case> manySubsets() {
        return CASES.stream();
    }

    private static Stream<Case> cases() {
        return SheetFiles.shipped().stream().flatMap(sheet -> {
            List<String> all = sheet.goals().stream().map(Goal::id).toList();
            List<Case> cases = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                for (int j = i; j < all.size(); j++) {
                    cases.add(new Case(sheet, i == j ? List.of(all.get(i)) : List.of(all.get(i), all.get(j))));
                }
            }
            Random random = new Random(SEED);
            for (int n = 0; n < 60; n++) {
                cases.add(new Case(
                        sheet, all.stream().filter(g -> random.nextBoolean()).toList()));
            }
            cases.add(new Case(sheet, all));
            return cases.stream();
        });
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void everyStepComesAfterAllItWaitsFor(Case c) {
        Set<String> done = new HashSet<>();
        for (PlannedStep step : c.plan().steps()) {
            assertThat(done).as(step.step().id()).containsAll(step.needs());
            assertThat(done).as(step.step().id()).containsAll(step.step().needs());
            done.add(step.step().id());
        }
    }

    /** What comes out of the case takes its always-new parts with it, whatever the goal was: no old seal goes back into a carrier that was out. */
    @ParameterizedTest
    @MethodSource("manySubsets")
    void whatComesOutTakesItsAlwaysNewPartsWithIt(Case c) {
        Plan plan = c.plan();
        Map<String, Integer> listed = new HashMap<>();
        plan.parts().forEach(p -> listed.merge(p.part().part(), p.part().qty(), Integer::sum));
        List<String> steps = ids(plan);
        Map.of("seal_carrier", "ds_seal", "prop_carrier", "prop_seal", "shift", "shift_seal")
                .forEach((place, seal) -> {
                    boolean out = plan.steps().stream()
                            .map(PlannedStep::step)
                            .anyMatch(s -> s.phase() == Phase.STRIP
                                    && s.partsOut().stream()
                                            .map(o -> c.sheet().part(o.part()).orElseThrow())
                                            .anyMatch(p -> p.id().matches(
                                                                    "seal_carrier|seal_cover|prop_carrier|shift_retainer")
                                                    && p.group().name().equalsIgnoreCase(place)));
                    if (out) {
                        assertThat(listed).as(c + " " + steps).containsKey(seal);
                    }
                });
        Map<String, Integer> opened = new HashMap<>();
        plan.steps().stream()
                .flatMap(s -> s.step().partsOut().stream())
                .filter(o -> c.sheet().part(o.part()).orElseThrow().alwaysNew())
                .forEach(o -> opened.merge(o.part(), o.qty(), Integer::sum));
        opened.forEach((part, many) ->
                assertThat(listed.getOrDefault(part, 0)).as(c + ", " + part).isGreaterThanOrEqualTo(many));
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void nothingIsTakenOffThatIsNotPutBack(Case c) {
        Map<String, Integer> loose = new HashMap<>();
        for (PlannedStep step : c.plan().steps()) {
            step.step().partsOut().forEach(p -> loose.merge(p.part(), p.qty(), Integer::sum));
            step.step().partsIn().forEach(p -> loose.merge(p.part(), -p.qty(), Integer::sum));
        }
        assertThat(loose).allSatisfy((part, left) -> assertThat(left).as(part).isZero());
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void everyFastenerOpenedIsClosedWithItsTorque(Case c) {
        Set<String> opened = new HashSet<>();
        c.plan().of(Phase.DOWN, Phase.STRIP).forEach(s -> opened.addAll(s.step().fasteners()));

        assertThat(c.plan().fasteners()).extracting(f -> f.id()).containsExactlyInAnyOrderElementsOf(opened);
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void everyDisturbedPartThatIsAlwaysNewIsOnTheList(Case c) {
        Plan plan = c.plan();
        List<String> needed = plan.parts().stream().map(p -> p.part().part()).toList();
        for (PlannedStep step : plan.steps()) {
            for (PartQty in : step.step().partsIn()) {
                if (c.sheet().part(in.part()).orElseThrow().alwaysNew()) {
                    assertThat(needed).contains(in.part());
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void moreGoalsHoldEveryStepOfFewer(Case c) {
        List<String> steps = ids(c.plan());
        Set<String> union = new HashSet<>();
        for (String goal : c.goals()) {
            union.addAll(ids(Planner.plan(c.sheet(), List.of(goal))));
        }
        assertThat(steps).containsExactlyInAnyOrderElementsOf(union);
        assertThat(ids(c.plan())).isEqualTo(steps);
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void everyPartTakenOutIsPutBackLaterThanItCameOff(Case c) {
        Set<String> off = new HashSet<>();
        for (PlannedStep step : c.plan().steps()) {
            for (PartQty in : step.step().partsIn()) {
                assertThat(off).as(step.step().id()).contains(in.part());
            }
            step.step().partsOut().forEach(p -> off.add(p.part()));
        }
    }

    @ParameterizedTest
    @MethodSource("manySubsets")
    void everyStripStepThatOpensSomethingIsMirrored(Case c) {
        Set<String> undone = new HashSet<>();
        c.plan().of(Phase.BUILD).forEach(s -> undone.add(s.step().mirrors()));
        for (PlannedStep step : c.plan().of(Phase.DOWN, Phase.STRIP)) {
            if (!step.step().partsOut().isEmpty() || !step.step().fasteners().isEmpty()) {
                assertThat(undone).contains(step.step().id());
            }
        }
    }

    @Test
    void everyFamilyHasEveryGoalOfTheTables() {
        List<String> goals =
                KnowledgeFiles.shipped().goals().stream().map(RepairGoal::id).toList();
        for (SpecSheet sheet : SheetFiles.shipped()) {
            assertThat(sheet.goals()).extracting(Goal::id).containsAll(goals);
        }
    }

    @Test
    void theBigLegSlipsItsHoseOffOnlyAfterAHandsWidth() {
        List<String> steps = ids(Planner.plan(sheet("skua-225"), List.of("impeller")));

        assertThat(steps).containsSubsequence("leg_loose", "leg_break", "speed_hose_off", "leg_drop");
        assertThat(steps).containsSubsequence("leg_near", "speed_hose_on", "leg_up", "leg_tight");
    }

    @Test
    void thePortableLosesItsEngineOilBeforeTheLegComesOff() {
        List<String> steps = ids(Planner.plan(sheet("dotterel-5"), List.of("driveshaft_seals")));

        assertThat(steps).containsSubsequence("engine_oil_out", "leg_loose", "leg_drop");
        assertThat(ids(Planner.plan(sheet("dotterel-5"), List.of("oil_change"))))
                .doesNotContain("engine_oil_out");
    }

    @Test
    void aStuckCarrierIsTurnedBeforeItIsPulled() {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            if (sheet.construction().carrier() != Construction.Carrier.HALVES) {
                Step pulled = sheet.step("prop_carrier_out").orElseThrow();
                assertThat(pulled.title()).contains("turned").contains("then pulled");
            }
        }
    }

    private static SpecSheet sheet(String id) {
        return SheetFiles.shipped().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPumpJobLeavesTheSealCarrierAlone() {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            assertThat(ids(Planner.plan(sheet, List.of("impeller"))))
                    .doesNotContain("seals_out", "seals_in", "carrier_off");
        }
    }

    @Test
    void theSealsAreNotInThePumpKit() {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            Plan plan = Planner.plan(sheet, List.of("pump_kit", "driveshaft_seals"));
            assertThat(plan.parts())
                    .filteredOn(p -> p.part().part().equals("ds_seal"))
                    .singleElement()
                    .satisfies(p -> {
                        assertThat(p.kit()).doesNotContainIgnoringCase("pump");
                        assertThat(p.part().qty()).isEqualTo(2);
                    });
        }
    }

    @Test
    void anUnknownGoalIsRefused() {
        assertThatThrownBy(() -> Planner.plan(SheetFiles.shipped().get(0), List.of("repaint")))
                .hasMessageContaining("repaint");
    }

    private static List<String> ids(Plan plan) {
        return plan.steps().stream().map(PlannedStep::step).map(Step::id).toList();
    }
}
