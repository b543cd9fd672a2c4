package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.brief.Brief;
import mussel.core.estimate.EstimateInput.Doubtful;
import mussel.core.job.Assessment;
import mussel.core.job.EarlierHands;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.LegStates;
import mussel.core.job.RepairQuestion;
import mussel.core.job.RepairWorth;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.StepAsk;
import mussel.core.job.StopPoint;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.measure.StopToken;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planning;
import mussel.core.sheet.Goal;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.core.verdict.Judge;
import mussel.core.verdict.LegState.Condition;
import mussel.core.verdict.RepairTables;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** The state of a lower unit follows its entries; what is due, what a step needs and where to stop follow from it. */
class StateOfJobTest {
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());

    private final List<Entry> journal = new ArrayList<>();
    private SpecSheet sheet = SheetFiles.shipped().get(0);

    private void begin(SpecSheet of) {
        sheet = of;
        journal.clear();
        note(new Fact.Opened(new LegRef("l", "Spat Lass", LegRef.Position.PORT, of.id())));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH.plusSeconds(journal.size()), "a", fact));
    }

    private void read(Field field, double value) {
        note(Fact.Read.byHand(field.address(), value, ""));
    }

    private void milky() {
        read(Field.ENGINE_HOURS, 412);
        read(Field.DRAINED, 452);
        read(Field.OIL_TEMP, 18);
        read(Field.MINUTES, 20);
        note(new Fact.Chosen(Scale.OIL_WATER.address(), "milky"));
    }

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                sheet,
                new Surroundings(
                        SheetFiles.shippedYard(),
                        JUDGE,
                        List.of(),
                        LocalDate.of(2026, 11, 23),
                        new Stores(CatalogueFiles.shipped(), java.util.Map.of()),
                        new Planning()));
    }

    private Optional<String> is(Condition condition) {
        return LegStates.of(now()).of(condition);
    }

    /** Ticked in the plan's order, some left out: what is out is what came off and was not put back. */
    @Test
    void theStateAfterAnySequenceOfStepsIsWhatCameOffAndWasNotPutBack() {
        Random random = new Random(34);
        List<RepairTables.StateRule> rules =
                KnowledgeFiles.shipped().repairs().orElseThrow().states();
        for (SpecSheet family : SheetFiles.shipped()) {
            for (int run = 0; run < 12; run++) {
                begin(family);
                family.goals().stream()
                        .filter(g -> random.nextInt(3) == 0)
                        .forEach(g -> note(new Fact.Chosen(Scale.GOAL.of(g.id()), "yes")));
                Set<String> off = new HashSet<>();
                int upTo = random.nextInt(1 + now().plan().steps().size());
                for (PlannedStep planned : now().plan().steps().subList(0, upTo)) {
                    note(new Fact.Ticked(planned.step().id(), true));
                    planned.step().partsOut().stream().map(PartQty::part).forEach(off::add);
                    planned.step().partsIn().stream().map(PartQty::part).forEach(off::remove);
                }
                for (RepairTables.StateRule rule : rules) {
                    List<String> parts = Stream.of(rule.parts(), rule.elseParts())
                            .filter(k -> k.stream().anyMatch(p -> family.part(p).isPresent()))
                            .findFirst()
                            .orElse(List.of());
                    if (!parts.isEmpty()) {
                        assertThat(is(Condition.of(rule.condition()).orElseThrow())
                                        .equals(Optional.of("out")))
                                .as(family.id() + ", " + rule.condition() + " after " + upTo + " steps")
                                .isEqualTo(parts.stream().anyMatch(off::contains));
                    }
                }
            }
        }
    }

    @Test
    void whatWasDrainedIsOutUntilItIsFilledAndAHandsCorrectionStandsFromThenOn() {
        begin(sheet);
        assertThat(is(Condition.OIL)).as("nothing was entered").isEmpty();
        note(new Fact.Chosen(Scale.STATE.of("oil"), "in"));
        read(Field.DRAINED, 452);
        assertThat(is(Condition.OIL)).contains("out");
        read(Field.PUMPED, 430);
        assertThat(is(Condition.OIL)).contains("in");
        read(Field.DRAINED, 451);
        assertThat(is(Condition.OIL))
                .as("a figure that is corrected drains nothing")
                .contains("in");
        note(new Fact.Chosen(Scale.STATE.of("oil"), "out"));
        assertThat(is(Condition.OIL)).contains("out");
    }

    @Test
    void oilPastItsIntervalIsDueAndSoIsOilOfUnknownAgeAtAService() {
        begin(sheet);
        assertThat(now().verdictInput().due()).isEmpty();
        read(Field.HOURS_SINCE_FILL, 400);
        assertThat(now().verdictInput().due()).containsExactly("oil_change");
        begin(sheet);
        read(Field.HOURS_SINCE_FILL, 10);
        read(Field.MONTHS_SINCE_FILL, 2);
        note(new Fact.Chosen(Scale.CAME_FOR.of("service"), "yes"));
        assertThat(now().verdictInput().due()).as("not yet").isEmpty();
        begin(sheet);
        note(new Fact.Chosen(Scale.CAME_FOR.of("service"), "yes"));
        assertThat(now().verdictInput().due()).as("nobody knows").containsExactly("oil_change");
        note(new Fact.Chosen(Scale.OIL_WATER.address(), "none"));
        RepairQuestion.Answer answer = RepairQuestion.of(now())
                .answer(Set.copyOf(sheet.goals().stream().map(Goal::id).toList()), new StopToken());
        assertThat(answer.repairs().sets()).isNotEmpty().allSatisfy(s -> assertThat(s.goals())
                .contains("oil_change"));
    }

    @Test
    void estimateAndStepsReadOneListOfStopPoints() {
        begin(sheet);
        milky();
        note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        RepairWorth worth = now().worth().orElseThrow();
        assertThat(worth.stops()).isNotEmpty();
        for (StopPoint stop : worth.stops()) {
            assertThat(now().stripSteps())
                    .extracting(s -> s.step().id())
                    .as(stop.stage())
                    .contains(stop.afterStep().orElseThrow());
            assertThat(stop.says(now().yard().money()))
                    .startsWith("Stop and check: ")
                    .contains("May add ");
        }
        List<String> adds = worth.stops().stream()
                .flatMap(s -> s.adds().stream())
                .map(StopPoint.Adds::title)
                .toList();
        assertThat(worth.input().doubtful()).extracting(Doubtful::part).isSubsetOf(adds);
        assertThat(adds).doesNotHaveDuplicates();
    }

    @Test
    void aStepThatTheStateForbidsIsAskedAboutAndNoOther() {
        begin(sheet);
        milky();
        note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        List<Step> strip = now().plan().steps().stream().map(PlannedStep::step).toList();
        Step carrier = strip.stream()
                .filter(s -> s.id().equals("carrier_off"))
                .findFirst()
                .orElseThrow();
        assertThat(StepAsk.of(now(), carrier).forbidden()).containsExactly("The lower unit is still on the engine.");
        for (Step step : strip) {
            assertThat(StepAsk.of(now(), step).asks(Instant.MAX))
                    .as(step.id() + " in its turn")
                    .isEmpty();
            note(new Fact.Ticked(step.id(), true));
        }
    }

    @Test
    void aCoverThatClosesNamesWhatIsStillOnTheMat() {
        begin(sheet);
        milky();
        note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        now().stripSteps().forEach(s -> note(new Fact.Ticked(s.step().id(), true)));
        Step housing = now().plan().of(Phase.BUILD).stream()
                .map(PlannedStep::step)
                .filter(s -> s.partsIn().stream().anyMatch(p -> p.part().equals("pump_housing")))
                .findFirst()
                .orElseThrow();
        assertThat(StepAsk.of(now(), housing).lastChance())
                .singleElement()
                .asString()
                .contains("Still on the mat: ");
    }

    @Test
    void whatEarlierHandsDidIsToldWhereItShowsWithItsPrice() {
        begin(sheet);
        Step plate = sheet.step("plate_off").orElseThrow();
        Step oil = sheet.step("oil_out").orElseThrow();
        assertThat(EarlierHands.at(plate)).contains(EarlierHands.Kind.UPSIDE_DOWN, EarlierHands.Kind.SEALANT);
        assertThat(EarlierHands.at(oil)).contains(EarlierHands.Kind.WASHER_DOUBLED);
        assertThat(EarlierHands.at(sheet.step("fill_up").orElseThrow()))
                .as("on the way back nothing of them shows")
                .isEmpty();
        assertThat(EarlierHands.of(now())).isEmpty();
        note(new Fact.Chosen(EarlierHands.address(plate, EarlierHands.Kind.UPSIDE_DOWN), "yes"));
        note(new Fact.Chosen(EarlierHands.address(oil, EarlierHands.Kind.WASHER_DOUBLED), "yes"));
        note(new Fact.Read(Field.HANDS_COST.of("plate_off"), 35, "35", "by hand", false));
        assertThat(EarlierHands.of(now()))
                .extracting(h -> h.says(now().yard().money()))
                .anyMatch(s -> s.contains("a washer under a washer"))
                .anyMatch(s -> s.contains("upside down") && s.contains("35.00 to correct"));
    }

    @Test
    void whatFollowsFromOtherThingsIsNotSetByHandWhateverAnEntrySays() {
        begin(sheet);
        note(new Fact.Chosen(Scale.STATE.of("curing"), "yes"));
        note(new Fact.Chosen(Scale.STATE.of("case"), "open"));
        assertThat(is(Condition.CURING)).isEmpty();
        assertThat(is(Condition.CASE)).isEmpty();
        note(new Fact.Chosen(Scale.STATE.of("pump"), "out"));
        assertThat(is(Condition.PUMP)).contains("out");
    }

    @Test
    void whatFellInHoldsTheClosingUntilItIsOut() {
        begin(sheet);
        milky();
        note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        now().plan().steps().stream()
                .map(PlannedStep::step)
                .takeWhile(s -> !s.id().equals("housing_in"))
                .forEach(s -> note(new Fact.Ticked(s.id(), true)));
        Step closing = now().sheet().step("housing_in").orElseThrow();
        String before = StepAsk.of(now(), closing).asks(Instant.MAX);
        note(new Fact.Noted(Topic.FELL_IN.of("carrier_off"), "a washer, into the gear side"));
        assertThat(StepAsk.of(now(), closing).lastChance())
                .anyMatch(s -> s.contains("a washer, into the gear side") && s.contains("before closing"));
        assertThat(StepAsk.of(now(), now().sheet().step("fill_up").orElseThrow())
                        .lastChance())
                .as("nothing closes there")
                .noneMatch(s -> s.contains("washer, into"));
        assertThat(now().blocks())
                .as("nor is the leg tagged in silence")
                .anyMatch(b -> b.contains("into the gear side"));
        note(new Fact.Noted(Topic.FELL_IN.of("carrier_off"), ""));
        assertThat(StepAsk.of(now(), closing).asks(Instant.MAX)).as("it is out").isEqualTo(before);
    }

    @Test
    void sealantHoldsTheRunUntilItHasCuredAndNothingElse() {
        begin(sheet);
        milky();
        note(new Fact.Chosen(Scale.GOAL.of("driveshaft_seals"), "yes"));
        Step wet = now().plan().of(Phase.BUILD).stream()
                .map(PlannedStep::step)
                .filter(s -> s.cureMin() > 0)
                .findFirst()
                .orElseThrow();
        Step run = now().plan().of(Phase.PROVE).stream()
                .map(PlannedStep::step)
                .filter(s -> s.place() == Place.TANK)
                .findFirst()
                .orElseThrow();
        assertThat(StepAsk.of(now(), run).curing()).isEmpty();
        note(new Fact.Ticked(wet.id(), true));
        Instant cured = now().job().ticked(wet.id()).orElseThrow().plusSeconds(Math.round(60 * wet.cureMin()));
        assertThat(StepAsk.of(now(), run).curing().orElseThrow().until()).isEqualTo(cured);
        assertThat(StepAsk.of(now(), run).asks(cured.minusSeconds(1))).contains(wet.title());
        assertThat(StepAsk.of(now(), run).asks(cured)).doesNotContain(wet.title());
        Step fill = now().plan().of(Phase.BUILD).stream()
                .map(PlannedStep::step)
                .filter(s -> s.place() == Place.PLUGS)
                .findFirst()
                .orElseThrow();
        assertThat(StepAsk.of(now(), fill).curing()).isEmpty();
    }

    @Test
    void theActIsARoundOnceItIsWorkedOutAndTheBestSetOnceNoneIsLeft() {
        begin(sheet);
        milky();
        Assessment all = now();
        assertThat(Brief.of(all, Station.VERDICT).asksAdvice()).isTrue();
        RepairQuestion.Answer answer = RepairQuestion.of(all)
                .answer(Set.copyOf(sheet.goals().stream().map(Goal::id).toList()), new StopToken());
        Brief brief = Brief.of(all, Station.VERDICT, Optional.of(answer));
        assertThat(brief.act().orElseThrow().deed()).isInstanceOf(Brief.Deed.Round.class);
        RepairQuestion.Answer nothingPays = new RepairQuestion.Answer(
                new mussel.core.verdict.Repairs(
                        List.of(),
                        answer.repairs().sets(),
                        Optional.empty(),
                        answer.repairs().proofs(),
                        List.of(),
                        List.of()),
                answer.prices());
        Brief.Act act =
                Brief.of(all, Station.VERDICT, Optional.of(nothingPays)).act().orElseThrow();
        assertThat(act.deed()).isInstanceOfSatisfying(Brief.Deed.Enter.class, e -> assertThat(e.facts())
                .contains(new Fact.Chosen(Scale.GOAL.of("oil_change"), "yes")));
        assertThat(act.note()).contains("chance of return ");
    }
}
