package mussel.desktop.drain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.QuadCurve;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import mussel.core.job.Yard.Dye;
import mussel.desktop.cutaway.Inside;
import mussel.desktop.cutaway.OilPaint;

/** The things a technician looks at while draining, drawn: jars of oil, magnets with their coat, sealing washers. */
final class Glyphs {
    private static final double JAR_WIDTH = 36;
    private static final double JAR_HEIGHT = 50;
    private static final String JAR =
            "M7,1 h22 v5 c4,2 6,4 6,9 v26 c0,6 -2,8 -8,8 h-18 c-6,0 -8,-2 -8,-8 v-26 c0,-5 2,-7 6,-9 z";
    private static final double OIL_TOP = 14;

    private Glyphs() {}

    /** A jar of oil: outcomes of the three scales, since oil can be milky and metallic. */
    static Node jar(Dye dye, String water, String heat, String metal) {
        List<Node> content = new ArrayList<>();
        Rectangle oil = new Rectangle(0, OIL_TOP, JAR_WIDTH, JAR_HEIGHT - OIL_TOP);
        oil.setFill(OilPaint.found(dye, Optional.of(water), Optional.of(heat)));
        content.add(oil);
        Random random = new Random(3);
        if (water.equals("streaks")) {
            for (int i = 0; i < 7; i++) {
                double x = 4 + random.nextDouble() * 18;
                double y = OIL_TOP + 5 + i * 4.2;
                QuadCurve streak = new QuadCurve(x, y, x + 5, y - 4, x + 11, y);
                streak.setFill(null);
                streak.setStroke(OilPaint.STREAK);
                streak.setStrokeWidth(1.8);
                content.add(streak);
            }
        }
        if (water.equals("streaks") || water.equals("milky") || water.equals("sludge")) {
            double depth = water.equals("streaks") ? 3 : water.equals("milky") ? 6 : 9;
            Rectangle settled = new Rectangle(0, JAR_HEIGHT - depth, JAR_WIDTH, depth);
            settled.setFill(OilPaint.WATER);
            content.add(settled);
        }
        int glints = metal.equals("flakes") ? 14 : metal.equals("sheen") ? 40 : 0;
        for (int i = 0; i < glints; i++) {
            content.add(new Circle(
                    3 + random.nextDouble() * 30,
                    OIL_TOP + 2 + random.nextDouble() * 30,
                    metal.equals("flakes") ? 1.9 : 0.8,
                    OilPaint.GLINT));
        }
        SVGPath glass = new SVGPath();
        glass.setContent(JAR);
        glass.getStyleClass().add("glass");
        return held(new Group(new Group(Inside.of(glass, content)), glass), JAR_WIDTH, JAR_HEIGHT);
    }

    /** A magnetic plug with its coat. */
    static Node magnet(String coat) {
        Group glyph =
                new Group(styled(new Rectangle(6, 0, 24, 9), "brass"), styled(new Rectangle(11, 9, 14, 11), "brass"));
        switch (coat) {
            case "paste" -> glyph.getChildren().add(path("M10,20 h16 v4 c0,4 -16,4 -16,0 z", "coat"));
            case "bristle" -> {
                for (int i = 0; i < 6; i++) {
                    glyph.getChildren().add(line(12 + i * 2.4, 20, 10 + i * 3.2, 31 - i % 2 * 3));
                }
            }
            case "slivers" -> {
                for (int i = 0; i < 4; i++) {
                    glyph.getChildren().add(line(9 + i * 5, 30 - i, 14 + i * 4, 21 + i % 2 * 2));
                }
            }
            case "chips" ->
                glyph.getChildren()
                        .addAll(
                                path("M8,24 l6,-3 l4,5 l-7,4 z", "coat"),
                                path("M20,21 l7,2 l-2,6 l-6,-1 z", "coat"),
                                path("M14,31 l6,-2 l3,4 l-7,1 z", "coat"));
            default -> {
                return held(glyph, 36, 36);
            }
        }
        return held(glyph, 36, 36);
    }

    /** A sealing washer. */
    static Node washer(String state) {
        return held(
                switch (state) {
                    case "sound" -> ring(9, 5, "ring");
                    case "flattened" -> ring(11, 2, "ring");
                    case "torn" -> path("M22,8 A10,10 0 1 0 27,22", "ring-open");
                    case "missing" -> ring(10, 1, "ring-missing");
                    default -> new Group(ring(9, 4, "ring"), shifted(ring(9, 4, "ring")));
                },
                36,
                36);
    }

    private static Node ring(double radius, double width, String style) {
        Circle ring = new Circle(16, 18, radius);
        ring.setFill(null);
        ring.setStrokeWidth(width);
        ring.getStyleClass().add(style);
        return ring;
    }

    private static Node shifted(Node node) {
        node.setTranslateX(7);
        node.setTranslateY(5);
        return node;
    }

    private static Node line(double x1, double y1, double x2, double y2) {
        Line line = new Line(x1, y1, x2, y2);
        line.getStyleClass().add("filing");
        return line;
    }

    private static Node path(String path, String style) {
        SVGPath shape = new SVGPath();
        shape.setContent(path);
        return styled(shape, style);
    }

    private static <T extends Node> T styled(T node, String style) {
        node.getStyleClass().add(style);
        return node;
    }

    private static Node held(Node glyph, double width, double height) {
        Rectangle room = new Rectangle(width, height, Color.TRANSPARENT);
        return new StackPane(room, glyph);
    }
}
