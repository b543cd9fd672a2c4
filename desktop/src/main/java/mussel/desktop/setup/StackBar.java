package mussel.desktop.setup;

import java.util.List;
import java.util.Locale;
import javafx.geometry.VPos;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import mussel.core.shim.Shim;

/** A stack of shims drawn to scale, lying on its side, against the thickness it should have. */
final class StackBar extends Pane {
    private static final double WIDTH = 330;
    private static final double HEIGHT = 34;
    private static final double TOP = 16;
    private static final double ROOM = 1.12;

    StackBar() {
        getStyleClass().add("stack-bar");
        setMinSize(WIDTH, TOP + HEIGHT + 4);
        setPrefSize(WIDTH, TOP + HEIGHT + 4);
        setMaxSize(WIDTH, TOP + HEIGHT + 4);
    }

    /** Shows a stack; what is beside it is drawn to the same scale, of which the longest stack fills the width. */
    void show(List<Shim> pieces, double targetMm, double longestMm) {
        getChildren().clear();
        double total = pieces.stream().mapToDouble(p -> p.mm() * p.count()).sum();
        double scale = WIDTH / (ROOM * Math.max(0.05, Math.max(longestMm, targetMm)));
        double x = 0;
        for (Shim piece : pieces) {
            for (int i = 0; i < piece.count(); i++) {
                Rectangle shim = new Rectangle(x, TOP, piece.mm() * scale, HEIGHT);
                shim.getStyleClass().add("shim");
                Text size = new Text(String.format(Locale.ROOT, "%.2f", piece.mm()));
                size.getStyleClass().add("shim-size");
                size.setTextOrigin(VPos.CENTER);
                size.setX(x + 4);
                size.setY(TOP + HEIGHT / 2);
                size.setVisible(piece.mm() * scale > 34);
                getChildren().addAll(shim, size);
                x += piece.mm() * scale;
            }
        }
        double at = Math.max(0, targetMm) * scale;
        Line target = new Line(at, TOP - 6, at, TOP + HEIGHT + 4);
        target.getStyleClass().add("stack-target");
        Text figure = new Text(String.format(Locale.ROOT, "target %.3f mm", targetMm));
        figure.getStyleClass().add("dim");
        figure.setTextOrigin(VPos.TOP);
        figure.setX(Math.max(0, at - figure.getLayoutBounds().getWidth() - 4));
        figure.setY(-2);
        getChildren().addAll(target, figure);
        setAccessibleText(String.format(Locale.ROOT, "stack of %.3f mm against a target of %.3f mm", total, targetMm));
    }
}
