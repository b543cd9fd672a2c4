package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import mussel.app.demo.ByKeys;
import mussel.core.job.Address;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.job.Topic;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.shell.Stations;
import org.junit.jupiter.api.Test;

/** What hands do: real keys alone, nothing looked up to act on it. */
class ByKeysTest extends WindowJourney {
    private void key(KeyCode... chord) {
        robot.push(chord);
    }

    private void typed(String text) {
        robot.write(text, 0).push(KeyCode.ENTER);
    }

    private Node focus() {
        return window.getScene().getFocusOwner();
    }

    /** The field that has the focus, by its id; empty where none has. */
    private String field() {
        for (Node at = focus(); at != null; at = at.getParent()) {
            if (at instanceof QuantityField field) {
                return field.getId();
            }
        }
        return "";
    }

    private void takeIn(String boat) {
        key(KeyCode.CONTROL, KeyCode.N);
        typed(boat);
        key(KeyCode.DIGIT1);
        key(KeyCode.DIGIT1);
        key(KeyCode.ENTER);
    }

    private String told() {
        return find("#trouble", Label.class).getText();
    }

    @Test
    void fromTheNewJobToTheJobSheetInUnderFortyEntries() throws Exception {
        shop.setPaperFolder(folder);
        List<ByKeys.Entry> entries = ByKeys.milkyLeg();
        assertThat(entries).hasSizeLessThan(40);
        for (ByKeys.Entry entry : entries) {
            if (entry.text().isEmpty()) {
                key(entry.chord().toArray(KeyCode[]::new));
            } else {
                typed(entry.text());
            }
        }
        assertThat(now().job().leg().title()).isEqualTo("Spat Lass, port");
        assertThat(now().job().reading(Field.ENGINE_HOURS)).hasValue(412);
        assertThat(now().job().reading(Field.HOURS_SINCE_FILL)).hasValue(38);
        assertThat(now().job().reading(Field.DRAINED)).hasValue(452);
        assertThat(now().job().reading(Field.FREE_WATER)).hasValue(12);
        assertThat(now().job().reading(Field.OIL_TEMP)).hasValue(18);
        assertThat(now().job().reading(Field.MINUTES)).hasValue(20);
        assertThat(now().job().reading(Field.PUMPED)).hasValue(431);
        assertThat(now().job().choice(Scale.OIL_WATER)).contains("milky");
        assertThat(now().goals()).containsExactly("driveshaft_seals");
        assertThat(now().states())
                .containsEntry(Station.STRIP, Station.State.DONE)
                .containsEntry(Station.BUILD, Station.State.DONE)
                .containsEntry(Station.FILL, Station.State.DONE);
        assertThat(now().proof().failed()).isEmpty();
        assertThat(now().job().tagged()).contains(shop.today());
        Path sheet = folder.resolve("job-" + now().job().id() + ".pdf");
        Hands.until(() -> Files.exists(sheet));
    }

    @Test
    void aFigureTypedAnywhereGoesIntoTheNextOpenField() {
        takeIn("Byssus");
        key(KeyCode.F2);
        assertThat(focus().getId()).isEqualTo("cutaway");
        typed("412");
        assertThat(now().job().reading(Field.ENGINE_HOURS)).hasValue(412);
        assertThat(field()).isEqualTo("field-hours_since_fill");
        key(KeyCode.F2);
        key(KeyCode.F2);
        assertThat(field()).as("F2 comes back to where it left").isEqualTo("field-hours_since_fill");
        robot.write("38", 0);
        key(KeyCode.CONTROL, KeyCode.B);
        key(KeyCode.ENTER);
        assertThat(now().job().reading(Field.HOURS_SINCE_FILL))
                .as("what was being typed as the bench was called")
                .hasValue(38);
        robot.interact(() -> window.close());
    }

    @Test
    void whatIsBeingTypedWhenTheWindowGoesIsKept() throws Exception {
        takeIn("Byssus");
        robot.write("412", 0);
        robot.interact(() -> window.leave());
        restart();
        key(KeyCode.F5);
        assertThat(now().job().reading(Field.ENGINE_HOURS)).hasValue(412);
    }

    @Test
    void aFigureThatGetsTheFocusIsTypedOver() {
        takeIn("Byssus");
        typed("412");
        key(KeyCode.SHIFT, KeyCode.TAB);
        assertThat(field()).isEqualTo("field-engine_hours");
        typed("413");
        assertThat(now().job().reading(Field.ENGINE_HOURS)).hasValue(413);
    }

    @Test
    void anUnlikelyFigureIsAskedAboutAndKeptAsItIsTyped() {
        takeIn("Byssus");
        typed("412");
        typed("812");
        assertThat(field()).as("it is asked about beside the field").isEqualTo("field-hours_since_fill");
        QuantityField asked = (QuantityField) focus().getParent();
        assertThat(asked.reply())
                .contains("More than the engine has run (412 h)")
                .contains("Press Enter to confirm");
        assertThat(now().job().reading(Field.HOURS_SINCE_FILL))
                .as("it stands meanwhile")
                .hasValue(812);
        key(KeyCode.ENTER);
        assertThat(field()).isNotEqualTo("field-hours_since_fill");
        assertThat(now().job().note(Topic.DOUBTED.of("hours_since_fill")))
                .get()
                .asString()
                .startsWith("812")
                .endsWith("Confirmed.");
    }

    @Test
    void tabStaysOnTheStationAndComesRound() {
        takeIn("Byssus");
        Node first = focus();
        int stops = 0;
        do {
            key(KeyCode.TAB);
            assertThat(inside(focus(), ".middle")).as("stop " + stops).isTrue();
        } while (focus() != first && ++stops < 60);
        assertThat(stops).isBetween(8, 40);
    }

    private boolean inside(Node node, String selector) {
        Node outer = window.lookup(selector);
        return Stream.iterate(node, n -> n != null, Node::getParent).anyMatch(n -> n == outer);
    }

    @Test
    void everyStationHasAKeyAndTheFocusIsOnIt() {
        takeIn("Byssus");
        for (Stations.Line line : Stations.all()) {
            int number = line.station().ordinal();
            KeyCode digit = KeyCode.getKeyCode(String.valueOf(number % 9 + 1));
            if (number < 9) {
                key(KeyCode.CONTROL, digit);
            } else {
                key(KeyCode.CONTROL, KeyCode.SHIFT, digit);
            }
            assertThat(find("#station-" + line.station().name().toLowerCase(java.util.Locale.ROOT), Node.class)
                            .getPseudoClassStates())
                    .as(line.stroke())
                    .contains(PseudoClass.getPseudoClass("here"));
            assertThat(inside(focus(), ".middle"))
                    .as(line.station() + ": " + focus())
                    .isTrue();
        }
    }

    @Test
    void stepsAreTickedWithSpaceAndTheNextOneFollows() {
        takeIn("Byssus");
        key(KeyCode.CONTROL, KeyCode.DIGIT7);
        key(KeyCode.DIGIT1);
        key(KeyCode.F5);
        Node first = focus();
        key(KeyCode.SPACE);
        assertThat(now().stepsDone(now().stripSteps())).isEqualTo(1);
        assertThat(focus()).isNotSameAs(first);
        key(KeyCode.DOWN);
        key(KeyCode.DOWN);
        key(KeyCode.SHIFT, KeyCode.SPACE);
        assertThat(now().stepsDone(now().stripSteps()))
                .as("down to the third from there")
                .isEqualTo(4);
        key(KeyCode.F5);
        assertThat(now().stepsDone(now().stripSteps())).isEqualTo(5);
        key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(now().stepsDone(now().stripSteps())).isEqualTo(4);
    }

    @Test
    void theKeysOfF1AreThoseThatWorkHere() {
        key(KeyCode.F1);
        assertThat(listed()).contains("Keys: job board", "Ctrl N").doesNotContain("Ctrl Z", "F4");
        key(KeyCode.ESCAPE);
        takeIn("Byssus");
        key(KeyCode.CONTROL, KeyCode.DIGIT7);
        key(KeyCode.F1);
        assertThat(listed()).contains("Keys: Strip-down", "Space", "Ctrl Z", "F4", "F5");
        key(KeyCode.ESCAPE);
        assertThat(inside(focus(), ".middle"))
                .as("the focus is back on the station")
                .isTrue();
    }

    private List<String> listed() {
        return robot.lookup("#keys .label").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    @Test
    void aLetterOnTheBenchLooksForALegAndF5OpensTheFirst() {
        takeIn("Byssus");
        key(KeyCode.CONTROL, KeyCode.B);
        robot.write("by", 0);
        assertThat(((TextField) focus()).getText()).isEqualTo("by");
        key(KeyCode.F5);
        assertThat(now().job().leg().boat()).isEqualTo("Byssus");
    }

    @Test
    void wheresNoFigureIsOpenItIsSaidAndGoneWithTheNextKey() {
        takeIn("Byssus");
        key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.DIGIT5);
        robot.write("7", 0);
        assertThat(told()).contains("All values at this station are entered");
        key(KeyCode.TAB);
        assertThat(told()).isEmpty();
    }

    @Test
    void aDrawnPartIsReachedWithArrowsAndOpened() {
        takeIn("Byssus");
        key(KeyCode.F2);
        String first = focus().getAccessibleText();
        key(KeyCode.DOWN);
        assertThat(focus().getAccessibleText()).isNotEqualTo(first).contains("Enter: details");
        assertThat(now().job().choice(Address.the("none"))).isEmpty();
    }

    @Test
    void whatPointsAtAPartClosesByTheFirstEscapeAndWithTheFocus() {
        takeIn("Byssus");
        key(KeyCode.F2);
        key(KeyCode.DOWN);
        key(KeyCode.ENTER);
        key(KeyCode.ENTER);
        assertThat(Window.getWindows())
                .as("one callout, however often it is asked for")
                .hasSize(2);
        key(KeyCode.F10);
        assertThat(Window.getWindows())
                .as("the callout, once the focus moved on")
                .hasSize(1);
        key(KeyCode.ESCAPE);
        assertThat(window.getChildren()).as("the page over the window").hasSize(1);
        key(KeyCode.ENTER);
        key(KeyCode.ESCAPE);
        assertThat(Window.getWindows()).as("by Escape at once").hasSize(1);
    }

    @Test
    void aFigureTypedWithTheFocusInTheHeaderGoesToTheStation() {
        takeIn("Byssus");
        robot.interact(() -> robot.lookup("#help").query().requestFocus());
        typed("412 h");
        assertThat(now().job().reading(Field.ENGINE_HOURS)).hasValue(412);
        assertThat(window.getChildren()).as("no page over the window").hasSize(1);
        robot.interact(() -> window.close());
    }
}
