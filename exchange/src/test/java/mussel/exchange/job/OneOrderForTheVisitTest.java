package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Stores;
import mussel.core.job.Supply;
import mussel.core.job.Surroundings;
import mussel.core.measure.StopToken;
import mussel.core.parts.Objective;
import mussel.core.parts.Wanted;
import mussel.core.plan.Planning;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** One order for the visit: parts of the leg and of the engine side together. */
class OneOrderForTheVisitTest {
    private static final Surroundings AROUND = new Surroundings(
            SheetFiles.shippedYard(),
            new Judge(KnowledgeFiles.shipped()),
            List.of(),
            LocalDate.of(2026, 11, 23),
            new Stores(CatalogueFiles.shipped(), Map.of()),
            new Planning());

    private final List<Entry> entries = new ArrayList<>();

    private void open(SpecSheet sheet) {
        note(new Fact.Opened(new LegRef("b", "Byssus", LegRef.Position.SINGLE, sheet.id())));
    }

    private void note(Fact fact) {
        entries.add(new Entry(entries.size() + 1L, 1, Instant.ofEpochSecond(entries.size()), "a", fact));
    }

    private void beside(String item, String answer) {
        note(new Fact.Chosen(Scale.BESIDE.of(item), answer));
    }

    private Assessment now(SpecSheet sheet) {
        return Assessment.of(Job.of(entries), sheet, AROUND);
    }

    static List<SpecSheet> families() {
        return SheetFiles.shipped();
    }

    @ParameterizedTest
    @MethodSource("families")
    void whatIsToDoOnTheEngineSideIsInTheSameOrderAndSomebodySellsIt(SpecSheet sheet) {
        open(sheet);
        note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
        List<String> leg = now(sheet).supply().need().keySet().stream().toList();
        for (String item : List.of("plugs", "engine_oil", "fuel", "anodes")) {
            beside(item, "to_do");
        }
        note(Fact.Read.byHand(Field.CYLINDERS.address(), 3, "3"));
        Supply supply = now(sheet).supply();
        assertThat(supply.need().keySet()).containsAll(leg);
        assertThat(supply.need())
                .as("a plug for each cylinder, the pair of outer anodes")
                .containsEntry("spark_plug", 3)
                .containsEntry("engine_oil_filter", 1)
                .containsEntry("outer_anode", 2);
        assertThat(supply.unlisted()).isEmpty();
        assertThat(supply.best(Objective.COST, OptionalDouble.empty(), new StopToken())
                        .result()
                        .lines())
                .isNotEmpty();
        assertThat(supply.input(Objective.COST, OptionalDouble.empty()).need())
                .contains(new Wanted("spark_plug", 3), new Wanted("impeller", 1));
    }

    @Test
    void whatIsSoundPutOffOrDoneWithoutAnOrderWantsNothing() {
        SpecSheet tern = SheetFiles.shipped().get(0);
        open(tern);
        beside("plugs", "sound");
        beside("fuel", "put_off");
        beside("engine_oil", "done");
        assertThat(now(tern).supply().need()).isEmpty();
        beside("anodes", "to_do");
        note(Fact.Read.byHand(Field.ANODE_LEFT.of("tab"), 80, "80"));
        assertThat(now(tern).supply().need())
                .as("a tab with four fifths left stays")
                .containsKey("outer_anode")
                .doesNotContainKey("trim_tab");
        note(Fact.Read.byHand(Field.ANODE_LEFT.of("tab"), 30, "30"));
        assertThat(now(tern).supply().need()).containsKey("trim_tab");
        assertThat(new EngineSide(now(tern)).answered())
                .as("planned is not done")
                .isFalse();
        assertThat(now(tern).blocks()).anyMatch(b -> b.contains("not done: Anodes"));
        beside("anodes", "put_off");
        assertThat(now(tern).blocks()).noneMatch(b -> b.contains("Anodes"));
    }

    @Test
    void whatWasOrderedForWorkThatIsDoneIsUsedUpAndNotPutOnTheShelf() {
        SpecSheet tern = SheetFiles.shipped().get(0);
        open(tern);
        beside("plugs", "to_do");
        note(Fact.Read.byHand(Field.CYLINDERS.address(), 3, "3"));
        note(new Fact.Ordered(
                "1-1",
                "r",
                true,
                List.of(new Order.Line(
                        "S1", "s", 4, 6.4, List.of(new Wanted("spark_plug", 1)), LocalDate.of(2026, 11, 25))),
                0,
                25.6));
        note(new Fact.Arrived("1-1", LocalDate.of(2026, 11, 25)));
        assertThat(now(tern).supply().open()).isEmpty();
        assertThat(now(tern).supply().shelfChange()).containsEntry("spark_plug", 1);
        beside("plugs", "done");
        assertThat(now(tern).supply().open()).isEmpty();
        assertThat(now(tern).supply().shelfChange()).containsEntry("spark_plug", 1);
    }
}
