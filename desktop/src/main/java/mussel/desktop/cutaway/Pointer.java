package mussel.desktop.cutaway;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.input.KeyCode;
import javafx.scene.shape.SVGPath;
import mussel.core.sheet.Region;

/** The part of the drawing that the arrow keys stand on. */
final class Pointer {
    private static final PseudoClass POINTED = PseudoClass.getPseudoClass("pointed");
    /** How much a step aside counts against a step along. */
    private static final double ASIDE = 2.5;

    private final Map<SVGPath, Region> regions;
    private final List<SVGPath> parts;
    private Optional<SVGPath> at = Optional.empty();

    Pointer(Map<SVGPath, Region> regions, List<SVGPath> parts) {
        this.regions = regions;
        this.parts = parts;
    }

    Optional<SVGPath> at() {
        return at;
    }

    /** What the part is called; empty where it stands on none. */
    String title() {
        return at.map(regions::get).map(Region::title).orElse("");
    }

    void to(Optional<SVGPath> shape) {
        at.ifPresent(s -> s.pseudoClassStateChanged(POINTED, false));
        at = shape;
        at.ifPresent(s -> s.pseudoClassStateChanged(POINTED, true));
    }

    /** Begins on a part that is suspected or at work, else on the first. */
    void begin(Optional<SVGPath> wanted) {
        if (at.isEmpty()) {
            to(wanted.or(() -> parts.stream().findFirst()));
        }
    }

    /** To the nearest part that way; says whether the key was an arrow. */
    boolean move(KeyCode arrow) {
        double dx = arrow == KeyCode.RIGHT ? 1 : arrow == KeyCode.LEFT ? -1 : 0;
        double dy = arrow == KeyCode.DOWN ? 1 : arrow == KeyCode.UP ? -1 : 0;
        if (dx == 0 && dy == 0) {
            return false;
        }
        at.map(SVGPath::getBoundsInLocal).ifPresent(from -> parts.stream()
                .filter(s -> s != at.get() && along(from, s.getBoundsInLocal(), dx, dy) > 1)
                .min(Comparator.comparingDouble(s -> far(from, s.getBoundsInLocal(), dx, dy)))
                .ifPresent(s -> to(Optional.of(s))));
        return true;
    }

    private static double along(Bounds from, Bounds to, double dx, double dy) {
        return (to.getCenterX() - from.getCenterX()) * dx + (to.getCenterY() - from.getCenterY()) * dy;
    }

    private static double far(Bounds from, Bounds to, double dx, double dy) {
        double aside = Math.abs((to.getCenterX() - from.getCenterX()) * dy)
                + Math.abs((to.getCenterY() - from.getCenterY()) * dx);
        return along(from, to, dx, dy) + ASIDE * aside;
    }
}
