package mussel.exchange.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import mussel.core.practice.Bench;
import mussel.core.practice.Frequencies;
import mussel.core.practice.Policy;
import mussel.core.practice.Practice;
import mussel.core.practice.PracticeInput;
import mussel.core.practice.PracticeLeg;
import mussel.core.practice.PracticeResult;
import mussel.core.practice.Reckoning;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Judge;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.LegState;
import mussel.core.verdict.Tables;
import mussel.exchange.verdict.KnowledgeFiles;
import org.hipparchus.random.MersenneTwister;
import org.junit.jupiter.api.Test;

/** Practice legs are what the tables say legs are, and ways of going about them cost what they cost. */
class PracticeTest {
    private static final Knowledge KNOWLEDGE = KnowledgeFiles.shipped();
    private static final Context HOT = Context.empty().withComplaint(List.of(Context.Complaint.HOT));
    private static final Tables TABLES = new Judge(KNOWLEDGE).tables(HOT);
    private static final double RATE = 72;

    private static PracticeInput asked(int legs, double wrong, Policy... policies) {
        return new PracticeInput(legs, 1, List.of(policies), Optional.empty(), wrong, RATE);
    }

    private static Map<String, String> everything(PracticeLeg leg, List<String> order) {
        return order.stream().collect(Collectors.toMap(f -> f, leg::look));
    }

    @Test
    void theRandomSourceGivesThePublishedNumbers() {
        // The reference output of mt19937ar for the key 0x123, 0x234, 0x345, 0x456 (Matsumoto and Nishimura 2002).
        MersenneTwister random = new MersenneTwister(new int[] {0x123, 0x234, 0x345, 0x456});
        assertThat(List.of(random.nextInt(), random.nextInt(), random.nextInt()))
                .containsExactly(1_067_595_299, 955_945_823, 477_289_528);
    }

    @Test
    void theSameSeedIsTheSameLegInWhateverOrderItIsLookedAt() {
        List<String> order =
                new ArrayList<>(KNOWLEDGE.findings().stream().map(Finding::id).toList());
        Random shuffled = new Random(3);
        for (int number = 1; number <= 30; number++) {
            PracticeLeg once = PracticeLeg.of(4711, number, TABLES);
            Map<String, String> seen = everything(once, order);
            Collections.shuffle(order, shuffled);
            PracticeLeg again = PracticeLeg.of(4711, number, TABLES);
            assertThat(everything(again, order)).isEqualTo(seen);
            assertThat(again.causes()).isEqualTo(once.causes());
            assertThat(everything(once, order)).as("looking twice").isEqualTo(seen);
        }
        assertThat(PracticeLeg.of(1, 1, TABLES).look("oil_water"))
                .isIn(KNOWLEDGE.finding("oil_water").orElseThrow().outcomes());
    }

    @Test
    void whatIsSeenIsAsOftenThereAsTheTablesSay() {
        Frequencies off = Frequencies.of(99, TABLES, 6_000);
        assertThat(off.worst()).as(off.where()).isLessThan(Frequencies.TOLERATED);
        assertThat(off.shares()).isGreaterThan(150);
    }

    @Test
    void theSharesAreThoseOfTheWorkedExampleOfTheTables() {
        for (Finding finding : KNOWLEDGE.findings()) {
            assertThat(TABLES.shares(finding.id(), java.util.Set.of()))
                    .as(finding.id() + " with nothing wrong")
                    .containsExactly(finding.base().stream().mapToDouble(d -> d).toArray(), within(1e-12));
        }
    }

    @Test
    void whatALegComesToIsItsLooksItsWorkAndWhatComesBack() {
        for (int number = 1; number <= 40; number++) {
            PracticeLeg leg = PracticeLeg.of(5, number, TABLES);
            Bench bench = new Bench(leg, TABLES, Bench.Prices.tables(RATE), LegState.UNKNOWN);
            assertThat(bench.look("worse_shifting")).as("nothing leaks yet").isEmpty();
            bench.look("telltale_tank");
            bench.look("jumps_out_of_gear");
            assertThat(bench.minutes()).as("the tank is filled once").isEqualTo(17);
            assertThat(bench.look("telltale_tank")).as("made already").isEmpty();
            Reckoning knew = bench.handBack(leg.called());
            assertThat(knew.missed()).isEmpty();
            assertThat(knew.needless()).as("but for what is done by rule").isEmpty();
            assertThat(knew.comebacks()).isZero();
            assertThat(knew.back()).isZero();
            assertThat(knew.cost()).isCloseTo(17 * RATE / 60 + knew.work(), within(1e-9));
            Reckoning nothing = bench.handBack(List.of());
            assertThat(nothing.missed()).isEqualTo(leg.called());
            assertThat(nothing.back())
                    .isBetween(leg.causes().isEmpty() ? 0 : 0.001, leg.causes().isEmpty() ? 0 : 1.0);
            assertThat(nothing.comebacks() > 0).isEqualTo(!leg.causes().isEmpty());
        }
    }

    @Test
    void theAdviceCostsLessThanGoalByGoalThanOpeningEverythingAndThanGuessing() {
        Policy[] ways = {Policy.ADVICE, Policy.SINGLE, Policy.STRIP, Policy.BLIND};
        PracticeResult result = Practice.run(KNOWLEDGE, asked(60, 1, ways));
        assertThat(result.forbiddenActs()).as("checks that the state forbids").isZero();
        assertThat(result.policies().get(1).forbidden())
                .as("without the state they are asked for")
                .isPositive();
        assertThat(result.pairs())
                .filteredOn(p -> p.policy().equals("advice"))
                .hasSize(3)
                .allSatisfy(p -> assertThat(p.high()).as(p.against()).isNegative());
        assertThat(result.policies()).allSatisfy(c -> {
            assertThat(c.costLow()).isLessThan(c.costMean());
            assertThat(c.costHigh()).isGreaterThan(c.costMean());
        });
        assertThat(result.policies().get(3).looksMean()).as("blind").isZero();
        assertThat(result.policies().get(3).minutesMean()).isZero();
        assertThat(Practice.run(KNOWLEDGE, asked(10, 1, ways)))
                .as("the same again")
                .isEqualTo(Practice.run(KNOWLEDGE, asked(10, 1, ways)));
    }

    @Test
    void whatTheAdviceHoldsLikelyIsSoOften() {
        PracticeResult.Reliability reliability =
                Practice.run(KNOWLEDGE, asked(400, 1, Policy.CHECKLIST)).calibration();
        assertThat(reliability.bins()).filteredOn(b -> b.n() >= 50).isNotEmpty().allSatisfy(b -> {
            // Ten bins: 3.5 standard errors are left by one run in two hundred.
            double error = Math.sqrt(b.stated() * (1 - b.stated()) / b.n());
            assertThat(b.found()).as(b.toString()).isCloseTo(b.stated(), within(3.5 * error));
        });
        assertThat(reliability.brier()).isBetween(0.0, 0.1);
    }

    @Test
    void whatComesBackIsWhatWasStated() {
        PracticeResult.Reliability back =
                Practice.run(KNOWLEDGE, asked(800, 1, Policy.CHECKLIST)).calibrationBack();
        assertThat(back.bins())
                .filteredOn(b -> b.n() >= 20)
                .hasSizeGreaterThan(3)
                .allSatisfy(b -> {
                    double error = Math.sqrt(b.stated() * (1 - b.stated()) / b.n());
                    assertThat(b.found()).as(b.toString()).isCloseTo(b.stated(), within(3.5 * error));
                });
    }

    @Test
    void inAWorldThatIsOtherwiseTheAdviceStillReadsItsOwnTables() {
        PracticeResult right = Practice.run(KNOWLEDGE, asked(120, 1, Policy.CHECKLIST));
        PracticeResult off = Practice.run(KNOWLEDGE, asked(120, 3, Policy.CHECKLIST));
        assertThat(off.knowledgeVersion()).isEqualTo(right.knowledgeVersion());
        assertThat(off.wrong()).isEqualTo(3);
        assertThat(off.policies()).isNotEqualTo(right.policies());
        assertThat(off.calibration().brier()).isGreaterThan(right.calibration().brier());
    }
}
