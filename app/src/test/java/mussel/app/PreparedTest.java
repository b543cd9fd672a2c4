package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Label;
import mussel.core.job.Station;
import mussel.desktop.shell.MusselWindow;
import org.junit.jupiter.api.Test;

class PreparedTest extends DemoJourney {
    private CompletableFuture<Void> prepared() {
        CompletableFuture<Void> done = new CompletableFuture<>();
        robot.interact(() -> window.prepare(() -> done.complete(null)));
        return done;
    }

    @Test
    void whatWasPreparedOutOfSightShowsTheJobThatIsOpened() throws Exception {
        prepared().get(120, TimeUnit.SECONDS);
        assertThat(window.desk()).as("nothing is open yet").isEmpty();
        for (String leg : new String[] {"Raft tender", "Sound Harvester, port", "Spat Lass, port"}) {
            int job = job(leg);
            open(leg);
            for (Station station : Station.values()) {
                go(station);
                assertThat(window.station().orElseThrow().node().isVisible())
                        .as(leg + " " + station)
                        .isTrue();
            }
            assertThat(now().job().id()).isEqualTo(job);
            assertThat(find(".tag-boat", Label.class).getText()).isEqualTo(leg);
        }
    }

    @Test
    void aJobOpenedMeanwhileStaysOnTheDesk() throws Exception {
        CompletableFuture<Void> done = prepared();
        int job = job("Longline 3");
        robot.interact(() -> window.open(job));
        MusselWindow same = window;
        done.get(120, TimeUnit.SECONDS);
        assertThat(same.desk().orElseThrow().now().job().id()).isEqualTo(job);
        assertThat(same.station().orElseThrow().node().isVisible()).isTrue();
    }
}
