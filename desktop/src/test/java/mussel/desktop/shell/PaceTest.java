package mussel.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.desktop.FxThread;
import org.junit.jupiter.api.Test;

/** Long work beside the window: how far it is, and that it can be stopped. */
class PaceTest {
    private final List<Integer> told = new ArrayList<>();

    @Test
    void tellsTheLastFigureOnceTheWindowHasTime() throws Exception {
        ProgressReport pace = new ProgressReport(told::add);
        FxThread.on(() -> {
            for (int done = 1; done <= 500; done++) {
                assertThat(pace.test(done)).isTrue();
            }
            assertThat(told).as("the window is busy").isEmpty();
            return null;
        });
        FxThread.on(() -> null);
        assertThat(told).containsExactly(500);
        pace.test(501);
        FxThread.on(() -> null);
        assertThat(told).containsExactly(500, 501);
    }

    @Test
    void onceStoppedItGoesOnNoFurtherAndSaysNothing() throws Exception {
        ProgressReport pace = new ProgressReport(told::add);
        FxThread.on(() -> {
            assertThat(pace.test(7)).isTrue();
            pace.stop();
            return null;
        });
        assertThat(pace.test(8)).isFalse();
        FxThread.on(() -> null);
        assertThat(told).isEmpty();
    }

    @Test
    void theStripIsThereOnlyWhileSomethingIsSaid() throws Exception {
        FxThread.on(() -> {
            WorkStrip strip = new WorkStrip();
            assertThat(strip.isVisible()).isFalse();
            assertThat(strip.isManaged()).as("it takes no room").isFalse();
            List<String> stopped = new ArrayList<>();
            strip.say("Looking into yard.json…", () -> stopped.add("first"));
            assertThat(strip.isVisible()).isTrue();
            strip.say("Looking into yard.json: 40 jobs so far.");
            assertThat(((Label) strip.getChildren().get(0)).getText()).contains("40 jobs");
            ((Button) strip.getChildren().get(1)).fire();
            assertThat(stopped).containsExactly("first");
            strip.say("");
            assertThat(strip.isManaged()).isFalse();
            return null;
        });
    }
}
