package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.JobFinding;
import mussel.core.job.LegRef;
import mussel.core.job.LoosePiece;
import mussel.core.job.Order;
import mussel.core.job.PumpHabit;
import mussel.core.job.PumpWork;
import mussel.core.job.RepairOption;
import mussel.core.job.RepairWorth;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Stores;
import mussel.core.job.Supply;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.TorqueWork;
import mussel.core.job.Yard;
import mussel.core.measure.StopToken;
import mussel.core.parts.Objective;
import mussel.core.parts.Wanted;
import mussel.core.plan.Planning;
import mussel.core.pump.PumpInput.Extent;
import mussel.core.pump.PumpResult.PartVerdict;
import mussel.core.sheet.PumpPolicy;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** A job's pump, parts, shelf, orders and worth, as its entries leave them. */
class WorkAndWorthTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());

    private final List<Entry> journal = new ArrayList<>();
    private Yard yard = SheetFiles.shippedYard();
    private Map<String, Integer> shelf = Map.of();

    WorkAndWorthTest() {
        note(new Fact.Opened(new LegRef("l", "Spat Lass", LegRef.Position.PORT, TERN.id())));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH, "a", fact));
    }

    private void read(Address field, double value) {
        note(Fact.Read.byHand(field, value, ""));
    }

    private void choose(Address scale, String outcome) {
        note(new Fact.Chosen(scale, outcome));
    }

    private void goal(String... goals) {
        for (String goal : goals) {
            choose(Scale.GOAL.of(goal), "yes");
        }
    }

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                TERN,
                new Surroundings(
                        yard, JUDGE, List.of(), TODAY, new Stores(CatalogueFiles.shipped(), shelf), new Planning()));
    }

    private Supply.Row row(String part) {
        return now().supply().rows().stream()
                .filter(r -> r.part().equals(part))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPumpNobodyLookedAtMakesNoFinding() {
        assertThat(now().pump().looked()).isFalse();
        assertThat(now().findings()).isEmpty();
        assertThat(now().states()).containsEntry(Station.PUMP, Station.State.UNTOUCHED);
    }

    @Test
    void markedVanesBecomeFindingsAndTheRestCountsAsSound() {
        double before = now().verdict().cause("impeller_worn").orElseThrow().probability();
        read(Field.VANE_WEAR.of("3"), 1.2);

        assertThat(now().pump().input().vanes()).hasSize(6);
        assertThat(now().findings().get("vane_tips")).satisfies(m -> {
            assertThat(m.outcome()).isEqualTo("worn");
            assertThat(m.by()).isEqualTo(JobFinding.By.PUMP);
        });
        assertThat(now().findings().get("vane_set").outcome()).isEqualTo("straight");
        assertThat(now().verdict().cause("impeller_worn").orElseThrow().probability())
                .isGreaterThan(1.5 * before);
    }

    @Test
    void aPersonMayOverruleThePump() {
        read(Field.VANE_WEAR.of("3"), 1.2);
        choose(Scale.OVERRULED.of("vane_tips"), "sound");
        note(new Fact.Noted(Topic.OVERRULED_WHY.of("vane_tips"), "moulding flash"));

        assertThat(now().findings().get("vane_tips")).satisfies(m -> {
            assertThat(m.outcome()).isEqualTo("sound");
            assertThat(m.engines()).isEqualTo("worn");
            assertThat(m.why()).isEqualTo("moulding flash");
        });
    }

    @Test
    void aMissingPieceHoldsTheTagUntilItIsFound() {
        read(Field.VANE_MISSING.of("2"), 6);

        assertThat(now().pieceLost()).isTrue();
        assertThat(now().blocks()).singleElement().asString().contains("before closing the job");

        note(new Fact.Noted(Topic.PIECE_FOUND.address(), "in the water tube"));
        assertThat(now().blocks()).isEmpty();
    }

    @Test
    void theYardsHabitDecidesWithTheCondition() {
        choose(Scale.VANES_SEEN.address(), "yes");
        choose(Address.the(PumpWork.HUB_BOND), "sound");
        choose(Address.the(PumpWork.PUMP_KEY), "sound");
        read(Field.PLATE_GROOVE.address(), 0);
        read(Field.HOUSING_GROOVE.address(), 0);
        read(Field.IMPELLER_AGE.address(), 30);
        assertThat(now().pump().result().part("impeller").verdict()).isEqualTo(PartVerdict.REUSE);
        assertThat(now().states()).containsEntry(Station.PUMP, Station.State.DONE);

        yard = yard.with(new PumpHabit(PumpPolicy.CALENDAR, 24, Extent.KIT));
        assertThat(now().pump().result().part("impeller").verdict()).isEqualTo(PartVerdict.REPLACE);
        assertThat(now().pump().result().part("housing").verdict()).isEqualTo(PartVerdict.REPLACE);
    }

    @Test
    void aTelltaleTimedOnASimulatedLegSaysSo() {
        read(Field.FLOW_RPM.of("1"), 1_000);
        read(Field.FLOW_CAUGHT.of("1"), 2_000);
        note(new Fact.Read(Field.FLOW_TIME.of("1"), 70, "70 s", "Simulated bucket", true));
        assertThat(now().pump().result().flows())
                .as("where it was caught is not said")
                .isEmpty();
        choose(Scale.FLOW_WHERE.of("1"), "tank");

        assertThat(now().pump().result().flows()).hasSize(1);
        assertThat(now().findings().get("flow_ratio").by()).isEqualTo(JobFinding.By.SIMULATED_FLOW);
    }

    @Test
    void whatIsTakenLeavesTheShelfAndWhatIsOrderedIsNoLongerOpen() {
        goal("driveshaft_seals");
        shelf = Map.of("ds_seal", 1, "plug_washer", 14);
        assertThat(row("ds_seal")).satisfies(r -> {
            assertThat(r.need()).isEqualTo(2);
            assertThat(r.open()).isEqualTo(2);
            assertThat(r.onShelf()).isEqualTo(1);
        });

        read(Field.FROM_SHELF.of("ds_seal"), 1);
        assertThat(row("ds_seal").open()).isEqualTo(1);
        assertThat(row("ds_seal").onShelf()).isZero();
        assertThat(now().supply().shelfChange()).containsEntry("ds_seal", -1);
        assertThat(BenchLine.of(now()).shelf()).containsEntry("ds_seal", -1);

        note(new Fact.Ordered(
                "1-1",
                "SIM-1",
                true,
                List.of(new Order.Line("S", "A", 2, 19, List.of(new Wanted("ds_seal", 1)), TODAY.plusDays(3))),
                6,
                25));
        assertThat(row("ds_seal").open()).isZero();
        assertThat(now().waits()).contains("order 1-1", "2026-11-26");
        assertThat(now().supply().shelfChange())
                .as("on its way changes nothing")
                .containsEntry("ds_seal", -1);

        note(new Fact.Arrived("1-1", TODAY.plusDays(3)));
        assertThat(now().waits()).isEmpty();
        assertThat(now().supply().shelfChange()).as("one taken, one over").doesNotContainKey("ds_seal");
    }

    @Test
    void whatComesInPartsIsHereInPartsAndWhatGoesBackIsStillToCome() {
        goal("driveshaft_seals");
        note(new Fact.Ordered(
                "1-1",
                "SIM-1",
                true,
                List.of(
                        new Order.Line("S", "A", 2, 19, List.of(new Wanted("ds_seal", 1)), TODAY.plusDays(3)),
                        new Order.Line("W", "B", 1, 9, List.of(new Wanted("plug_washer", 10)), TODAY.plusDays(6))),
                6,
                34));
        note(new Fact.Delivered("1-1", "A", "S", 2, 1, TODAY.plusDays(3)));
        Order order = now().job().orders().get(0);
        assertThat(order.arrived()).isEmpty();
        assertThat(order.still(order.placed().lines().get(0)))
                .as("one was wrong")
                .isEqualTo(1);
        assertThat(order.back(order.placed().lines().get(0))).isEqualTo(1);
        assertThat(row("ds_seal").here()).isEqualTo(1);
        assertThat(now().waits()).contains(TODAY.plusDays(6).toString());

        note(new Fact.Delivered("1-1", "B", "W", 1, 0, TODAY.plusDays(6)));
        assertThat(row("plug_washer").here()).isEqualTo(10);
        assertThat(now().waits())
                .as("the other seal")
                .contains(TODAY.plusDays(3).toString());
        note(new Fact.Delivered("1-1", "A", "S", 1, 0, TODAY.plusDays(9)));
        assertThat(now().job().orders().get(0).arrived()).contains(TODAY.plusDays(9));
        assertThat(now().waits()).isEmpty();
        note(new Fact.Retracted(journal.size()));
        assertThat(row("ds_seal").here()).as("undone").isEqualTo(1);
    }

    @Test
    void whatComesToTheShelfIsSaidBeforeItIsOrderedTwice() {
        goal("driveshaft_seals");
        assertThat(now().supply().comingToShelf()).isEmpty();
        yard = yard.awaiting(List.of(
                new Yard.Coming("tern-60", "ds_seal", 2, "Skerry", "2026-12-04"),
                new Yard.Coming("tern-60", "impeller", 2, "Skerry", "2026-12-04")));
        assertThat(now().supply().comingToShelf())
                .singleElement()
                .asString()
                .contains("2 × Driveshaft seal from Skerry, expected 2026-12-04");
    }

    @Test
    void undoPutsAPartBackOnTheShelf() {
        goal("driveshaft_seals");
        read(Field.FROM_SHELF.of("ds_seal"), 2);
        note(new Fact.Retracted(journal.size()));

        assertThat(now().supply().shelfChange()).isEmpty();
    }

    @Test
    void theOrderCoversWhatTheShelfDoesNotAndSaysWhatTheKitLeavesOut() {
        goal("pump_kit", "driveshaft_seals");
        shelf = Map.of("plug_washer", 14, "cotter_pin", 9);
        Supply.Answer cheap = now().supply().best(Objective.COST, OptionalDouble.empty(), new StopToken());

        assertThat(cheap.result().feasible()).isTrue();
        assertThat(cheap.result().gap()).isZero();
        assertThat(cheap.result().fromShelf()).contains(new Wanted("plug_washer", 3));
        assertThat(cheap.words().leftOut()).anyMatch(s -> s.contains("2 × Driveshaft seal"));

        Supply.Answer soon = now().supply().best(Objective.SPEED, OptionalDouble.empty(), new StopToken());
        assertThat(soon.result().leadDays().orElseThrow())
                .isLessThanOrEqualTo(cheap.result().leadDays().orElseThrow());
        Supply.Answer late = now().supply().best(Objective.COST, OptionalDouble.of(0), new StopToken());
        assertThat(late.result().feasible()).isFalse();
        assertThat(late.words().summary()).contains("in time");
    }

    @Test
    void aJudgedPartIsOrderedToo() {
        goal("driveshaft_seals");
        now().stripSteps().forEach(s -> note(new Fact.Ticked(s.step().id(), true)));
        choose(Scale.BEFORE_CLEANING.of("seal_carrier"), "replace");

        assertThat(now().supply().need()).containsEntry("seal_carrier", 1);
    }

    @Test
    void everyGoalIsPricedNowAndLater() {
        choose(Address.the("oil_water"), "milky");
        goal("driveshaft_seals");
        List<RepairOption> further = now().further();

        assertThat(further).hasSize(TERN.goals().size());
        RepairOption impeller = further.stream()
                .filter(f -> f.goal().equals("impeller"))
                .findFirst()
                .orElseThrow();
        assertThat(impeller.extraMoney())
                .as("the impeller itself; its key and gaskets come along anyway, and no work is added")
                .isCloseTo(
                        CatalogueFiles.shipped().of("tern-60").price("impeller").orElseThrow()
                                + impeller.extraMinutes() * 72 / 60,
                        within(1e-9));
        assertThat(impeller.laterMoney()).isGreaterThan(impeller.extraMoney() + 100);
        assertThat(further)
                .filteredOn(RepairOption::chosen)
                .extracting(RepairOption::goal)
                .containsExactly("driveshaft_seals");
        assertThat(further)
                .filteredOn(f -> f.goal().equals("propshaft_seals"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.probability()).isPresent();
                    assertThat(f.advice()).contains("of 100 cases");
                });
    }

    @Test
    void aTwinsSisterIsPriced() {
        assertThat(now().twinPriced()).isEmpty();
        goal("impeller");
        assertThat(now().twinPriced()).contains("for both instead of").contains("€");
    }

    @Test
    void theWorthOfAJobIsWeighedWithTheVerdict() {
        assertThat(now().worth()).isEmpty();
        choose(Address.the("oil_water"), "milky");
        goal("driveshaft_seals");
        RepairWorth worth = now().worth().orElseThrow();

        assertThat(worth.result().options())
                .extracting(o -> o.name())
                .containsExactly("repair", "Rebuilt Tern 60 leg", "New Tern 60 leg", "leave");
        assertThat(worth.input().minutes().mean())
                .isEqualTo(now().timedPlan().minutes().mean());
        assertThat(worth.input().doubtful()).isNotEmpty().allSatisfy(d -> assertThat(d.probability())
                .isBetween(0.02, 1.0));
        assertThat(worth.unpriced()).isEmpty();
        assertThat(worth.words().advice()).contains("of 100 cases");

        read(Field.PARTS_COST.address(), 5_000);
        assertThat(now().worth().orElseThrow().result().cheapest()).isNotEqualTo("repair");
    }

    @Test
    void anOldCoreThatStaysMakesTheExchangeDearer() {
        goal("driveshaft_seals");
        double back = now().worth()
                .orElseThrow()
                .result()
                .option("Rebuilt Tern 60 leg")
                .mean();
        choose(Scale.CORE_BACK.address(), "no");

        assertThat(now().worth()
                        .orElseThrow()
                        .result()
                        .option("Rebuilt Tern 60 leg")
                        .mean())
                .isEqualTo(back + 320);
    }

    @Test
    void loosePiecesAreCountedAgainstWhatCameOff() {
        goal("impeller");
        assertThat(now().loose()).anySatisfy(l -> {
            assertThat(l.part()).isEqualTo("pump_key");
            assertThat(l.expected()).isEqualTo(1);
            assertThat(l.off()).isFalse();
        });
        read(Field.COUNTED.of("top_washers"), 2);
        assertThat(now().loose()).filteredOn(LoosePiece::off).singleElement().satisfies(l -> {
            assertThat(l.part()).isEqualTo("top_washers");
            assertThat(l.expected()).isEqualTo(3);
        });
    }

    private TorqueWork torque(String fastener) {
        return now().torques().stream()
                .filter(t -> t.fastener().id().equals(fastener))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyGroupClosedAgainGetsAWrenchAndTheCrowfootChangesItsSetting() {
        goal("driveshaft_seals");
        assertThat(now().torques())
                .extracting(t -> t.fastener())
                .isEqualTo(now().plan().fasteners());
        double straight = torque("leg_front").result().choice().orElseThrow().setting();
        read(Field.ADAPTER.of("leg_front"), 60);
        assertThat(torque("leg_front").result().choice().orElseThrow().setting())
                .isLessThan(straight);
        read(Field.ADAPTER_ANGLE.of("leg_front"), 90);
        assertThat(torque("leg_front").result().choice().orElseThrow().setting())
                .isEqualTo(straight);
    }

    @Test
    void eachBoltIsDoneUnderOrOver() {
        goal("driveshaft_seals");
        read(TorqueWork.address("leg_bolts", 1), 37);
        read(TorqueWork.address("leg_bolts", 2), 30);
        read(TorqueWork.address("leg_bolts", 3), 41);
        TorqueWork work = torque("leg_bolts");

        assertThat(work.bolts())
                .extracting(TorqueWork.Bolt::state)
                .containsExactly(
                        TorqueWork.State.DONE, TorqueWork.State.UNDER, TorqueWork.State.OVER, TorqueWork.State.OPEN);
        assertThat(work.next().orElseThrow().state()).isNotEqualTo(TorqueWork.State.DONE);
        assertThat(work.count(TorqueWork.State.OVER)).isEqualTo(1);
    }

    @Test
    void noTorqueOfAShippedFamilyOverloadsItsBoltAndMostHaveAWrenchInTheYard() {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            Job job = Job.of(List.of(new Entry(
                    1,
                    1,
                    Instant.EPOCH,
                    "a",
                    new Fact.Opened(new LegRef("x", "X", LegRef.Position.SINGLE, sheet.id())))));
            Assessment empty = Assessment.of(job, sheet, new Surroundings(yard, JUDGE, List.of(), TODAY));
            sheet.fasteners().forEach(f -> assertThat(empty.torque(f).result().warnings())
                    .as(sheet.id() + " " + f.id())
                    .noneMatch(w -> w.contains("proof load")));
        }
    }

    @Test
    void aWrenchWhoseCalibrationIsOverdueSaysSo() {
        assertThat(yard.wrenches()).filteredOn(w -> w.overdue(TODAY)).hasSize(1);
        assertThat(yard.wrenches().get(0).overdue(LocalDate.of(2027, 3, 15))).isTrue();
    }

    @Test
    void saltYearsAreTheLegsAgeUnlessItRunsInFreshWater() {
        read(Field.AGE.address(), 84);
        assertThat(now().saltYears()).isEqualTo(7);
        choose(Scale.WATER.address(), "fresh");
        assertThat(now().saltYears()).isZero();
    }
}
