package mussel.exchange.practice;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import mussel.core.measure.Given;
import mussel.core.practice.Lesson;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;
import mussel.exchange.record.Yaml;

/** The lessons that ship. */
public final class LessonFiles {
    private LessonFiles() {}

    /**
     * As they stand in the file.
     *
     * @param lessons in the order of the trade
     */
    public record Lessons(@Given(value = "the lessons", atLeast = 1) List<Lesson> lessons) {}

    /** The lessons, in the order of the trade. */
    public static List<Lesson> shipped() {
        try (InputStream in = LessonFiles.class.getResourceAsStream("lessons.yaml")) {
            Read<JsonNode> tree = Yaml.tree(in.readAllBytes());
            Read<Lessons> read = RecordReader.read(tree.value().orElseThrow(), Lessons.class);
            return read.value()
                    .orElseThrow(() -> new IllegalStateException(read.problems().toString()))
                    .lessons();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
