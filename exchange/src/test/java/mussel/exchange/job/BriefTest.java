package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import mussel.core.brief.Brief;
import mussel.core.brief.Brief.Deed;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planning;
import mussel.core.sheet.Phase;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What stands beside each station: its caution, its sentence, the one act, and what is folded away. */
class BriefTest {
    private final List<Entry> journal = new ArrayList<>();
    private SpecSheet sheet = family("tern-60");
    private Map<String, Integer> shelf = Map.of();

    private static SpecSheet family(String id) {
        return SheetFiles.shipped().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    BriefTest() {
        note(new Fact.Opened(new LegRef("l", "Spat Lass", LegRef.Position.PORT, "tern-60")));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH.plusSeconds(journal.size()), "a", fact));
    }

    private void read(Field field, double value) {
        note(Fact.Read.byHand(field.address(), value, ""));
    }

    private void choose(Address at, String outcome) {
        note(new Fact.Chosen(at, outcome));
    }

    private void tick(List<PlannedStep> steps) {
        steps.forEach(s -> note(new Fact.Ticked(s.step().id(), true)));
    }

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                sheet,
                new Surroundings(
                        SheetFiles.shippedYard(),
                        new Judge(KnowledgeFiles.shipped()),
                        List.of(),
                        LocalDate.of(2026, 11, 23),
                        new Stores(CatalogueFiles.shipped(), shelf),
                        new Planning()));
    }

    private Brief beside(Station station) {
        return Brief.of(now(), station);
    }

    private Deed deed(Station station) {
        return beside(station).act().orElseThrow().deed();
    }

    private List<String> folds(Station station) {
        return beside(station).folds().stream().map(Brief.Fold::id).toList();
    }

    private void milky() {
        read(Field.ENGINE_HOURS, 412);
        choose(Scale.WATER.address(), "sea");
        read(Field.DRAINED, 452);
        read(Field.OIL_TEMP, 18);
        read(Field.MINUTES, 20);
        choose(Scale.OIL_WATER.address(), "milky");
    }

    private void seals() {
        milky();
        choose(Scale.GOAL.of("driveshaft_seals"), "yes");
    }

    @ParameterizedTest
    @EnumSource(Station.class)
    void neverAWall(Station station) {
        seals();
        Brief brief = beside(station);
        assertThat(brief.head()).isNotBlank().hasSizeLessThan(190);
        assertThat(brief.act()).isPresent();
        assertThat(brief.act().orElseThrow().title()).hasSizeLessThan(110);
        assertThat(brief.cautions()).hasSizeLessThanOrEqualTo(Brief.MOST_CAUTIONS);
        assertThat(brief.folds()).isNotEmpty().hasSizeLessThanOrEqualTo(Brief.MOST_FOLDS);
        assertThat(brief.folds()).allSatisfy(f -> {
            assertThat(f.lines()).isNotEmpty().allSatisfy(l -> assertThat(l).isNotBlank());
            assertThat(f.value()).hasSizeLessThan(32);
        });
    }

    @Test
    void intakeAsksFirstAndThenLeadsToTheLookForTheComplaint() {
        assertThat(deed(Station.INTAKE)).isEqualTo(new Deed.Press(Handle.FIRST_OPEN));
        read(Field.ENGINE_HOURS, 412);
        choose(Scale.WATER.address(), "sea");
        assertThat(deed(Station.INTAKE)).isEqualTo(new Deed.Go(Station.DRAIN));
        choose(Scale.CAME_FOR.of("hot"), "yes");
        assertThat(deed(Station.INTAKE)).isInstanceOf(Deed.Look.class);
        note(new Fact.Noted(Topic.COMPLAINT.address(), "alarm off the point"));
        assertThat(folds(Station.INTAKE)).contains("told");
    }

    @Test
    void drainMindsTheOilThenGoesOnToTheNextLook() {
        assertThat(beside(Station.DRAIN).cautions()).singleElement().asString().contains("Hot oil burns");
        assertThat(deed(Station.DRAIN)).isEqualTo(new Deed.Press(Handle.FIRST_OPEN));
        milky();
        assertThat(beside(Station.DRAIN).head()).contains("Driveshaft seals");
        assertThat(deed(Station.DRAIN)).isInstanceOf(Deed.Look.class);
        assertThat(folds(Station.DRAIN)).contains("evidence", "water", "frost", "waiting", "goals");
    }

    @Test
    void leakHuntHolds() {
        milky();
        assertThat(deed(Station.LEAK)).isEqualTo(new Deed.Press(Handle.HOLD));
        assertThat(beside(Station.LEAK).cautions()).singleElement().asString().contains("shop air");
    }

    @Test
    void pumpSaysWhatIsToBeReplaced() {
        assertThat(beside(Station.PUMP).head()).isEqualTo("Pump not checked yet.");
        choose(Scale.VANES_SEEN.address(), "yes");
        note(Fact.Read.byHand(Field.VANE_WEAR.of("1"), 1.4, ""));
        assertThat(beside(Station.PUMP).head()).startsWith("Replace: ").contains("mpeller");
        assertThat(beside(Station.PUMP).changes()).isFalse();
    }

    @Test
    void verdictOffersWhatPaysOnceNoLookIsWorthItsTime() {
        choose(Address.the("bubbles_driveshaft"), "yes");
        choose(Address.the("pressure_hold"), "fast");
        choose(Address.the("lip_profile_driveshaft"), "torn");
        milky();
        for (int i = 0; i < 60 && now().verdictWords().advised().isPresent(); i++) {
            String look =
                    now().verdictWords().advised().orElseThrow().findings().get(0);
            choose(
                    Address.the(look),
                    now().knowledge().finding(look).orElseThrow().outcomes().get(0));
        }
        assertThat(deed(Station.VERDICT)).isInstanceOfSatisfying(Deed.Enter.class, e -> assertThat(e.facts())
                .contains(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes")));
    }

    @Test
    void estimateIsPrintedThenLeadsOn() {
        assertThat(beside(Station.ESTIMATE).head()).contains("nothing to estimate");
        seals();
        assertThat(deed(Station.ESTIMATE)).isEqualTo(new Deed.Press(Handle.PRINT_ESTIMATE));
        choose(Scale.OWNER_SAYS.address(), "repair");
        assertThat(deed(Station.ESTIMATE)).isEqualTo(new Deed.Go(Station.STRIP));
    }

    @Test
    void stripTicksTheStepAtHandWithItsCautionsAndThenLeadsOn() {
        seals();
        PlannedStep first = now().stripSteps().get(0);
        Brief brief = beside(Station.STRIP);
        assertThat(brief.head())
                .startsWith("Step 1 of " + now().stripSteps().size())
                .contains(first.step().title());
        assertThat(first.step().cautions()).containsAll(brief.cautions());
        assertThat(deed(Station.STRIP))
                .isEqualTo(new Deed.Enter(List.of(new Fact.Ticked(first.step().id(), true))));
        tick(now().stripSteps());
        assertThat(deed(Station.STRIP)).isEqualTo(new Deed.Go(Station.PARTS));
        assertThat(folds(Station.STRIP)).contains("mat", "coming", "wrong", "time");
    }

    @Test
    void setUpNamesThePlaceToMeasure() {
        assertThat(beside(Station.SETUP).head()).contains("gears are not disturbed");
        sheet = family("skua-225");
        choose(Scale.GOAL.of("gears"), "yes");
        assertThat(beside(Station.SETUP).head()).isEqualTo("Next: Pinion.");
        assertThat(deed(Station.SETUP)).isEqualTo(new Deed.Press(Handle.FIRST_OPEN));
    }

    @Test
    void partsComeOffTheShelfThenByOrderThenArrive() {
        seals();
        shelf = Map.of("plug_washer", 9);
        assertThat(deed(Station.PARTS)).isEqualTo(new Deed.Press(Handle.TAKE_FROM_SHELF));
        shelf = Map.of();
        assertThat(deed(Station.PARTS)).isEqualTo(new Deed.Press(Handle.ORDER));
        assertThat(folds(Station.PARTS)).contains("purposes", "coming");
    }

    @Test
    void buildTicksThenGoesToTheFill() {
        seals();
        assertThat(deed(Station.BUILD)).isInstanceOf(Deed.Enter.class);
        tick(now().buildSteps());
        assertThat(deed(Station.BUILD)).isEqualTo(new Deed.Go(Station.FILL));
    }

    @Test
    void fillAsksForWhatWentIn() {
        seals();
        assertThat(beside(Station.FILL).head()).startsWith("447 ml in total");
        assertThat(deed(Station.FILL)).isEqualTo(new Deed.Press(Handle.FIRST_OPEN));
        read(Field.PUMPED, 431);
        assertThat(deed(Station.FILL)).isInstanceOf(Deed.Enter.class);
    }

    @Test
    void proveAsksProofByProof() {
        seals();
        assertThat(deed(Station.PROVE)).isEqualTo(new Deed.Press(Handle.FIRST_OPEN));
        choose(Scale.SHIFT_NEUTRAL.address(), "locks");
        assertThat(beside(Station.PROVE).head()).contains("Failed");
        assertThat(folds(Station.PROVE)).contains("failed");
    }

    @Test
    void tagWantsItsWordThenTagsThenPrints() {
        seals();
        tick(Stream.of(
                        now().stripSteps(),
                        now().buildSteps(),
                        now().fillSteps(),
                        now().plan().of(Phase.PROVE))
                .flatMap(List::stream)
                .toList());
        assertThat(deed(Station.TAG)).isEqualTo(new Deed.Press(Handle.TAG_WORD));
        note(new Fact.Noted(Topic.PROOF_OVERRIDE.address(), "at the berth"));
        assertThat(deed(Station.TAG)).isEqualTo(new Deed.Press(Handle.TAG));
        note(new Fact.Tagged(LocalDate.of(2026, 11, 23)));
        assertThat(deed(Station.TAG)).isEqualTo(new Deed.Press(Handle.PRINT_JOB));
    }
}
