package mussel.exchange.record;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;

/** On which line of a YAML or JSON text each place stands. */
public final class Lines {
    private static final Messages TEXT = Messages.of(Lines.class);

    private static final YAMLFactory FACTORY = new YAMLFactory();

    private final Map<String, Integer> lines;

    private Lines(Map<String, Integer> lines) {
        this.lines = lines;
    }

    /** The lines of a text as far as it can be read; none of one that cannot. */
    public static Lines of(byte[] utf8) {
        Map<String, Integer> lines = new HashMap<>();
        try (JsonParser parser = FACTORY.createParser(utf8)) {
            while (parser.nextToken() != null) {
                String place = parser.getParsingContext().pathAsPointer().toString();
                lines.putIfAbsent(place, parser.currentTokenLocation().getLineNr());
            }
        } catch (IOException e) {
            return new Lines(lines);
        }
        return new Lines(lines);
    }

    /** The line of a place (a JSON Pointer), or of the nearest place around it that stands in the text; empty where nothing does. */
    public OptionalInt of(String pointer) {
        String place = pointer;
        while (!lines.containsKey(place)) {
            if (place.isEmpty()) {
                return OptionalInt.empty();
            }
            place = place.substring(0, Math.max(0, place.lastIndexOf('/')));
        }
        return OptionalInt.of(lines.get(place));
    }

    /** Problems as told to a person: with the line, then the place. */
    public List<String> told(List<Problem> problems) {
        return problems.stream().map(this::told).toList();
    }

    private String told(Problem problem) {
        OptionalInt line = of(problem.at());
        String what = problem.at().isEmpty() ? problem.problem() : problem.toString();
        return line.isPresent() && !problem.at().isEmpty() ? TEXT.get("lines.line", line.getAsInt(), what) : what;
    }
}
