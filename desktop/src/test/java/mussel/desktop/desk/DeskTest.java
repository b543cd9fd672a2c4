package mussel.desktop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.brief.Brief;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.core.measure.UnitSet;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

class DeskTest {
    private final TestShop test = new TestShop();
    private final Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");

    @Test
    void anEntryIsInTheJournalAndWhateverIsComputedFollows() {
        assertThat(desk.read(Field.DRAINED.address(), 420, "420 ml")).isTrue();
        desk.read(Field.OIL_TEMP.address(), 18, "18");
        desk.read(Field.MINUTES.address(), 30, "30");
        assertThat(desk.now().drain().result()).isPresent();
        assertThat(test.journal.entries(desk.job().id())).hasSize(5);
    }

    @Test
    void aJobOfAFamilyThatIsNotHereIsToldAndTheDeskKeepsItsOwn() {
        int before = desk.job().id();
        int strange = test.shop.takeIn(new LegRef("x", "Strange", LegRef.Position.SINGLE, "gannet-90"));
        assertThatThrownBy(() -> desk.sit(strange))
                .isInstanceOf(JournalException.class)
                .hasMessageContaining("gannet-90");
        assertThat(desk.job().id()).isEqualTo(before);
        desk.read(Field.DRAINED.address(), 420, "420 ml");
        assertThat(test.shop.journal().entries(strange)).hasSize(1);
    }

    @Test
    void aDraftIsComputedWithButIsNoEntry() {
        desk.read(Field.OIL_TEMP.address(), 18, "18");
        desk.read(Field.MINUTES.address(), 30, "30");
        desk.draft(Field.DRAINED.address(), Optional.of(410.0));
        assertThat(desk.now().drain().result()).isPresent();
        assertThat(desk.job().reading(Field.DRAINED)).isEmpty();
        desk.draft(Field.DRAINED.address(), Optional.empty());
        assertThat(desk.now().drain().result()).isEmpty();
        assertThat(test.journal.entries(desk.job().id())).hasSize(4);
    }

    @Test
    void whatCannotBeWrittenChangesNothingAndIsTold() {
        List<String> told = new ArrayList<>();
        desk.setOnTrouble(told::add);
        test.journal.refuse(true);
        assertThat(desk.read(Field.DRAINED.address(), 420, "420 ml")).isFalse();
        assertThat(desk.note(List.of(new Fact.Ticked("leg_off", true)))).isFalse();
        assertThat(desk.now().job().reading(Field.DRAINED)).isEmpty();
        assertThat(told).hasSize(2).allMatch(s -> s.contains("disk is full"));
        test.journal.refuse(false);
        assertThat(desk.read(Field.DRAINED.address(), 420, "420 ml")).isTrue();
    }

    @Test
    void undoAndRedoWalkTheEntriesBackAndForth() {
        desk.choose(Scale.WATER.address(), Optional.of("sea"));
        desk.choose(Scale.WATER.address(), Optional.of("fresh"));
        desk.undo();
        assertThat(desk.job().choice(Scale.WATER)).contains("sea");
        desk.undo();
        assertThat(desk.job().choice(Scale.WATER)).isEmpty();
        desk.undo();
        assertThat(test.journal.entries(desk.job().id())).hasSize(6);
        desk.redo();
        desk.redo();
        assertThat(desk.job().choice(Scale.WATER)).contains("fresh");
    }

    @Test
    void whatWaitsIsEnteredBeforeTheJobLeavesTheDesk() {
        int first = desk.job().id();
        int second = test.shop.takeIn(new LegRef("x", "Kelp Runner", LegRef.Position.SINGLE, "tern-60"));
        desk.onLeave("test", () -> desk.note(new Fact.Noted(Topic.COMPLAINT.address(), "waiting")));
        desk.sit(second);
        assertThat(test.journal.entries(first)).hasSize(3);
        assertThat(test.journal.entries(second)).hasSize(2);
        assertThat(desk.job().id()).isEqualTo(second);
    }

    @Test
    void theBenchFollowsTheJobs() {
        desk.choose(Scale.WATER.address(), Optional.of("sea"));
        desk.read(Field.ENGINE_HOURS.address(), 100, "100");
        test.shop.refreshBench();
        assertThat(test.journal.open().get(0).current()).isEqualTo(Station.DRAIN);
        assertThat(test.journal.open().get(0).hours()).hasValue(100);
        assertThat(test.journal.outline("tern-60")).isNotEmpty();
    }

    @Test
    void aLegKnowsItsEarlierJobsAndWhatItsSisterHad() {
        Desk sister = test.leg("Spat Lass", LegRef.Position.STARBOARD, "tern-60");
        sister.choose(Scale.CONFIRMED.of("driveshaft_water_lip"), Optional.of("yes"));
        sister.choose(Scale.CONFIRMED.of("case_leak"), Optional.of("no"));
        Desk port = test.leg("Spat Lass", LegRef.Position.PORT, "tern-60");
        assertThat(port.now().context().twinFound()).containsExactly("driveshaft_water_lip");
        assertThat(desk.now().context().twinFound()).isEmpty();
        Desk again = test.leg("Spat Lass", LegRef.Position.PORT, "tern-60");
        assertThat(test.shop.earlier(again.job()))
                .containsExactly("Job " + port.job().id() + ", not finished.");
        assertThat(test.shop.tables().judgedCauses()).hasSize(2);
    }

    @Test
    void whatNothingHasTouchedIsNotWorkedOutAgain() {
        desk.read(Field.DRAINED.address(), 420, "420");
        Assessment seen = desk.now();
        int first = desk.job().id();
        desk.sit(test.leg("Spat Lass", LegRef.Position.PORT, "tern-60").job().id());
        desk.sit(first);
        assertThat(desk.now()).isSameAs(seen);
        test.shop.readIn(UnitSet.US);
        desk.refresh();
        assertThat(desk.now()).isNotSameAs(seen);
        Assessment inPints = desk.now();
        desk.read(Field.DRAINED.address(), 430, "430");
        assertThat(desk.now()).isNotSameAs(inPints);
        desk.undo();
        assertThat(desk.now().job().reading(Field.DRAINED)).hasValue(420);
    }

    @Test
    void whatTheSisterHadIsCountedWhenTheLegIsOpenedAgain() {
        Desk sister = test.leg("Spat Lass", LegRef.Position.STARBOARD, "tern-60");
        Desk port = test.leg("Spat Lass", LegRef.Position.PORT, "tern-60");
        int job = port.job().id();
        assertThat(port.now().context().twinFound()).isEmpty();
        sister.choose(Scale.CONFIRMED.of("driveshaft_water_lip"), Optional.of("yes"));
        port.sit(job);
        assertThat(port.now().context().twinFound()).containsExactly("driveshaft_water_lip");
    }

    @Test
    void priorsLearnOnlyWhenAskedTo() {
        desk.choose(Scale.CONFIRMED.of("gear_wear"), Optional.of("yes"));
        double before = test.shop
                .tables()
                .judge()
                .knowledge()
                .cause("gear_wear")
                .orElseThrow()
                .prior();
        test.shop.refreshBench();
        test.shop.tables().setLearning(true);
        assertThat(test.shop
                        .tables()
                        .judge()
                        .knowledge()
                        .cause("gear_wear")
                        .orElseThrow()
                        .prior())
                .isGreaterThan(before);
        test.shop.tables().setLearning(false);
        assertThat(test.shop
                        .tables()
                        .judge()
                        .knowledge()
                        .cause("gear_wear")
                        .orElseThrow()
                        .prior())
                .isEqualTo(before);
    }

    @Test
    void aFullDiskIsToldAtTheTagAndAtTheSheetAndNothingIsTagged() {
        Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
        List<String> told = new ArrayList<>();
        desk.setOnTrouble(told::add);
        test.journal.refuse(true);
        desk.tag();
        assertThat(told).singleElement().asString().contains("the disk is full");
        desk.said();
        desk.goByNewSheet();
        assertThat(desk.job().tagged()).isEmpty();
        test.journal.refuse(false);
        desk.tag();
        assertThat(desk.job().tagged()).isPresent();
        assertThat(desk.job().sheet()).isPresent();
    }

    @Test
    void anOrderWithoutALineThatAnEarlierProgramPlacedStandsInNoWay() {
        Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
        assertThat(desk.note(new Fact.Ordered("1-1", "SIM-1", true, List.of(), 0, 0)))
                .isTrue();
        assertThat(desk.job().orders()).isEmpty();
        assertThat(Brief.of(desk.now(), Station.PARTS).head()).isNotBlank();
    }
}
