package mussel.desktop.shell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import mussel.core.job.Assessment;
import mussel.core.job.Station;

/** The working order as a longline with its floats: where the job stands, what is done, and the way to any station. */
final class StationLine extends Pane {
    private static final double FLOAT_Y = 26;
    private static final double SAG = 10;
    /** The room between a float and its name. */
    private static final double NAME_GAP = 4;

    /** The height of a line of type against its size. */
    private static final double LINE = 1.36;

    private static final double NARROW_FLOAT_Y = 15;
    private static final double HEIGHT = 74;
    private static final double LEAST_STEP = 82;
    /** The most rows of names under floats that stand close. */
    private static final int MOST_ROWS = 4;

    /** So many rows fit into the plain height. */
    private static final int FEW_ROWS = 2;

    private static final double MARK_HEIGHT = 26;
    /** A float without its name. */
    private static final double MARK = 34;

    private static final double SPILL = 6;
    private static final PseudoClass NARROW = PseudoClass.getPseudoClass("narrow");

    private final Map<Station, StationFloat> floats = new EnumMap<>(Station.class);
    private final Path rope = new Path();
    private int rows = 2;
    /** The room left of the first float and right of the last for their names. */
    private double margin;

    StationLine(Consumer<Station> onStation) {
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
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
    }

    void show(Assessment now, Station here) {
        now.states().forEach((station, state) -> floats.get(station).show(state, station == here));
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        double plain = getWidth() / floats.size();
        margin = 0;
        boolean narrow = plain < LEAST_STEP || named(plain, 1).size() < floats.size();
        margin = narrow ? margin() : 0;
        double step = (getWidth() - 2 * margin) / floats.size();
        pseudoClassStateChanged(NARROW, narrow);
        rope.getElements().clear();
        rows = narrow ? FEW_ROWS : 1;
        Set<StationFloat> named = named(step, rows);
        while (narrow && named.size() < floats.size() && rows < MOST_ROWS) {
            rows++;
            named = named(step, rows);
        }
        room();
        double lastX = 0;
        double lastY = 0;
        int i = 0;
        for (StationFloat button : floats.values()) {
            button.named(named.contains(button));
            double x = margin + step * (i + 0.5);
            button.setGraphicTextGap(
                    NAME_GAP + i % rows * LINE * button.getFont().getSize());
            double width = named.contains(button)
                    ? Math.min(button.room(), 2 * Math.min(x, getWidth() - x))
                    : Math.min(step, MARK);
            button.resizeRelocate(x - width / 2, narrow ? 0 : 4, width, narrow ? getHeight() : 64);
            double y = narrow ? NARROW_FLOAT_Y : FLOAT_Y;
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

    private double margin() {
        List<StationFloat> all = List.copyOf(floats.values());
        double ends = Math.max(all.get(0).room(), all.get(all.size() - 1).room());
        double beyond = ends / 2 - SPILL - getWidth() / all.size() / 2;
        return Math.max(0, Math.ceil(beyond / (1 - 1.0 / all.size())));
    }

    /** More than two rows of names want more height. */
    private void room() {
        double size = floats.values().iterator().next().getFont().getSize();
        double wanted =
                rows <= FEW_ROWS ? HEIGHT : Math.max(HEIGHT, MARK_HEIGHT + NAME_GAP + (rows + 0.2) * LINE * size);
        if (Math.abs(wanted - getMinHeight()) > 1) {
            Platform.runLater(() -> {
                setMinHeight(wanted);
                setPrefHeight(wanted);
            });
        }
    }

    /** Those whose names have room where they stand in so many rows, one below the other in turn: the one shown first, then in working order, each beside its neighbours in its own row. */
    private Set<StationFloat> named(double step, int inRows) {
        List<StationFloat> all = List.copyOf(floats.values());
        List<StationFloat> wanted = new ArrayList<>(all);
        wanted.sort(Comparator.comparing(f -> !f.here));
        Set<StationFloat> named = new HashSet<>();
        for (StationFloat each : wanted) {
            int at = all.indexOf(each);
            boolean free = named.stream()
                    .filter(other -> all.indexOf(other) % inRows == at % inRows)
                    .allMatch(other -> Math.abs(all.indexOf(other) - at) * step > (other.room() + each.room()) / 2);
            double middle = margin + step * (at + 0.5);
            double edge = Math.min(middle, getWidth() - middle);
            boolean inside = each.room() / 2 - edge <= SPILL;
            if (free && (inside || each.here)) {
                named.add(each);
            }
        }
        return named;
    }

    /** A station's float. Hollow: untouched. Half: begun. Ticked: done. The one shown is larger and in the buoy's colour. */
    private static final class StationFloat extends Button {
        private final Station station;
        private final Circle round = new Circle();
        private final Group inner = new Group();
        private static final double NAME_AIR = 14;
        private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");

        private Station.State state;
        private boolean here;
        private double measured;

        StationFloat(Station station) {
            super(station.title());
            this.station = station;
            fontProperty().addListener((o, was, is) -> measured = 0);
            setTooltip(new Tooltip(station.title() + ", " + Strokes.stroke(station)));
            setId("station-" + station.name().toLowerCase(Locale.ROOT));
            setContentDisplay(ContentDisplay.TOP);
            getStyleClass().add("station-float");
            StackPane mark = new StackPane(round, inner);
            mark.setMinSize(26, 26);
            mark.setMaxSize(26, 26);
            setGraphic(mark);
        }

        /** How wide its name is. */
        double room() {
            if (measured == 0) {
                Text text = new Text(station.title());
                text.setFont(getFont());
                measured = text.getLayoutBounds().getWidth() + NAME_AIR;
            }
            return measured;
        }

        void named(boolean yes) {
            setContentDisplay(yes ? ContentDisplay.TOP : ContentDisplay.GRAPHIC_ONLY);
            setAlignment(Pos.TOP_CENTER);
        }

        void show(Station.State now, boolean shown) {
            if (now == state && shown == here) {
                return;
            }
            here = shown;
            round.setRadius(here ? 12 : 9);
            pseudoClassStateChanged(HERE, here);
            round.pseudoClassStateChanged(HERE, here);
            if (state != now) {
                state = now;
                round.getStyleClass().setAll("float", "is-" + state.name().toLowerCase(Locale.ROOT));
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
