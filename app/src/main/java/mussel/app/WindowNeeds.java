package mussel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.language.Messages;

/** What the window needs of the machine, looked for before it is opened: what the window library says when something is missing is no sentence. */
final class WindowNeeds {
    private static final Messages TEXT = Messages.of(WindowNeeds.class);

    /** Libraries by their file names, each with the Debian package that has it; the launcher has the same list. */
    private static final Map<String, String> LIBRARIES = libraries();

    private WindowNeeds() {}

    private static Map<String, String> libraries() {
        Map<String, String> libraries = new LinkedHashMap<>();
        libraries.put("libgtk-3.so.0", "libgtk-3-0");
        libraries.put("libpangoft2-1.0.so.0", "libpangoft2-1.0-0");
        libraries.put("libfontconfig.so.1", "libfontconfig1");
        libraries.put("libXtst.so.6", "libxtst6");
        libraries.put("libstdc++.so.6", "libstdc++6");
        return libraries;
    }

    /** What is missing, in a sentence; empty where nothing is. */
    static Optional<String> missing() {
        if (!System.getProperty("os.name").startsWith("Linux")) {
            return Optional.empty();
        }
        List<Path> folders = folders();
        List<String> missing = new ArrayList<>();
        LIBRARIES.forEach((file, pack) -> {
            if (folders.stream().noneMatch(f -> Files.exists(f.resolve(file)))) {
                missing.add(pack);
            }
        });
        if (!missing.isEmpty()) {
            return Optional.of(TEXT.get(
                    "window_needs.the_window_needs_what_this_machine",
                    String.join(", ", missing),
                    String.join(" ", missing)));
        }
        String display = System.getenv("DISPLAY");
        return display == null || display.isBlank()
                ? Optional.of(TEXT.get("window_needs.there_is_no_display_to_show"))
                : Optional.empty();
    }

    private static List<Path> folders() {
        List<Path> folders = new ArrayList<>();
        String own = System.getenv("LD_LIBRARY_PATH");
        Stream.of(own == null ? new String[0] : own.split(":"))
                .filter(f -> !f.isBlank())
                .map(Path::of)
                .forEach(folders::add);
        for (String arch : List.of("x86_64-linux-gnu", "aarch64-linux-gnu", "arm-linux-gnueabihf", ".")) {
            folders.add(Path.of("/usr/lib", arch));
            folders.add(Path.of("/lib", arch));
        }
        folders.add(Path.of("/usr/lib64"));
        folders.add(Path.of("/lib64"));
        folders.add(Path.of("/usr/local/lib"));
        return folders;
    }
}
