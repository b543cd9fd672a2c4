package mussel.desktop.plan;

import java.util.List;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import mussel.core.language.Messages;
import mussel.core.sheet.Seal;
import mussel.core.sheet.Seal.Lip;

/** Seals of one position cut through beside their shaft, each lip pointing as it is fitted, oil and water named. */
final class SealGlyph extends Pane {
    private static final Messages TEXT = Messages.of(SealGlyph.class);

    private static final double LONG = 30;
    private static final double DEEP = 34;
    private static final double SHAFT = 16;
    private static final double WORD = 38;

    SealGlyph(Seal seal) {
        boolean upright = seal.lips().contains(Lip.UP) || seal.lips().contains(Lip.DOWN);
        List<Lip> lips = seal.lips();
        double length = LONG * lips.size();
        double width = upright ? DEEP + SHAFT + WORD : length + 2 * WORD;
        double height = upright ? length + 32 : DEEP + SHAFT;
        setMinSize(width, height);
        setPrefSize(width, height);
        setMaxSize(width, height);
        getStyleClass().add("seal-glyph");
        double along = upright ? 16 : WORD;
        Rectangle shaft = upright ? new Rectangle(DEEP, 0, SHAFT, height) : new Rectangle(0, DEEP, width, SHAFT);
        shaft.getStyleClass().addAll("region", "of-steel");
        getChildren().add(shaft);
        for (Lip lip : lips) {
            boolean towardsStart = lip == Lip.UP || lip == Lip.IN;
            seal(upright, along, towardsStart);
            along += LONG;
        }
        word(upright ? "water" : "oil", 0, upright ? 12 : DEEP / 2 + 4);
        word(upright ? "oil" : "water", upright ? 0 : length + WORD + 3, upright ? height - 3 : DEEP / 2 + 4);
        setAccessibleText(TEXT.get("seal_glyph.drawn", seal.title(), seal.orientation()));
    }

    /** The seal's case against the bore, and its lip running to the shaft with the spring behind it. */
    private void seal(boolean upright, double along, boolean towardsStart) {
        double near = along + 4;
        double far = along + LONG - 4;
        double back = towardsStart ? far : near;
        double tip = towardsStart ? near : far;
        Line wall = upright ? new Line(4, near, 4, far) : new Line(near, 4, far, 4);
        wall.getStyleClass().add("seal-case");
        Polyline lip = upright
                ? new Polyline(4, back, DEEP - 8, back, DEEP, tip)
                : new Polyline(back, 4, back, DEEP - 8, tip, DEEP);
        lip.getStyleClass().add("seal-lip");
        getChildren().addAll(wall, lip);
    }

    private void word(String word, double x, double y) {
        Text text = new Text(x, y, word);
        text.getStyleClass().add("seal-word");
        getChildren().add(text);
    }
}
