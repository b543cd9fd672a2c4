package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import mussel.core.book.LayUpWork;
import mussel.core.book.SpringWork;
import mussel.core.estimate.EstimateEngine;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.Consent;
import mussel.core.job.EngineSide;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegBefore;
import mussel.core.job.LegRef;
import mussel.core.job.OneVisit;
import mussel.core.job.Order;
import mussel.core.job.OtherLeg;
import mussel.core.job.OwnRecord;
import mussel.core.job.Scale;
import mussel.core.job.SecondWave;
import mussel.core.job.Station;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.VisitWith;
import mussel.core.log.Due;
import mussel.core.parts.Objective;
import mussel.core.parts.Wanted;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** Two legs of a twin in one visit, the owner's word over both, and what a visit leaves for the next. */
class OneVisitTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());
    private static final Surroundings AROUND = new Surroundings(
            SheetFiles.shippedYard(),
            JUDGE,
            List.of(),
            TODAY,
            new Stores(CatalogueFiles.shipped(), Map.of()),
            new Planning());

    private final Leg port = new Leg(1, LegRef.Position.PORT);
    private final Leg starboard = new Leg(2, LegRef.Position.STARBOARD);

    /** A leg's entries, a second apart. */
    private static final class Leg {
        private static long clock;
        private final List<Entry> entries = new ArrayList<>();
        private final int job;

        private final SpecSheet sheet;

        Leg(int job, LegRef.Position position) {
            this(job, "Spat Lass", position, TERN);
        }

        Leg(int job, String boat, LegRef.Position position, SpecSheet sheet) {
            this.job = job;
            this.sheet = sheet;
            note(new Fact.Opened(new LegRef("l" + job, boat, position, sheet.id())));
        }

        Leg note(Fact fact) {
            entries.add(new Entry(entries.size() + 1L, job, Instant.ofEpochSecond(clock++), "a", fact));
            return this;
        }

        Leg choose(Scale scale, String outcome) {
            return note(new Fact.Chosen(scale.address(), outcome));
        }

        Leg goal(String goal) {
            return note(new Fact.Chosen(Scale.GOAL.of(goal), "yes"));
        }

        Job read() {
            return Job.of(entries);
        }

        Assessment alone() {
            return Assessment.of(read(), sheet, AROUND);
        }

        Assessment beside(Leg other) {
            Optional<Assessment> sister =
                    OtherLeg.oneVisit(read(), other.read()) ? Optional.of(other.alone()) : Optional.empty();
            return Assessment.of(read(), sheet, AROUND.beside(new OtherLeg(other.read(), sister)));
        }

        Assessment after(LegBefore before) {
            return Assessment.of(read(), sheet, AROUND.with(before));
        }

        LegBefore left() {
            return LegBefore.of(List.of(read()), ZoneOffset.UTC);
        }

        void ordered(String part, int qty, boolean here) {
            String order = job + "-" + entries.size();
            note(new Fact.Ordered(
                    order,
                    "r",
                    true,
                    List.of(new Order.Line("S" + part, "s", qty, 1, List.of(new Wanted(part, 1)), TODAY)),
                    0,
                    1));
            if (here) {
                note(new Fact.Arrived(order, TODAY));
            }
        }
    }

    private Assessment now() {
        return port.beside(starboard);
    }

    @Test
    void legsAreOneVisitWhereOneOfThemSaysSoAndNoneSaysNo() {
        assertThat(now().visit()).isEmpty();
        assertThat(now().sister()).isPresent();
        starboard.choose(Scale.ONE_VISIT, "yes");
        assertThat(now().visit()).isPresent();
        assertThat(now().visit().get().legs())
                .extracting(l -> l.job().leg().position())
                .containsExactly(LegRef.Position.PORT, LegRef.Position.STARBOARD);
        assertThat(starboard
                        .beside(port)
                        .visit()
                        .orElseThrow()
                        .legs()
                        .get(0)
                        .job()
                        .id())
                .as("the same from the other leg")
                .isEqualTo(1);
        port.choose(Scale.ONE_VISIT, "no");
        assertThat(now().visit()).isEmpty();
    }

    @Test
    void bothTakeLessThanOneAfterTheOtherByWhatIsDoneOnceAndCostThatMuchLess() {
        port.choose(Scale.ONE_VISIT, "yes").goal("driveshaft_seals");
        starboard.goal("impeller");
        OneVisit visit = now().visit().orElseThrow();
        double apart = port.alone().timedPlan().minutes().mean()
                + starboard.alone().timedPlan().minutes().mean();
        assertThat(visit.together().mean()).isCloseTo(apart - visit.savedMinutes(), within(1e-6));
        assertThat(visit.savedMinutes()).isPositive();
        assertThat(visit.together().p50()).isLessThan(visit.together().p90());
        double parts = port.alone().worth().orElseThrow().input().partsTotal()
                + starboard.alone().worth().orElseThrow().input().partsTotal();
        assertThat(visit.worth().orElseThrow().input().partsTotal()).isEqualTo(parts);
        double other = starboard
                .beside(port)
                .visit()
                .flatMap(OneVisit::worth)
                .orElseThrow()
                .result()
                .option(EstimateEngine.REPAIR)
                .p90();
        assertThat(visit.worth()
                        .orElseThrow()
                        .result()
                        .option(EstimateEngine.REPAIR)
                        .p90())
                .as("the same seen from either leg")
                .isEqualTo(other);
    }

    /** Two legs of other boats, other models and other owners, each naming the other. */
    @Test
    void anyTwoLegsAreOneVisitWhereEachNamesTheOtherAndEndsWhenOneDoesNot() {
        Leg tender = new Leg(7, "Raft tender", LegRef.Position.SINGLE, family("wren-8")).goal("driveshaft_seals");
        Leg byssus = new Leg(8, "Byssus", LegRef.Position.SINGLE, TERN).goal("driveshaft_seals");
        tender.note(VisitWith.with(byssus.read().leg()));
        assertThat(tender.beside(byssus).visit())
                .as("one alone decides nothing")
                .isEmpty();
        byssus.note(VisitWith.with(tender.read().leg()));
        OneVisit visit = byssus.beside(tender).visit().orElseThrow();
        assertThat(visit.legs()).extracting(l -> l.job().id()).containsExactly(7, 8);
        for (Leg leg : List.of(tender, byssus)) {
            boolean first = leg == tender;
            assertThat(visit.lines().stream()
                            .filter(l -> (first ? l.port() : l.starboard()).isPresent())
                            .map(l -> l.step().id()))
                    .as("each leg keeps its own order, also where the other's differs")
                    .containsExactlyElementsOf(leg.alone().plan().steps().stream()
                            .map(s -> s.step().id())
                            .toList());
        }
        assertThat(visit.lines().stream().filter(OneVisit.Line::once).map(l -> l.step()
                        .id()))
                .as("the battery of one boat is not the other's")
                .doesNotContain("kill_cord", "prove_run")
                .contains("fill_ready");
        byssus.note(VisitWith.ended());
        assertThat(tender.beside(byssus).visit()).isEmpty();
    }

    @Test
    void legsOfTwoOwnersKeepTheirOwnPriceAndWordAndThoseOfOneOwnerShareThem() {
        Leg mine = new Leg(7, "Raft tender", LegRef.Position.SINGLE, TERN).goal("driveshaft_seals");
        Leg other = new Leg(8, "Byssus", LegRef.Position.SINGLE, TERN).goal("impeller");
        mine.note(VisitWith.with(other.read().leg())).choose(Scale.CONSENT, "yes");
        other.note(VisitWith.with(mine.read().leg()));
        assertThat(other.beside(mine).visit().orElseThrow().says()).contains("own price and approval");
        assertThat(OneVisit.worthOf(other.beside(mine)).orElseThrow().input())
                .isEqualTo(other.alone().worth().orElseThrow().input());
        assertThat(new Consent(other.beside(mine)).answer()).isEqualTo(Consent.Answer.NONE);
        for (Leg leg : List.of(mine, other)) {
            leg.note(new Fact.Noted(Topic.OWNER.address(), "the mussel farm"));
        }
        assertThat(new Consent(other.beside(mine)).answer()).isEqualTo(Consent.Answer.YES);
        assertThat(OneVisit.worthOf(other.beside(mine)).orElseThrow().input().partsTotal())
                .isGreaterThan(other.alone().worth().orElseThrow().input().partsTotal());
    }

    @Test
    void whatIsTypedMeansOneLegOrIsAskedAbout() {
        List<BenchLine> open = Stream.of(new Leg(7, "Raft tender", LegRef.Position.SINGLE, TERN), port, starboard)
                .map(Leg::alone)
                .map(BenchLine::of)
                .toList();
        assertThat(VisitWith.meant("7", open, 1)).extracting(BenchLine::job).containsExactly(7);
        assertThat(VisitWith.meant("raft", open, 1)).extracting(BenchLine::job).containsExactly(7);
        assertThat(VisitWith.meant("spat star", open, 1))
                .extracting(BenchLine::job)
                .containsExactly(2);
        assertThat(VisitWith.meant("a", open, 7)).hasSize(2);
        assertThat(VisitWith.meant("7", open, 7)).as("never itself").isEmpty();
        assertThat(VisitWith.meant("  ", open, 1)).isEmpty();
    }

    private static SpecSheet family(String id) {
        return SheetFiles.shipped().stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theStepsOfBothStandInTheOrderOfEach() {
        port.choose(Scale.ONE_VISIT, "yes").goal("driveshaft_seals");
        starboard.goal("propshaft_seals").note(new Fact.Ticked("kill_cord", true));
        List<OneVisit.Line> lines = now().visit().orElseThrow().lines();
        for (Leg leg : List.of(port, starboard)) {
            List<String> own =
                    leg.alone().plan().steps().stream().map(s -> s.step().id()).toList();
            assertThat(lines.stream().map(l -> l.step().id()).filter(own::contains))
                    .containsExactlyElementsOf(own);
        }
        assertThat(lines).filteredOn(OneVisit.Line::once).isNotEmpty().allSatisfy(l -> {
            assertThat(l.port()).isPresent();
            assertThat(l.starboard()).isPresent();
        });
        OneVisit.Line cord = lines.stream()
                .filter(l -> l.step().id().equals("kill_cord"))
                .findFirst()
                .orElseThrow();
        assertThat(cord.port()).contains(false);
        assertThat(cord.starboard()).contains(true);
        assertThat(cord.done()).isFalse();
    }

    @Test
    void oneOrderIsForBothAndWhatTheOneBringsTooManyOfIsTheOthers() {
        port.choose(Scale.ONE_VISIT, "yes").goal("driveshaft_seals");
        starboard.goal("driveshaft_seals");
        int each = port.alone().supply().need().get("ds_seal");
        assertThat(now().supply().input(Objective.COST, OptionalDouble.empty()).need())
                .contains(new Wanted("ds_seal", 2 * each));
        assertThat(now().supply().forSister()).contains("for the starboard one");
        port.ordered("ds_seal", 2 * each, false);
        assertThat(now().supply().openOfVisit()).noneMatch(w -> w.part().equals("ds_seal"));
        Assessment sister = starboard.beside(port);
        assertThat(sister.supply().rows())
                .filteredOn(r -> r.part().equals("ds_seal"))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.ordered()).isEqualTo(each);
                    assertThat(r.open()).isZero();
                });
        assertThat(starboard.alone().supply().open())
                .as("by itself it lacks them")
                .anyMatch(w -> w.part().equals("ds_seal"));
    }

    @Test
    void whateverIsOrderedForEitherTheShelfGetsWhatNeitherNeeds() {
        Random random = new Random(7);
        for (int round = 0; round < 40; round++) {
            Leg one = new Leg(1, LegRef.Position.PORT).choose(Scale.ONE_VISIT, "yes");
            Leg other = new Leg(2, LegRef.Position.STARBOARD);
            Map<String, Integer> came = new HashMap<>();
            int need = 0;
            for (Leg leg : List.of(one, other)) {
                if (random.nextBoolean()) {
                    leg.goal("driveshaft_seals");
                }
                int qty = random.nextInt(6);
                if (qty > 0) {
                    leg.ordered("ds_seal", qty, true);
                    came.merge("ds_seal", qty, Integer::sum);
                }
                need += leg.alone().supply().need().getOrDefault("ds_seal", 0);
            }
            int change = one.beside(other).supply().shelfChange().getOrDefault("ds_seal", 0)
                    + other.beside(one).supply().shelfChange().getOrDefault("ds_seal", 0);
            assertThat(change).as("round " + round).isEqualTo(Math.max(0, came.getOrDefault("ds_seal", 0) - need));
        }
    }

    @Test
    void aYesKeepsTheSumItWasGivenForAndWhatCameSinceIsToldApart() {
        port.goal("driveshaft_seals");
        Consent before = new Consent(port.alone());
        List<Fact> entered = before.entered(Optional.of("yes"));
        assertThat(entered.get(entered.size() - 1))
                .as("undo takes the answer back first")
                .isEqualTo(new Fact.Chosen(Scale.CONSENT.address(), "yes"));
        entered.forEach(port::note);
        double sum = port.read().reading(Field.CONSENT_SUM).orElseThrow();
        assertThat(sum)
                .isGreaterThanOrEqualTo(port.alone()
                        .worth()
                        .orElseThrow()
                        .result()
                        .option(EstimateEngine.REPAIR)
                        .p90());
        assertThat(new Consent(port.alone()).before()).as("nothing came on top").isEmpty();
        port.note(new Fact.Noted(Topic.FORESEEN.address(), "Propeller shaft seals"))
                .goal("propshaft_seals")
                .goal("gears");
        Consent after = new Consent(port.alone());
        assertThat(after.since()).containsEntry("Propeller shaft seals", true);
        assertThat(after.since().values()).contains(false);
        assertThat(after.before())
                .anySatisfy(s -> assertThat(s).contains("listed it as a possible extra"))
                .anySatisfy(s -> assertThat(s).contains("Ask the owner before starting it"))
                .anySatisfy(s -> assertThat(s).contains("above the"));
    }

    @Test
    void oneWordOfTheOwnerIsForBothLegs() {
        port.choose(Scale.ONE_VISIT, "yes").goal("driveshaft_seals");
        starboard.goal("impeller");
        assertThat(new Consent(starboard.beside(port)).missing()).isTrue();
        port.choose(Scale.CONSENT, "up_to").note(Fact.Read.byHand(Field.CONSENT_LIMIT.address(), 700, "700"));
        Consent over = new Consent(starboard.beside(port));
        assertThat(over.missing()).isFalse();
        assertThat(over.limit()).hasValue(700);
        assertThat(over.beyond()).as("either alone would be within it").isPresent();
        assertThat(new Consent(starboard.alone()).missing()).isTrue();
    }

    @Test
    void whatOpeningShowedIsASecondWaveWithWhetherItWasForeseen() {
        port.goal("driveshaft_seals");
        assertThat(SecondWave.of(port.alone()).parts()).isEmpty();
        port.note(Fact.Read.byHand(Field.FROM_SHELF.of("ds_seal"), 1, "1"));
        assertThat(SecondWave.of(port.alone()).parts())
                .as("what the shelf has is taken first; nothing was ordered and nothing opened")
                .isEmpty();
        port.alone().supply().need().forEach((part, qty) -> port.ordered(part, qty, true));
        assertThat(SecondWave.of(port.alone()).says()).isEmpty();
        port.choose(Scale.CONSENT, "yes")
                .note(new Fact.Noted(Topic.FORESEEN.address(), "Propeller shaft seals"))
                .goal("propshaft_seals");
        SecondWave wave = SecondWave.of(port.alone());
        assertThat(wave.parts()).isNotEmpty();
        assertThat(wave.says()).contains("for Propeller shaft seals (listed in the estimate)");
        assertThat(wave.days().orElseThrow()).isBetween(0, 30);
    }

    @Test
    void aRepairThatWasPutOffOrRefusedGreetsTheNextVisitWithWhatItRisks() {
        port.note(new Fact.Chosen(Scale.GOAL.of("propshaft_seals"), "put_off"))
                .note(new Fact.Noted(Topic.PUT_OFF_WHY.of("propshaft_seals"), "no seals in the yard"))
                .note(new Fact.Chosen(Scale.BESIDE.of("thermostat"), "put_off"));
        assertThat(port.alone().goals()).isEmpty();
        assertThat(new EngineSide(port.alone()).waiting())
                .anySatisfy(
                        w -> assertThat(w).startsWith("Propeller shaft seals").contains("no seals in the yard", "€"));
        assertThat(port.alone().due())
                .filteredOn(d -> d.id().equals("thermostat"))
                .singleElement()
                .satisfies(d -> {
                    assertThat(d.what()).contains("deferred");
                    assertThat(d.on()).isEqualTo(TODAY.plusMonths(1));
                });
        Leg next = new Leg(5, LegRef.Position.PORT);
        assertThat(new EngineSide(next.after(port.left())).greeting().values())
                .hasSize(2)
                .anySatisfy(w -> assertThat(w).contains("Propeller shaft seals", "no seals in the yard"));
        next.goal("propshaft_seals");
        assertThat(new EngineSide(next.after(port.left())).greeting()).hasSize(1);
    }

    @Test
    void aVisitMayLeaveTheLegAlone() {
        port.note(Fact.Read.byHand(Field.ENGINE_HOURS.address(), 100, "100 h"))
                .choose(Scale.WATER, "sea")
                .choose(Scale.LEG_STAYS, "left_alone");
        Assessment now = port.alone();
        assertThat(now.current()).isEqualTo(Station.BESIDE);
        assertThat(now.nextAction().says()).isEqualTo("Engine-side work");
        for (String item : List.of("anodes", "grease", "engine_oil", "plugs", "fuel", "thermostat", "battery")) {
            port.note(new Fact.Chosen(Scale.BESIDE.of(item), "sound"));
        }
        assertThat(port.alone().current()).isEqualTo(Station.TAG);
        assertThat(port.alone().blocks()).isEmpty();
        assertThat(port.alone().due())
                .extracting(Due::id)
                .as("clocks of the leg do not start anew")
                .doesNotContain("gear_oil", "look")
                .contains("engine_oil");
        port.goal("impeller");
        assertThat(port.alone().current()).as("a goal means work on the leg").isNotEqualTo(Station.BESIDE);
    }

    @Test
    void springBeginsWithWhatLayUpLeftOpen() {
        port.note(new Fact.Ticked("layup:fuel", true)).note(new Fact.Ticked("layup:fog", true));
        assertThat(port.alone().due())
                .filteredOn(d -> d.id().equals("spring"))
                .singleElement()
                .satisfies(d -> assertThat(d.on()).isEqualTo(TODAY.plusMonths(5)));
        Leg next = new Leg(9, LegRef.Position.PORT);
        Assessment spring = next.after(port.left());
        List<LayUpWork.Line> lines = SpringWork.of(spring).lines();
        assertThat(lines).hasSize(SpringWork.STEPS.size() + LayUpWork.STEPS.size() - 2);
        assertThat(lines.get(0).says()).startsWith("Not done at lay-up: ");
        assertThat(SpringWork.of(new Leg(9, LegRef.Position.PORT).alone()).lines())
                .as("never laid up here: nothing is known to be open")
                .hasSize(SpringWork.STEPS.size());
        next.note(new Fact.Ticked("spring:start", true));
        assertThat(SpringWork.of(next.after(port.left())).done()).isEqualTo(1);
        assertThat(SpringWork.of(next.after(port.left())).list(spring).lines())
                .filteredOn(l -> l.done())
                .hasSize(1);
    }

    @Test
    void whatAComebackCostMovesTheCostOfLeavingOnlyWhereTheYardWantsIt() {
        port.goal("driveshaft_seals");
        String title = TERN.goal("driveshaft_seals").orElseThrow().title();
        double reckoned = port.alone().goalCosts().get("driveshaft_seals").comeback();
        double standing = port.alone().goalCosts().get("driveshaft_seals").standing();
        for (boolean counts : List.of(false, true)) {
            OwnRecord own = new OwnRecord(
                    mussel.core.job.OwnTimes.NONE,
                    new mussel.core.log.Share(0, 0),
                    Map.of(title, List.of(2_000.0)),
                    counts);
            double comeback = Assessment.of(port.read(), TERN, AROUND.with(own))
                    .goalCosts()
                    .get("driveshaft_seals")
                    .comeback();
            assertThat(comeback)
                    .isCloseTo(counts ? standing + (5 * (reckoned - standing) + 2_000) / 6 : reckoned, within(1e-6));
        }
    }
}
