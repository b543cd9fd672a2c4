package mussel.desktop.shell;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Function;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import mussel.core.job.Assessment;
import mussel.core.job.Station;
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
    private final Cutaway cutaway;
    private final Conclusion conclusion = new Conclusion();
    private final Pages sheets = new Pages();
    private final ScrollPane middle = new ScrollPane(sheets);
    private Station here;
    private boolean sitting;

    JobView(Desk desk, Spine spine, Map<Station, Function<Desk, StationView>> makers) {
        this.desk = desk;
        this.spine = spine;
        this.makers = makers;
        getStyleClass().add("job-view");
        cutaway = new Cutaway(desk.now().get().sheet());
        cutaway.getStyleClass().add("side");
        cutaway.setOnGo(strip -> go(strip ? Station.STRIP : Station.BUILD));
        setLeft(cutaway);
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

    /** Shows another job of the same family, at the station where its work goes on. */
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
        cutaway.setPrefWidth(left);
        cutaway.setMinWidth(left);
        cutaway.setMaxWidth(left);
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

    private void show(Assessment now) {
        stations.get(here).show(now);
        cutaway.show(now);
        conclusion.show(now);
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
