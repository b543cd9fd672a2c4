package mussel.desktop.kit;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.text.Text;
import mussel.core.language.Messages;
import mussel.core.sheet.Step;

/** Labels in the few manners the screens use; how each looks stands in the style sheet. */
public final class Texts {
    private static final Messages TEXT = Messages.of(Texts.class);

    private Texts() {}

    /** The heading of a station. */
    public static Label title(String text) {
        return styled(text, "title");
    }

    /** The heading of a section. */
    public static Label heading(String text) {
        return styled(text, "heading");
    }

    /** A sentence that wraps. */
    public static Label sentence(String text) {
        return wrapped(text, "plain");
    }

    /** A sentence of lesser weight. */
    public static Label dim(String text) {
        return wrapped(text, "dim");
    }

    /** A caution, with its own mark before it. */
    public static Label caution(String text) {
        Label label = wrapped(text, "caution");
        label.setGraphic(Marks.caution());
        return label;
    }

    /** A label that wraps, in the named style. */
    public static Label wrapped(String text, String style) {
        Label label = styled(text, style);
        label.setWrapText(true);
        label.setMinHeight(javafx.scene.layout.Region.USE_PREF_SIZE);
        return label;
    }

    /** Gives a label another manner; one that has it already is not styled anew. */
    public static void manner(Label label, String style) {
        List<String> wanted = List.of("label", style);
        if (!label.getStyleClass().equals(wanted)) {
            label.getStyleClass().setAll(wanted);
        }
    }

    /** Words that wrap at a width, without a control around them: for what stands on the bench many times over. */
    public static Text bare(String words, double width, String... styles) {
        Text text = new Text(words);
        text.getStyleClass().add("bare");
        text.getStyleClass().addAll(styles);
        text.setWrappingWidth(width);
        return text;
    }

    private static Label styled(String text, String style) {
        Label label = new Words(text);
        label.getStyleClass().add(style);
        return label;
    }

    /** The page of a manual as it goes on after its name; nothing where nobody wrote it down. */
    public static String page(String page) {
        return Step.says(page) ? TEXT.get("texts.page", page) : "";
    }
}
