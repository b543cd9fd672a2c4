package mussel.desktop.fill;

import java.util.List;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import mussel.core.language.Messages;
import mussel.desktop.cutaway.Inside;
import mussel.desktop.kit.Words;

/** The last bottle poured, with the line to stop at. */
final class BottleGlyph extends Pane {
    private static final Messages TEXT = Messages.of(BottleGlyph.class);

    private static final String OUTLINE =
            "M34,2 h22 v14 c0,8 22,10 22,30 v120 c0,8 -4,12 -12,12 h-42 c-8,0 -12,-4 -12,-12 v-120 c0,-20 22,-22 22,-30 z";
    private static final double TOP = 46;
    private static final double BOTTOM = 176;

    BottleGlyph() {
        setPrefSize(330, 206);
        setMinSize(330, 206);
    }

    /** Draws a bottle that held {@code holds} ml, with {@code leaves} ml to stop at. */
    void show(double holds, double leaves, Color oil, String bottle, String stopAt) {
        double level = BOTTOM - (BOTTOM - TOP) * (holds > 0 ? leaves / holds : 0);
        Rectangle poured = new Rectangle(0, TOP, 90, level - TOP);
        poured.setFill(oil.deriveColor(0, 1, 1, 0.22));
        Rectangle left = new Rectangle(0, level, 90, BOTTOM + 4 - level);
        left.setFill(oil);
        SVGPath glass = new SVGPath();
        glass.setContent(OUTLINE);
        Group content = new Group(Inside.of(glass, List.of(poured, left)));
        glass.getStyleClass().add("glass");
        Line stop = new Line(2, level, 112, level);
        stop.getStyleClass().add("stop-line");
        Label mark = new Words(stopAt);
        mark.getStyleClass().add("large");
        Label what = new Words(TEXT.get("bottle_glyph.stop_with_this_left", bottle));
        what.getStyleClass().add("dim");
        getChildren().setAll(content, glass, stop, mark, what);
        double y = Math.max(0, Math.min(146, level - 22));
        mark.relocate(118, y);
        what.relocate(118, y + 28);
    }
}
