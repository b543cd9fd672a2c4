package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
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
    void unlikelyRepairsWaitBehindTheLikelyOnesAndComeWithOneKey() {
        open(MILKY);
        click("#station-strip");
        worked();
        assertThat(rows()).as("likely, so in sight").contains("pick-goal-driveshaft_seals");
        assertThat(rows()).as("unlikely").doesNotContain("pick-goal-bearings");
        robot.interact(() -> window.lookup("#more-repairs").requestFocus());
        robot.push(KeyCode.SPACE);
        worked();
        assertThat(rows()).hasSize(now().sheet().goals().size()).contains("pick-goal-bearings");
        click("#pick-goal-bearings-yes");
        robot.interact(() -> window.lookup("#more-repairs").requestFocus());
        robot.push(KeyCode.SPACE);
        worked();
        assertThat(rows()).as("chosen, so in sight").contains("pick-goal-bearings");
    }

    private List<String> rows() {
        return robot.lookup(n -> n.getId() != null && n.getId().matches("pick-goal-[a-z_]+")).queryAll().stream()
                .filter(Node::isVisible)
                .map(Node::getId)
                .toList();
    }

    @Test
    void aRoundIsBegunWithOneKeyAndAnsweredKeyByKey() {
        open(MILKY);
        click("#station-verdict");
        robot.push(KeyCode.F5);
        assertThat(window.lookup("#round").isVisible())
                .as("the round as one list")
                .isTrue();
        List<String> before = List.copyOf(now().findings().keySet());
        robot.push(KeyCode.DIGIT1);
        robot.push(KeyCode.DIGIT1);
        worked();
        assertThat(now().findings().keySet())
                .as("each figure answers a check and goes on to the next")
                .hasSize(before.size() + 2);
        assertThat(window.lookup("#round").isVisible()).as("the list stays").isTrue();
    }

    @Test
    void whatTheStateForbidsIsAskedAboutBeforeItIsTickedAndWhatClosesSaysWhatIsLeft() {
        open(MILKY);
        click("#station-strip");
        worked();
        robot.interact(() -> window.lookup("#take-set-0").requestFocus());
        robot.type(KeyCode.ENTER);
        worked();
        click("#strip-view-steps");
        worked();
        click("#tick-carrier_off");
        assertThat(find("#asked-carrier_off", Label.class).getText())
                .contains("The lower unit is still on the engine.", "press again");
        assertThat(now().job().ticked("carrier_off")).isEmpty();
        click("#tick-carrier_off");
        assertThat(now().job().ticked("carrier_off")).isPresent();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().job().ticked("carrier_off")).isEmpty();
        assertThat(robot.lookup(".stop-point").queryAllAs(Label.class))
                .as("where to stop and look, at its step")
                .isNotEmpty()
                .allSatisfy(l ->
                        assertThat(l.getText()).startsWith("Stop and check: ").contains("May add "));

        tick(now().stripSteps());
        click("#station-build");
        click("#tick-housing_in");
        assertThat(find("#asked-housing_in", Label.class).getText()).contains("Still on the mat: ");
        assertThat(now().job().ticked("housing_in")).isEmpty();
    }

    @Test
    void theStateLineIsReachedAndLeftByKeys() {
        open(MILKY);
        robot.push(KeyCode.CONTROL, KeyCode.E);
        robot.push(KeyCode.RIGHT);
        robot.push(KeyCode.LEFT);
        robot.push(KeyCode.ENTER);
        worked();
        assertThat(LegStates.of(now()).known())
                .as("the first that can be corrected")
                .containsEntry(Condition.ENGINE, "away");
        robot.push(KeyCode.TAB);
        Node at = window.getScene().getFocusOwner();
        assertThat(Stream.iterate(at, n -> n != null, Node::getParent).anyMatch(n -> n == window.lookup(".middle")))
                .as("Tab goes on at the station: " + at)
                .isTrue();
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
