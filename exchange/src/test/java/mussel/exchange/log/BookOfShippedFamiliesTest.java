package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.book.BenchPlan;
import mussel.core.book.Filed;
import mussel.core.book.LayUp;
import mussel.core.fleet.Fleet;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.Yard;
import mussel.core.log.Visit;
import mussel.core.measure.YardUnits;
import mussel.core.parts.Wanted;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;
import org.junit.jupiter.api.Test;

class BookOfShippedFamiliesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);

    private static Assessment job(Fact... facts) {
        List<Fact> all = new ArrayList<>();
        all.add(new Fact.Opened(new LegRef("l1", "Spat Lass", LegRef.Position.PORT, "tern-60")));
        all.addAll(List.of(facts));
        List<Entry> entries = new ArrayList<>();
        for (Fact fact : all) {
            entries.add(new Entry(entries.size() + 1L, 7, Instant.parse("2026-11-23T08:00:00Z"), "bench", fact));
        }
        return Assessment.of(
                Job.of(entries), TERN, new Surroundings(SheetFiles.shippedYard(), JUDGE, List.of(), TODAY));
    }

    private static Fact yes(Scale scale, String of) {
        return new Fact.Chosen(scale.of(of), "yes");
    }

    @Test
    void aTaggedJobLeavesWhatWasRenewedAndWhatWasExpected() {
        Visit visit = Filed.of(job(
                        Fact.Read.byHand(Field.ENGINE_HOURS.address(), 412, "412 h"),
                        new Fact.Chosen(Scale.SAND.address(), "yes"),
                        new Fact.Chosen(Scale.OIL_WATER.address(), "milky"),
                        new Fact.Chosen(Scale.MAGNET.of("drain"), "bristle"),
                        Fact.Read.byHand(Field.VANE_WEAR.of("2"), 2.4, "2.4 mm"),
                        yes(Scale.GOAL, "impeller"),
                        yes(Scale.GOAL, "driveshaft_seals"),
                        yes(Scale.CONFIRMED, "driveshaft_water_lip"),
                        Fact.Read.byHand(Field.PUMPED.address(), 430, "430 ml"),
                        new Fact.Noted(Topic.COMPLAINT.address(), "oil sheen"),
                        new Fact.Tagged(TODAY)))
                .visit();
        assertThat(visit.renewals())
                .containsExactly(
                        new Visit.Renewal(Visit.Wearing.IMPELLER, Optional.of(true), OptionalDouble.empty()),
                        new Visit.Renewal(Visit.Wearing.DRIVESHAFT_SEALS, Optional.of(true), OptionalDouble.empty()),
                        new Visit.Renewal(Visit.Wearing.GEAR_OIL, Optional.of(true), OptionalDouble.empty()));
        assertThat(visit.expected()).singleElement().satisfies(e -> {
            assertThat(e.found()).isTrue();
            assertThat(e.probability()).isGreaterThan(e.prior());
        });
        assertThat(visit.measure(Visit.Quantity.MAGNET).orElseThrow().value()).isEqualTo(2);
        assertThat(visit.sand()).isTrue();
        assertThat(VisitJson.read(VisitJson.write(visit))).isEqualTo(visit);
    }

    @Test
    void whatWasSoundAndWhatNobodyLookedAtAreKeptApart() {
        Filed sound = Filed.of(job(
                new Fact.Chosen(Scale.VANES_SEEN.address(), "yes"),
                yes(Scale.GOAL, "impeller"),
                new Fact.Tagged(TODAY)));
        assertThat(sound.visit().renewals().get(0).failed()).contains(false);
        Filed unseen = Filed.of(job(yes(Scale.GOAL, "impeller"), new Fact.Tagged(TODAY)));
        assertThat(unseen.visit().renewals().get(0).failed()).isEmpty();
        assertThat(Filed.of(job(yes(Scale.GOAL, "impeller"))).visit().renewals())
                .isEmpty();
        assertThat(unseen.words()).contains("job 7", "Spat Lass, port", "Tern 60");
    }

    private static Fleet.Leg planned(Assessment... jobs) {
        BenchPlan plan = BenchPlan.of(
                List.of(jobs), SheetFiles.shippedYard(), t -> List.of(), LocalDateTime.of(2026, 11, 23, 9, 0));
        return plan.fleet().legs().get(0);
    }

    @Test
    void theWorkOfALegIsCutIntoPiecesWithItsToolsCureAndPromise() {
        Assessment job = job(yes(Scale.GOAL, "driveshaft_seals"), new Fact.Noted(Topic.PROMISED.address(), "Friday"));
        Fleet.Leg leg = planned(job);
        assertThat(leg.promised()).contains(LocalDate.of(2026, 11, 27));
        assertThat(leg.tasks()).hasSizeGreaterThan(3).allMatch(t -> t.minutes() <= 180);
        assertThat(leg.tasks()).anyMatch(t -> t.tools().contains("arbor press"));
        assertThat(leg.tasks())
                .anyMatch(t -> t.cureMinutes() == 720 && t.title().startsWith("Rebuild"));
        double all = job.plan().steps().stream()
                .mapToDouble(s -> s.step().meanMinutes(0))
                .sum();
        double cut = leg.tasks().stream().mapToDouble(Fleet.Task::minutes).sum();
        assertThat(cut).isCloseTo(all + 15, org.assertj.core.api.Assertions.within(1e-6));
    }

    @Test
    void nothingIsBuiltBeforeItsPartsAreThere() {
        Fleet.Leg leg = planned(job(
                yes(Scale.GOAL, "driveshaft_seals"),
                new Fact.Ordered(
                        "o-1",
                        "R",
                        true,
                        List.of(new Order.Line(
                                "K", "Lochside", 1, 9, List.of(new Wanted("ds_seal", 2)), TODAY.plusDays(4))),
                        0,
                        9)));
        assertThat(leg.tasks()).filteredOn(t -> t.title().startsWith("Rebuild")).allMatch(t -> t.notBefore()
                .equals(Optional.of(TODAY.plusDays(4))));
        assertThat(leg.tasks()).filteredOn(t -> t.title().startsWith("Strip")).allMatch(t -> t.notBefore()
                .isEmpty());
    }

    @Test
    void theNextStepOfAJobIsTheFirstNobodyHasTickedAndWhoIsAwayIsKnown() {
        Assessment job = job(yes(Scale.GOAL, "driveshaft_seals"));
        String first = job.plan().steps().get(0).step().id();
        String second = job.plan().steps().get(1).step().id();
        LocalDateTime now = LocalDateTime.of(2026, 11, 23, 9, 0);
        BenchPlan plan = BenchPlan.of(
                List.of(job(yes(Scale.GOAL, "driveshaft_seals"), new Fact.Ticked(first, true))),
                SheetFiles.shippedYard(),
                t -> t.equals("second bench") ? List.of(TODAY) : List.of(),
                now);
        assertThat(plan.next().get(job.job().id()).id()).isEqualTo(second);
        assertThat(plan.fleet().technicians())
                .extracting(Fleet.Technician::away)
                .containsExactly(List.of(), List.of(TODAY));
        BenchPlan unknown = BenchPlan.of(List.of(job()), SheetFiles.shippedYard(), t -> List.of(), now);
        assertThat(unknown.next()).isEmpty();
        assertThat(unknown.fleet().legs().get(0).tasks()).hasSize(1);
    }

    @Test
    void benchesAreFewAndOnClosedDaysNobodyWorks() {
        Yard shipped = SheetFiles.shippedYard();
        Yard narrow = YardTables.with(
                        shipped,
                        Map.of(
                                "crew",
                                "{\"opens\":8,\"closes\":16.5,\"technicians\":[{\"name\":\"first\"}],\"benches\":1,\"closed\":[\"2026-12-24\"]}"))
                .value()
                .orElseThrow();
        BenchPlan plan = BenchPlan.of(
                List.of(job(yes(Scale.GOAL, "driveshaft_seals"))),
                narrow,
                t -> List.of(TODAY),
                LocalDateTime.of(2026, 11, 23, 9, 0));
        assertThat(plan.fleet().tools()).contains(new Fleet.Tool("bench", 1));
        assertThat(plan.fleet().legs().get(0).tasks()).allMatch(t -> t.tools().contains("bench"));
        assertThat(plan.fleet().technicians().get(0).away()).containsExactly(TODAY, LocalDate.of(2026, 12, 24));
    }

    @Test
    void aLegThatWaitsForNobodyKnowsWhenIsLeftOutAndSaidSo() {
        BenchPlan plan = BenchPlan.of(
                List.of(job(new Fact.Noted(Topic.WAITS_FOR.address(), "owner's approval"))),
                SheetFiles.shippedYard(),
                t -> List.of(),
                LocalDateTime.of(2026, 11, 23, 9, 0));
        assertThat(plan.fleet().legs()).isEmpty();
        assertThat(plan.left())
                .singleElement()
                .asString()
                .contains("Spat Lass, port is not planned", "owner's approval");
    }

    @Test
    void layUpCountsBottlesAndTheDose() {
        LayUp needs = new LayUp(
                OptionalDouble.of(25_000),
                OptionalDouble.of(2.5),
                OptionalDouble.of(1_800),
                OptionalDouble.of(150),
                SheetFiles.shippedYard().bottles());
        assertThat(needs.stabiliserMl()).hasValue(62.5);
        List<String> steps = needs.steps(TERN, YardUnits.METRIC);
        assertThat(steps.get(0)).contains("62.5 ml", "1 × stabiliser, leaves 187.5 ml");
        assertThat(steps.get(2)).as("after it ran").contains("1950 ml", "2 × engine oil litre, leaves 50 ml");
        assertThat(steps.get(3)).contains("430 ml", "2 × tube, leaves 15 ml");
        LayUp unknown = new LayUp(
                OptionalDouble.empty(),
                OptionalDouble.of(2.5),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                SheetFiles.shippedYard().bottles());
        assertThat(unknown.stabiliserMl()).isEmpty();
        assertThat(unknown.steps(TERN, YardUnits.METRIC).get(2)).contains("maker’s manual");
    }
}
