package mussel.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import mussel.app.demo.DemoYard;

/** Journeys through the demo's yard. */
abstract class DemoJourney extends WindowJourney {
    @Override
    Path logbook() {
        Path demo = folder.resolve("demo.mussel");
        try {
            if (!Files.exists(demo)) {
                Files.copy(Made.ONCE, demo);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return demo;
    }

    /** The demo's yard, made once for all journeys of a process. */
    private static final class Made {
        static final Path ONCE = once();

        private static Path once() {
            try {
                Path folder = Files.createTempDirectory("mussel-demo");
                Path log = folder.resolve("demo.mussel");
                DemoYard.fill(log, DAY.instant());
                folder.toFile().deleteOnExit();
                log.toFile().deleteOnExit();
                return log;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
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
