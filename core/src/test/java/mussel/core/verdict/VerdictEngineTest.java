package mussel.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mussel.core.measure.Money;
import mussel.core.measure.Problems;
import mussel.core.verdict.VerdictResult.Check;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The engine on random tables of any shape against the plain walk through all subsets of all causes. */
class VerdictEngineTest {
    private static final double LABOUR = 60;

    private final Random random = new Random();

    private List<Double> shares(int outcomes) {
        double[] raw = random.doubles(outcomes, 0.05, 1).toArray();
        double sum = 0;
        for (double r : raw) {
            sum += r;
        }
        List<Double> shares = new ArrayList<>();
        for (double r : raw) {
            shares.add(r / sum);
        }
        return shares;
    }

    private Knowledge tables(int causes, int findings) {
        List<RepairGoal> goals = List.of(
                new RepairGoal("g0", "g0", 0.6, 0.2, 4, 1),
                new RepairGoal("g1", "g1", 1, 0.1, 3, 1),
                new RepairGoal("g2", "g2", 0.05, 0, 9, 2));
        List<Cause> all = new ArrayList<>();
        for (int c = 0; c < causes; c++) {
            all.add(new Cause(
                    "c" + c,
                    "c" + c,
                    0.02 + 0.5 * random.nextDouble(),
                    "case",
                    "g" + random.nextInt(3),
                    "why",
                    List.of(),
                    List.of()));
        }
        List<Finding> looks = new ArrayList<>();
        for (int f = 0; f < findings; f++) {
            int outcomes = 2 + random.nextInt(3);
            List<String> names = new ArrayList<>();
            for (int x = 0; x < outcomes; x++) {
                names.add("o" + x);
            }
            List<Integer> scope = new ArrayList<>();
            for (int c = 0; c < causes; c++) {
                scope.add(c);
            }
            Collections.shuffle(scope, random);
            List<Finding.Share> given = new ArrayList<>();
            for (int c : scope.subList(0, 1 + random.nextInt(Math.min(4, causes)))) {
                given.add(new Finding.Share("c" + c, shares(outcomes), "why"));
            }
            looks.add(new Finding(
                    "f" + f,
                    "f" + f,
                    names,
                    "drain",
                    "seen",
                    1,
                    shares(outcomes),
                    "why",
                    given,
                    List.of(),
                    List.of(),
                    List.of(),
                    java.util.Optional.empty(),
                    List.of()));
        }
        return new Knowledge(
                "random", List.of(new Access("seen", "seen", 3, false)), goals, all, looks, Optional.empty());
    }

    /** The weight of every subset of all causes given findings, the long way. */
    private static double[] weights(Knowledge tables, Map<String, String> made) {
        List<Cause> causes = tables.causes();
        double[] weights = new double[1 << causes.size()];
        for (int s = 0; s < weights.length; s++) {
            double w = 1;
            for (int c = 0; c < causes.size(); c++) {
                w *= (s >> c & 1) == 1
                        ? causes.get(c).prior()
                        : 1 - causes.get(c).prior();
            }
            for (Map.Entry<String, String> m : made.entrySet()) {
                Finding f = tables.finding(m.getKey()).orElseThrow();
                int x = f.outcomes().indexOf(m.getValue());
                w *= cdf(tables, f, s, x) - cdf(tables, f, s, x - 1);
            }
            weights[s] = w;
        }
        return weights;
    }

    private static double cdf(Knowledge tables, Finding f, int subset, int x) {
        double p = sum(f.base(), x);
        for (Finding.Share share : f.given()) {
            int c = tables.causes().indexOf(tables.cause(share.cause()).orElseThrow());
            p *= (subset >> c & 1) == 1 ? sum(share.shares(), x) : 1;
        }
        return p;
    }

    private static double sum(List<Double> shares, int upTo) {
        return shares.subList(0, upTo + 1).stream().mapToDouble(d -> d).sum();
    }

    private static double share(double[] weights, java.util.function.IntPredicate of) {
        double total = 0;
        double in = 0;
        for (int s = 0; s < weights.length; s++) {
            total += weights[s];
            in += of.test(s) ? weights[s] : 0;
        }
        return in / total;
    }

    private static int goalMask(Knowledge tables, String goal) {
        int mask = 0;
        for (int c = 0; c < tables.causes().size(); c++) {
            mask |= tables.causes().get(c).goal().equals(goal) ? 1 << c : 0;
        }
        return mask;
    }

    private static double cost(Knowledge tables, double[] weights) {
        double cost = 0;
        for (RepairGoal goal : tables.goals()) {
            int mask = goalMask(tables, goal.id());
            cost += LABOUR * Math.min(goal.marginalCost(), share(weights, s -> (s & mask) != 0) * goal.comebackCost());
        }
        return cost;
    }

    private static double entropy(Knowledge tables, double[] weights) {
        double bits = 0;
        for (int c = 0; c < tables.causes().size(); c++) {
            int bit = 1 << c;
            double p = share(weights, s -> (s & bit) != 0);
            bits -= (p > 0 ? p * Math.log(p) : 0) / Math.log(2) + (p < 1 ? (1 - p) * Math.log(1 - p) : 0) / Math.log(2);
        }
        return bits;
    }

    private Map<String, String> someFindings(Knowledge tables) {
        Map<String, String> made = new LinkedHashMap<>();
        for (Finding f : tables.findings()) {
            if (random.nextBoolean()) {
                made.put(f.id(), f.outcomes().get(random.nextInt(f.outcomes().size())));
            }
        }
        return made;
    }

    private static VerdictResult judge(Knowledge tables, Map<String, String> made) {
        return VerdictEngine.run(
                Tables.of(tables, Context.empty()),
                new VerdictInput(Optional.empty(), made, LABOUR, List.of(), Map.of()));
    }

    @Property(tries = 150)
    void beliefsGoalsEvidenceAndLooksEqualThePlainWalk(
            @ForAll long seed,
            @ForAll @IntRange(min = 1, max = 7) int causes,
            @ForAll @IntRange(min = 1, max = 9) int findings) {
        random.setSeed(seed);
        Knowledge tables = tables(causes, findings);
        Problems problems = new Problems();
        tables.check(problems, "");
        assertThat(problems.list()).isEmpty();
        Map<String, String> made = someFindings(tables);
        VerdictResult out = judge(tables, made);
        double[] all = weights(tables, made);
        for (int c = 0; c < causes; c++) {
            int bit = 1 << c;
            assertThat(out.cause("c" + c).orElseThrow().probability())
                    .isCloseTo(share(all, s -> (s & bit) != 0), within(1e-9));
        }
        for (RepairGoal goal : tables.goals()) {
            int mask = goalMask(tables, goal.id());
            assertThat(out.decision(goal.id()).orElseThrow().probability())
                    .isCloseTo(share(all, s -> (s & mask) != 0), within(1e-9));
        }
        for (Check check : out.checks()) {
            looks(tables, made, all, check);
        }
        assertThat(out.checks()).hasSize(findings - made.size());
        for (VerdictResult.Together together : out.together()) {
            assertThat(together.findings()).hasSizeBetween(2, 3).doesNotHaveDuplicates();
            double expected = expectedCost(tables, made, together.findings(), all);
            assertThat(together.saves()).isCloseTo(cost(tables, all) - expected, within(1e-6));
            assertThat(together.saves())
                    .as("two looks save no less than the better of them")
                    .isGreaterThanOrEqualTo(out.checks().stream()
                                    .filter(c -> together.findings().contains(c.finding()))
                                    .mapToDouble(Check::saves)
                                    .max()
                                    .orElseThrow()
                            - 1e-9);
            assertThat(together.minutes()).isCloseTo(3 + together.findings().size(), within(1e-9));
        }
        double knowing = tables.goals().stream()
                .mapToDouble(g -> {
                    int mask = goalMask(tables, g.id());
                    return LABOUR * share(all, s -> (s & mask) != 0) * Math.min(g.marginalCost(), g.comebackCost());
                })
                .sum();
        double most = cost(tables, all) - knowing;
        if (findings - made.size() < 2 || most < 3 - 1e-9) {
            assertThat(out.together())
                    .as("not even knowing everything pays the set-up")
                    .isEmpty();
        } else if (most > 3 + 1e-9) {
            assertThat(out.together()).hasSize(1);
        }
        assertThat(out.checks()).as("no look is worth more than knowing").allMatch(c -> c.saves() <= most + 1e-9);
        boolean pays = out.checks().stream().anyMatch(c -> c.value() > 0)
                || out.together().stream().anyMatch(c -> c.value() > 0);
        out.ahead().ifPresent(a -> {
            assertThat(pays).as("two ahead only where nothing pays by itself").isFalse();
            assertThat(a.value()).isPositive().isLessThanOrEqualTo(most + 1e-9);
        });
    }

    /** What cannot pay is left out before it is worked out: that changes nothing of what is advised. */
    @Property(tries = 150)
    void theAdviceAloneIsThatOfTheWholeVerdict(
            @ForAll long seed,
            @ForAll @IntRange(min = 1, max = 6) int causes,
            @ForAll @IntRange(min = 1, max = 8) int findings) {
        random.setSeed(seed);
        Knowledge tables = tables(causes, findings);
        VerdictInput in = new VerdictInput(Optional.empty(), someFindings(tables), LABOUR, List.of(), Map.of());
        Tables ready = Tables.of(tables, Context.empty());
        VerdictResult whole = VerdictEngine.run(ready, in);
        VerdictResult advice = VerdictEngine.advice(ready, in);
        assertThat(advice.decisions()).isEqualTo(whole.decisions());
        assertThat(advice.advised(tables)).isEqualTo(whole.advised(tables));
    }

    @Property(tries = 100)
    void noTwoSetsOfCausesMakeAnOutcomeOtherByMoreThanItsSway(
            @ForAll long seed, @ForAll @IntRange(min = 1, max = 6) int causes) {
        random.setSeed(seed);
        Knowledge tables = tables(causes, 4);
        Tables ready = Tables.of(tables, Context.empty());
        for (Finding finding : tables.findings()) {
            double most = 1;
            for (int x = 0; x < finding.outcomes().size(); x++) {
                double low = Double.POSITIVE_INFINITY;
                double high = 0;
                for (int s = 0; s < 1 << causes; s++) {
                    double share = cdf(tables, finding, s, x) - cdf(tables, finding, s, x - 1);
                    low = Math.min(low, share);
                    high = Math.max(high, share);
                }
                most = Math.max(most, high / low);
            }
            assertThat(ready.sway(finding)).isGreaterThanOrEqualTo(most * (1 - 1e-9));
            if (finding.outcomes().size() == 2) {
                assertThat(ready.sway(finding)).as("of two outcomes exactly").isCloseTo(most, within(most * 1e-9));
            }
        }
    }

    /** The cost after several looks, over every way they can come out. */
    private static double expectedCost(Knowledge tables, Map<String, String> made, List<String> looks, double[] all) {
        if (looks.isEmpty()) {
            return cost(tables, weights(tables, made));
        }
        double cost = 0;
        for (String outcome : tables.finding(looks.get(0)).orElseThrow().outcomes()) {
            Map<String, String> more = new LinkedHashMap<>(made);
            more.put(looks.get(0), outcome);
            double[] after = weights(tables, more);
            double p = java.util.Arrays.stream(after).sum()
                    / java.util.Arrays.stream(all).sum();
            cost += p * expectedCost(tables, more, looks.subList(1, looks.size()), after);
        }
        return cost;
    }

    private static void looks(Knowledge tables, Map<String, String> made, double[] all, Check check) {
        double total = java.util.Arrays.stream(all).sum();
        double entropy = 0;
        double cost = 0;
        for (String outcome : tables.finding(check.finding()).orElseThrow().outcomes()) {
            Map<String, String> more = new LinkedHashMap<>(made);
            more.put(check.finding(), outcome);
            double[] after = weights(tables, more);
            double p = java.util.Arrays.stream(after).sum() / total;
            entropy += p * entropy(tables, after);
            cost += p * cost(tables, after);
        }
        assertThat(check.gainBits()).isCloseTo(entropy(tables, all) - entropy, within(1e-8));
        assertThat(check.saves()).isCloseTo(cost(tables, all) - cost, within(1e-6));
        assertThat(check.minutes()).isEqualTo(4);
        assertThat(check.value()).isCloseTo(check.saves() - 4, within(1e-9));
    }

    @Property(tries = 60)
    void theOrderOfTheFindingsDoesNotMatter(@ForAll long seed) {
        random.setSeed(seed);
        Knowledge tables = tables(6, 8);
        Map<String, String> made = someFindings(tables);
        List<String> ids = new ArrayList<>(made.keySet());
        Collections.shuffle(ids, random);
        Map<String, String> shuffled = new LinkedHashMap<>();
        ids.forEach(id -> shuffled.put(id, made.get(id)));
        VerdictResult one = judge(tables, made);
        VerdictResult other = judge(tables, shuffled);
        assertThat(other.causes()).isEqualTo(one.causes());
        assertThat(other.surpriseBits()).isCloseTo(one.surpriseBits(), within(1e-9));
    }

    @Property(tries = 200)
    void anArrangementPutsEveryFindingIntoOneBlock(@ForAll long seed, @ForAll @IntRange(min = 1, max = 10) int causes) {
        random.setSeed(seed);
        List<Integer> scopes = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(12); i++) {
            scopes.add(1 + random.nextInt((1 << causes) - 1));
        }
        Arrangement arrangement = Arrangement.of(causes, scopes);
        int together = arrangement.cut();
        for (int block : arrangement.blocks()) {
            assertThat(together & block).isZero();
            together |= block;
        }
        assertThat(together).isEqualTo((1 << causes) - 1);
        assertThat(arrangement.cost()).isLessThanOrEqualTo(1L << causes);
        for (int scope : scopes) {
            int block = arrangement.blocks().get(arrangement.blockOf(scope));
            assertThat(scope & ~block & ~arrangement.cut()).isZero();
        }
    }

    @Test
    void sumsFoldToTheSameAsAddingUp() {
        double[] weights = {1, 2, 3, 4, 5, 6, 7, 8};
        Sums sums = Sums.of(weights.clone(), new int[] {0, 0b001, 0b101});
        assertThat(sums.total()).isEqualTo(36);
        assertThat(sums.with()).containsExactly(2 + 4 + 6 + 8, 3 + 4 + 7 + 8, 5 + 6 + 7 + 8);
        assertThat(sums.without()).containsExactly(1 + 3 + 5 + 7, 1 + 2 + 5 + 6, 1 + 2 + 3 + 4);
        assertThat(sums.none()).containsExactly(36, 1 + 3 + 5 + 7, 1 + 3);
    }

    @Test
    void costsGivenTakeThePlaceOfTheTables() {
        random.setSeed(3);
        Knowledge tables = tables(4, 4);
        VerdictInput in = new VerdictInput(
                Optional.empty(), Map.of(), 60, List.of(), Map.of("g0", new VerdictInput.Costs(1_000, 1)));
        VerdictResult out = VerdictEngine.run(Tables.of(tables, Context.empty()), in);
        assertThat(out.decision("g0").orElseThrow().act()).isFalse();
        assertThat(out.decision("g0").orElseThrow().expectedCostDo()).isEqualTo(1_000);
    }

    @Test
    void aGroupTooLargeToWalkThroughIsRefusedInWords() {
        random.setSeed(4);
        Knowledge few = tables(21, 1);
        List<Finding.Share> given = few.causes().stream()
                .map(c -> new Finding.Share(c.id(), List.of(0.5, 0.5), "why"))
                .toList();
        Finding wide = new Finding(
                "wide",
                "wide",
                List.of("no", "yes"),
                "drain",
                "seen",
                1,
                List.of(0.9, 0.1),
                "why",
                given,
                List.of(),
                List.of(),
                List.of(),
                java.util.Optional.empty(),
                List.of());
        Knowledge tables = few.withFindings(List.of(wide));
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> Tables.of(tables, Context.empty()))
                .hasMessageContaining("21 causes share findings");
    }

    @Test
    void theWordsSayWhatMoved() {
        random.setSeed(5);
        Knowledge tables = tables(3, 6);
        VerdictResult before = judge(tables, Map.of());
        Map<String, String> made = new LinkedHashMap<>();
        tables.findings()
                .forEach(f -> made.put(f.id(), f.outcomes().get(f.outcomes().size() - 1)));
        VerdictResult after = judge(tables, made);
        VerdictWords words = new VerdictWords(tables, Context.empty(), after, Money.UNSAID);
        assertThat(words.changes(before)).isNotEmpty().allMatch(s -> s.contains("→"));
        assertThat(words.changes(after)).isEmpty();
        assertThat(words.next()).isEqualTo("All checks are done.");
        assertThat(words.why(after.causes().get(0)).inputs()).hasSizeGreaterThan(1);
        assertThat(VerdictWords.bits(-1.5)).isEqualTo("−1.5 bits");
    }
}
