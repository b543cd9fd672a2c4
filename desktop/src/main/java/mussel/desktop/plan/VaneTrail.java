package mussel.desktop.plan;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.QuadCurve;
import mussel.core.language.Messages;
import mussel.core.sheet.Construction.Turns;

/** The impeller from above in its housing: the way the driveshaft runs, and every vane trailing behind it. */
final class VaneTrail extends Pane {
    private static final Messages TEXT = Messages.of(VaneTrail.class);

    private static final double MIDDLE = 56;
    private static final double RIM = 40;
    private static final double HUB = 16;
    private static final int VANES = 6;

    VaneTrail(Turns turns) {
        setMinSize(2 * MIDDLE, 2 * MIDDLE);
        setPrefSize(2 * MIDDLE, 2 * MIDDLE);
        setMaxSize(2 * MIDDLE, 2 * MIDDLE);
        getStyleClass().add("impeller-wheel");
        // On the screen y points down, so that growing angles run clockwise.
        double sense = turns == Turns.CLOCKWISE ? 1 : -1;
        Circle rim = new Circle(MIDDLE, MIDDLE, RIM);
        rim.getStyleClass().add("cup");
        Circle hub = new Circle(MIDDLE, MIDDLE, HUB);
        hub.getStyleClass().add("hub");
        getChildren().addAll(rim, hub);
        for (int i = 0; i < VANES; i++) {
            double at = 2 * Math.PI * i / VANES;
            double trail = at - sense * 0.75;
            QuadCurve vane = new QuadCurve(
                    MIDDLE + HUB * Math.cos(at),
                    MIDDLE + HUB * Math.sin(at),
                    MIDDLE + RIM * 0.72 * Math.cos(at),
                    MIDDLE + RIM * 0.72 * Math.sin(at),
                    MIDDLE + RIM * Math.cos(trail),
                    MIDDLE + RIM * Math.sin(trail));
            vane.getStyleClass().add("vane-trail");
            getChildren().add(vane);
        }
        Arc way = new Arc(MIDDLE, MIDDLE, RIM + 9, RIM + 9, 30, 120);
        way.setType(ArcType.OPEN);
        way.getStyleClass().add("trail-way");
        double end = sense > 0 ? Math.toRadians(-30) : Math.toRadians(-150);
        double x = MIDDLE + (RIM + 9) * Math.cos(end);
        double y = MIDDLE + (RIM + 9) * Math.sin(end);
        double ahead = end + sense * Math.PI / 2;
        Polygon head = new Polygon(
                x + 9 * Math.cos(ahead),
                y + 9 * Math.sin(ahead),
                x + 6 * Math.cos(end),
                y + 6 * Math.sin(end),
                x - 6 * Math.cos(end),
                y - 6 * Math.sin(end));
        head.getStyleClass().add("trail-head");
        getChildren().addAll(way, head);
        setAccessibleText(TEXT.get(
                "vane_trail.impeller_from_above_the_driveshaft_runs",
                (turns == Turns.CLOCKWISE ? "clockwise" : "counter-clockwise")));
    }
}
