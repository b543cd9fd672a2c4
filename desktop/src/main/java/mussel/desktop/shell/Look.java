package mussel.desktop.shell;

import java.io.InputStream;
import javafx.application.Application;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import mussel.core.job.Journal;

/** How it looks: light or dark, and larger for gloves. Kept with the journal's settings. */
public final class Look {
    private static final double SIZE = 14;

    private boolean dark;
    private boolean glove;

    /**
     * The look kept in a journal. Its theme is put under all windows at once: the first control made without one would load the
     * platform's own theme for nothing.
     */
    public static Look of(Journal journal) {
        Look look = new Look();
        look.dark = journal.setting("look", "light").equals("dark");
        look.glove = journal.setting("glove", "off").equals("on");
        look.theme();
        return look;
    }

    private void theme() {
        Application.setUserAgentStylesheet(
                Look.class.getResource(dark ? "dark.bss" : "light.bss").toExternalForm());
    }

    /** The look before any journal is open: light, nothing enlarged. */
    static Look plain() {
        return new Look();
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

    /** The address of the style sheet as the build has compiled it. */
    private static String sheet() {
        return Look.class.getResource("mussel.bss").toExternalForm();
    }

    /** The style sheet belongs on the scene: on a pane, each node below it would be entered as one more user of the sheet. */
    static void dress(Scene scene) {
        if (scene != null && !scene.getStylesheets().contains(sheet())) {
            scene.getStylesheets().add(sheet());
        }
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
        theme();
        root.getStyleClass().removeAll("dark", "glove");
        if (dark) {
            root.getStyleClass().add("dark");
        }
        if (glove) {
            root.getStyleClass().add("glove");
        }
    }
}
