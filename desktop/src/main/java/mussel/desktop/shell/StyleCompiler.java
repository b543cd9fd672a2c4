package mussel.desktop.shell;

import java.io.File;
import java.io.IOException;
import javafx.css.Stylesheet;

/** Run by the build: turns the style sheet into the window system's binary form, which is read faster when the application starts. */
public final class StyleCompiler {
    private StyleCompiler() {}

    /** Takes the folder of the compiled classes. */
    public static void main(String[] args) throws IOException {
        String sheet = args[0] + "/mussel/desktop/shell/mussel.";
        Stylesheet.convertToBinary(new File(sheet + "css"), new File(sheet + "bss"));
    }
}
