package mussel.desktop.shell;

import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;

/** One line that holds more: its title and what it comes to; opened, what it says. */
final class Fold extends Column {
    private static final PseudoClass OPENED = PseudoClass.getPseudoClass("opened");

    private final FoldLine line;
    private final VBox body = new Column(4);
    private final Rows<Label> lines = new Rows<>(body, () -> Texts.sentence(""));
    private String id = "";

    Fold(Runnable onPress) {
        getStyleClass().add("fold-box");
        line = new FoldLine(onPress);
        body.getStyleClass().add("fold-body");
        getChildren().addAll(line, body);
    }

    /** What it holds now. */
    String held() {
        return id;
    }

    void show(Brief.Fold fold, boolean open) {
        id = fold.id();
        line.show(fold.title(), fold.value(), open);
        pseudoClassStateChanged(OPENED, open);
        body.setVisible(open);
        body.setManaged(open);
        if (open) {
            lines.begin();
            fold.lines().forEach(l -> lines.next().setText(l));
            lines.end();
        }
    }
}
