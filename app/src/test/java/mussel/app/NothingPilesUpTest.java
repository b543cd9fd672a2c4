package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javax.management.ObjectName;
import mussel.core.job.Field;
import mussel.core.job.Station;
import mussel.desktop.book.BookView;
import mussel.desktop.shell.Stations;
import org.junit.jupiter.api.Test;

/** Going through everything again and again leaves no more of the window's objects alive than going through it did before. */
class NothingPilesUpTest extends DemoJourney {
    private static final int WARM = 1;
    private static final int MORE = 1;
    private static final int COUNTS = 3;
    private static final List<String> LEGS = List.of("Spat Lass, port", "Workshop skiff");

    @Test
    void liveObjectsOfTheWindowDoNotGrow() throws Exception {
        for (int i = 0; i < WARM; i++) {
            round();
        }
        Map<String, Long> before = live();
        for (int i = 0; i < MORE; i++) {
            round();
        }
        Map<String, Long> more = live();
        more.entrySet().removeIf(e -> e.getValue() <= before.getOrDefault(e.getKey(), 0L));
        assertThat(before).as("the window's classes are found").containsKey("mussel.desktop.shell.MusselWindow");
        assertThat(more).isEmpty();
    }

    private void round() {
        for (String leg : LEGS) {
            int job = job(leg);
            robot.interact(() -> window.open(job));
            for (Stations.Line line : Stations.all()) {
                robot.interact(() -> window.go(line.station()));
                line.pages().forEach(this::turn);
            }
        }
        robot.interact(() -> window.open(job(LEGS.get(0))));
        go(Station.DRAIN);
        type(Field.DRAINED, "449 ml");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        for (KeyCode key :
                List.of(KeyCode.F6, KeyCode.F7, KeyCode.F8, KeyCode.F6, KeyCode.F7, KeyCode.F8, KeyCode.F1)) {
            robot.push(key);
        }
        robot.push(KeyCode.ESCAPE);
        for (BookView.Page page : BookView.Page.values()) {
            robot.interact(() -> {
                window.showBook(Optional.empty());
                window.book().orElseThrow().show(page);
            });
            Hands.until(() -> !shop.background().busy());
        }
        robot.push(KeyCode.CONTROL, KeyCode.B);
        robot.push(KeyCode.CONTROL, KeyCode.F);
        robot.write("sound");
        robot.push(KeyCode.CONTROL, KeyCode.A);
        robot.push(KeyCode.DELETE);
        robot.interact(() -> window.open(job(LEGS.get(0))));
        robot.interact(() -> window.go(Station.INTAKE));
        Hands.until(() -> !shop.background().busy());
    }

    private void turn(String page) {
        robot.interact(() -> window.lookupAll("#" + page).stream()
                .filter(Node::isVisible)
                .filter(ToggleButton.class::isInstance)
                .map(ToggleButton.class::cast)
                .filter(t -> !t.isSelected())
                .findFirst()
                .ifPresent(ToggleButton::fire));
    }

    /**
     * How many objects of each class of the window are alive. The virtual machine counts after a full collection, which it leaves out while something is being
     * drawn: the least of a few counts is what is alive.
     */
    private static Map<String, Long> live() throws Exception {
        Map<String, Long> least = counted();
        for (int i = 1; i < COUNTS; i++) {
            Hands.settle();
            Map<String, Long> again = counted();
            least.keySet().retainAll(again.keySet());
            again.forEach((name, count) -> least.computeIfPresent(name, (n, before) -> Math.min(before, count)));
        }
        return least;
    }

    private static Map<String, Long> counted() throws Exception {
        String lines = (String) ManagementFactory.getPlatformMBeanServer()
                .invoke(
                        new ObjectName("com.sun.management:type=DiagnosticCommand"),
                        "gcClassHistogram",
                        new Object[] {new String[0]},
                        new String[] {String[].class.getName()});
        Map<String, Long> live = new TreeMap<>();
        for (String line : lines.split("\n")) {
            String[] cells = line.strip().split("\\s+");
            if (cells.length >= 4 && cells[3].startsWith("mussel.desktop.") && !cells[3].contains("$$Lambda")) {
                live.put(cells[3], Long.parseLong(cells[1]));
            }
        }
        return live;
    }
}
