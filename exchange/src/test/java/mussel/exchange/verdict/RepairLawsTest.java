package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mussel.core.measure.StopToken;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.RepairSet;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;
import mussel.core.verdict.Settled;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import org.junit.jupiter.api.Test;

/** What holds of the shipped tables whatever was found. */
class RepairLawsTest {
    private static final double RATE = 80;
    private static final int RUNS = 40;
    private static final Knowledge KNOWLEDGE = KnowledgeFiles.shipped();
    private static final Tables TABLES = Tables.of(KNOWLEDGE, Context.empty());

    private final Random random = new Random(34);

    private Map<String, String> found(int most) {
        Map<String, String> found = new LinkedHashMap<>();
        List<Finding> all = KNOWLEDGE.findings();
        for (int i = random.nextInt(most + 1); i > 0; i--) {
            Finding finding = all.get(random.nextInt(all.size()));
            found.put(
                    finding.id(),
                    finding.outcomes().get(random.nextInt(finding.outcomes().size())));
        }
        if ("yes".equals(found.get("volume_more"))) {
            found.remove("volume_less");
        }
        return found;
    }

    private static VerdictInput input(Map<String, String> found, Map<String, VerdictInput.Costs> own) {
        return new VerdictInput(Optional.empty(), found, RATE, List.of(), own);
    }

    @Test
    void aRoundIsNeverWorthLessThanItsPriceIsLost() {
        for (int i = 0; i < RUNS; i++) {
            Repairs advice = VerdictEngine.repairs(TABLES, input(found(10), Map.of()));
            assertThat(advice.rounds())
                    .allSatisfy(r -> assertThat(r.value()).isGreaterThanOrEqualTo(-r.minutes() * RATE / 60 - 1e-6));
        }
    }

    @Test
    void theBestSetIsTheCheapestOfThoseOfferedAndEachIsWhole() {
        for (int i = 0; i < RUNS; i++) {
            Repairs advice = VerdictEngine.sets(TABLES, input(found(12), Map.of()));
            RepairSet best = advice.sets().get(0);
            assertThat(advice.sets()).allSatisfy(s -> {
                assertThat(s.now() + s.later()).isGreaterThanOrEqualTo(best.now() + best.later() - 1e-6);
                assertThat(s.back()).isBetween(0.0, 1.0);
                assertThat(s.leaves()).noneMatch(l -> s.goals().contains(l.goal()));
            });
        }
    }

    @Test
    void aHigherPriceNeverPutsARepairIntoTheBestSet() {
        for (int i = 0; i < RUNS; i++) {
            Map<String, String> found = found(10);
            RepairSet best =
                    VerdictEngine.sets(TABLES, input(found, Map.of())).sets().get(0);
            List<RepairTables.Repair> out =
                    new ArrayList<>(KNOWLEDGE.repairs().orElseThrow().goals());
            out.removeIf(g -> best.goals().contains(g.id()));
            RepairTables.Repair dearer = out.get(random.nextInt(out.size()));
            double price = RATE * (dearer.ownHours() + dearer.partsHours());
            Map<String, VerdictInput.Costs> own =
                    Map.of(dearer.id(), new VerdictInput.Costs(price * (1 + random.nextDouble()) + 1, 0));
            assertThat(VerdictEngine.sets(TABLES, input(found, own))
                            .sets()
                            .get(0)
                            .goals())
                    .as(dearer.id() + " after " + found)
                    .doesNotContain(dearer.id());
        }
    }

    @Test
    void moreFindingsNeverMakeASetImpossible() {
        for (int i = 0; i < RUNS; i++) {
            Map<String, String> found = found(8);
            RepairSet best =
                    VerdictEngine.sets(TABLES, input(found, Map.of())).sets().get(0);
            if (best.goals().isEmpty()) {
                continue;
            }
            Map<String, String> more = found(4);
            more.putAll(found);
            if ("yes".equals(more.get("volume_more"))) {
                more.remove("volume_less");
            }
            Repairs then =
                    VerdictEngine.repairs(TABLES, input(more, Map.of()), Set.copyOf(best.goals()), new StopToken());
            assertThat(then.chosen()).hasValueSatisfying(s -> {
                assertThat(s.goals()).containsAll(best.goals());
                assertThat(s.now() + s.later()).isFinite().isPositive();
            });
        }
    }

    @Test
    void withTheFaultsKnownDoingThemAllLeavesNothingToComeBack() {
        for (int i = 0; i < RUNS; i++) {
            Set<String> causes = new java.util.HashSet<>();
            KNOWLEDGE.causes().stream().filter(c -> random.nextInt(6) == 0).forEach(c -> causes.add(c.id()));
            Set<String> goals = new java.util.HashSet<>();
            causes.forEach(c -> goals.add(KNOWLEDGE.cause(c).orElseThrow().goal()));
            VerdictInput in = input(found(6), Map.of());
            Settled all = VerdictEngine.settle(TABLES, in, goals, causes).orElseThrow();
            assertThat(all.back()).isZero();
            assertThat(all.later()).isZero();
            Settled none = VerdictEngine.settle(TABLES, in, Set.of(), causes).orElseThrow();
            assertThat(none.now()).isLessThanOrEqualTo(all.now() + 1e-9);
            assertThat(none.back() > 0).isEqualTo(causes.stream().anyMatch(c -> !none.done()
                    .contains(KNOWLEDGE.cause(c).orElseThrow().goal())));
        }
    }
}
