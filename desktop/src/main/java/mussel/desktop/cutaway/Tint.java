package mussel.desktop.cutaway;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import mussel.core.measure.Display;
import mussel.core.sheet.Region;

/** The places of the case where something may be wrong, tinted by how likely it is, with the figure beside them. */
final class Tint extends Group {
    private static final double FAINT = 0.08;
    private static final double FIGURE = 0.15;
    private static final int MOST_FIGURES = 5;
    private static final double LINE = 17;
    private static final double MIDDLE = 120;
    private static final double LEFT = 6;
    private static final double PLATE = 45;
    private static final double RIGHT = 312;

    private Map<String, Double> shown = Map.of();
    /** Places that have their figure: a place of several parts has one. */
    private final Set<String> figured = new HashSet<>();

    Tint() {
        setMouseTransparent(true);
    }

    void show(Map<SVGPath, Region> regions, Map<String, Double> suspicion) {
        if (suspicion.equals(shown)) {
            return;
        }
        shown = suspicion;
        getChildren().clear();
        figured.clear();
        List<Text> figures = new ArrayList<>();
        regions.entrySet().stream()
                .filter(e -> suspicion.getOrDefault(e.getValue().place(), 0.0) >= FAINT)
                .filter(e -> e.getValue().kind() != Region.Material.CAVITY)
                .sorted(Comparator.comparingDouble(
                        e -> -suspicion.get(e.getValue().place())))
                .forEach(e -> tint(
                        e.getKey(), e.getValue(), suspicion.get(e.getValue().place()), figures));
        figures.forEach(this::plate);
    }

    private void tint(SVGPath shape, Region region, double p, List<Text> figures) {
        if (region.kind() != Region.Material.CASTING) {
            SVGPath over = new SVGPath();
            over.setContent(shape.getContent());
            over.getStyleClass().add("suspect");
            over.setOpacity(0.25 + 0.75 * p);
            over.setStrokeWidth(1 + 3 * p);
            getChildren().add(over);
        }
        if (p >= FIGURE && figures.size() < MOST_FIGURES && figured.add(region.place())) {
            Bounds at = shape.getBoundsInLocal();
            Text figure = new Text(Display.percent(p));
            figure.getStyleClass().add("suspect-figure");
            double y = at.getCenterY() + 5;
            while (taken(figures, y)) {
                y += LINE + 5;
            }
            boolean left = at.getCenterX() < MIDDLE;
            figure.setX(left ? LEFT : RIGHT);
            figure.setY(y);
            Line leader = new Line(at.getCenterX(), at.getCenterY(), left ? LEFT + 20 : RIGHT, y - 5);
            leader.getStyleClass().add("suspect-leader");
            getChildren().add(leader);
            figures.add(figure);
        }
    }

    private static boolean taken(List<Text> figures, double y) {
        return figures.stream().anyMatch(f -> Math.abs(f.getY() - y) < LINE);
    }

    /** A figure on a plate of its own, so that it reads on any part. */
    private void plate(Text figure) {
        Rectangle plate = new Rectangle(figure.getX() - 4, figure.getY() - 14, PLATE, LINE + 1);
        plate.setArcWidth(6);
        plate.setArcHeight(6);
        plate.getStyleClass().add("suspect-plate");
        getChildren().addAll(plate, figure);
    }

    /** What stands on the drawing, for tests and help. */
    List<String> figures() {
        return getChildren().stream()
                .filter(Text.class::isInstance)
                .map(n -> ((Text) n).getText())
                .toList();
    }
}
