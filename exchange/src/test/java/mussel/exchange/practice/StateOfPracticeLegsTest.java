package mussel.exchange.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import mussel.core.practice.Bench;
import mussel.core.practice.PracticeLeg;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Judge;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Tables;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** What a check takes follows from the state of the leg: what is out is put back first, and taken off again at its price. */
class StateOfPracticeLegsTest {
    private static final Knowledge KNOWLEDGE = KnowledgeFiles.shipped();
    private static final Tables TABLES = new Judge(KNOWLEDGE).tables(Context.empty());
    private static final double RATE = 72;

    private static Bench bench(int number, LegState came) {
        return new Bench(PracticeLeg.of(11, number, TABLES), TABLES, Bench.Prices.tables(RATE), came);
    }

    private static Finding finding(String id) {
        return KNOWLEDGE.finding(id).orElseThrow();
    }

    private static double stage(String id) {
        return KNOWLEDGE.repairs().orElseThrow().stage(id).orElseThrow().hours() * 60;
    }

    @Test
    void anEngineThatIsNotHereIsNotRun() {
        Bench alone = bench(1, LegState.UNKNOWN.with(Condition.ENGINE, "away").with(Condition.LEG, "off"));
        for (String run : List.of("telltale_cups", "telltale_tank", "hot_at_speed", "growl")) {
            assertThat(alone.offered(finding(run))).as(run).isFalse();
            assertThat(alone.look(run)).as(run).isEmpty();
        }
        assertThat(alone.minutes()).isZero();
    }

    @Test
    void aDryLegIsFilledBeforeItRunsAndTheOilIsPaidFor() {
        Bench dry = bench(1, LegState.UNKNOWN.with(Condition.OIL, "out").with(Condition.PLUGS, "out"));
        assertThat(dry.takes(finding("telltale_cups")))
                .isCloseTo(finding("telltale_cups").minutes() + 8 + 5 + stage("plugs") / 2, within(1e-9));
        dry.look("telltale_cups");
        assertThat(dry.state().of(Condition.OIL)).contains("in");
        assertThat(dry.state().of(Condition.PLUGS)).contains("in");
        assertThat(dry.handBack(List.of()).forbidden())
                .as("the state forbade it")
                .isEqualTo(1);
        double money = dry.handBack(List.of()).looking();
        assertThat(money).as("with the oil").isGreaterThan(dry.minutes() * RATE / 60);
    }

    @Test
    void aPumpThatIsPutBackForARunIsTakenOffAgainAtItsPrice() {
        Bench bench = bench(2, LegState.UNKNOWN);
        bench.look("vane_tips");
        double off = bench.minutes();
        assertThat(off)
                .isCloseTo(stage("leg") + stage("pump") + finding("vane_tips").minutes(), within(1e-9));
        assertThat(bench.takes(finding("hub_bond")))
                .as("open already")
                .isEqualTo(finding("hub_bond").minutes());
        bench.look("telltale_tank");
        assertThat(bench.state().forbids(Condition.PUMP, "in")).isFalse();
        assertThat(bench.state().forbids(Condition.LEG, "on")).isFalse();
        assertThat(bench.takes(finding("hub_bond")))
                .isCloseTo(stage("leg") + stage("pump") + finding("hub_bond").minutes(), within(1e-9));
    }

    @Test
    void aHoldNeedsAClosedCase() {
        Bench bench = bench(3, LegState.UNKNOWN);
        bench.look("gear_teeth");
        assertThat(bench.state().of(Condition.CASE)).contains("open");
        bench.look("pressure_hold");
        assertThat(bench.state().of(Condition.CASE)).isNotEqualTo(java.util.Optional.of("open"));
        assertThat(bench.handBack(List.of()).forbidden()).isEqualTo(1);
    }

    /** Whatever is looked at in whatever order, each check is made in a state that one of its rounds allows, and takes no less than its own time. */
    @Test
    void inAnyOrderEachCheckIsMadeInAStateThatAllowsIt() {
        Random random = new Random(34);
        RepairTables tables = KNOWLEDGE.repairs().orElseThrow();
        for (int n = 0; n < 60; n++) {
            Bench bench = bench(100 + n, LegState.UNKNOWN);
            for (int i = 0; i < 25; i++) {
                Finding check = KNOWLEDGE
                        .findings()
                        .get(random.nextInt(KNOWLEDGE.findings().size()));
                double before = bench.minutes();
                double takes = bench.takes(check);
                if (bench.look(check.id()).isEmpty()) {
                    assertThat(bench.minutes()).isEqualTo(before);
                    continue;
                }
                assertThat(bench.minutes() - before).isCloseTo(takes, within(1e-9));
                assertThat(takes).isGreaterThanOrEqualTo(check.minutes());
                Map<Condition, String> known = bench.state().known();
                LegState after =
                        LegState.locked(bench.findings()) ? bench.state().with(Condition.TURNS, "free") : bench.state();
                assertThat(tables.rounds())
                        .filteredOn(r -> r.looks().contains(check.id()))
                        .as(check.id() + " in " + known)
                        .anyMatch(r -> r.unmet(after).isEmpty());
            }
        }
    }
}
