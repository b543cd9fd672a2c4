package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.ProofWork;
import mussel.core.job.ProofWork.Proof;
import mussel.core.job.Scale;
import mussel.core.job.SetupPlace;
import mussel.core.job.SetupWork;
import mussel.core.job.Station;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.TorqueWork;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.measure.Explanation;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.torque.TorqueWords;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;

/** Setting up the gears of a big leg, and proving it, as its entries leave them. */
class SetupAndProofTest {
    private static final SpecSheet SKUA = SheetFiles.shipped().stream()
            .filter(f -> f.id().equals("skua-225"))
            .findFirst()
            .orElseThrow();
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());

    private final List<Entry> journal = new ArrayList<>();
    private Map<String, Integer> shelf = Map.of("shim_500", 2, "shim_300", 2, "shim_150", 1, "shim_100", 2);

    SetupAndProofTest() {
        note(new Fact.Opened(new LegRef("l", "Slack Water", LegRef.Position.SINGLE, SKUA.id())));
        choose(Scale.GOAL.of("gears"), "yes");
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 1, Instant.EPOCH.plusSeconds(60L * journal.size()), "a", fact));
    }

    private void read(Address field, double value) {
        note(Fact.Read.byHand(field, value, ""));
    }

    private void choose(Address scale, String outcome) {
        note(new Fact.Chosen(scale, outcome));
    }

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                SKUA,
                new Surroundings(
                        SheetFiles.shippedYard(),
                        JUDGE,
                        List.of(),
                        LocalDate.of(2026, 11, 23),
                        new Stores(CatalogueFiles.shipped(), shelf),
                        new Planning()));
    }

    private SetupWork setup() {
        return now().setup().orElseThrow();
    }

    private void lash(Field which, String place, double... readings) {
        for (int i = 0; i < readings.length; i++) {
            read(which.of(place + "." + (i + 1)), readings[i]);
        }
    }

    private Proof proof(String id) {
        return now().proof().proofs().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void marksAndHeightsGiveThePinionItsShimAndSayWhatItDoesToBothLashes() {
        assertThat(setup().called()).isTrue();
        assertThat(setup().place("pinion").targetMm()).isEmpty();
        read(Field.MARK.of("case"), 6);
        for (int i = 1; i <= 3; i++) {
            read(Field.HEIGHT.of("" + i), 45.60 + 0.01 * i);
        }
        assertThat(setup().place("pinion").targetMm())
                .as("one mark is not read")
                .isEmpty();
        assertThat(setup().place("pinion").problems())
                .singleElement()
                .asString()
                .contains("A missing mark is not zero");
        read(Field.MARK.of("gear"), -4);
        assertThat(setup().place("pinion").problems()).isEmpty();
        double constant = SKUA.setup().orElseThrow().pinion().constantMm().orElseThrow();
        double expected = constant + 0.06 + 0.04 - 45.62;
        assertThat(setup().place("pinion").targetMm()).isPresent();
        assertThat(setup().place("pinion").targetMm().getAsDouble()).isEqualTo(expected, within(1e-9));
        assertThat(setup().pinionMoves()).isEmpty();
        read(Field.PRESENT_SHIM.of("pinion"), expected - 0.1);
        assertThat(setup().pinionMoves()).hasSize(2).allMatch(s -> s.contains("−0.0"));
        assertThat(now().states()).containsEntry(Station.SETUP, Station.State.BEGUN);
        assertThat(now().current()).isLessThanOrEqualTo(Station.SETUP);
    }

    @Test
    void lashAsksForAStackTheDrawerLosesItAndOnlyTheLashReadAgainSetsThePlace() {
        read(Field.PRESENT_SHIM.of("forward"), 0.6);
        lash(Field.LASH, "forward", 0.14, 0.13, 0.14, 0.15);
        assertThat(setup().place("forward").lash()).as("no arm yet").isEmpty();
        read(Field.ARM.of("forward"), 47.5);
        assertThat(setup().place("forward").lash())
                .as("nobody said on which shaft the arm sits")
                .isEmpty();
        choose(Scale.ARM_ON.of("forward"), "gear");
        SetupPlace at = setup().place("forward");
        double mean = at.lash().orElseThrow().out().lashMm();
        double factor = at.lash().orElseThrow().out().factor();
        assertThat(mean).isEqualTo(0.14, within(1e-9));
        assertThat(at.targetMm().orElseThrow()).isEqualTo(0.6 - (0.29 - mean) / factor, within(1e-9));
        assertThat(at.set()).isFalse();
        double before = setup().drawer().get(0.3);
        read(Field.SHIM_IN.of("forward.300"), 1);
        read(Field.SHIM_IN.of("forward.150"), 1);
        assertThat(setup().drawer().get(0.3)).isEqualTo((int) before - 1);
        assertThat(now().supply().shelfChange()).containsEntry("shim_300", -1).containsEntry("shim_150", -1);
        assertThat(setup().place("reverse").taken()).isEmpty();
        lash(Field.LASH_AFTER, "forward", 0.29, 0.30, 0.28, 0.29);
        assertThat(setup().place("forward").set()).isTrue();
        lash(Field.LASH_AFTER, "forward", 0.29, 0.30, 0.18, 0.29);
        assertThat(setup().place("forward").set())
                .as("its spread is over the limit")
                .isFalse();
    }

    @Test
    void anotherPlacesPiecesAreNotOfferedTwice() {
        shelf = Map.of("shim_500", 1);
        read(Field.PRESENT_SHIM.of("forward"), 0.5);
        read(Field.PRESENT_SHIM.of("reverse"), 0.5);
        choose(Scale.SCHOOL.of("forward"), "reuse");
        choose(Scale.SCHOOL.of("reverse"), "reuse");
        assertThat(setup().place("reverse").stack().orElseThrow().thicknessMm()).isEqualTo(0.5);
        read(Field.SHIM_IN.of("forward.500"), 1);
        assertThat(setup().place("forward").stacked()).isTrue();
        assertThat(setup().place("reverse").stack())
                .as("nothing is left in the drawer")
                .isEmpty();
    }

    @Test
    void aPinionWhoseShimsGoBackIsSetOnceTheyAreMeasured() {
        choose(Scale.SCHOOL.of("pinion"), "reuse");
        assertThat(setup().place("pinion").set()).isFalse();
        read(Field.PRESENT_SHIM.of("pinion"), 0.75);
        assertThat(setup().place("pinion").set()).isTrue();
    }

    @Test
    void aSimulatedHoldProvesNothing() {
        note(new Fact.Ticked(now().buildSteps().get(0).step().id(), true));
        hold("practice", 0.2, true);
        assertThat(proof("leak_pressure").state()).isEqualTo(ProofWork.State.OPEN);
        assertThat(proof("leak_pressure").says()).contains("does not count for this leg");
    }

    @Test
    void whatIsTurnedByHandIsHeldAgainstTheSheet() {
        read(Field.ROLLING, 0.2);
        read(Field.END_PLAY, 0.3);
        choose(Scale.CONTACT.of("forward"), "toe");
        assertThat(setup().checks()).extracting(SetupWork.Check::ok).containsExactly(false, true, false);
        assertThat(setup().checks().get(2).says()).contains("away from the pinion");
    }

    @Test
    void threadsWettedOtherwiseThanTheSheetSaysClampOtherwise() {
        double greased = clampOfPumpBolts();
        choose(Scale.THREADS.of("pump_bolts"), "dry");
        assertThat(clampOfPumpBolts()).isEqualTo(greased * 0.13 / 0.20, within(1e-9));
        TorqueWork work = now().torque(SKUA.fastener("pump_bolts").orElseThrow());
        Explanation why = TorqueWords.why(work.input(), work.result());
        assertThat(why.figure()).contains("N·m");
        assertThat(why.inputs()).extracting(Explanation.InputLine::name).anyMatch(n -> n.contains("threads dry"));
    }

    private double clampOfPumpBolts() {
        return now().torque(SKUA.fastener("pump_bolts").orElseThrow())
                .result()
                .clampKn()
                .orElseThrow();
    }

    private void read(Field field, double value) {
        read(field.address(), value);
    }

    private void hold(String id, double dropKpa) {
        hold(id, dropKpa, false);
    }

    private void hold(String id, double dropKpa, boolean simulated) {
        note(new Fact.HoldBegun(id, LeakMode.PRESSURE, 0.1, "gauge", simulated));
        List<LeakReading> readings = new ArrayList<>();
        for (int s = 0; s <= 900; s += 5) {
            readings.add(new LeakReading(s, 90 - dropKpa * s / 600.0, 18, java.util.Optional.of(Stage.STILL)));
        }
        note(new Fact.Held(id, readings));
    }

    @Test
    void aHoldProvesTheRepairOnlyOnceSomethingWasPutBackAndLeavesTheDiagnosisAlone() {
        hold("first", 20);
        assertThat(now().findings()).containsKey("pressure_hold");
        String before = now().findings().get("pressure_hold").outcome();
        assertThat(proof("leak_pressure").state()).isEqualTo(ProofWork.State.OPEN);
        note(new Fact.Ticked(now().buildSteps().get(0).step().id(), true));
        hold("again", 0.2);
        assertThat(proof("leak_pressure").state()).isEqualTo(ProofWork.State.PASSED);
        assertThat(proof("leak_pressure").says()).contains("tight").contains("Before the repair it was leaking");
        assertThat(now().findings().get("pressure_hold").outcome()).isEqualTo(before);
        hold("later", 30);
        assertThat(proof("leak_pressure").offAgain()).isTrue();
        assertThat(now().blocks().get(0)).contains("A final check failed", "leaks fast");
    }

    @Test
    void aFailedProofHoldsTheTagUntilAReasonIsGiven() {
        choose(Scale.SHIFT_NEUTRAL.address(), "turns");
        choose(Scale.SHIFT_FORWARD.address(), "locks");
        assertThat(now().proof().failed()).extracting(Proof::id).containsExactly("shift_forward");
        assertThat(proof("shift_forward").offAgain()).isTrue();
        assertThat(now().blocks()).singleElement().asString().contains("Forward locks both ways");
        note(new Fact.Noted(Topic.PROOF_OVERRIDE.address(), "goes to the dealer on a trailer"));
        assertThat(now().blocks()).isEmpty();
        assertThat(now().proof().override()).hasValue("goes to the dealer on a trailer");
        choose(Scale.DRIPS.address(), "damp");
        assertThat(proof("drips").offAgain()).isFalse();
        assertThat(now().proof().done()).isFalse();
    }
}
