package mussel.desktop.plan;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;

/** One thing on the mat: drawn, numbered in the order it came off, with how it lay. */
final class MatPiece extends Column {
    /** Where a piece is. */
    enum Where {
        /** It lies on the mat. */
        LIES,
        /** It is laid down next, or taken up next on the way back. */
        NEXT,
        /** It is still on the leg, or on it again. */
        AWAY
    }

    private static final PseudoClass OFF = PseudoClass.getPseudoClass("off");
    private static final PseudoClass NEXT = PseudoClass.getPseudoClass("next");

    /**
     * A piece.
     *
     * @param faint whether it is drawn faintly: always new, the old one kept for comparing
     * @param word what is said of it beside how it lay; empty where nothing is
     */
    MatPiece(SpecSheet sheet, int number, PartQty lies, Where where, boolean faint, String word) {
        super(1);
        Part part = sheet.part(lies.part()).orElseThrow();
        getStyleClass().add("piece");
        setAlignment(Pos.TOP_CENTER);
        pseudoClassStateChanged(OFF, where == Where.LIES);
        pseudoClassStateChanged(NEXT, where == Where.NEXT);
        StackPane glyph = new StackPane(new PartGlyph(sheet, part, lies.qty()));
        glyph.setOpacity(where == Where.AWAY ? 0.28 : faint ? 0.5 : 1);
        Label name =
                Texts.wrapped(number + "  " + (lies.qty() > 1 ? lies.qty() + " × " : "") + part.title(), "piece-name");
        getChildren().addAll(glyph, name);
        String how = lies.hasHow() ? lies.how() : "";
        String says = how.isEmpty() ? word : word.isEmpty() ? how : how + "; " + word;
        if (!says.isEmpty()) {
            getChildren().add(Texts.wrapped(says, "piece-how"));
        }
        getChildren().stream()
                .filter(Label.class::isInstance)
                .map(Label.class::cast)
                .forEach(l -> {
                    l.setTextAlignment(javafx.scene.text.TextAlignment.CENTER);
                    l.setAlignment(Pos.CENTER);
                    l.setMaxWidth(Double.MAX_VALUE);
                });
        setAccessibleText(number + ", " + part.title() + (says.isEmpty() ? "" : ", " + says));
    }
}
