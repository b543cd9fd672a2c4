package mussel.desktop.shell;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.SVGPath;
import mussel.core.job.Assessment;
import mussel.core.job.Station;

/** The working order as a longline with its floats: where the job stands, what is done, and the way to any station. */
final class Spine extends Pane {
    private static final double FLOAT_Y = 26;
    private static final double SAG = 10;
    /** Where floats stand close every other one sinks, so that its name has room beside its neighbours'. */
    private static final double SUNK = 17;

    private static final double NARROW_HEIGHT = 52;
    private static final double NARROW_FLOAT_Y = 18;
    private static final double LEAST_STEP = 82;
    private static final double TIGHT_STEP = 46;
    private static final PseudoClass TIGHT = PseudoClass.getPseudoClass("tight");
    private static final PseudoClass NARROW = PseudoClass.getPseudoClass("narrow");

    private final Map<Station, StationFloat> floats = new EnumMap<>(Station.class);
    private final Path rope = new Path();

    Spine(Consumer<Station> onStation) {
        getStyleClass().add("spine");
        rope.getStyleClass().add("rope");
        rope.setManaged(false);
        getChildren().add(rope);
        for (Station station : Station.values()) {
            StationFloat button = new StationFloat(station);
            button.setOnAction(e -> onStation.accept(station));
            floats.put(station, button);
            getChildren().add(button);
        }
        setMinHeight(72);
        setPrefHeight(72);
    }

    void show(Assessment now, Station here) {
        now.states().forEach((station, state) -> floats.get(station).show(state, station == here));
    }

    @Override
    protected void layoutChildren() {
        double step = getWidth() / floats.size();
        pseudoClassStateChanged(NARROW, step < LEAST_STEP);
        pseudoClassStateChanged(TIGHT, step < TIGHT_STEP);
        rope.getElements().clear();
        boolean narrow = step < LEAST_STEP;
        double lastX = 0;
        double lastY = 0;
        int i = 0;
        for (Button button : floats.values()) {
            double x = step * (i + 0.5);
            double sunk = narrow && i % 2 == 1 ? SUNK : 0;
            double width = Math.min(button.prefWidth(-1), narrow ? 2 * step : step);
            button.resizeRelocate(x - width / 2, (narrow ? 1 : 4) + sunk, width, narrow ? NARROW_HEIGHT : 64);
            double y = (narrow ? NARROW_FLOAT_Y : FLOAT_Y) + sunk;
            if (i == 0) {
                rope.getElements().add(new MoveTo(x, y));
            } else {
                rope.getElements()
                        .add(new CubicCurveTo(lastX + step * 0.3, lastY + SAG, x - step * 0.3, y + SAG, x, y));
            }
            lastX = x;
            lastY = y;
            i++;
        }
    }

    /** A station's float. Hollow: untouched. Half: begun. Ticked: done. The one shown is larger and in the buoy's colour. */
    private static final class StationFloat extends Button {
        private final Station station;
        private final Circle round = new Circle();
        private final Group inner = new Group();
        private Station.State state;
        private boolean here;

        StationFloat(Station station) {
            super(station.title());
            this.station = station;
            setId("station-" + station.name().toLowerCase(Locale.ROOT));
            setContentDisplay(ContentDisplay.TOP);
            getStyleClass().add("station-float");
            StackPane mark = new StackPane(round, inner);
            mark.setMinSize(26, 26);
            mark.setMaxSize(26, 26);
            setGraphic(mark);
        }

        void show(Station.State now, boolean shown) {
            if (now == state && shown == here) {
                return;
            }
            state = now;
            here = shown;
            getStyleClass().removeAll("here");
            round.setRadius(here ? 12 : 9);
            round.getStyleClass().setAll("float", "is-" + state.name().toLowerCase(Locale.ROOT));
            if (here) {
                getStyleClass().add("here");
                round.getStyleClass().add("is-here");
            }
            inner.getChildren().clear();
            if (state == Station.State.DONE) {
                inner.getChildren().add(path("M0,4 l3,3 l6,-7", "float-tick"));
            } else if (state == Station.State.BEGUN) {
                inner.getChildren().add(path("M0,0 a5,5 0 0 0 10,0 z", here ? "float-half-here" : "float-half"));
            }
            setAccessibleText(station.title() + ", " + state.name().toLowerCase(Locale.ROOT) + (here ? ", shown" : ""));
        }

        private static SVGPath path(String content, String style) {
            SVGPath path = new SVGPath();
            path.setContent(content);
            path.getStyleClass().add(style);
            return path;
        }
    }
}
