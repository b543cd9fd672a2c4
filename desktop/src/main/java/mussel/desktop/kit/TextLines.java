package mussel.desktop.kit;

import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;
import javafx.scene.control.TextArea;

/** Room for several lines that keeps no picture of them: the library keeps one for each text area there ever was. */
public class TextLines extends TextArea {
    @Override
    protected Skin<?> createDefaultSkin() {
        Skin<?> skin = super.createDefaultSkin();
        getChildrenUnmodifiable().stream()
                .filter(ScrollPane.class::isInstance)
                .map(ScrollPane.class::cast)
                .forEach(inner -> inner.skinProperty().addListener(o -> ScrollArea.keepNoPicture(inner)));
        return skin;
    }
}
