package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import mussel.core.drain.DrainResult.Verdict;
import mussel.core.fill.FillResult.Check;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Yard;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.FamilySheet;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/** What is computed for a job of a shipped family, from its first entry to its tag. */
class AssessmentTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final FamilySheet TERN = SheetFiles.shipped().get(0);
    private static final Yard YARD = SheetFiles.shippedYard();

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
        return Assessment.of(Job.of(journal), TERN, YARD, TODAY);
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
        assertThat(now().drain()).isEmpty();
        assertThat(now().current()).isEqualTo(Station.INTAKE);
        assertThat(now().nextAction()).isEqualTo("Finish the intake");
        assertThat(now().plan().steps()).isEmpty();
        assertThat(now().due()).extracting(d -> d.what()).containsExactly("Gear oil");
    }

    @Test
    void theDrainIsComputedAsSoonAsVolumeTemperatureAndTimeAreThere() {
        read(Field.DRAINED, 400);
        read(Field.OIL_TEMP, 18);
        assertThat(now().drain()).isEmpty();
        read(Field.MINUTES, 30);
        assertThat(now().drain().orElseThrow().balance().verdict()).isEqualTo(Verdict.AS_EXPECTED);
    }

    @Test
    void readingsThatDoNotFitTogetherAreToldAndComputeNothing() {
        drained(100);
        read(Field.FREE_WATER, 120);
        assertThat(now().drain()).isEmpty();
        assertThat(now().drainProblems()).extracting(p -> p.at()).containsExactly("/free_water_ml");
    }

    @Test
    void aJarCountsOnlyWithALayer() {
        drained(420);
        read(Field.JAR_TOTAL, 100);
        assertThat(now().drainInput().orElseThrow().jar()).isEmpty();
        read(Field.JAR_EMULSION, 12);
        assertThat(now().drainInput().orElseThrow().jar()).isPresent();
    }

    @Test
    void aShutVentIsTakenIntoAccount() {
        drained(400);
        double open = now().drain().orElseThrow().drain().tauMin();
        note(new Fact.Chosen(Scale.VENT.address(), "shut"));
        assertThat(now().drain().orElseThrow().drain().tauMin()).isGreaterThan(open * 7);
    }

    @Test
    void theOilInItDecidesTheViscosity() {
        drained(400);
        double blue = now().drain().orElseThrow().viscosityCst();
        note(new Fact.Chosen(Scale.OIL_LAST.address(), "red-shift"));
        assertThat(now().drain().orElseThrow().viscosityCst()).isLessThan(blue);
        assertThat(now().oilToFill().id()).isEqualTo("red-shift");
    }

    @Test
    void stationsFollowTheWorkToTheTag() {
        read(Field.ENGINE_HOURS, 412);
        note(new Fact.Chosen(Scale.WATER.address(), "sea"));
        assertThat(now().current()).isEqualTo(Station.DRAIN);
        drained(400);
        note(new Fact.Chosen(Scale.OIL_WATER.address(), "none"));
        assertThat(now().current()).isEqualTo(Station.STRIP);
        assertThat(now().nextAction()).isEqualTo("Choose what to repair");
        note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
        assertThat(now().nextAction()).isEqualTo("Kill cord and battery off");
        assertThat(now().states()).containsEntry(Station.STRIP, Station.State.BEGUN);
        tick(now().stripSteps());
        assertThat(now().current()).isEqualTo(Station.BUILD);
        tick(now().buildSteps());
        assertThat(now().current()).isEqualTo(Station.FILL);
        tick(now().fillSteps());
        read(Field.PUMPED, 431);
        assertThat(now().fill().orElseThrow().check()).contains(Check.AS_EXPECTED);
        assertThat(now().current()).isEqualTo(Station.TAG);
        note(new Fact.Tagged(TODAY));
        assertThat(now().nextAction()).isEqualTo("Nothing more to do");
    }

    @Test
    void aPumpJobSetsThePumpsClockAndARecheck() {
        read(Field.ENGINE_HOURS, 412);
        note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
        note(new Fact.Tagged(TODAY));
        assertThat(now().due()).extracting(d -> d.what()).containsExactly("Gear oil", "Water pump", "Oil recheck");
        assertThat(now().due().get(0).atHours()).isEqualTo(512);
    }

    @Test
    void sandBringsEverythingForward() {
        read(Field.ENGINE_HOURS, 412);
        note(new Fact.Chosen(Scale.SAND.address(), "yes"));
        assertThat(now().due().get(0).atHours()).isEqualTo(462);
    }

    @Test
    void bottlesOfTheJobReplaceThoseOfTheYard() {
        note(Fact.Read.byHand(Field.BOTTLE_HAVE.of("litre"), 1, "1"));
        assertThat(now().fill().orElseThrow().cost()).isZero();
        note(Fact.Read.byHand(Field.BOTTLE_OPENED.of("tube"), 300, "300 ml"));
        assertThat(now().fill()).isPresent();
    }

    @Test
    void theWordsOfTheDrainFollowTheVolume() {
        drained(250);
        assertThat(now().drainWords().orElseThrow().head()).contains("of oil is missing");
        read(Field.DRAINED, 500);
        assertThat(now().drainWords().orElseThrow().essentials()).anyMatch(n -> n.contains("more came out"));
        assertThat(now().drainWords().orElseThrow().whyExpected().inputs()).hasSize(6);
        assertThat(now().drainWords().orElseThrow().whyWait().formula()).contains("tau");
        assertThat(now().drainWords().orElseThrow().whyFrost().figure()).contains("°C");
    }
}
