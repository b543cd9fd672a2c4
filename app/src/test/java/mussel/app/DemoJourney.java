package mussel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import mussel.app.demo.DemoYard;

/** Journeys through the demo's yard. */
abstract class DemoJourney extends WindowJourney {
    @Override
    Path logbook() {
        Path demo = folder.resolve("demo.mussel");
        if (!Files.exists(demo)) {
            DemoYard.fill(demo, DAY.instant());
        }
        return demo;
    }

    /** The open job of a leg. */
    int job(String leg) {
        return shop.journal().benchLines().open().stream()
                .filter(l -> l.leg().title().equals(leg))
                .findFirst()
                .orElseThrow()
                .job();
    }

    /** Opens the open job of a leg from the bench. */
    void open(String leg) {
        if (window.desk().isPresent()) {
            click("#to-bench");
        }
        click("#leg-" + job(leg));
    }
}
