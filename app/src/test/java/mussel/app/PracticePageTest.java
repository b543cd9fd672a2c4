package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import mussel.app.data.Exporter;
import mussel.core.job.JournalException;
import mussel.store.SqliteJournal;
import org.junit.jupiter.api.Test;

/** Practice in the window: a lesson by the keyboard alone, told what it cost, in a log of its own. */
class PracticePageTest extends WindowJourney {
    private void to(String id) {
        for (int i = 0; i < 150; i++) {
            Node focus = window.getScene().getFocusOwner();
            if (focus != null && id.equals(focus.getId())) {
                return;
            }
            robot.push(KeyCode.TAB);
        }
        throw new AssertionError("Tab does not come to " + id);
    }

    private void press(String id) {
        to(id);
        robot.push(KeyCode.SPACE);
    }

    private void practice() {
        robot.push(KeyCode.CONTROL, KeyCode.L);
        click("#book-page-practice");
    }

    private String focus() {
        return window.getScene().getFocusOwner().getId();
    }

    @Test
    void theFirstLessonIsDoneByTheKeyboardAndToldAndMovesTheCurve() throws Exception {
        practice();
        assertThat(said("#practice-page")).contains("These legs are not there");
        press("lesson-colour");
        assertThat(said("#practice-bench")).contains("Colour is not water", "Came in for: water in its oil");
        assertThat(said("#practice-clock")).contains("0 looks");
        String first = focus();
        assertThat(first).as("the advised look has the focus").startsWith("look-");
        for (int i = 0; i < 40 && focus().startsWith("look-"); i++) {
            robot.push(KeyCode.SPACE);
        }
        assertThat(focus())
                .as("nothing is worth its time any more: what is to be done")
                .startsWith("do-");
        assertThat(said("#practice-seen")).contains("Water in the oil");
        press("do-oil_change");
        press("practice-back");
        assertThat(said("#practice-told"))
                .contains("What was wrong: ", "It cost you ", "The advice would have cost ", "Somebody who knew")
                .contains("Dye, age and a rinse all colour oil");
        assertThat(said("#practice-curve")).contains("1 leg handed back");
        assertThat(focus()).isEqualTo("practice-another");
        robot.push(KeyCode.SPACE);
        press("practice-back");
        assertThat(said("#practice-told")).contains("It cost you ");
        assertThat(said("#practice-curve")).as("the curve moves").contains("2 legs handed back");

        assertThat(shop.journal().numbers())
                .as("the yard's log knows nothing of it")
                .isEmpty();
        assertThat(shop.book().jobs()).isZero();
        restart();
        practice();
        assertThat(said("#practice-curve")).contains("2 legs handed back");
        assertThat(said("#practice-page")).contains("2 legs done.");
    }

    @Test
    void onOnesOwnNothingIsConcludedAndWhatIsSuspectedIsScored() {
        practice();
        click("#practice-way-own");
        click("#practice-number");
        robot.write("4711").push(KeyCode.ENTER);
        assertThat(said("#practice-bench")).contains("Practice leg 4711");
        assertThat(robot.lookup("#practice-coach").tryQuery()).isEmpty();
        to("suspect-impeller");
        for (int i = 0; i < 9; i++) {
            robot.push(KeyCode.RIGHT);
        }
        press("do-impeller");
        press("look-washers");
        assertThat(find("#do-impeller", ToggleButton.class).isSelected())
                .as("a further look loses no pick")
                .isTrue();
        assertThat(find("#suspect-impeller", Slider.class).getValue())
                .as("nor what was suspected")
                .isPositive();
        press("practice-back");
        assertThat(said("#practice-told")).contains("bits a goal", "9 min");
    }

    @Test
    void aPracticeLogIsNoYardsLog() {
        practice();
        click("#practice-any");
        Path practice = folder.resolve("practice-yard.mussel");
        assertThat(Files.exists(practice)).isTrue();
        assertThat(shop.data().look(practice, n -> true).changes())
                .as("taken in as a file")
                .isFalse();
        Path json = folder.resolve("practice.json");
        SqliteJournal log = (SqliteJournal) shop.practice().journal();
        new Exporter(log, log.book())
                .export(Exporter.Format.JSON, json, Exporter.Scope.ALL, shop.today(), DAY.instant(), true);
        assertThat(shop.data().look(json, n -> true)).satisfies(in -> {
            assertThat(in.changes()).isFalse();
            assertThat(String.join(" ", in.refused())).contains("enters no yard’s logbook");
        });
        assertThat(shop.journal().numbers()).isEmpty();
        shop.practice().close();
        assertThatThrownBy(() -> Yards.open(practice, DAY, java.util.List.of())).isInstanceOf(JournalException.class);
    }
}
