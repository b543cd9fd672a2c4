package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** Compact sheets without a window. */
class SheetCommandTest {
    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... args) {
        CommandLine command = Main.command();
        command.setOut(new PrintWriter(out));
        command.setErr(new PrintWriter(err));
        return command.execute(args);
    }

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    @Test
    void oneIsBegunExpandedAndCompared() throws IOException {
        Path answers = file("answers.json", "{\"title\":\"Nameless 40\",\"size\":\"mid\",\"features\":{\"vents\":2}}");
        Path sheet = folder.resolve("nameless.yaml");
        assertThat(run("sheet", "new", answers.toString(), "--out", sheet.toString()))
                .as(err.toString())
                .isZero();
        assertThat(Files.readString(sheet)).contains("mussel-sheet/2", "nameless-40");
        assertThat(run("families", "--check", sheet.toString())).isZero();
        assertThat(run("sheet", "expand", sheet.toString())).isZero();
        assertThat(out.toString()).contains("vent_starboard", "\"missing\"", "/oil/capacity_ml");

        Path other = file("other.yaml", Files.readString(sheet).replace("Nameless 40", "Nameless 50"));
        assertThat(run("sheet", "diff", sheet.toString(), other.toString())).isZero();
        assertThat(out.toString()).contains("/title: “Nameless 50”, was “Nameless 40”");
    }

    @Test
    void nothingElseIsWrittenOver() throws IOException {
        Path answers = file("answers.json", "{\"title\":\"Nameless 40\",\"size\":\"mid\"}");
        Path letter = file("letter.txt", "Dear owner");
        assertThat(run("sheet", "new", answers.toString(), "--out", letter.toString(), "--force"))
                .isEqualTo(2);
        assertThat(Files.readString(letter)).isEqualTo("Dear owner");
        assertThat(err.toString()).contains("is not a compact sheet");
    }

    @Test
    void whatIsWrongIsToldWithItsPlace() throws IOException {
        Path answers = file("answers.json", "{\"title\":\"Nameless 40\",\"size\":\"mid\",\"features\":{\"vents\":7}}");
        assertThat(run("sheet", "new", answers.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("/features/vents");
    }
}
