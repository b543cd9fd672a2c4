package mussel.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import mussel.app.demo.DemoYard;
import org.junit.jupiter.api.io.TempDir;

/** Journeys through the demo's yard. */
abstract class DemoJourney extends WindowJourney {
    /** The demo's yard, made once and copied for each journey. */
    @TempDir
    static Path made;

    @Override
    Path logbook() {
        Path demo = folder.resolve("demo.mussel");
        Path first = made.resolve("demo.mussel");
        try {
            if (!Files.exists(first)) {
                DemoYard.fill(first, DAY.instant());
            }
            if (!Files.exists(demo)) {
                Files.copy(first, demo);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
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
