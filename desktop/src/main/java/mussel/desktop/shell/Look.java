package mussel.desktop.shell;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.InputStream;
import javafx.application.Application;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Font;
import mussel.core.job.Journal;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** How it looks: light or dark, and larger for gloves. Kept with the journal's settings. */
public final class Look {
    private static final double SIZE = 14;

    private boolean dark;
    private boolean glove;

    /** The look kept in a journal. */
    public static Look of(Journal journal) {
        Look look = new Look();
        look.dark = journal.setting("look", "light").equals("dark");
        look.glove = journal.setting("glove", "off").equals("on");
        return look;
    }

    /** Loads the type that ships with the application; once is enough. */
    public static void loadType() {
        for (String weight : new String[] {"Regular", "Bold"}) {
            InputStream in = Journal.class.getResourceAsStream("/mussel/type/B612-" + weight + ".ttf");
            if (in == null || Font.loadFont(in, SIZE) == null) {
                throw new IllegalStateException("The type B612 " + weight + " is not in the application");
            }
        }
    }

    /**
     * Reads the styles and sets out a throwaway page, so that the time in which the journal is still being read is not lost: the first
     * page of a program pays for loading what every later one uses.
     */
    public static void warmUp() {
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheetBSS());
        FlowPane cards = new FlowPane(new Button("", new VBox(new Label("a"), new Circle(4), new SVGPath())));
        VBox page = new VBox(new TextField(), new Button("", new FontIcon(Feather.MOON)), new ScrollPane(cards));
        page.getStyleClass().add("mussel");
        page.getStylesheets().add(sheet());
        new Scene(page, 400, 300);
        page.applyCss();
        page.layout();
        page.snapshot(null, null);
    }

    /** The address of the style sheet as the build has compiled it. */
    static String sheet() {
        return Look.class.getResource("mussel.bss").toExternalForm();
    }

    /** Whether it is dark. */
    public boolean dark() {
        return dark;
    }

    /** Whether everything is larger. */
    public boolean glove() {
        return glove;
    }

    /** Light or dark. */
    public void setDark(boolean on) {
        dark = on;
    }

    /** Larger or not. */
    public void setGlove(boolean on) {
        glove = on;
    }

    /** Puts the look on a scene's root. */
    public void apply(Parent root) {
        Application.setUserAgentStylesheet(
                dark ? new PrimerDark().getUserAgentStylesheetBSS() : new PrimerLight().getUserAgentStylesheetBSS());
        root.getStyleClass().removeAll("dark", "glove");
        if (dark) {
            root.getStyleClass().add("dark");
        }
        if (glove) {
            root.getStyleClass().add("glove");
        }
    }
}
