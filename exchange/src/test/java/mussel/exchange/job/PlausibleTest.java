package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegBefore;
import mussel.core.job.LegRef;
import mussel.core.job.OrderTable;
import mussel.core.job.Plausible;
import mussel.core.job.Scale;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.measure.StopToken;
import mussel.core.parts.Objective;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a leg's own history says of a figure, and what it makes known without asking. */
class PlausibleTest {
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final LegRef LEG = new LegRef("l", "Spat Lass", LegRef.Position.PORT, "tern-60");

    private final List<Entry> journal = new ArrayList<>();

    PlausibleTest() {
        note(journal, new Fact.Opened(LEG));
    }

    private static void note(List<Entry> into, Fact fact) {
        into.add(new Entry(into.size() + 1L, 1, Instant.parse("2025-11-20T09:00:00Z"), "a", fact));
    }

    private void read(Field field, double value) {
        note(journal, Fact.Read.byHand(field.address(), value, ""));
    }

    /** The leg as it left a year ago: 312 h, filled with 425 ml, 48 months old. */
    private static LegBefore aYearAgo() {
        List<Entry> then = new ArrayList<>();
        note(then, new Fact.Opened(LEG));
        note(then, Fact.Read.byHand(Field.ENGINE_HOURS.address(), 312, ""));
        note(then, Fact.Read.byHand(Field.AGE.address(), 48, ""));
        note(then, Fact.Read.byHand(Field.PUMPED.address(), 425, ""));
        note(then, new Fact.Tagged(LocalDate.of(2025, 11, 23)));
        return LegBefore.of(List.of(Job.of(then)), ZoneOffset.UTC);
    }

    private Assessment now(LegBefore before) {
        return Assessment.of(
                Job.of(journal),
                TERN,
                new Surroundings(
                                SheetFiles.shippedYard(),
                                new Judge(KnowledgeFiles.shipped()),
                                List.of(),
                                TODAY,
                                new Stores(CatalogueFiles.shipped(), Map.of()),
                                new Planning())
                        .with(before));
    }

    private Optional<String> doubt(Field field, double value) {
        return Plausible.doubt(now(aYearAgo()), field.address(), value);
    }

    @Test
    void aMeterThatGoesBackOrRunsAwayIsAskedAbout() {
        assertThat(doubt(Field.ENGINE_HOURS, 412)).isEmpty();
        assertThat(doubt(Field.ENGINE_HOURS, 300)).get().asString().contains("read 312 h on 2025-11-23");
        assertThat(doubt(Field.ENGINE_HOURS, 9_412)).get().asString().contains("in 365 days");
    }

    @Test
    void thirtyYearsOfHoursInSixAreAskedAboutWhereNothingElseIsKnown() {
        read(Field.AGE, 72);
        assertThat(Plausible.doubt(now(LegBefore.UNKNOWN), Field.ENGINE_HOURS.address(), 6_000))
                .isEmpty();
        assertThat(Plausible.doubt(now(LegBefore.UNKNOWN), Field.ENGINE_HOURS.address(), 30_000))
                .get()
                .asString()
                .contains("6 years");
    }

    @ParameterizedTest
    @CsvSource({
        "HOURS_SINCE_FILL, 38, false",
        "HOURS_SINCE_FILL, 500, true",
        "DRAINED, 452, false",
        "DRAINED, 4520, true",
        "DRAINED, 45, true",
        "FREE_WATER, 12, false",
        "FREE_WATER, 600, true",
        "OIL_TEMP, 18, false",
        "OIL_TEMP, 140, true",
        "MINUTES, 20, false",
        "MINUTES, 0.3, true",
        "MASS, 415, false",
        "MASS, 830, true",
        "BAROMETER, 101.3, false",
        "BAROMETER, 14.7, true",
        "STORAGE_MIN, -8, false",
        "STORAGE_MIN, 60, true",
    })
    void whatHardlyCanBeIsAskedAbout(Field field, double value, boolean asked) {
        read(Field.ENGINE_HOURS, 412);
        read(Field.DRAINED, 452);
        assertThat(Plausible.doubt(now(LegBefore.UNKNOWN), field.address(), value)
                        .isPresent())
                .isEqualTo(asked);
    }

    @Test
    void whatTheDatesOfTheLegSayIsNotAskedAgain() {
        read(Field.ENGINE_HOURS, 412);
        Assessment now = now(aYearAgo());
        assertThat(now.known(Field.HOURS_SINCE_FILL)).hasValue(100);
        assertThat(now.known(Field.MONTHS_SINCE_FILL)).hasValue(12);
        assertThat(now.known(Field.AGE)).hasValue(60);
        assertThat(now.known(Field.FILL)).hasValue(425);
        assertThat(now.context().hoursSinceChange()).hasValue(100);
        assertThat(now.saltYears()).isEqualTo(5);
        read(Field.HOURS_SINCE_FILL, 20);
        assertThat(now(aYearAgo()).known(Field.HOURS_SINCE_FILL))
                .as("what is read outranks what follows")
                .hasValue(20);
        assertThat(doubt(Field.HOURS_SINCE_FILL, 20)).get().asString().contains("By the records it is 100 h");
    }

    @Test
    void theOrderIsATableThatMarksWhatTheKitLeavesOut() {
        note(journal, new Fact.Chosen(Scale.GOAL.of("pump_kit"), "yes"));
        note(journal, new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        Assessment now = now(LegBefore.UNKNOWN);
        OrderTable table = OrderTable.of(
                now, Optional.of(now.supply().best(Objective.COST, java.util.OptionalDouble.empty(), new StopToken())));
        assertThat(table.lines()).hasSameSizeAs(now.supply().rows());
        assertThat(table.lines()).allSatisfy(l -> {
            assertThat(l.from()).isNotBlank();
            assertThat(l.when()).matches("\\d+ days?");
            assertThat(l.purpose()).isNotBlank();
        });
        double total =
                table.lines().stream().mapToDouble(l -> l.price().orElse(0)).sum();
        var best = now.supply()
                .best(Objective.COST, java.util.OptionalDouble.empty(), new StopToken())
                .result();
        assertThat(total)
                .as("each line of the order is priced once")
                .isEqualTo(
                        best.lines().stream().mapToDouble(l -> l.cost()).sum(),
                        org.assertj.core.api.Assertions.within(1e-6));
        assertThat(table.lines())
                .filteredOn(l -> l.from().startsWith("kit "))
                .isNotEmpty()
                .allSatisfy(l -> assertThat(l.left()).isEmpty());
        assertThat(table.lines())
                .filteredOn(l -> !l.from().startsWith("kit "))
                .isNotEmpty()
                .allSatisfy(l -> assertThat(l.left()).isEqualTo("not in the kit"));
    }
}
