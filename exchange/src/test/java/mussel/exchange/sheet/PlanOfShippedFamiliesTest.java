package mussel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.plan.Plan;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planner;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Step;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Laws of the plan, over every subset of goals of every shipped family. */
class PlanOfShippedFamiliesTest {
    record Case(FamilySheet sheet, List<String> goals) {
        Plan plan() {
            return Planner.plan(sheet, goals);
        }

        @Override
        public String toString() {
            return sheet.id() + " " + goals;
        }
    }

    static Stream<Case> everySubset() {
        return SheetFiles.shipped().stream().flatMap(sheet -> {
            List<String> all = sheet.goals().stream().map(Goal::id).toList();
            List<Case> cases = new ArrayList<>();
            for (int bits = 1; bits < 1 << all.size(); bits++) {
                int chosen = bits;
                cases.add(new Case(
                        sheet,
                        all.stream()
                                .filter(g -> (chosen >> all.indexOf(g) & 1) == 1)
                                .toList()));
            }
            return cases.stream();
        });
    }

    @ParameterizedTest
    @MethodSource("everySubset")
    void everyStepComesAfterAllItWaitsFor(Case c) {
        Set<String> done = new HashSet<>();
        for (PlannedStep step : c.plan().steps()) {
            assertThat(done).as(step.step().id()).containsAll(step.needs());
            assertThat(done).as(step.step().id()).containsAll(step.step().needs());
            done.add(step.step().id());
        }
    }

    @ParameterizedTest
    @MethodSource("everySubset")
    void nothingIsTakenOffThatIsNotPutBack(Case c) {
        Map<String, Integer> loose = new HashMap<>();
        for (PlannedStep step : c.plan().steps()) {
            step.step().partsOut().forEach(p -> loose.merge(p.part(), p.qty(), Integer::sum));
            step.step().partsIn().forEach(p -> loose.merge(p.part(), -p.qty(), Integer::sum));
        }
        assertThat(loose).allSatisfy((part, left) -> assertThat(left).as(part).isZero());
    }

    @ParameterizedTest
    @MethodSource("everySubset")
    void everyFastenerOpenedIsClosedWithItsTorque(Case c) {
        Set<String> opened = new HashSet<>();
        c.plan().of(Phase.DOWN, Phase.STRIP).forEach(s -> opened.addAll(s.step().fasteners()));

        assertThat(c.plan().fasteners()).extracting(f -> f.id()).containsExactlyInAnyOrderElementsOf(opened);
    }

    @ParameterizedTest
    @MethodSource("everySubset")
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
    @MethodSource("everySubset")
    void moreGoalsHoldEveryStepOfFewer(Case c) {
        List<String> steps = ids(c.plan());
        for (String goal : c.goals()) {
            assertThat(steps).containsAll(ids(Planner.plan(c.sheet(), List.of(goal))));
        }
        assertThat(ids(c.plan())).isEqualTo(steps);
    }

    @Test
    void aPumpJobLeavesTheSealCarrierAlone() {
        for (FamilySheet sheet : SheetFiles.shipped()) {
            assertThat(ids(Planner.plan(sheet, List.of("impeller"))))
                    .doesNotContain("seals_out", "seals_in", "carrier_off");
        }
    }

    @Test
    void theSealsAreNotInThePumpKit() {
        for (FamilySheet sheet : SheetFiles.shipped()) {
            Plan plan = Planner.plan(sheet, List.of("pump_kit", "driveshaft_seals"));
            assertThat(plan.parts())
                    .filteredOn(p -> p.part().part().equals("ds_seal"))
                    .singleElement()
                    .satisfies(p -> {
                        assertThat(p.kit()).isEmpty();
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
