package mussel.desktop.shell;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.css.CssParser;
import javafx.css.Stylesheet;

/**
 * Run by the build: turns style sheets into the window system's binary form, which is read faster when the application starts. Of
 * the theme only what the application has controls for is kept; each rule less is one less to match against every node. Shadows and
 * transparent controls go too: drawn in software, each is first drawn beside the window, and JavaFX keeps an image for each size there
 * was, so that the live heap grew by 0.7 MB with every round through the window.
 */
public final class StyleCompiler {
    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern RULE = Pattern.compile("([^{}]+)(\\{[^{}]*\\})");
    private static final Pattern BESIDE = Pattern.compile("-fx-(effect|opacity):[^;}]*;?");
    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([a-z][\\w-]*)");

    private StyleCompiler() {}

    /** The controls, and the theme's own style classes, the application does without: their styles are left out. */
    public static final Set<String> UNUSED = Set.of(
            ("accordion alert bb-code breadcrumbs calendar card check-box check-menu-item choice-box choice-dialog"
                            + " color-palette color-palette-region color-picker custom-color-dialog custom-text-field"
                            + " date-picker date-picker-popup dialog-pane html-editor hyperlink menu-bar menu-button"
                            + " message modal-box modal-pane notification pagination password-field popover"
                            + " progress-bar radio-button radio-menu-item ring-progress-indicator separator"
                            + " spinner split-menu-button split-pane tab-pane table-view text-input-dialog tile"
                            + " tile-base titled-pane toggle-switch tool-bar tree-cell tree-table-row-cell"
                            + " tree-table-view tree-view bar-chart stacked-bar-chart chart-pie chart-bubble")
                    .split(" "));

    /** Takes the folder of the compiled classes. */
    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0], "mussel", "desktop", "shell");
        binary(folder.resolve("mussel.css"));
        for (String look : new String[] {"light", "dark"}) {
            Path trimmed = folder.resolve(look + ".css");
            Files.writeString(trimmed, trimmed(theme(look)));
            binary(trimmed);
            Files.delete(trimmed);
        }
    }

    private static String theme(String look) throws IOException {
        String name = "/atlantafx/base/theme/primer-" + look + ".css";
        try (InputStream in = StyleCompiler.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /**
     * A style sheet without the selectors that speak of unused controls.
     *
     * @throws IllegalStateException where the sheet holds more than plain rules
     */
    static String trimmed(String sheet) {
        String plain = COMMENT.matcher(sheet).replaceAll("");
        int rules = (int) RULE.matcher(plain).results().count();
        int parsed = new CssParser().parse(plain).getRules().size();
        if (rules != parsed) {
            throw new IllegalStateException("The theme has " + parsed + " rules, but " + rules
                    + " were taken apart: the build must learn more");
        }
        return RULE.matcher(plain).results().map(StyleCompiler::kept).collect(Collectors.joining("\n"));
    }

    private static String kept(MatchResult rule) {
        List<String> selectors = Arrays.stream(rule.group(1).split(","))
                .map(String::strip)
                .filter(StyleCompiler::used)
                .toList();
        return selectors.isEmpty()
                ? ""
                : String.join(",\n", selectors) + " "
                        + BESIDE.matcher(rule.group(2)).replaceAll("");
    }

    private static boolean used(String selector) {
        return STYLE_CLASS
                .matcher(selector)
                .results()
                .map(c -> c.group(1).toLowerCase(Locale.ROOT))
                .noneMatch(UNUSED::contains);
    }

    private static void binary(Path sheet) throws IOException {
        String name = sheet.getFileName().toString().replace(".css", ".bss");
        Stylesheet.convertToBinary(sheet.toFile(), sheet.resolveSibling(name).toFile());
    }
}
