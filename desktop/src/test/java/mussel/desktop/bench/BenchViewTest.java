package mussel.desktop.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.event.Event;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Pane;
import javafx.scene.text.Text;
import mussel.core.job.BenchLine;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.desktop.FxThread;
import mussel.desktop.desk.TestShop;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;

/** The bench on a journal in memory: its cards, what is due, and the search. */
class BenchViewTest {
    private final TestShop test = new TestShop();
    private final List<Integer> opened = new ArrayList<>();

    private BenchView bench() {
        BenchView bench = new BenchView(test.shop, opened::add);
        bench.refresh();
        return bench;
    }

    private static String words(javafx.scene.Node node) {
        StringBuilder words = new StringBuilder();
        collect(node, words);
        return words.toString();
    }

    private static void collect(javafx.scene.Node node, StringBuilder words) {
        if (node instanceof Text text) {
            words.append(text.getText()).append(' ');
        } else if (node instanceof javafx.scene.control.ScrollPane scroll) {
            collect(scroll.getContent(), words);
        } else if (node instanceof javafx.scene.control.Label label) {
            words.append(label.getText()).append(' ');
        } else if (node instanceof javafx.scene.Parent parent) {
            parent.getChildrenUnmodifiable().forEach(n -> collect(n, words));
        }
    }

    @Test
    void anEmptyBenchSaysHowToBegin() throws Exception {
        FxThread.on(() -> {
            BenchView bench = bench();
            assertThat(words(bench)).contains("No jobs yet", "Nothing due yet");
            assertThat(bench.count().getText()).isEqualTo("0 legs,\n0 can be worked on");
            return null;
        });
    }

    @Test
    void aCardSaysWhatIsNextAndOpensByMouseKeysAndAssistance() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Spat Lass", LegRef.Position.PORT, "tern-60");
            desk.read(Field.ENGINE_HOURS.address(), 412, "412");
            desk.note(new Fact.Noted(Topic.PROMISED.address(), "Friday"));
            BenchView bench = bench();
            LegCard card = (LegCard) find(bench, "leg-" + desk.job().id());
            assertThat(words(card)).contains("Spat Lass, port", "412", "Finish the intake", "promised Friday");
            assertThat(card.getAccessibleRole()).isEqualTo(AccessibleRole.BUTTON);
            Event.fireEvent(card, key(KeyCode.ENTER));
            Event.fireEvent(card, key(KeyCode.SPACE));
            Event.fireEvent(card, key(KeyCode.A));
            card.executeAccessibleAction(AccessibleAction.FIRE);
            assertThat(opened).hasSize(3).containsOnly(desk.job().id());
            assertThat(bench.open())
                    .extracting(BenchLine::job)
                    .containsExactly(desk.job().id());
            return null;
        });
    }

    private static KeyEvent key(KeyCode code) {
        return new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false);
    }

    private static javafx.scene.Node find(BenchView bench, String id) {
        return ((javafx.scene.layout.Pane) ((javafx.scene.control.ScrollPane) bench.getCenter()).getContent())
                .getChildren().stream()
                        .filter(n -> id.equals(n.getId()))
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void aLegThatWaitsStandsBehindThoseToWorkOn() throws Exception {
        FxThread.on(() -> {
            Desk waiting = test.leg("Alpha", LegRef.Position.SINGLE, "tern-60");
            waiting.note(new Fact.Noted(Topic.WAITS_FOR.address(), "seals, Thursday"));
            test.leg("Zulu", LegRef.Position.SINGLE, "wren-8");
            BenchView bench = bench();
            assertThat(bench.count().getText()).isEqualTo("2 legs,\n1 can be worked on");
            String all = words(bench);
            assertThat(all.indexOf("Zulu")).isLessThan(all.indexOf("Alpha"));
            assertThat(all).contains("Waiting for: seals, Thursday");
            return null;
        });
    }

    private static long cards(BenchView bench) throws Exception {
        return FxThread.on(() -> {
            Pane cards = (Pane) ((ScrollPane) bench.getCenter()).getContent();
            return cards.getChildren().stream()
                    .filter(LegCard.class::isInstance)
                    .count();
        });
    }

    @Test
    void aFullBenchShowsWhatFitsTheWindowAtOnceAndTheRestSoonAfter() throws Exception {
        BenchView bench = FxThread.on(() -> {
            for (int i = 0; i < 60; i++) {
                test.leg("Boat " + i, LegRef.Position.SINGLE, "tern-60");
            }
            return bench();
        });
        assertThat(cards(bench)).isBetween(14L, 60L);
        FxThread.on(() -> {
            bench.find("boat 7");
            bench.find("");
            return null;
        });
        long deadline = System.nanoTime() + 20_000_000_000L;
        while (cards(bench) < 60 && System.nanoTime() < deadline) {
            Thread.onSpinWait();
        }
        assertThat(cards(bench)).as("none lost, none twice").isEqualTo(60);
        assertThat(bench.open()).hasSize(60);
    }

    @Test
    void theSisterOfAWetLegIsTold() throws Exception {
        FxThread.on(() -> {
            Desk port = test.leg("Spat Lass", LegRef.Position.PORT, "tern-60");
            port.choose(Scale.OIL_WATER.address(), Optional.of("milky"));
            port.read(Field.DRAINED.address(), 452, "452");
            port.read(Field.OIL_TEMP.address(), 18, "18");
            port.read(Field.MINUTES.address(), 30, "30");
            test.leg("Spat Lass", LegRef.Position.STARBOARD, "tern-60");
            assertThat(words(bench())).contains("other leg had water");
            return null;
        });
    }

    @Test
    void searchFindsTaggedLegsAndTheDueListKeepsTheLastTag() throws Exception {
        FxThread.on(() -> {
            Desk desk = test.leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            desk.read(Field.ENGINE_HOURS.address(), 100, "100");
            desk.note(new Fact.Chosen(Scale.GOAL.of("oil_change"), "yes"));
            desk.note(new Fact.Tagged(java.time.LocalDate.of(2026, 1, 5)));
            BenchView bench = bench();
            assertThat(words(bench)).contains("No jobs yet", "Gear oil", "2027-01-05");
            bench.find("byss");
            assertThat(words(bench)).contains("Byssus").doesNotContain("No jobs yet");
            bench.find("nobody");
            assertThat(words(bench)).contains("No match for “nobody”");
            return null;
        });
    }
}
