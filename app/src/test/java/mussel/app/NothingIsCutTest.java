package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ToggleButton;
import javafx.stage.Stage;
import mussel.core.job.BenchLine;
import mussel.core.job.Station;
import mussel.core.measure.UnitSet;
import mussel.desktop.book.BookView;
import mussel.desktop.desk.StationView;
import mussel.desktop.parts.PartsStation;
import mussel.desktop.shell.Stations;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.testfx.util.WaitForAsyncUtils;

/** Every view, with the longest names and values of the demo: nothing is cut, lies on another or leaves what holds it. */
class NothingIsCutTest extends DemoJourney {
    /** The leg whose gears are set up. */
    private static final String GEARS = "Slack Water";

    /** The leg with the most work, and the one with the longest name. */
    private static final List<String> LEGS =
            List.of("Sound Harvester, port", "Harvest barge Long Name of the Loch, port", GEARS);

    @ParameterizedTest(name = "{0} x {1}, glove {2}, dark {3}, {4}")
    @CsvSource({
        "1280, 800, false, false, METRIC",
        "1024, 700, false, true, US",
        "1024, 640, false, false, METRIC",
        "1024, 700, true, false, METRIC",
        "1280, 800, true, true, US",
        "1920, 1080, false, true, US",
        "1920, 1080, true, false, METRIC",
    })
    void everyViewFits(int width, int height, boolean glove, boolean dark, UnitSet units) {
        act(() -> {
            Stage stage = (Stage) window.getScene().getWindow();
            stage.setWidth(width);
            stage.setHeight(height);
            if (glove) {
                window.glove();
            }
            if (dark) {
                window.dark();
            }
            if (units != UnitSet.METRIC) {
                window.units();
            }
        });
        List<String> troubles = new ArrayList<>();
        look("bench", troubles);
        for (String leg : LEGS) {
            BenchLine line = shop.journal().benchLines().open().stream()
                    .filter(l -> l.leg().title().equals(leg))
                    .findFirst()
                    .orElseThrow();
            act(() -> window.open(line.job()));
            for (Stations.Line station : Stations.all()) {
                if (leg.equals(GEARS) && station.station() != Station.SETUP) {
                    continue;
                }
                act(() -> window.go(station.station()));
                String view = line.leg().title() + ", " + station.station().title();
                look(view, troubles);
                for (String page : station.pages()) {
                    turn(page).ifPresent(tile -> look(view + ", " + tile, troubles));
                }
            }
        }
        for (BookView.Page page : BookView.Page.values()) {
            act(() -> {
                window.showBook(Optional.empty());
                window.book().orElseThrow().show(page);
            });
            Hands.until(() -> !shop.background().busy());
            look("book " + page, troubles);
        }
        assertThat(troubles).isEmpty();
    }

    private Optional<String> turn(String page) {
        Node tile = window.lookupAll("#" + page).stream()
                .filter(NothingIsCutTest::seen)
                .findFirst()
                .orElse(null);
        if (!(tile instanceof ToggleButton toggle)) {
            return Optional.empty();
        }
        act(() -> {
            if (!toggle.isSelected()) {
                toggle.fire();
            }
        });
        return Optional.of(toggle.getText());
    }

    private static boolean seen(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (!at.isVisible()) {
                return false;
            }
        }
        return true;
    }

    private void look(String view, List<String> troubles) {
        StationView station = window.station().orElse(null);
        if (station instanceof PartsStation parts) {
            waitForOrder(parts);
        }
        Hands.settled(() -> {
            troubles.addAll(Fits.troubles(view, window));
            window.lookupAll(".station-float").stream()
                    .filter(NothingIsCutTest::seen)
                    .map(Button.class::cast)
                    .filter(b -> b.getContentDisplay() == ContentDisplay.GRAPHIC_ONLY)
                    .forEach(b -> troubles.add(view + ": the longline does not name " + b.getText()));
        });
    }

    @ParameterizedTest(name = "{0} x {1}, glove {2}: {3} legs")
    @CsvSource({"1024, 700, true, 6", "1280, 800, false, 12"})
    void soManyLegsAreInSight(int width, int height, boolean glove, int legs) {
        act(() -> {
            Stage stage = (Stage) window.getScene().getWindow();
            stage.setWidth(width);
            stage.setHeight(height);
            if (glove) {
                window.glove();
            }
        });
        Hands.settle();
        long[] seen = new long[1];
        Hands.settled(() -> seen[0] = window.lookupAll(".leg-card").stream()
                .map(card -> card.localToScene(card.getLayoutBounds()))
                .filter(at -> at.getMaxY() <= window.getHeight() && at.getMaxX() <= window.getWidth())
                .count());
        assertThat(seen[0]).isGreaterThanOrEqualTo(legs);
    }

    /** The order is worked out beside the window; what is looked at is the table with it. */
    private void waitForOrder(PartsStation parts) {
        Hands.until(() -> parts.ready() || now().supply().open().isEmpty());
    }

    /** Does work on the interface thread and waits for it, without waiting for the screen to come to rest. */
    private static void act(Runnable work) {
        WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    }
}
