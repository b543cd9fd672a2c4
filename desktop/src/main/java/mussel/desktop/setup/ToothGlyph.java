package mussel.desktop.setup;

import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.Ellipse;
import javafx.scene.shape.SVGPath;

/** A tooth's flank seen from the side, its narrow inner end (toe) left, with the patch where it bears. */
final class ToothGlyph {
    private ToothGlyph() {}

    static Node of(String where) {
        SVGPath flank = new SVGPath();
        flank.setContent("M0,8 L44,0 L44,26 L0,18 Z");
        flank.getStyleClass().add("tooth");
        double x =
                switch (where) {
                    case "toe" -> 8;
                    case "heel" -> 36;
                    default -> 22;
                };
        double y =
                switch (where) {
                    case "high" -> 7.5;
                    case "low" -> 18.5;
                    default -> 13;
                };
        Ellipse patch = new Ellipse(x, y, 8, where.equals("high") || where.equals("low") ? 2.6 : 4);
        patch.getStyleClass().add("tooth-patch");
        return new Group(flank, patch);
    }
}
