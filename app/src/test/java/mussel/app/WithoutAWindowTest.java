package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mussel.app.demo.DemoYard;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Every command that opens no window runs where the library of windows is not there at all. */
class WithoutAWindowTest {
    private static final Pattern OF_WINDOWS =
            Pattern.compile(".*(openjfx|javafx|atlantafx|ikonli|desktop/target|mussel-desktop).*");

    @TempDir
    Path folder;

    private String run(String... words) throws IOException, InterruptedException {
        String path = Arrays.stream(System.getProperty("java.class.path").split(java.io.File.pathSeparator))
                .filter(entry -> !OF_WINDOWS.matcher(entry).matches())
                .collect(Collectors.joining(java.io.File.pathSeparator));
        List<String> all = new ArrayList<>(
                List.of(System.getProperty("java.home") + "/bin/java", "-XX:TieredStopAtLevel=1", "-cp", path));
        all.add("mussel.app.Main");
        all.addAll(List.of(words));
        Path said = folder.resolve("said.txt");
        ProcessBuilder builder = new ProcessBuilder(all)
                .redirectErrorStream(true)
                .redirectInput(
                        Files.writeString(folder.resolve("in.json"), "{}").toFile())
                .redirectOutput(said.toFile());
        builder.environment().put("XDG_DATA_HOME", folder.resolve("data").toString());
        int code = builder.start().waitFor();
        return code + ": " + Files.readString(said, StandardCharsets.UTF_8);
    }

    @Test
    void commandsRunWithoutTheLibraryOfWindows() throws IOException, InterruptedException {
        Path log = folder.resolve("demo.mussel");
        DemoYard.fill(log, Instant.parse("2026-11-23T09:00:00Z"));
        String of = log.toString();

        assertThat(run("--log", of, "check")).startsWith("0: ").contains("sound.");
        assertThat(run(
                        "--log",
                        of,
                        "report",
                        "40",
                        "--out",
                        folder.resolve("a.pdf").toString()))
                .isEqualTo("0: ");
        assertThat(run(
                        "--log",
                        of,
                        "export",
                        "--format",
                        "json",
                        "--out",
                        folder.resolve("a.json").toString()))
                .startsWith("0: ");
        assertThat(run(
                        "--log",
                        folder.resolve("new.mussel").toString(),
                        "import",
                        folder.resolve("a.json").toString()))
                .startsWith("0: ")
                .contains("51 new jobs");
        assertThat(run("--log", of, "backup", "--out", folder.resolve("a.zip").toString()))
                .startsWith("0: ");
        assertThat(run("--log", of, "due")).startsWith("0: ");
        assertThat(run("families", "--json")).startsWith("0: ");
        assertThat(run("knowledge")).startsWith("0: ");
        assertThat(run("schema", "drain")).startsWith("0: ");
        assertThat(run("calc", "drain")).startsWith("2: ").contains("/");
    }
}
