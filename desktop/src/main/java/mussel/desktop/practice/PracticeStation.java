package mussel.desktop.practice;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.scene.Node;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.job.Station;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.work.desk.Desk;

/** A station with what can be looked at there standing over it. */
final class PracticeStation implements StationView {
    /** Stations whose figures are all seen and never typed here: they stand there as what is written, not as what is to be filled in. */
    private static final Set<Station> SEEN =
            EnumSet.of(Station.INTAKE, Station.DRAIN, Station.LEAK, Station.PUMP, Station.SETUP);
    /** As far in as what stands on the station. */
    private static final double SIDE = 13;

    private final StationView inner;
    private final LookBar bar;
    private final Column page;

    PracticeStation(Desk desk, Station station, StationView inner) {
        this.inner = inner;
        this.bar = new LookBar(desk, station, inner::look);
        this.page = new Column(8, bar, inner.node());
        page.getStyleClass().add("looked-at");
        if (SEEN.contains(station)) {
            page.getStyleClass().add("seen-only");
        }
        Column.setMargin(bar, new Insets(0, SIDE, 0, SIDE));
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void show(Assessment now) {
        bar.show();
        inner.show(now);
    }

    @Override
    public boolean press(Handle handle) {
        return inner.press(handle);
    }

    @Override
    public Optional<Node> begin() {
        return bar.first().or(inner::begin);
    }

    @Override
    public List<Node> look(String finding) {
        return bar.at(finding).map(List::of).orElseGet(() -> inner.look(finding));
    }

    @Override
    public List<Key> keys() {
        return inner.keys();
    }
}
