package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.function.Function;
import mussel.core.job.Station;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.StationView;
import mussel.desktop.desk.Workshop;
import mussel.exchange.sheet.SheetFiles;

/** The wiring of the application, opened to the benchmarks. */
public final class StationsForBench {
    private StationsForBench() {}

    /** The stations there are. */
    public static Map<Station, Function<Desk, StationView>> stations() {
        return MusselApp.stations();
    }

    /** Opens a logbook for work with the families that ship. */
    public static Workshop open(Path log, Clock clock) {
        return Yards.open(log, clock, SheetFiles.shipped());
    }
}
