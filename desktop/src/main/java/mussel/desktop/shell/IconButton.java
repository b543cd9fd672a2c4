package mussel.desktop.shell;

import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** A button of one icon. The icon comes with the second frame, since loading the icon type would hold up the first. */
final class IconButton extends Button {
    IconButton(Feather icon, String id, String says, Runnable action) {
        setId(id);
        getStyleClass().add("icon-button");
        setAccessibleText(says);
        setTooltip(new Tooltip(says));
        setOnAction(e -> action.run());
        setMinWidth(USE_PREF_SIZE);
        sceneProperty().addListener((o, was, is) -> {
            if (is != null && getGraphic() == null) {
                SecondFrame.afterFirstFrame(is, () -> setGraphic(new FontIcon(icon)));
            }
        });
    }
}
