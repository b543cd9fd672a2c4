package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.fill.FillResult.Check;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.HeldTest;
import mussel.core.job.Inspection;
import mussel.core.job.Job;
import mussel.core.job.JobFinding;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.Yard;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.LeakTrace;
import mussel.core.leak.Stage;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Context;
import mussel.core.verdict.Judge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** What is computed for a job of a shipped family, from its first entry to its tag. */
class AssessmentTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final Yard YARD = SheetFiles.shippedYard();
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());

    private final List<Entry> journal = new ArrayList<>();

    AssessmentTest() {
        note(new Fact.Opened(new LegRef("l", "Spat Lass", LegRef.Position.PORT, TERN.id())));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH, "a", fact));
    }

    private void read(Field field, double value) {
        note(Fact.Read.byHand(field.address(), value, ""));
    }

    private Assessment now() {
        return Assessment.of(Job.of(journal), TERN, new Surroundings(YARD, JUDGE, List.of(), TODAY));
    }

    private void drained(double ml) {
        read(Field.DRAINED, ml);
        read(Field.OIL_TEMP, 18);
        read(Field.MINUTES, 30);
    }

    private void tick(List<PlannedStep> steps) {
        steps.forEach(s -> note(new Fact.Ticked(s.step().id(), true)));
    }

    @Test
    void aNewJobKnowsNothingAndAsksForTheIntake() {
        assertThat(now().drain().result()).isEmpty();
        assertThat(now().current()).isEqualTo(Station.INTAKE);
        assertThat(now().nextAction().says()).isEqualTo("Finish the intake");
        assertThat(now().plan().steps()).isEmpty();
        assertThat(now().due()).isEmpty();
    }

    @Test
    void theDrainIsComputedAsSoonAsVolumeTemperatureAndTimeAreThere() {
        read(Field.DRAINED, 400);
        read(Field.OIL_TEMP, 18);
        assertThat(now().drain().result()).isEmpty();
        read(Field.MINUTES, 30);
        assertThat(now().drain().result().orElseThrow().balance().verdict()).isEqualTo(Verdict.AS_EXPECTED);
    }

    @Test
    void readingsThatDoNotFitTogetherAreToldAndComputeNothing() {
        drained(100);
        read(Field.FREE_WATER, 120);
        assertThat(now().drain().result()).isEmpty();
        assertThat(now().drain().problems()).extracting(p -> p.at()).containsExactly("/free_water_ml");
    }

    @Test
    void aJarCountsOnlyWithALayer() {
        drained(420);
        read(Field.JAR_TOTAL, 100);
        assertThat(now().drain().input().orElseThrow().jar()).isEmpty();
        read(Field.JAR_EMULSION, 12);
        assertThat(now().drain().input().orElseThrow().jar()).isPresent();
    }

    @Test
    void aShutVentIsTakenIntoAccount() {
        drained(400);
        double open = now().drain().result().orElseThrow().drain().tauMin();
        note(new Fact.Chosen(Scale.VENT.address(), "shut"));
        assertThat(now().drain().result().orElseThrow().drain().tauMin()).isGreaterThan(open * 7);
    }

    @Test
    void theOilInItDecidesTheViscosity() {
        drained(400);
        double blue = now().drain().result().orElseThrow().viscosityCst();
        note(new Fact.Chosen(Scale.OIL_LAST.address(), "red-shift"));
        assertThat(now().drain().result().orElseThrow().viscosityCst()).isLessThan(blue);
        assertThat(now().oil().fill().id()).isEqualTo("red-shift");
    }

    private void prove() {
        tick(now().plan().of(mussel.core.sheet.Phase.PROVE));
        Map.of(
                        Scale.SHIFT_NEUTRAL, "turns",
                        Scale.SHIFT_FORWARD, "clicks",
                        Scale.SHIFT_REVERSE, "locks",
                        Scale.RUN_TELLTALE, "steady",
                        Scale.RUN_AHEAD, "drives",
                        Scale.RUN_ASTERN, "drives",
                        Scale.RUN_SOUND, "even",
                        Scale.DRIPS, "dry")
                .forEach((scale, answer) -> note(new Fact.Chosen(scale.address(), answer)));
    }

    @Test
    void stationsFollowTheWorkToTheTag() {
        read(Field.ENGINE_HOURS, 412);
        note(new Fact.Chosen(Scale.WATER.address(), "sea"));
        assertThat(now().current()).isEqualTo(Station.DRAIN);
        drained(400);
        note(new Fact.Chosen(Scale.OIL_WATER.address(), "none"));
        assertThat(now().current()).isEqualTo(Station.VERDICT);
        assertThat(now().nextAction().says())
                .isEqualTo("Next check: "
                        + now().verdictWords()
                                .titles(now().verdictWords().advised().orElseThrow()));
        note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
        assertThat(now().nextAction().says()).isEqualTo("Kill cord and battery off");
        assertThat(now().states()).containsEntry(Station.STRIP, Station.State.BEGUN);
        tick(now().stripSteps());
        assertThat(now().current()).isEqualTo(Station.BUILD);
        tick(now().buildSteps());
        assertThat(now().current()).isEqualTo(Station.FILL);
        tick(now().fillSteps());
        read(Field.PUMPED, 430 - now().drain().result().orElseThrow().residualMl());
        assertThat(now().fill().result().orElseThrow().check()).contains(Check.AS_EXPECTED);
        assertThat(now().current()).isEqualTo(Station.PROVE);
        assertThat(now().nextAction().says()).startsWith("Final checks: shift");
        prove();
        assertThat(now().current()).isEqualTo(Station.TAG);
        note(new Fact.Tagged(TODAY));
        assertThat(now().nextAction().says()).isEqualTo("Nothing more to do");
    }

    /** A pump job leaves on the walls what the drain left there: the case is full with that much less. Stripped, washed and dried it keeps none. */
    @Test
    void aCaseOnlyDrainedKeepsItsResidueWhateverItsGoals() {
        drained(390);
        read(Field.OIL_TEMP, 12);
        double residual = now().drain().result().orElseThrow().residualMl();
        assertThat(residual).as("more than the check lets pass").isBetween(22.0, 80.0);
        note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
        tick(now().stripSteps());
        read(Field.PUMPED, 430 - residual);
        assertThat(now().fill().result().orElseThrow().check()).contains(Check.AS_EXPECTED);
        note(new Fact.Chosen(Scale.GOAL.of("gears"), "yes"));
        assertThat(now().fill().result().orElseThrow().check())
                .as("a goal alone washes nothing")
                .contains(Check.AS_EXPECTED);
        tick(now().stripSteps());
        assertThat(now().fill().result().orElseThrow().check()).contains(Check.SHORT);
        read(Field.PUMPED, 430);
        assertThat(now().fill().result().orElseThrow().check()).contains(Check.AS_EXPECTED);
    }

    @Test
    void aPumpJobSetsThePumpsClockAndLeavesTheOilsAlone() {
        read(Field.ENGINE_HOURS, 412);
        note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
        note(new Fact.Tagged(TODAY));
        assertThat(now().due())
                .as("the oil stayed in: its clock goes on as it stood, and nothing is to be looked at again")
                .extracting(d -> d.what())
                .containsExactly("Water pump");
        read(Field.HOURS_SINCE_FILL, 60);
        assertThat(now().due()).extracting(d -> d.what()).containsExactly("Gear oil", "Water pump");
        assertThat(now().due().get(0).atHours()).hasValue(452);
    }

    @Test
    void sandBringsEverythingForward() {
        read(Field.ENGINE_HOURS, 412);
        drained(500);
        note(new Fact.Chosen(Scale.SAND.address(), "yes"));
        assertThat(now().due().get(0).atHours()).hasValue(462);
    }

    @Test
    void bottlesOfTheJobReplaceThoseOfTheYard() {
        note(Fact.Read.byHand(Field.BOTTLE_HAVE.of("litre"), 1, "1"));
        assertThat(now().fill().result().orElseThrow().cost()).isZero();
        note(Fact.Read.byHand(Field.BOTTLE_OPENED.of("tube"), 300, "300 ml"));
        assertThat(now().fill().result()).isPresent();
    }

    @Test
    void theWordsOfTheDrainFollowTheVolume() {
        drained(250);
        assertThat(now().drain().words().orElseThrow().head()).contains("of oil is missing");
        read(Field.DRAINED, 500);
        assertThat(now().drain().words().orElseThrow().notes()).anyMatch(n -> n.contains("more drained"));
        assertThat(now().drain().words().orElseThrow().whyExpected().inputs()).hasSize(6);
        assertThat(now().drain().words().orElseThrow().whyWait().formula()).contains("tau");
        assertThat(now().drain().words().orElseThrow().whyFrost().figure()).contains("°C");
    }

    private void hold(LeakMode mode, boolean simulated, double kPerMin, Stage stage, double fromS) {
        String id = mode + "-1";
        if (fromS == 0) {
            note(new Fact.HoldBegun(id, mode, 0.2, simulated ? "simulated tester" : "by hand", simulated));
        }
        double start = mode == LeakMode.PRESSURE ? 69 : -48;
        double baro = HeldTest.STANDARD_BAROMETER_KPA;
        List<LeakReading> readings = new ArrayList<>();
        for (int i = 1; i <= 40; i++) {
            double t = fromS + i * 15;
            double r = start / (start + 2 * baro) * Math.exp(-kPerMin * t / 60);
            readings.add(new LeakReading(t, baro * (1 + r) / (1 - r) - baro, 18, Optional.of(stage)));
        }
        note(new Fact.Held(id, readings));
    }

    @Test
    void findingsMadeAtTheStationsFeedTheVerdict() {
        drained(470);
        read(Field.FREE_WATER, 12);
        note(new Fact.Chosen(Scale.OIL_WATER.address(), "milky"));
        note(new Fact.Chosen(Scale.MAGNET.of("drain"), "paste"));
        note(new Fact.Chosen(Scale.MAGNET.of("vent_port"), "bristle"));
        hold(LeakMode.PRESSURE, false, 0.0001, Stage.STILL, 0);
        hold(LeakMode.VACUUM, true, 0.03, Stage.STILL, 0);
        assertThat(now().findings())
                .containsEntry("volume_more", new JobFinding("yes", JobFinding.By.DRAIN, "", ""))
                .containsEntry("free_water_first", new JobFinding("plenty", JobFinding.By.DRAIN, "", ""))
                .containsEntry("magnet", new JobFinding("bristle", JobFinding.By.PICKED, "", ""))
                .containsEntry("pressure_hold", new JobFinding("tight", JobFinding.By.HOLD, "", ""))
                .containsEntry("vacuum_hold", new JobFinding("slow", JobFinding.By.SIMULATED_HOLD, "", ""))
                .doesNotContainKey("volume_less");
        assertThat(now().verdict().cause("driveshaft_water_lip").orElseThrow().probability())
                .isGreaterThan(now().verdict()
                        .cause("driveshaft_oil_lip")
                        .orElseThrow()
                        .probability());
        assertThat(now().states()).containsEntry(Station.LEAK, Station.State.DONE);
        assertThat(now().nextAction().says()).isNotBlank();
    }

    @Test
    void blankIsNotMeasuredAndMakesNoFinding() {
        drained(420);
        assertThat(now().findings()).doesNotContainKey("free_water_first").containsKey("volume_more");
        hold(LeakMode.PRESSURE, false, 0.0001, Stage.STILL, 0);
        note(new Fact.Retracted(journal.get(journal.size() - 2).seq()));
        assertThat(now().job().holds()).isEmpty();
        assertThat(now().findings()).doesNotContainKey("pressure_hold");
    }

    @Test
    void undoTakesAHoldBackWithItsReadingsAndRedoBringsThemAgain() {
        hold(LeakMode.PRESSURE, false, 0.0001, Stage.STILL, 0);
        Entry undone = now().job().undoLine().undoable().orElseThrow();
        assertThat(undone.fact()).isInstanceOf(Fact.HoldBegun.class);
        note(new Fact.Retracted(undone.seq()));
        assertThat(now().held(LeakMode.PRESSURE)).isEmpty();
        note(new Fact.Retracted(now().job().undoLine().redoable().orElseThrow().seq()));
        assertThat(now().held(LeakMode.PRESSURE).orElseThrow().hold().readings())
                .hasSize(40);
    }

    @Test
    void aStageThatLeaksMoreBecomesAFinding() {
        hold(LeakMode.PRESSURE, false, 0.002, Stage.STILL, 0);
        hold(LeakMode.PRESSURE, false, 0.02, Stage.DRIVESHAFT, 600);
        assertThat(now().findings().get("worse_turning_driveshaft").outcome()).isEqualTo("yes");
    }

    @Test
    void aPersonMaySetAFindingAgainstTheEnginesWithAReason() {
        drained(470);
        note(new Fact.Chosen(Scale.OVERRULED.of("volume_more"), "no"));
        note(new Fact.Noted(Topic.OVERRULED_WHY.of("volume_more"), "filled lying down"));
        assertThat(now().findings())
                .containsEntry(
                        "volume_more", new JobFinding("no", JobFinding.By.OVERRULED, "yes", "filled lying down"));
    }

    @Test
    void tooFewReadingsAreNoVerdictButASentence() {
        note(new Fact.HoldBegun("p", LeakMode.PRESSURE, 1, "by hand", false));
        note(new Fact.Held("p", List.of(new LeakReading(40, 68, 18, Optional.empty()))));
        HeldTest held = now().held(LeakMode.PRESSURE).orElseThrow();
        assertThat(held.result()).isEmpty();
        assertThat(held.problems()).singleElement().asString().contains("at least 2");
    }

    @Test
    void theContextComesFromIntakeAndSheet() {
        note(new Fact.Chosen(Scale.WATER.address(), "sea"));
        note(new Fact.Chosen(Scale.SAND.address(), "yes"));
        read(Field.AGE, 240);
        read(Field.HOURS_SINCE_FILL, 120);
        Context context = now().context();
        assertThat(context.water()).contains(Context.Waters.SEA);
        assertThat(context.sand()).contains(true);
        assertThat(context.ageYears()).hasValue(20);
        assertThat(context.sealLayout()).contains(Context.SealLayout.BACK_TO_BACK);
        assertThat(context.lastJob()).isEmpty();
        assertThat(now().verdict().cause("shaft_groove").orElseThrow().prior()).isGreaterThan(0.1);
    }

    @Test
    void whatTheJobHasOpenCostsNoSetUp() {
        drained(430);
        assertThat(now().verdictInput().open()).containsExactly("drain");
        note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        now().stripSteps().forEach(s -> note(new Fact.Ticked(s.step().id(), true)));
        assertThat(now().verdictInput().open()).contains("drain", "pump_off", "leg_open");
    }

    @Test
    void whatWasFoundWhenOpenedIsKept() {
        note(new Fact.Chosen(Scale.CONFIRMED.of("driveshaft_water_lip"), "yes"));
        note(new Fact.Chosen(Scale.CONFIRMED.of("case_leak"), "no"));
        assertThat(now().confirmed())
                .containsEntry("driveshaft_water_lip", true)
                .containsEntry("case_leak", false);
    }

    @Test
    void rustIsJudgedAfterCleaningNeverBefore() {
        assertThat(Inspection.of(now().job(), "wear_plate").verdict()).isEqualTo(Inspection.Verdict.NOT_JUDGED);
        note(new Fact.Chosen(Scale.BEFORE_CLEANING.of("wear_plate"), "judge_after_cleaning"));
        assertThat(Inspection.of(now().job(), "wear_plate").verdict()).isEqualTo(Inspection.Verdict.CLEAN_FIRST);
        note(new Fact.Chosen(Scale.AFTER_CLEANING.of("wear_plate"), "reuse"));
        note(new Fact.Noted(Topic.INSPECTION.of("wear_plate"), "smooth under the rust"));
        assertThat(Inspection.of(now().job(), "wear_plate"))
                .isEqualTo(new Inspection(Inspection.Verdict.REUSE, "smooth under the rust"));
        note(new Fact.Chosen(Scale.BEFORE_CLEANING.of("propeller"), "replace"));
        assertThat(Inspection.of(now().job(), "propeller").verdict()).isEqualTo(Inspection.Verdict.REPLACE);
    }

    @Test
    void suspicionFallsOnPlacesOnceSomethingSpeaksForThem() {
        assertThat(now().suspicion()).isEmpty();
        note(new Fact.Chosen(Scale.OIL_WATER.address(), "milky"));
        note(new Fact.Chosen(JobFinding.simulated("bubbles_driveshaft"), "yes"));
        assertThat(now().suspicion()).doesNotContainKey("impeller");
        assertThat(now().suspicion().get("driveshaft_seals")).isGreaterThan(0.8);
        assertThat(now().findings().get("bubbles_driveshaft").by()).isEqualTo(JobFinding.By.SIMULATED);
        assertThat(now().verdictWords().head()).startsWith("Driveshaft seals");
        assertThat(now().verdictWords().notes()).hasSizeGreaterThanOrEqualTo(2);
    }

    @Test
    void aHoldIsTracedWithItsBandAndItsAllowance() {
        hold(LeakMode.PRESSURE, false, 0.01, Stage.STILL, 0);
        HeldTest held = now().held(LeakMode.PRESSURE).orElseThrow();
        LeakTrace trace = LeakTrace.of(held.input(), held.result(), 10);
        assertThat(trace.readings()).hasSizeLessThanOrEqualTo(10);
        assertThat(trace.fit()).allSatisfy(b -> assertThat(b.gaugeKpa())
                .isBetween(Math.min(b.oneSide(), b.otherSide()) - 1e-9, Math.max(b.oneSide(), b.otherSide()) + 1e-9));
        double allowedEnd = trace.allowed().get(trace.allowed().size() - 1).gaugeKpa();
        assertThat(allowedEnd).isLessThan(trace.allowed().get(0).gaugeKpa());
        assertThat(LeakTrace.of(held.input(), Optional.empty(), 10).fit()).isEmpty();
    }
}
