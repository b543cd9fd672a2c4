package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.StringWriter;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.LearnerSteps;
import mussel.core.job.LearnerSteps.Count;
import mussel.core.job.LearnerSteps.Kind;
import mussel.core.job.LegRef;
import mussel.core.job.Yard;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.log.LogCsv;
import mussel.exchange.record.Json;
import mussel.exchange.record.RecordReader;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;

/** What a learner has done: steps by kind, alone or with help, from the ticks. */
class LearnerStepsTest {
    private static final SpecSheet TERN = SheetFiles.shipped().get(0);
    private static final Instant NINE = Instant.parse("2026-11-23T09:00:00Z");
    private static final Kind CARRIER = new Kind(Phase.STRIP, Place.PROP_CARRIER);

    private final List<Entry> entries = new ArrayList<>();

    private LearnerStepsTest() {
        note(0, "Ada", new Fact.Opened(new LegRef("b", "Byssus", LegRef.Position.SINGLE, TERN.id())));
    }

    private static Yard yard() {
        ObjectNode yard = Json.mapper().valueToTree(SheetFiles.shippedYard());
        ArrayNode crew = yard.putObject("crew").putArray("technicians");
        crew.addObject().put("name", "Bo").put("standing", "apprentice");
        crew.addObject().put("name", "Cleo").put("standing", "apprentice");
        crew.addObject().put("name", "Ada");
        return RecordReader.read(yard, Yard.class).value().orElseThrow();
    }

    private void note(int minute, String by, Fact fact) {
        entries.add(new Entry(entries.size() + 1L, 1, NINE.plus(Duration.ofMinutes(minute)), by, fact));
    }

    private void tick(int minute, String by, String step) {
        note(minute, by, new Fact.Ticked(step, true));
    }

    private LearnerSteps steps() {
        LearnerSteps steps = new LearnerSteps(yard());
        steps.add(entries, TERN);
        return steps;
    }

    @Test
    void aStepIsAloneUnlessSomebodyWhoDoesNotLearnWasAtTheLegWithinHalfAnHour() {
        tick(60, "Bo", "prop_carrier_loose");
        tick(70, "Cleo", "gear_neutral");
        tick(120, "Bo", "prop_carrier_out");
        note(149, "Ada", new Fact.Noted(mussel.core.job.Topic.COMPLAINT.address(), "milky"));
        LearnerSteps steps = steps();
        assertThat(steps.done().get("Bo"))
                .as("another learner is no help; Ada came half an hour after the second")
                .containsEntry(CARRIER, new Count(1, 1, NINE.plus(Duration.ofMinutes(120))));
        assertThat(steps.says(CARRIER, steps.done().get("Bo").get(CARRIER)))
                .contains("once alone", "once with help", "propeller shaft carrier");
        assertThat(steps.done()).doesNotContainKey("Ada");
        assertThat(steps.open("Bo", TERN)).doesNotContain(CARRIER).contains(new Kind(Phase.BUILD, Place.PUMP));
    }

    @Test
    void whatIsTakenBackOrUnknownCountsForNothingAndATickMadeTwiceOnce() {
        tick(60, "Bo", "prop_carrier_loose");
        note(61, "Bo", new Fact.Retracted(2));
        assertThat(steps().done()).isEmpty();
        tick(62, "Bo", "prop_carrier_loose");
        tick(63, "Bo", "prop_carrier_loose");
        tick(64, "Bo", "a_step_of_an_older_sheet");
        assertThat(steps().done().get("Bo"))
                .hasSize(1)
                .containsEntry(CARRIER, new Count(1, 0, NINE.plus(Duration.ofMinutes(63))));
    }

    @Test
    void theListOfStepsNamesWhoDidItAndWhoWasThere() throws Exception {
        tick(59, "Bo", "prop_carrier_loose");
        tick(60, "Bo", "prop_carrier_loose");
        tick(65, "Ada", "prop_off");
        note(66, "Ada", new Fact.Ticked("prop_off", false));
        StringWriter csv = new StringWriter();
        LogCsv.steps(List.of(entries), csv);
        assertThat(csv.toString().lines().toList())
                .hasSize(2)
                .last()
                .asString()
                .contains("prop_carrier_loose", "Bo", "Ada")
                .startsWith("1,");
    }
}
