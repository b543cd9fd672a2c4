package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import mussel.app.data.Exporter;
import mussel.core.job.Address;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.leak.LeakMode;
import mussel.store.FileStore;
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
    void theFirstLessonIsDoneOnTheStationsByTheKeyboardAndToldAndMovesTheCurve() throws Exception {
        practice();
        assertThat(said("#practice-page")).contains("Practice legs are simulated");
        press("lesson-colour");
        assertThat(seen("#practice-bar")).contains("Practice leg: simulated", "Colour is not water", "0 looks");
        assertThat(window.getScene().getFocusOwner().getId())
                .as("the first look has the focus")
                .startsWith("look-");
        robot.push(KeyCode.SPACE);
        assertThat(seen("#practice-last")).startsWith("Last finding: ");
        assertThat(seen("#practice-against"))
                .as("what the advice would have done, and why")
                .contains("; worth ");
        assertThat(focus()).as("on to the next").startsWith("look-");
        go(Station.DRAIN);
        press("look-oil_water");
        assertThat(seen("#practice-last")).contains("Water in the oil: ");
        assertThat(seen("#practice-clock")).doesNotContain(" 0 looks");
        assertThat(find("#pick-oil_water-" + shown("oil_water"), ToggleButton.class)
                        .isSelected())
                .as("what was seen stands on its station")
                .isTrue();
        robot.push(KeyCode.F5);
        toGoal("oil_change");
        robot.push(KeyCode.SPACE);
        robot.push(KeyCode.F5);
        assertThat(seen("#practice-chosen")).contains("Repairs: ");
        robot.push(KeyCode.F5);
        assertThat(seen("#practice-told"))
                .contains("Faults: ", "Total cost ", "Advice: ", "With perfect knowledge")
                .contains("Dye, age and a rinse all colour oil");
        assertThat(focus()).isEqualTo("practice-another");
        robot.push(KeyCode.SPACE);
        assertThat(seen("#practice-clock")).as("another leg of the lesson").contains("Colour is not water", "0 looks");
        go(Station.TAG);
        press("practice-back");
        assertThat(seen("#practice-told")).contains("Total cost ");
        press("practice-lessons");
        assertThat(said("#practice-curve")).as("the curve moves").contains("2 legs handed back");

        assertThat(shop.journal().numbers())
                .as("the yard's log knows nothing of it")
                .isEmpty();
        assertThat(shop.book().jobs()).isZero();
        restart();
        practice();
        assertThat(said("#practice-curve")).contains("2 legs handed back");
        assertThat(said("#practice-page")).contains("2 legs completed.");
    }

    @Test
    void onOnesOwnNothingIsConcludedAndWhatIsSuspectedIsScored() {
        practice();
        click("#practice-way-own");
        click("#practice-number");
        robot.write("4711").push(KeyCode.ENTER);
        assertThat(said("#to-bench")).contains("Practice leg 4711");
        go(Station.DRAIN);
        press("look-oil_water");
        assertThat(said("#conclusion")).contains("stays hidden").doesNotContain("%");
        go(Station.PUMP);
        press("look-vane_tips");
        assertThat(said("#trouble")).contains("First enter at Diagnosis what you suspect");
        assertThat(seen("#practice-clock")).contains("1 look.");
        robot.push(KeyCode.F5);
        to("suspect-impeller");
        for (int i = 0; i < 9; i++) {
            robot.push(KeyCode.RIGHT);
        }
        go(Station.PUMP);
        press("look-vane_tips");
        assertThat(seen("#practice-clock")).as("tips and set are one reading").contains("3 looks.");
        go(Station.VERDICT);
        assertThat(find("#suspect-impeller", Slider.class).getValue())
                .as("no look loses what was suspected")
                .isPositive();
        go(Station.TAG);
        press("practice-back");
        assertThat(seen("#practice-told")).contains("bits per repair");
        go(Station.VERDICT);
        assertThat(robot.lookup("#suspect-impeller")
                        .match(PracticePageTest::inSight)
                        .tryQuery())
                .as("the verdict is open now")
                .isEmpty();
        go(Station.TAG);
        press("practice-lessons");
        click("#practice-measure-suspected");
        assertThat(said("#practice-curve")).contains("1 leg handed back", "bits per repair");
        click("#practice-measure-goals");
        assertThat(said("#practice-curve")).contains("repairs missed or unneeded");
        click("#practice-last-told");
        assertThat(seen("#practice-told")).contains("Total cost ");
    }

    @Test
    void whatAPracticeLegShowsIsLookedAtAndNotTyped() {
        practice();
        click("#practice-any");
        go(Station.DRAIN);
        click("#pick-oil_water-milky");
        assertThat(said("#trouble")).contains("press a check", "Nothing was entered");
        assertThat(shown("oil_water")).isEmpty();
        press("look-oil_water");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(said("#trouble")).contains("cannot be undone");
        assertThat(shown("oil_water")).isNotEmpty();
    }

    @Test
    void aHoldOnTheSimulatedTesterIsALookAtThisVeryLeg() {
        practice();
        click("#practice-family-tern-60");
        click("#practice-any");
        go(Station.DRAIN);
        press("look-oil_water");
        go(Station.LEAK);
        click("#practice-pump");
        assertThat(seen("#practice-clock"))
                .as("a spoonful of oil, then plugs out and tester on as this sheet has it, and a hold")
                .contains("1 h 15 min, 2 looks.");
        assertThat(robot.lookup("#look-pressure_hold")
                        .match(PracticePageTest::inSight)
                        .tryQuery())
                .as("looked at")
                .isEmpty();
        assertThat(robot.lookup("#practice-hides")
                        .match(PracticePageTest::inSight)
                        .tryQuery())
                .as("what it hides is not for choosing")
                .isEmpty();
        press("look-vacuum_hold");
        assertThat(find("#hold-mode-vacuum", ToggleButton.class).isSelected())
                .as("the chart turns to what was read")
                .isTrue();
        assertThat(said("#hold-verdict")).isNotEmpty();
    }

    /** Soap is brushed on under pressure: the hold goes on meanwhile. */
    @Test
    void soapIsBrushedOnWhileTheHoldGoesOn() {
        practice();
        click("#practice-family-tern-60");
        click("#practice-number");
        robot.write("4").push(KeyCode.ENTER);
        go(Station.LEAK);
        click("#practice-pump");
        Hands.until(() -> readings() > 20);
        Node soap = robot.lookup(n -> n.getId() != null && n.getId().startsWith("look-bubbles_"))
                .match(PracticePageTest::inSight)
                .query();
        String place = ((Labeled) soap).getText().split(" · ")[0];
        click("#" + soap.getId());
        assertThat(seen("#practice-last")).as("leg 4 leaks under pressure").contains(place);
        int then = readings();
        Hands.until(() -> readings() > then + 20);
    }

    private int readings() {
        return now().job().hold(LeakMode.PRESSURE).map(h -> h.readings().size()).orElse(0);
    }

    @Test
    void freePracticeSeeksWhatSomebodyGetsWrong() {
        practice();
        press("lesson-colour");
        go(Station.TAG);
        press("practice-back");
        assertThat(seen("#practice-told")).contains("Missed: ");
        press("practice-lessons");
        click("#practice-weak");
        go(Station.TAG);
        press("practice-back");
        assertThat(seen("#practice-told")).as("called for again").contains("Missed: ");
    }

    private static boolean inSight(Node node) {
        return Stream.iterate(node, n -> n != null, Node::getParent).allMatch(Node::isVisible);
    }

    /** What stands under a node of the station that is shown: each station has its own. */
    private String seen(String id) {
        Node node = robot.lookup(id).match(PracticePageTest::inSight).query();
        return node instanceof Label label
                ? label.getText()
                : robot.from(node).lookup(".label").queryAllAs(Label.class).stream()
                        .filter(PracticePageTest::inSight)
                        .map(Label::getText)
                        .collect(Collectors.joining("\n"));
    }

    private String shown(String finding) {
        return window.desk().orElseThrow().job().choice(Address.the(finding)).orElse("");
    }

    private void toGoal(String goal) {
        to("pick-goal-" + goal + "-yes");
    }

    @Test
    void whatLiesInThePracticeLogsPlaceIsLeftAloneAndThatIsTold() {
        Path practice = folder.resolve("practice-yard.mussel");
        try (SqliteJournal other = SqliteJournal.open(practice, DAY)) {
            other.open(new LegRef("l1", "Byssus", LegRef.Position.SINGLE, "tern-60"), "bench");
        }
        practice();
        assertThat(said("#trouble")).contains("is not a practice log", "it was not changed");
        try (SqliteJournal other = SqliteJournal.open(practice, DAY)) {
            assertThat(other.numbers()).hasSize(1);
        }
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
            assertThat(String.join(" ", in.refused())).contains("cannot go into a shop's log");
        });
        assertThat(shop.journal().numbers()).isEmpty();
        shop.practice().close();
        assertThatThrownBy(() -> Yards.open(new FileStore(practice, DAY), java.util.List.of()))
                .isInstanceOf(JournalException.class);
    }
}
