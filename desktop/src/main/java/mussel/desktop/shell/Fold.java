package mussel.desktop.shell;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.SVGPath;
import mussel.core.brief.Brief;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;

/** One line that holds more: its title and what it comes to; opened, what it says. */
final class Fold extends VBox {
    private static final PseudoClass OPENED = PseudoClass.getPseudoClass("opened");

    private final Button line = new Button();
    private final Label title = new Label();
    private final Label value = new Label();
    private final SVGPath arrow = new SVGPath();
    private final VBox body = new VBox(4);
    private final Rows<Label> lines = new Rows<>(body, () -> Texts.sentence(""));
    private String id = "";

    Fold(Runnable onPress) {
        getStyleClass().add("fold-box");
        title.getStyleClass().add("strong");
        title.setMinWidth(Region.USE_PREF_SIZE);
        value.getStyleClass().add("fold-value");
        value.setWrapText(true);
        value.setTextAlignment(javafx.scene.text.TextAlignment.RIGHT);
        value.setMinHeight(Region.USE_PREF_SIZE);
        Region gap = new Region();
        gap.setMinWidth(6);
        HBox.setHgrow(gap, Priority.SOMETIMES);
        HBox.setHgrow(value, Priority.ALWAYS);
        value.setMaxWidth(Double.MAX_VALUE);
        value.setAlignment(Pos.CENTER_RIGHT);
        arrow.getStyleClass().add("fold-arrow");
        arrow.setContent("M0,0 l5,5 l-5,5");
        HBox row = new HBox(8, arrow, title, gap, value);
        row.setAlignment(Pos.CENTER_LEFT);
        line.setGraphic(row);
        line.setMaxWidth(Double.MAX_VALUE);
        line.getStyleClass().add("fold-line");
        row.prefWidthProperty().bind(line.widthProperty().subtract(24));
        line.setOnAction(e -> onPress.run());
        body.getStyleClass().add("fold-body");
        getChildren().addAll(line, body);
    }

    /** What it holds now. */
    String held() {
        return id;
    }

    void show(Brief.Fold fold, boolean open) {
        id = fold.id();
        line.setId("fold-" + fold.id());
        title.setText(fold.title());
        value.setText(fold.value());
        pseudoClassStateChanged(OPENED, open);
        arrow.setRotate(open ? 90 : 0);
        line.setAccessibleText(fold.title() + ": " + fold.value() + (open ? ", opened" : ", folded"));
        body.setVisible(open);
        body.setManaged(open);
        if (open) {
            lines.begin();
            fold.lines().forEach(l -> lines.next().setText(l));
            lines.end();
        }
    }
}
