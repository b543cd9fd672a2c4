package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mussel.core.book.Filed;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.GoalCosts;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.OilGrade;
import mussel.core.job.ProofWork.Proof;
import mussel.core.job.RepairOption;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.TorqueWork;
import mussel.core.job.Yard;
import mussel.core.leak.LeakMode;
import mussel.core.plan.Plan;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanResult;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.core.verdict.VerdictInput;
import mussel.core.verdict.VerdictResult;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What decisions weigh on this very leg, what it came in for, and what a leg is not tagged with in silence. */
class CostsAndTagTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final SpecSheet TERN = sheet("tern-60");
    private static final SpecSheet WREN = sheet("wren-8");
    private static final Yard YARD = SheetFiles.shippedYard();

    private final List<Entry> journal = new ArrayList<>();
    private SpecSheet sheet = TERN;
    private Judge judge = new Judge(KnowledgeFiles.shipped());
    private ZoneId zone = ZoneId.of("UTC");
    private Instant at = Instant.parse("2026-11-22T23:30:00Z");

    private static SpecSheet sheet(String id) {
        return SheetFiles.shipped().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    CostsAndTagTest() {
        note(new Fact.Opened(new LegRef("l", "Spat Lass", LegRef.Position.PORT, "tern-60")));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, at, "a", fact));
        at = at.plusSeconds(1);
    }

    private void choose(Address scale, String outcome) {
        note(new Fact.Chosen(scale, outcome));
    }

    private void goal(String goal) {
        choose(Scale.GOAL.of(goal), "yes");
    }

    private void tick(List<Plan.PlannedStep> steps) {
        steps.forEach(s -> note(new Fact.Ticked(s.step().id(), true)));
    }

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                sheet,
                new Surroundings(
                        YARD,
                        judge,
                        List.of(),
                        TODAY,
                        new Stores(CatalogueFiles.shipped(), Map.of()),
                        new Planning(),
                        zone));
    }

    private RepairOption further(String goal) {
        return now().further().stream()
                .filter(f -> f.goal().equals(goal))
                .findFirst()
                .orElseThrow();
    }

    private VerdictResult.Decision decision(String goal) {
        return now().verdict().decision(goal).orElseThrow();
    }

    /**
     * By hand: seals cost the plan's extra minutes at 72 an hour and two seals; left, the same as a job of its own, a day at 60 without the boat,
     * and what the tables say running on spoils: (2.75 - 0.45) h x 72 = 165.6.
     */
    @Test
    void costsAreThoseOfThePlanThePartsAndTheRate() {
        choose(Scale.OIL_WATER.address(), "milky");
        GoalCosts costs = now().goalCosts().get("driveshaft_seals");
        PlanResult.Marginal minutes = PlanEngine.marginal(TERN, List.of(), now().saltYears()).stream()
                .filter(m -> m.goal().equals("driveshaft_seals"))
                .findFirst()
                .orElseThrow();
        double seals =
                2 * CatalogueFiles.shipped().of("tern-60").price("ds_seal").orElseThrow();
        assertThat(costs.extraMoney()).isCloseTo(minutes.extraMinutes() / 60 * 72 + seals, within(1e-9));
        assertThat(costs.spoilt()).isCloseTo(165.6, within(1e-9));
        assertThat(costs.standing()).isEqualTo(60);
        assertThat(decision("driveshaft_seals").expectedCostDo()).isEqualTo(costs.extraMoney());
        assertThat(decision("driveshaft_seals").expectedCostLeave())
                .isCloseTo(decision("driveshaft_seals").probability() * costs.comeback(), within(1e-9));
    }

    @Test
    void stripDownAndVerdictAgreeOnEveryGoalChosenOrNot() {
        choose(Scale.OIL_WATER.address(), "milky");
        choose(Scale.WASHERS.of("drain"), "torn");
        for (int chosen = 0; chosen < 3; chosen++) {
            for (RepairOption f : now().further()) {
                f.probability().ifPresent(p -> assertThat(f.worthIt())
                        .as(f.goal())
                        .isEqualTo(decision(f.goal()).act()));
            }
            goal(List.of("driveshaft_seals", "propshaft_seals", "impeller").get(chosen));
        }
    }

    @Test
    void theFirstGoalIsJudgedLikeTheOthers() {
        choose(Scale.OIL_HEAT.address(), "darkened");
        double before = further("gears").extraMoney();
        goal("gears");
        assertThat(further("gears").chosen()).isTrue();
        assertThat(further("gears").extraMoney()).isCloseTo(before, within(1e-9));
        assertThat(further("gears").worthIt()).isFalse();
        assertThat(further("gears").advice()).contains("Check once more first");
        assertThat(further("bearings").extraMinutes())
                .as("what is on the way costs next to nothing more")
                .isLessThan(further("bearings").laterMinutes() / 3);
    }

    @Test
    void aGoalThatTakesLongerThanSwappingTheLegSaysSo() {
        assertThat(further("gears").laterMinutes()).isGreaterThan(260);
        assertThat(further("gears").cost()).contains("longer than exchanging the leg");
        assertThat(further("linkage").cost()).doesNotContain("swapping");
    }

    @Test
    void theYardsOwnCostsOutrankThePlan() {
        judge = new Judge(
                KnowledgeFiles.shipped(),
                KnowledgeFiles.overrides("costs: [{goal: gears, marginal_cost: 1, comeback_cost: 2, why: x}]"
                                .getBytes(java.nio.charset.StandardCharsets.UTF_8))
                        .value()
                        .orElseThrow());
        choose(Scale.MAGNET.of("drain"), "chips");
        assertThat(now().verdictInput().goals()).containsEntry("gears", new VerdictInput.Costs(1, 2));
        assertThat(further("gears").worthIt())
                .as("Strip-down says the same")
                .isEqualTo(decision("gears").act());
    }

    @Test
    void whatItCameInForMovesTheOddsAndLeads() {
        double before = now().verdict().cause("thermostat_stuck").orElseThrow().prior();
        choose(Scale.CAME_FOR.of("hot"), "yes");
        choose(Scale.CAME_FOR.of("noise"), "yes");
        assertThat(now().context().complaint()).extracting(Enum::name).containsExactly("HOT", "NOISE");
        assertThat(now().verdict().cause("thermostat_stuck").orElseThrow().prior())
                .isGreaterThan(before);
        assertThat(now().verdict().checks().get(0).bearing()).isEqualTo(VerdictResult.Bearing.COMPLAINT);
        note(Fact.Read.byHand(Field.ENGINE_HOURS.address(), 400, "400"));
        choose(Scale.WATER.address(), "sea");
        assertThat(now().current()).isEqualTo(Station.DRAIN);
        assertThat(now().nextAction().says())
                .as("not the oil first")
                .startsWith("Next check")
                .endsWith(now().verdictWords()
                        .titles(now().verdictWords().advised().orElseThrow()));
        note(new Fact.Cleared(Scale.CAME_FOR.of("hot")));
        note(new Fact.Cleared(Scale.CAME_FOR.of("noise")));
        note(new Fact.Cleared(Scale.WATER.address()));
        assertThat(now().nextAction().says()).doesNotStartWith("Next check");
        assertThat(now().verdict().cause("thermostat_stuck").orElseThrow().prior())
                .isEqualTo(before);
        choose(Scale.DUTY.address(), "hard");
        note(Fact.Read.byHand(Field.IMPELLER_AGE.address(), 40, "40 months"));
        assertThat(now().context().duty()).isPresent();
        assertThat(now().context().pumpMonths()).hasValue(40);
    }

    @Test
    void forThePumpAloneDrainAndFillAreNotWaitedFor() {
        note(Fact.Read.byHand(Field.ENGINE_HOURS.address(), 400, "400"));
        goal("impeller");
        assertThat(now().fillSteps()).isEmpty();
        tick(now().stripSteps());
        tick(now().buildSteps());
        assertThat(now().current()).isNotIn(Station.DRAIN, Station.FILL);
        note(Fact.Read.byHand(Field.DRAINED.address(), 400, "400 ml"));
        assertThat(now().states().get(Station.FILL)).isNotEqualTo(Station.State.DONE);
    }

    @Test
    void leavingAFaultThatIsSureNeverComesOutCheapest() {
        choose(new Address("vane_tips", ""), "missing");
        choose(new Address("prop_hub_oil", ""), "running");
        goal("impeller");
        goal("propshaft_seals");
        var worth = now().worth().orElseThrow();
        assertThat(worth.result().cheapest()).isEqualTo("repair");
        double repair = worth.result().options().get(0).mean();
        assertThat(worth.input().leave().orElseThrow().comebackCost())
                .as("the whole repair comes due all the same, and what was spoilt on top")
                .isGreaterThan(repair);
    }

    private List<String> holdsAsked() {
        return now().proof().proofs().stream()
                .map(Proof::id)
                .filter(id -> id.startsWith("leak_"))
                .toList();
    }

    @Test
    void aResealWithLipsBackToBackIsProvenOnlyByBothHolds() {
        goal("propshaft_seals");
        assertThat(holdsAsked()).containsExactlyInAnyOrder("leak_pressure", "leak_vacuum");
        sheet = WREN;
        assertThat(holdsAsked())
                .as("with both lips outward no hold tells them apart")
                .containsExactly("leak_pressure");
        sheet = TERN;
        tick(now().stripSteps());
        assertThat(now().blocks()).anyMatch(b -> b.contains("Do both, or enter a reason"));
        assertThat(now().held(LeakMode.VACUUM)).isEmpty();
    }

    @Test
    void aShortCountUndoneStepsAndLooseBoltsNeedAWord() {
        goal("plug_washers");
        assertThat(now().blocks()).as("nothing was begun").isEmpty();
        tick(now().stripSteps());
        note(Fact.Read.byHand(Field.COUNTED.of("plug_washer"), 2, "2"));
        assertThat(now().blocks())
                .anyMatch(b -> b.contains("Plug sealing washer: 2 of 3 counted on the mat"))
                .anyMatch(b -> b.contains("steps are not ticked, first"))
                .anyMatch(b -> b.contains("Not torqued: ") && b.contains("Vent plugs 0/2"));
        tick(now().plan().steps());
        for (TorqueWork work : now().torques()) {
            double middle = work.result().target().nm();
            work.bolts()
                    .forEach(b -> note(
                            Fact.Read.byHand(TorqueWork.address(work.fastener().id(), b.number()), middle, "clicked")));
        }
        assertThat(now().blocks()).singleElement().asString().contains("2 of 3 counted");
        note(new Fact.Noted(Topic.PROOF_OVERRIDE.address(), "the third stayed in the pan"));
        assertThat(now().blocks()).isEmpty();
        assertThat(now().leftUndone()).as("and is still told").hasSize(1);
    }

    @Test
    void aLocknutsDragIsAddedToTheWrenchAndNotToTheClamp() {
        TorqueWork before = now().torque(TERN.fastener("leg_front").orElseThrow());
        note(Fact.Read.byHand(Field.PREVAILING.of("leg_front"), 3, "3 N·m"));
        TorqueWork after = now().torque(TERN.fastener("leg_front").orElseThrow());
        assertThat(after.result().choice().orElseThrow().deliveredNm()
                        - before.result().choice().orElseThrow().deliveredNm())
                .isCloseTo(3, within(0.6));
        assertThat(after.result().clampKn()).isEqualTo(before.result().clampKn());
    }

    /** Against GL-5 80W-90. */
    @ParameterizedTest
    @CsvSource({
        "blue-90, RIGHT, is correct",
        "green-90, WRONG, another viscosity",
        "amber-90, WRONG, another class and another viscosity",
        "red-shift, WRONG, another class and another viscosity",
        "nobody-knows, UNKNOWN, Choose the oil"
    })
    void theOilChosenIsHeldAgainstTheSheetsGrade(String oil, OilGrade.Match match, String says) {
        choose(Scale.OIL_NEW.address(), oil);
        assertThat(now().oilGrade().match()).isEqualTo(match);
        assertThat(now().oilGrade().says()).contains("GL-5 80W-90", says);
    }

    @Test
    void anOilThatIsNotSyntheticIsNotOfAnotherViscosityForThat() {
        sheet = sheet("skua-225");
        choose(Scale.OIL_NEW.address(), "blue-90");
        assertThat(now().oilGrade().match()).isEqualTo(OilGrade.Match.WRONG);
        assertThat(now().oilGrade().says())
                .contains("does not state everything specified")
                .doesNotContain("viscosity");
    }

    @Test
    void daysAreTheYardsOwn() {
        assertThat(Filed.of(now()).visit().opened()).isEqualTo(LocalDate.of(2026, 11, 22));
        zone = ZoneId.of("Pacific/Auckland");
        assertThat(Filed.of(now()).visit().opened())
                .as("half past eleven at night in Greenwich")
                .isEqualTo(LocalDate.of(2026, 11, 23));
    }
}
