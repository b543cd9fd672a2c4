package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Surroundings;
import mussel.core.log.Due;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** From which day and which hours each service counts. */
class NextDueTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 7, 1);
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);

    private final List<Entry> journal = new ArrayList<>();

    NextDueTest() {
        note(new Fact.Opened(new LegRef("l", "Spat Lass", LegRef.Position.PORT, TERN.id())));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH, "a", fact));
    }

    private NextDueTest read(Field field, double value) {
        note(Fact.Read.byHand(field.address(), value, ""));
        return this;
    }

    private NextDueTest goal(String goal) {
        note(new Fact.Chosen(Scale.GOAL.of(goal), "yes"));
        return this;
    }

    private NextDueTest tagged(LocalDate day) {
        note(new Fact.Tagged(day));
        return this;
    }

    private Optional<Due> due(String id) {
        Judge judge = new Judge(KnowledgeFiles.shipped());
        return Stream.of(Assessment.of(
                        Job.of(journal), TERN, new Surroundings(SheetFiles.shippedYard(), judge, List.of(), TODAY)))
                .flatMap(now -> now.due().stream())
                .filter(d -> d.id().equals(id))
                .findFirst();
    }

    @Test
    void oilThatWasFilledCountsFromTheJob() {
        Due oil = read(Field.ENGINE_HOURS, 412)
                .read(Field.PUMPED, 700)
                .tagged(TODAY)
                .due("gear_oil")
                .orElseThrow();
        assertThat(oil.atHours()).hasValue(512);
        assertThat(oil.on()).isEqualTo(LocalDate.of(2027, 7, 1));
    }

    @Test
    void oilThatStayedInCountsFromItsLastFill() {
        read(Field.ENGINE_HOURS, 412).read(Field.HOURS_SINCE_FILL, 60).read(Field.MONTHS_SINCE_FILL, 7);
        Due oil = goal("thermostat").tagged(TODAY).due("gear_oil").orElseThrow();
        assertThat(oil.atHours()).hasValue(452);
        assertThat(oil.on()).isEqualTo(LocalDate.of(2026, 12, 1));
    }

    @Test
    void ofOilThatStayedInAndIsOfUnknownAgeNothingIsSaid() {
        read(Field.ENGINE_HOURS, 412).goal("thermostat").tagged(TODAY);
        assertThat(due("gear_oil")).isEmpty();
        assertThat(due("pump")).isEmpty();
        assertThat(goal("impeller").due("pump").orElseThrow().atHours()).hasValue(712);
    }

    @Test
    void workThatFillsTheCaseStartsTheOilsClockThoughNobodyMeasured() {
        Due oil = read(Field.ENGINE_HOURS, 412)
                .goal("driveshaft_seals")
                .tagged(TODAY)
                .due("gear_oil")
                .orElseThrow();
        assertThat(oil.atHours()).hasValue(512);
    }

    @Test
    void withoutTheMeterOnlyTheCalendarCounts() {
        Due oil = read(Field.PUMPED, 700).tagged(TODAY).due("gear_oil").orElseThrow();
        assertThat(oil.atHours()).isEmpty();
        assertThat(oil.limits()).isEqualTo("by 2027-07-01");
    }

    @Test
    void newGearsRunInAndSoDoesAWholeNewLeg() {
        read(Field.ENGINE_HOURS, 412).read(Field.PUMPED, 700);
        assertThat(due("break_in")).isEmpty();
        assertThat(goal("gears").due("break_in").orElseThrow().atHours()).hasValue(432);
        NextDueTest fresh = new NextDueTest().read(Field.ENGINE_HOURS, 6).read(Field.PUMPED, 700);
        assertThat(fresh.due("break_in").orElseThrow().atHours())
                .as("at the sheet's hours, not that many more")
                .hasValue(20);
    }

    @Test
    void whereItFreezesALegIsLaidUpBeforeFrost() {
        read(Field.ENGINE_HOURS, 412).read(Field.PUMPED, 700);
        assertThat(due(Due.LAY_UP)).isEmpty();
        note(new Fact.Chosen(Scale.STORAGE.address(), "frost"));
        Due layUp = tagged(TODAY).due(Due.LAY_UP).orElseThrow();
        assertThat(layUp.on()).isEqualTo(LocalDate.of(2026, 11, 15));
        assertThat(layUp.atHours()).isEmpty();
        assertThat(tagged(LocalDate.of(2026, 10, 20))
                        .due(Due.LAY_UP)
                        .orElseThrow()
                        .on())
                .as("a job so shortly before frost has laid it up")
                .isEqualTo(LocalDate.of(2027, 11, 15));
    }
}
