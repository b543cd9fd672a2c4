package mussel.exchange.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mussel.core.measure.Problems;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanInput;
import mussel.core.plan.PlanResult;
import mussel.core.plan.PlanResult.Marginal;
import mussel.core.plan.PlanWords;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PumpPolicy;
import mussel.core.sheet.SpecSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Times, tools and further goals of the plan, on the families that ship. */
class PlanTimesTest {
    static List<SpecSheet> families() {
        return SheetFiles.shipped();
    }

    @ParameterizedTest
    @MethodSource("families")
    void theMeanIsTheSumOfItsSteps(SpecSheet sheet) {
        PlanResult out = run(sheet, all(sheet), 7, 1);
        double sum = out.steps().stream().mapToDouble(s -> s.minutesMean()).sum();
        double byHand = sheet.steps().stream()
                .mapToDouble(s -> (s.minutes().low()
                                        + 4 * s.minutes().likely()
                                        + s.minutes().high())
                                / 6
                        + s.seizes()
                                .map(z -> (1 - Math.exp(-z.ratePerYear() * 7)) * z.extraMin())
                                .orElse(0.0))
                .sum();

        assertThat(out.steps()).hasSameSizeAs(sheet.steps());
        assertThat(out.minutes().mean()).isCloseTo(sum, within(1e-9)).isCloseTo(byHand, within(1e-9));
    }

    @ParameterizedTest
    @MethodSource("families")
    void percentilesHoldToOnePercentBetweenSeeds(SpecSheet sheet) {
        for (List<String> goals : List.of(all(sheet), List.of("impeller"), List.of("oil_change"))) {
            PlanResult.Minutes first = run(sheet, goals, 5, 1).minutes();
            for (int seed = 2; seed < 8; seed++) {
                PlanResult.Minutes other = run(sheet, goals, 5, seed).minutes();
                assertThat(other.p50()).isCloseTo(first.p50(), within(0.01 * first.p50()));
                assertThat(other.p90()).isCloseTo(first.p90(), within(0.01 * first.p90()));
                assertThat(other.mean()).isEqualTo(first.mean());
            }
            assertThat(run(sheet, goals, 5, 1)).isEqualTo(run(sheet, goals, 5, 1));
        }
    }

    @ParameterizedTest
    @MethodSource("families")
    void aGoalMoreNeverCostsMoreNowThanAloneLater(SpecSheet sheet) {
        List<String> chosen = List.of("driveshaft_seals");
        PlanResult out = run(sheet, chosen, 3, 1);

        assertThat(out.marginal()).hasSize(sheet.goals().size() - 1);
        for (Marginal more : out.marginal()) {
            assertThat(more.extraMinutes()).isBetween(0.0, more.aloneMinutes() + 1e-9);
            double with = run(sheet, List.of("driveshaft_seals", more.goal()), 3, 1)
                    .minutes()
                    .mean();
            assertThat(more.extraMinutes()).isCloseTo(with - out.minutes().mean(), within(1e-9));
        }
    }

    @Test
    void saltMakesAJobLongerAndSaysWhatMayHaveSeized() {
        SpecSheet tern = families().get(0);
        PlanResult fresh = run(tern, List.of("propshaft_seals"), 0, 1);
        PlanResult old = run(tern, List.of("propshaft_seals"), 12, 1);

        assertThat(old.minutes().mean()).isGreaterThan(fresh.minutes().mean() + 30);
        assertThat(new PlanWords(input(tern, List.of("propshaft_seals"), 12, 1), old, tern).notes())
                .anyMatch(n -> n.contains("The propeller shaft carrier may be seized"));
    }

    @Test
    void missingToolsAreNamedWithWhatStandsInForThem() {
        SpecSheet tern = families().get(0);
        PlanResult out = run(tern, List.of("propshaft_seals"), 0, 1);
        PlanInput owned =
                new PlanInput(tern.id(), List.of("propshaft_seals"), 0, false, Optional.empty(), out.tools(), 1);

        assertThat(out.toolsMissing()).isEqualTo(out.tools()).contains("carrier puller");
        assertThat(out.substitutes()).anyMatch(s -> s.tool().equals("carrier puller"));
        assertThat(PlanEngine.run(owned, tern).toolsMissing()).isEmpty();
        assertThat(PlanEngine.run(owned, tern).substitutes()).isEmpty();
    }

    @Test
    void aYardThatAlwaysRenewsTakesTheImpellerAlongOnceTheLegIsDown() {
        SpecSheet tern = families().get(0);

        assertThat(policy(tern, "driveshaft_seals").goals()).containsExactly("driveshaft_seals", "impeller");
        assertThat(policy(tern, "oil_change").goals()).containsExactly("oil_change");
        assertThat(policy(tern, "pump_kit").goals()).containsExactly("pump_kit");
    }

    @Test
    void bothLegsOfATwinShareWhatIsDoneOnce() {
        SpecSheet skua = families().get(2);
        PlanInput both = new PlanInput(skua.id(), List.of("impeller"), 0, true, Optional.empty(), List.of(), 1);

        PlanResult.Twin twin = PlanEngine.run(both, skua).twin().orElseThrow();

        assertThat(twin.togetherMinutes()).isCloseTo(twin.apartMinutes() - twin.savedMinutes(), within(1e-9));
        assertThat(twin.savedMinutes()).isPositive();
    }

    @Test
    void anUnknownFamilyAndGoalAreRefusedWithWhatThereIs() {
        Problems family = new Problems();
        new PlanInput("heron-9", List.of("impeller"), 0, false, Optional.empty(), List.of(), 1)
                .check(families(), family);
        Problems goal = new Problems();
        new PlanInput("tern-60", List.of("impeller", "repaint"), 0, false, Optional.empty(), List.of(), 1)
                .check(families(), goal);

        assertThat(family.list()).singleElement().satisfies(p -> {
            assertThat(p.at()).isEqualTo("/family");
            assertThat(p.problem()).contains("heron-9", "tern-60");
        });
        assertThat(goal.list()).singleElement().satisfies(p -> {
            assertThat(p.at()).isEqualTo("/goals/1");
            assertThat(p.problem()).contains("repaint");
        });
    }

    private static PlanResult policy(SpecSheet sheet, String goal) {
        return PlanEngine.run(
                new PlanInput(sheet.id(), List.of(goal), 0, false, Optional.of(PumpPolicy.ALWAYS), List.of(), 1),
                sheet);
    }

    private static List<String> all(SpecSheet sheet) {
        return sheet.goals().stream().map(Goal::id).toList();
    }

    private static PlanInput input(SpecSheet sheet, List<String> goals, double saltYears, int seed) {
        return new PlanInput(sheet.id(), goals, saltYears, false, Optional.empty(), List.of(), seed);
    }

    private static PlanResult run(SpecSheet sheet, List<String> goals, double saltYears, int seed) {
        return PlanEngine.run(input(sheet, goals, saltYears, seed), sheet);
    }
}
