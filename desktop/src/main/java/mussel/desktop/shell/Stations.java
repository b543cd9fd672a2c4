package mussel.desktop.shell;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import mussel.core.job.Station;
import mussel.desktop.desk.StationView;
import mussel.desktop.drain.DrainStation;
import mussel.desktop.estimate.EstimateStation;
import mussel.desktop.fill.FillStation;
import mussel.desktop.job.IntakeStation;
import mussel.desktop.leak.LeakStation;
import mussel.desktop.log.TagStation;
import mussel.desktop.parts.PartsStation;
import mussel.desktop.plan.BuildStation;
import mussel.desktop.plan.StripStation;
import mussel.desktop.prove.ProveStation;
import mussel.desktop.pump.PumpStation;
import mussel.desktop.setup.SetupStation;
import mussel.desktop.verdict.VerdictStation;
import mussel.desktop.visit.EngineSideStation;
import mussel.work.desk.Desk;

/**
 * The stations there are, in working order, each with its maker and its pages. The shell, the keys, the pictures, the guide and the tests all walk this list:
 * a new station is a room and a line here.
 */
public final class Stations {
    private static final Map<Station, Line> LINES = new EnumMap<>(Station.class);

    static {
        line(Station.INTAKE, IntakeStation::new);
        line(Station.DRAIN, DrainStation::new);
        line(Station.LEAK, LeakStation::new, "hold-source-hand", "hold-source-practice", "hold-source-file");
        line(Station.PUMP, PumpStation::new);
        line(
                Station.VERDICT,
                VerdictStation::new,
                "verdict-view-causes",
                "verdict-view-looks",
                "verdict-view-findings",
                "verdict-view-opened",
                "verdict-view-tables");
        line(Station.ESTIMATE, EstimateStation::new);
        line(
                Station.STRIP,
                StripStation::new,
                "strip-view-goals",
                "strip-view-steps",
                "strip-view-mat",
                "strip-view-inspect",
                "strip-view-tools");
        line(Station.SETUP, SetupStation::new, "setup-view-pinion", "setup-view-checks", "setup-view-drawer");
        line(Station.PARTS, PartsStation::new);
        line(
                Station.BUILD,
                BuildStation::new,
                "build-view-steps",
                "build-view-mat",
                "build-view-parts",
                "build-view-torques");
        line(Station.FILL, FillStation::new);
        line(Station.BESIDE, EngineSideStation::new);
        line(Station.PROVE, ProveStation::new);
        line(Station.TAG, TagStation::new);
    }

    private Stations() {}

    private static void line(Station station, Function<Desk, StationView> maker, String... pages) {
        LINES.put(station, new Line(station, maker, List.of(pages)));
    }

    /**
     * One station.
     *
     * @param station which
     * @param maker makes its sheet for a desk
     * @param pages the tiles that turn its pages; none where it has one
     */
    public record Line(Station station, Function<Desk, StationView> maker, List<String> pages) {
        /** Its key, as it stands on the keyboard. */
        public String stroke() {
            return Strokes.stroke(station);
        }
    }

    /** All of them, in working order. */
    public static List<Line> all() {
        return Stream.of(Station.values()).map(LINES::get).toList();
    }

    /** How each sheet is made. */
    static Map<Station, Function<Desk, StationView>> makers() {
        Map<Station, Function<Desk, StationView>> makers = new EnumMap<>(Station.class);
        LINES.forEach((station, line) -> makers.put(station, line.maker()));
        return Collections.unmodifiableMap(makers);
    }
}
