package mussel.desktop.pump;

import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.QuadCurve;
import javafx.scene.shape.Rectangle;

/** One vane on its piece of hub, bent as it stays after it was taken out. */
final class VaneGlyph {
    private static final double LONG = 30;

    private VaneGlyph() {}

    /** A vane that stays bent by so many degrees. */
    static Node bent(double degrees) {
        double radians = Math.toRadians(degrees);
        QuadCurve vane = new QuadCurve(
                22,
                38,
                22,
                38 - LONG * 0.6,
                22 + LONG * Math.sin(radians),
                38 - LONG * Math.max(0.25, Math.cos(radians)));
        vane.getStyleClass().add("vane-bent");
        Rectangle hub = new Rectangle(10, 37, 24, 7);
        hub.getStyleClass().addAll("region", "of-rubber");
        Rectangle room = new Rectangle(0, 0, 52, 46);
        room.getStyleClass().add("no-fill");
        return new Group(room, vane, hub);
    }
}
