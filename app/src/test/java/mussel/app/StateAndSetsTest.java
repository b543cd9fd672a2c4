package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import mussel.core.job.LegStates;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.verdict.LegState.Condition;
import org.junit.jupiter.api.Test;

/** The state of the lower unit as the work goes on, corrected by hand, and a set of repairs chosen by key. */
class StateAndSetsTest extends DemoJourney {
    private static final String MILKY = "Spat Lass, port";

    @Test
    void aSetIsChosenWithOneKeyAndTheStateFollowsTheSteps() {
        open(MILKY);
        click("#station-strip");
        Hands.until(() -> window.lookup("#take-set-0") != null);
        robot.interact(() -> window.lookup("#take-set-0").requestFocus());
        robot.type(KeyCode.ENTER);
        worked();
        assertThat(now().goals()).contains("driveshaft_seals", "oil_change", "plug_washers");
        Hands.until(() -> window.lookup("#take-set-0") instanceof ButtonBase taken && taken.isDisabled());

        assertThat(LegStates.of(now()).of(Condition.LEG)).isEmpty();
        click("#strip-view-steps");
        tick(now().stripSteps());
        assertThat(LegStates.of(now()).known())
                .containsEntry(Condition.OIL, "out")
                .containsEntry(Condition.LEG, "off")
                .containsEntry(Condition.PUMP, "out")
                .containsEntry(Condition.SEAL_CARRIER, "out");
        assertThat(LegStates.of(now()).of(Condition.CASE)).contains("open");
        assertThat(now().verdict().checks().stream().map(c -> c.access()))
                .as("nothing is run or held that is open")
                .doesNotContain("run", "tank", "underway", "hold");

        click("#station-build");
        List<PlannedStep> build = now().buildSteps();
        int up = IntStream.range(0, build.size())
                .filter(i -> build.get(i).step().id().equals("leg_up"))
                .findFirst()
                .orElseThrow();
        tick(build.subList(0, up + 1));
        assertThat(LegStates.of(now()).known())
                .containsEntry(Condition.SEAL_CARRIER, "in")
                .containsEntry(Condition.PUMP, "in")
                .containsEntry(Condition.LEG, "on");
    }

    @Test
    void theStateIsCorrectedWithOnePickAndTheCorrectionIsAnEntryThatCanBeTakenBack() throws Exception {
        open(MILKY);
        click("#state-correct");
        click("#state-engine");
        assertThat(LegStates.of(now()).known()).containsEntry(Condition.ENGINE, "away");
        assertThat(now().verdict().checks().stream().map(c -> c.access())).doesNotContain("run", "tank", "underway");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        worked();
        assertThat(LegStates.of(now()).known()).doesNotContainKey(Condition.ENGINE);
        restart();
    }
}
