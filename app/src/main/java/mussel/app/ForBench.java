package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.work.shop.Workshop;

/** The wiring of the application, opened to the benchmarks. */
public final class ForBench {
    private ForBench() {}

    /** Opens a logbook for work with the families that ship. */
    public static Workshop open(Path log, Clock clock) {
        return Yards.open(new FileStore(log, clock), SheetFiles.shipped());
    }
}
