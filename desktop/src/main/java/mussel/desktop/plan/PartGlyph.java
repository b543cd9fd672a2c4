package mussel.desktop.plan;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Ellipse;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.Shape;
import javafx.scene.transform.Scale;
import mussel.core.sheet.Part;
import mussel.core.sheet.Region;
import mussel.core.sheet.Seal;
import mussel.core.sheet.Seal.Lip;
import mussel.core.sheet.SpecSheet;

/** A part as it lies on the mat: the cutaway's own shape laid flat, a seal with its lips as they faced, small things by their form. */
final class PartGlyph extends Pane {
    static final double WIDTH = 96;
    static final double HEIGHT = 58;

    private static final double MIDDLE = WIDTH / 2;
    private static final int MOST = 3;
    private static final double LARGEST = 1.6;

    PartGlyph(SpecSheet sheet, Part part, int qty) {
        setMinSize(WIDTH, HEIGHT);
        setPrefSize(WIDTH, HEIGHT);
        setMaxSize(WIDTH, HEIGHT);
        getStyleClass().add("part-glyph");
        Optional<Seal> seal =
                sheet.seals().stream().filter(s -> s.part().equals(part.id())).findFirst();
        if (seal.isPresent()) {
            lips(seal.get(), qty);
        } else if (part.form().isPresent()) {
            forms(part.form().get(), qty);
        } else {
            region(sheet, part);
        }
    }

    /** The cutaway's regions of the part, as large as there is room. */
    private void region(SpecSheet sheet, Part part) {
        Group shapes = new Group();
        for (Region region : sheet.drawing()) {
            if (region.part().equals(part.id()) && region.kind() != Region.Material.LINE) {
                SVGPath shape = new SVGPath();
                shape.setContent(region.path());
                shape.getStyleClass()
                        .addAll("region", "of-" + region.kind().name().toLowerCase(java.util.Locale.ROOT));
                shapes.getChildren().add(shape);
            }
        }
        if (shapes.getChildren().isEmpty()) {
            forms(Part.Form.COVER, 1);
            return;
        }
        Bounds drawn = shapes.getLayoutBounds();
        // A shaft is drawn upright; on the mat it lies.
        boolean lies = drawn.getHeight() > 2 * drawn.getWidth();
        if (lies) {
            shapes.setRotate(90);
        }
        double wide = lies ? drawn.getHeight() : drawn.getWidth();
        double high = lies ? drawn.getWidth() : drawn.getHeight();
        double factor = Math.min(LARGEST, Math.min((WIDTH - 6) / wide, (HEIGHT - 6) / high));
        Group placed = new Group(shapes);
        placed.getTransforms().add(new Scale(factor, factor));
        Bounds at = placed.getBoundsInLocal();
        placed.setLayoutX(MIDDLE - (at.getMinX() + at.getWidth() / 2) * factor);
        placed.setLayoutY(HEIGHT / 2 - (at.getMinY() + at.getHeight() / 2) * factor);
        getChildren().add(placed);
    }

    /** Seals of one seat over each other, each lip to the side it faced: up or out is up here. */
    private void lips(Seal seal, int qty) {
        List<Lip> lips = seal.lips();
        int count = Math.max(1, Math.min(qty, lips.size()));
        double step = HEIGHT / count;
        for (int i = 0; i < count; i++) {
            boolean up = lips.get(i) == Lip.UP || lips.get(i) == Lip.OUT;
            double middle = step * (i + 0.5);
            Rectangle body = new Rectangle(MIDDLE - 30, middle + (up ? -2 : -9), 60, 11);
            body.getStyleClass().addAll("region", "of-rubber");
            getChildren().add(body);
            double root = up ? middle - 2 : middle + 2;
            double tip = up ? middle - 12 : middle + 12;
            for (int side = -1; side <= 1; side += 2) {
                Line lip = new Line(MIDDLE + side * 12, root, MIDDLE + side * 6, tip);
                lip.getStyleClass().add("seal-lip");
                getChildren().add(lip);
            }
        }
    }

    private void forms(Part.Form form, int qty) {
        int shown = form == Part.Form.STACK || form == Part.Form.SHIMS ? 1 : Math.min(MOST, Math.max(1, qty));
        double step = shown == 1 ? 0 : 26;
        for (int i = 0; i < shown; i++) {
            Node one = one(form, qty);
            one.setLayoutX((i - (shown - 1) / 2.0) * step);
            getChildren().add(one);
        }
    }

    private static Node one(Part.Form form, int qty) {
        double y = HEIGHT / 2;
        return switch (form) {
            case WASHER -> new Group(oval(y, 15, 7, "of-brass"), oval(y, 6, 2.6, "of-cavity"));
            case RING -> hollow(y, 24, 12);
            case STACK -> stack(qty);
            case SHIMS ->
                new Group(oval(y - 5, 22, 5, "of-brass"), oval(y, 22, 5, "of-brass"), oval(y + 5, 22, 5, "of-brass"));
            case GASKET -> new Group(box(30, 20, 3, "of-rubber"), box(22, 12, 2, "of-cavity"));
            case PIN -> box(5, 14, 2, "of-steel");
            case BALL -> oval(y, 8, 8, "of-steel");
            case SPRING -> spring();
            case NUT ->
                new Group(path("M-14,0 l7,-12 h14 l7,12 l-7,12 h-14 z", "of-brass"), oval(y, 6, 6, "of-cavity"));
            case SLEEVE -> new Group(box(18, 17, 3, "of-steel"), box(11, 17, 0, "of-housing"));
            case WHEEL -> wheel();
            case COVER -> box(26, 15, 5, "of-housing");
        };
    }

    private static Shape oval(double y, double across, double high, String material) {
        Ellipse oval = new Ellipse(MIDDLE, y, across, high);
        oval.getStyleClass().addAll("region", material);
        return oval;
    }

    private static Shape hollow(double y, double across, double high) {
        Ellipse ring = new Ellipse(MIDDLE, y, across, high);
        ring.getStyleClass().add("ring-glyph");
        return ring;
    }

    private static Shape box(double halfWide, double halfHigh, double round, String material) {
        Rectangle box = new Rectangle(MIDDLE - halfWide, HEIGHT / 2 - halfHigh, 2 * halfWide, 2 * halfHigh);
        box.setArcWidth(2 * round);
        box.setArcHeight(2 * round);
        box.getStyleClass().addAll("region", material);
        return box;
    }

    private static SVGPath path(String content, String material) {
        SVGPath path = new SVGPath();
        path.setContent(content);
        path.setLayoutX(MIDDLE);
        path.setLayoutY(HEIGHT / 2);
        path.getStyleClass().addAll("region", material);
        return path;
    }

    private static Node wheel() {
        Group wheel = new Group();
        for (int i = 0; i < 6; i++) {
            double from = Math.PI * i / 3;
            javafx.scene.shape.QuadCurve vane = new javafx.scene.shape.QuadCurve(
                    MIDDLE + 8 * Math.cos(from),
                    HEIGHT / 2 + 8 * Math.sin(from),
                    MIDDLE + 19 * Math.cos(from),
                    HEIGHT / 2 + 19 * Math.sin(from),
                    MIDDLE + 26 * Math.cos(from + 0.35),
                    HEIGHT / 2 + 26 * Math.sin(from + 0.35));
            vane.getStyleClass().add("vane-bent");
            vane.setStyle("-fx-stroke-width: 5;");
            wheel.getChildren().add(vane);
        }
        wheel.getChildren().addAll(oval(HEIGHT / 2, 11, 11, "of-rubber"), oval(HEIGHT / 2, 4, 4, "of-steel"));
        return wheel;
    }

    private static Node spring() {
        return path("M-22,0 l4,-8 l8,16 l8,-16 l8,16 l8,-16 l8,16 l4,-8", "of-line");
    }

    /** Washers over each other: every other one a spring washer, drawn as a wave. */
    private static Node stack(int qty) {
        Group stack = new Group();
        int count = Math.max(2, Math.min(5, qty));
        double step = (HEIGHT - 14) / (count - 1);
        for (int i = 0; i < count; i++) {
            double y = 7 + i * step;
            if (i % 2 == 0) {
                stack.getChildren().addAll(oval(y, 28, 6.5, "of-brass"), oval(y, 11, 2.4, "of-cavity"));
            } else {
                SVGPath wave = path("M-28,0 q7,-8 14,0 t14,0 t14,0 t14,0", "of-line");
                wave.setLayoutY(y);
                stack.getChildren().add(wave);
            }
        }
        return stack;
    }
}
