package mussel.desktop.shell;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import mussel.core.job.Assessment;
import mussel.core.job.Station;
import mussel.core.sheet.FamilySheet;
import mussel.desktop.cutaway.Cutaway;
import mussel.desktop.desk.Desk;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Pages;

/** One job in the window: the cutaway, the station sheet, the running conclusion. */
final class JobView extends BorderPane {
    private final Desk desk;
    private final Spine spine;
    private final Map<Station, Function<Desk, StationView>> makers;
    private final Map<Station, StationView> stations = new EnumMap<>(Station.class);
    private final Map<Station, Double> scrolled = new EnumMap<>(Station.class);
    private final Pages drawings = new Pages();
    private final Map<String, Cutaway> cutaways = new HashMap<>();
    private final Conclusion conclusion = new Conclusion();
    private final Pages sheets = new Pages();
    private final ScrollPane middle = new ScrollPane(sheets);
    /** The stations that show what was told last. */
    private final Set<Station> seen = EnumSet.noneOf(Station.class);

    private Assessment told;
    private Station here;
    private boolean sitting;

    JobView(Desk desk, Spine spine, Map<Station, Function<Desk, StationView>> makers) {
        this.desk = desk;
        this.spine = spine;
        this.makers = makers;
        getStyleClass().add("job-view");
        setLeft(drawings);
        middle.setFitToWidth(true);
        middle.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        middle.getStyleClass().add("middle");
        setCenter(middle);
        ScrollPane right = new ScrollPane(conclusion);
        right.setFitToWidth(true);
        conclusion.minHeightProperty().bind(right.heightProperty().subtract(2));
        right.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        setRight(right);
        widthProperty().addListener((o, was, is) -> share(is.doubleValue(), right));
        desk.now().addListener((o, was, is) -> {
            if (!sitting && stations.containsKey(here)) {
                show(is);
            }
        });
        here = desk.now().get().current();
        go(here);
    }

    /** Shows another job, at the station where its work goes on. */
    void sit(int job) {
        sitting = true;
        desk.sit(job);
        sitting = false;
        begin();
        scrolled.clear();
        middle.setVvalue(0);
    }

    /** Opens the station where the job's work goes on. */
    void begin() {
        go(desk.now().get().current());
    }

    /** The desk the job is on. */
    Desk desk() {
        return desk;
    }

    private void share(double width, ScrollPane right) {
        double left = Math.max(230, Math.min(380, width * 0.27));
        drawings.setPrefWidth(left);
        drawings.setMinWidth(left);
        drawings.setMaxWidth(left);
        right.setPrefWidth(Math.max(230, Math.min(340, width * 0.245)));
    }

    /** Opens a station. */
    void go(Station station) {
        scrolled.put(here, middle.getVvalue());
        here = station;
        StationView view = stations.computeIfAbsent(station, s -> makers.get(s).apply(desk));
        sheets.show(view.node());
        show(desk.now().get());
        middle.setVvalue(scrolled.getOrDefault(station, 0.0));
    }

    private Cutaway cutaway(FamilySheet family) {
        Cutaway made = new Cutaway(family);
        made.getStyleClass().add("side");
        made.setOnGo(strip -> go(strip ? Station.STRIP : Station.BUILD));
        return made;
    }

    /** Makes a station that is not shown and fills it with this job, so that going there later is quick. */
    void prepare(Station station) {
        if (station != here) {
            StationView view =
                    stations.computeIfAbsent(station, s -> makers.get(s).apply(desk));
            if (seen.add(station)) {
                view.show(desk.now().get());
            }
            if (view.node() instanceof Region page) {
                sheets.keep(page);
            }
        }
    }

    /** What shows this very state of the job already is left alone. */
    private void show(Assessment now) {
        if (told != now) {
            told = now;
            seen.clear();
            Cutaway cutaway = cutaways.computeIfAbsent(now.sheet().id(), f -> cutaway(now.sheet()));
            drawings.show(cutaway);
            cutaway.show(now);
            conclusion.show(now);
        }
        if (seen.add(here)) {
            stations.get(here).show(now);
        }
        if (isVisible()) {
            spine.show(now, here);
        }
    }

    /** Shows this job on the spine, which several views share. */
    void showSpine() {
        spine.show(desk.now().get(), here);
    }

    /** The station shown. */
    StationView shown() {
        return stations.get(here);
    }
}
