package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import mussel.core.job.Field;
import mussel.core.job.LegStates;
import mussel.core.verdict.LegState.Condition;
import org.junit.jupiter.api.Test;

/** A lower unit that came in alone with water in its oil, by keyboard to its tag, with the state right at each step. */
class AloneToTagTest extends WindowJourney {
    private static final int MOST_STOPS = 60;
    private static final int MOST_ACTS = 12;

    private void key(KeyCode... chord) {
        robot.push(chord);
    }

    private void typed(String text) {
        robot.write(text, 0).push(KeyCode.ENTER);
    }

    private boolean inside(String id) {
        Node at = window.getScene().getFocusOwner();
        return Stream.iterate(at, n -> n != null, Node::getParent).anyMatch(n -> id.equals(n.getId()));
    }

    private void tabTo(String id) {
        for (int i = 0; i < MOST_STOPS && !inside(id); i++) {
            key(KeyCode.TAB);
        }
        assertThat(inside(id)).as("Tab reaches " + id).isTrue();
    }

    private Map<Condition, String> state() {
        return LegStates.of(now()).known();
    }

    private String act() {
        return find("#act", Button.class).getText();
    }

    @Test
    void fromCameInAloneWithWaterInItsOilToItsTag() throws Exception {
        shop.setPaperFolder(folder);
        key(KeyCode.CONTROL, KeyCode.N);
        typed("Byssus");
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT1);
        key(KeyCode.ENTER);
        typed("412");
        typed("38");
        tabTo("pick-came_for");
        key(KeyCode.DIGIT1);
        tabTo("pick-how-it-came");
        key(KeyCode.DIGIT2);
        assertThat(state())
                .containsEntry(Condition.ENGINE, "away")
                .containsEntry(Condition.LEG, "off")
                .doesNotContainKey(Condition.OIL);

        key(KeyCode.F5);
        key(KeyCode.CONTROL, KeyCode.DIGIT2);
        key(KeyCode.DIGIT4);
        key(KeyCode.DIGIT1);
        typed("452");
        typed("12");
        typed("18");
        typed("20");
        assertThat(now().job().reading(Field.DRAINED)).hasValue(452);
        assertThat(state()).containsEntry(Condition.OIL, "out").containsEntry(Condition.PLUGS, "out");

        key(KeyCode.CONTROL, KeyCode.DIGIT5);
        int rounds = 0;
        for (int acts = 0; acts < MOST_ACTS && now().goals().isEmpty(); acts++) {
            worked();
            assertThat(act()).as("an engine that is not here is not run").doesNotContain("flushing", "tank", "way:");
            key(KeyCode.F5);
            worked();
            if (window.lookup("#round") != null && window.lookup("#round").isVisible() && inside("round")) {
                rounds++;
                for (int i = 0; i < MOST_ACTS && inside("round") && left() > 0; i++) {
                    key(KeyCode.DIGIT1);
                    worked();
                }
            } else if (now().goals().isEmpty()) {
                // A test on the tester is begun at its own station; this shop has none today.
                key(KeyCode.CONTROL, KeyCode.DIGIT7);
                worked();
                tabTo("take-set-0");
                key(KeyCode.ENTER);
                worked();
            }
        }
        assertThat(rounds).as("rounds answered key by key").isPositive();
        assertThat(now().goals()).contains("oil_change");

        key(KeyCode.CONTROL, KeyCode.DIGIT7);
        worked();
        tabTo("strip-view");
        key(KeyCode.DIGIT2);
        worked();
        while (now().stepsDone(now().stripSteps()) < now().stripSteps().size()) {
            int before = now().stepsDone(now().stripSteps());
            key(KeyCode.F5);
            assertThat(now().stepsDone(now().stripSteps())).as(act()).isGreaterThanOrEqualTo(before);
            if (now().stepsDone(now().stripSteps()) == before) {
                key(KeyCode.SHIFT, KeyCode.END);
            }
        }
        assertThat(state()).containsEntry(Condition.LEG, "off").containsEntry(Condition.OIL, "out");
        assertThat(LegStates.of(now()).of(Condition.CASE)).contains("open");

        key(KeyCode.CONTROL, KeyCode.DIGIT9);
        worked();
        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT1);
        worked();
        key(KeyCode.SHIFT, KeyCode.END);
        assertThat(now().stepsDone(now().buildSteps()))
                .isEqualTo(now().buildSteps().size());
        assertThat(state()).containsEntry(Condition.PUMP, "in").containsEntry(Condition.SEAL_CARRIER, "in");
        assertThat(LegStates.of(now()).of(Condition.CASE)).isNotEqualTo(Optional.of("open"));

        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT2);
        key(KeyCode.DIGIT1);
        typed("431");
        key(KeyCode.SHIFT, KeyCode.END);
        assertThat(now().job().reading(Field.PUMPED)).hasValue(431);
        assertThat(state()).containsEntry(Condition.OIL, "in").containsEntry(Condition.PLUGS, "in");

        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT5);
        worked();
        assertThat(find("#comes-back", Label.class).getText()).startsWith("Chance of a return for what is left: ");
        key(KeyCode.F5);
        typed("came alone: no run, tests by the owner's yard");
        key(KeyCode.F5);
        assertThat(now().job().tagged()).contains(shop.today());
        key(KeyCode.F5);
        Path sheet = folder.resolve("job-" + now().job().id() + ".pdf");
        Hands.until(() -> Files.exists(sheet));
    }

    /** How many checks of the round are not answered. */
    private int left() {
        return robot.lookup("#round .label").queryAllAs(Label.class).stream()
                .filter(Node::isVisible)
                .map(Label::getText)
                .filter(t -> t.endsWith("left"))
                .map(t -> Integer.parseInt(t.substring(0, t.indexOf(' '))))
                .findFirst()
                .orElse(0);
    }
}
