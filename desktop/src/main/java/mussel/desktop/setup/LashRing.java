package mussel.desktop.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.text.Text;
import mussel.core.job.SetupPlace.LashAnswer;

/** Readings around the gear as a ring: the window as a band, each reading where it was taken, further out the more lash. */
final class LashRing extends Pane {
    private static final double MIDDLE = 100;
    private static final double MIDDLE_OF_WINDOW = 58;
    private static final double HALF_WINDOW = 16;
    private static final double MOST = 92;
    private static final double LEAST = 32;

    LashRing() {
        getStyleClass().add("lash-ring");
        setMinSize(2 * MIDDLE, 2 * MIDDLE);
        setPrefSize(2 * MIDDLE, 2 * MIDDLE);
        setMaxSize(2 * MIDDLE, 2 * MIDDLE);
    }

    void show(LashAnswer answer) {
        getChildren().clear();
        double low = answer.in().windowMm().get(0);
        double high = answer.in().windowMm().get(1);
        Circle outer = new Circle(MIDDLE, MIDDLE, radius(high, low, high));
        outer.getStyleClass().add("lash-window");
        Circle inner = new Circle(MIDDLE, MIDDLE, radius(low, low, high));
        inner.getStyleClass().add("lash-inside");
        Circle mean = new Circle(MIDDLE, MIDDLE, radius(answer.out().lashMm(), low, high));
        mean.getStyleClass().add("lash-mean");
        getChildren().addAll(outer, inner, mean);
        List<Double> readings = answer.in().readingsMm();
        double toPitch = answer.in().armPitchRadiusMm() / answer.in().armMm();
        List<Circle> dots = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            double angle = -Math.PI / 2 + 2 * Math.PI * i / readings.size();
            double lash = readings.get(i) * toPitch;
            double at = radius(lash, low, high);
            double x = MIDDLE + at * Math.cos(angle);
            double y = MIDDLE + at * Math.sin(angle);
            Line spoke = new Line(MIDDLE, MIDDLE, x, y);
            spoke.getStyleClass().add("lash-spoke");
            Circle dot = new Circle(x, y, 5);
            dot.getStyleClass().add(lash >= low && lash <= high ? "lash-dot" : "lash-dot-off");
            getChildren().add(spoke);
            dots.add(dot);
        }
        Text figure = new Text(String.format(Locale.ROOT, "%.3f", answer.out().lashMm()));
        figure.getStyleClass().add("strong");
        figure.setX(MIDDLE - figure.getLayoutBounds().getWidth() / 2);
        figure.setY(MIDDLE + 5);
        Text unit = new Text(MIDDLE - 11, MIDDLE + 19, "mm");
        unit.getStyleClass().add("strong");
        Circle ground = new Circle(MIDDLE, MIDDLE, 30);
        ground.getStyleClass().add("lash-middle");
        getChildren().add(ground);
        getChildren().addAll(dots);
        getChildren().addAll(figure, unit);
        setAccessibleText(String.format(
                Locale.ROOT,
                "%d readings around, mean %.3f mm at the pitch circle, window %.2f to %.2f mm, spread %.3f mm",
                readings.size(),
                answer.out().lashMm(),
                low,
                high,
                answer.out().spreadMm()));
    }

    /** The window is always as broad as that; what lies far off it stands at the rim or the middle. */
    private static double radius(double lash, double low, double high) {
        double off = (lash - (low + high) / 2) / ((high - low) / 2);
        return Math.max(LEAST, Math.min(MOST, MIDDLE_OF_WINDOW + HALF_WINDOW * off));
    }
}
