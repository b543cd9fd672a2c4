package mussel.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mussel.core.verdict.RepairSets.Open;
import mussel.core.verdict.RepairSets.Prices;
import mussel.core.verdict.RepairTables.Left;
import mussel.core.verdict.RepairTables.Proof;
import mussel.core.verdict.RepairTables.Repair;
import mussel.core.verdict.RepairTables.Stage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The best set against every set, over every combination of causes; the worked example is tested where its file is read. */
class RepairSetsTest {
    private static final int CAUSES = 7;
    private static final int GOALS = 5;
    private static final double RATE = 80;

    /** A small world: how likely each combination of causes is. */
    private static double[] combinations(Random random) {
        double[] of = new double[1 << CAUSES];
        double sum = 0;
        for (int s = 0; s < of.length; s++) {
            of[s] = Math.pow(random.nextDouble(), 4 + 2 * Integer.bitCount(s));
            sum += of[s];
        }
        for (int s = 0; s < of.length; s++) {
            of[s] /= sum;
        }
        return of;
    }

    private static Expectation expectation(double[] combinations) {
        return factors -> {
            double mean = 0;
            for (int s = 0; s < combinations.length; s++) {
                double product = combinations[s];
                for (int c = 0; c < CAUSES; c++) {
                    product *= (s >> c & 1) != 0 ? factors[c] : 1;
                }
                mean += product;
            }
            return mean;
        };
    }

    private static RepairTables tables(Random random) {
        List<Stage> stages = List.of(
                new Stage(
                        "plugs",
                        "plugs",
                        random.nextDouble(),
                        List.of(),
                        List.of("g0"),
                        List.of(),
                        List.of(),
                        Map.of(),
                        "made up"),
                new Stage(
                        "leg",
                        "leg",
                        1 + random.nextDouble(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        Map.of(),
                        "made up"),
                new Stage(
                        "top",
                        "top",
                        random.nextDouble(),
                        List.of("leg", "plugs"),
                        List.of(),
                        List.of(),
                        List.of(),
                        Map.of(),
                        "made up"),
                new Stage(
                        "prop",
                        "prop",
                        random.nextDouble(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        Map.of(),
                        "made up"));
        List<Repair> repairs = new ArrayList<>();
        for (int g = 0; g < GOALS; g++) {
            List<String> opens = g == 0
                    ? List.of("plugs")
                    : List.of(stages.get(random.nextInt(4)).id());
            List<String> covers = g == 4 && random.nextBoolean() ? List.of("g3") : List.of();
            repairs.add(new Repair("g" + g, opens, random.nextDouble(), random.nextDouble(), covers));
        }
        List<Left> left = new ArrayList<>();
        for (int c = 0; c < CAUSES; c++) {
            Optional<String> seen = random.nextInt(4) == 0 ? Optional.of("top") : Optional.empty();
            left.add(new Left(
                    "c" + c,
                    3 * random.nextDouble(),
                    random.nextDouble(),
                    Map.of("both", random.nextDouble()),
                    seen,
                    "made up"));
        }
        return new RepairTables(
                4 * random.nextDouble(),
                stages,
                List.of(new Proof("none", "none", 0), new Proof("both", "both", 0.4)),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                repairs,
                left);
    }

    private static Knowledge knowledge() {
        List<RepairGoal> goals = new ArrayList<>();
        for (int g = 0; g < GOALS; g++) {
            goals.add(new RepairGoal("g" + g, "g" + g, 1, 0, 1, 0));
        }
        List<Cause> causes = new ArrayList<>();
        for (int c = 0; c < CAUSES; c++) {
            causes.add(new Cause("c" + c, "c", 0.1, "case", "g" + c % GOALS, "made up", List.of(), List.of()));
        }
        return new Knowledge("small", List.of(), goals, causes, List.of(), Optional.empty());
    }

    /** The formula of a set as it stands in the contract, over every combination, with nothing shared or left out. */
    private static double brute(
            RepairTables tables,
            Knowledge knowledge,
            double[] combinations,
            Set<String> in,
            Set<String> open,
            int proof,
            Set<String> sure) {
        Set<String> closure = closure(tables, in, open);
        String check = tables.proofs().get(proof).id();
        double now = tables.proofs().get(proof).hours();
        for (Stage stage : tables.stages()) {
            now += closure.contains(stage.id()) && !open.contains(stage.id()) ? stage.hours() : 0;
        }
        for (Repair repair : tables.goals()) {
            now += in.contains(repair.id()) ? repair.ownHours() + repair.partsHours() : 0;
        }
        Set<String> covered = new java.util.HashSet<>();
        tables.goals().stream().filter(r -> in.contains(r.id())).forEach(r -> covered.addAll(r.covers()));
        double later = 0;
        for (int s = 0; s < combinations.length; s++) {
            double stays = 1;
            Map<String, Double> stages = new HashMap<>();
            Map<String, Double> goals = new HashMap<>();
            double spoilt = 0;
            for (int c = 0; c < CAUSES; c++) {
                Left left = tables.causes().get(c);
                String goal = knowledge.causes().get(c).goal();
                if ((s >> c & 1) == 0 || in.contains(goal) || covered.contains(goal)) {
                    continue;
                }
                boolean seen = left.seenAt().filter(closure::contains).isPresent() && !sure.contains(goal);
                double shows = seen ? 1 : left.shownAtProof().getOrDefault(check, 0.0);
                double acted = shows + (1 - shows) * left.bringsBack();
                stays *= 1 - (1 - shows) * left.bringsBack();
                spoilt += (1 - shows) * left.spoilsHours();
                goals.merge(goal, 1 - acted, (a, b) -> a * b);
                for (String stage : closure(tables, Set.of(goal), Set.of())) {
                    if (!seen || !closure.contains(stage)) {
                        stages.merge(stage, 1 - acted, (a, b) -> a * b);
                    }
                }
            }
            double cost = tables.visitHours() * (1 - stays) + spoilt;
            for (Map.Entry<String, Double> stage : stages.entrySet()) {
                cost += tables.stage(stage.getKey()).orElseThrow().hours() * (1 - stage.getValue());
            }
            for (Repair repair : tables.goals()) {
                cost += (repair.ownHours() + repair.partsHours()) * (1 - goals.getOrDefault(repair.id(), 1.0));
            }
            later += combinations[s] * cost;
        }
        return RATE * (now + later);
    }

    private static Set<String> closure(RepairTables tables, Set<String> goals, Set<String> open) {
        Set<String> closure = new java.util.HashSet<>();
        List<String> left = new ArrayList<>(open);
        tables.goals().stream().filter(r -> goals.contains(r.id())).forEach(r -> left.addAll(r.opens()));
        while (!left.isEmpty()) {
            String stage = left.remove(0);
            if (closure.add(stage)) {
                left.addAll(tables.stage(stage).orElseThrow().after());
            }
        }
        return closure;
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1})
    void theBestSetIsTheBestOfAll(int proof) {
        Knowledge knowledge = knowledge();
        for (int seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            RepairTables tables = tables(random);
            double[] combinations = combinations(random);
            Set<String> open = random.nextInt(3) == 0 ? Set.of("leg") : Set.of();
            Set<String> due = random.nextInt(3) == 0 ? Set.of("g2") : Set.of();
            RepairSets sets = new RepairSets(
                    tables,
                    knowledge,
                    new Prices(RATE, Map.of()),
                    new Open(List.copyOf(open), due),
                    expectation(combinations));
            Set<String> sure = new java.util.HashSet<>();
            for (int g = 0; g < GOALS; g++) {
                int at = g;
                boolean unseen = true;
                for (int c = g; c < CAUSES; c += GOALS) {
                    unseen &= tables.causes().get(c).seenAt().isPresent();
                }
                if (unseen && sets.probabilities()[at] >= RepairSets.SEEN) {
                    sure.add("g" + at);
                }
            }
            double least = Double.POSITIVE_INFINITY;
            for (long set = 0; set < 1 << GOALS; set++) {
                if (!sets.eligible(set)) {
                    continue;
                }
                Set<String> in = new java.util.HashSet<>();
                for (int g = 0; g < GOALS; g++) {
                    if ((set >> g & 1) != 0) {
                        in.add("g" + g);
                    }
                }
                double brute = brute(tables, knowledge, combinations, in, open, proof, sure);
                assertThat(sets.total(set, proof))
                        .as("seed %d, set %s", seed, in)
                        .isCloseTo(brute, within(brute * 1e-9));
                least = Math.min(least, brute);
            }
            long best = sets.best(proof).get(0);
            assertThat(sets.total(best, proof)).as("seed %d", seed).isCloseTo(least, within(least * 1e-9));
        }
    }
}
