package mussel.app.demo;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.scene.input.KeyCode;

/**
 * A leg from the new job to its job sheet by keyboard alone, entry by entry: what the frame is measured by. An entry is one figure or text with its
 * Enter, or one key, those that lead somewhere among them.
 */
public final class ByKeys {
    private final List<Entry> entries = new ArrayList<>();

    private ByKeys() {}

    /**
     * One entry.
     *
     * @param text what is typed, Enter after it; empty for a key
     * @param chord the keys pressed together; empty for a text
     */
    public record Entry(String text, List<KeyCode> chord) {
        @Override
        public String toString() {
            return text.isEmpty() ? chord.toString() : text;
        }
    }

    /**
     * A milky leg: taken in, drained, opened for its driveshaft seals, parts ordered, put back, filled, shifted, tagged with a word and printed where papers
     * went last.
     */
    public static List<Entry> milkyLeg() {
        return new ByKeys().takenIn().drained().opened().putBack().tagged().entries;
    }

    private ByKeys takenIn() {
        return key(KeyCode.CONTROL, KeyCode.N)
                .type("Spat Lass")
                .key(KeyCode.DIGIT2)
                .key(KeyCode.DIGIT1)
                .key(KeyCode.ENTER)
                .type("412")
                .type("38")
                .key(KeyCode.DIGIT1)
                .key(KeyCode.ENTER)
                .key(KeyCode.DIGIT3)
                .key(KeyCode.F4);
    }

    private ByKeys drained() {
        return key(KeyCode.DIGIT4)
                .key(KeyCode.DIGIT1)
                .type("452")
                .type("12")
                .type("18")
                .type("20");
    }

    private ByKeys opened() {
        return key(KeyCode.CONTROL, KeyCode.DIGIT7)
                .key(KeyCode.DIGIT1)
                .key(KeyCode.F5)
                .key(KeyCode.SHIFT, KeyCode.END);
    }

    private ByKeys putBack() {
        return key(KeyCode.F4)
                .key(KeyCode.F5)
                .key(KeyCode.F5)
                .key(KeyCode.F4)
                .key(KeyCode.SHIFT, KeyCode.END)
                .key(KeyCode.F4)
                .key(KeyCode.DIGIT1)
                .type("431")
                .key(KeyCode.SHIFT, KeyCode.END);
    }

    private ByKeys tagged() {
        return key(KeyCode.F4)
                .key(KeyCode.DIGIT1)
                .key(KeyCode.DIGIT1)
                .key(KeyCode.DIGIT1)
                .key(KeyCode.F4)
                .type("run and holds at the berth")
                .key(KeyCode.F5)
                .key(KeyCode.F5);
    }

    private ByKeys key(KeyCode... chord) {
        entries.add(new Entry("", Arrays.asList(chord)));
        return this;
    }

    private ByKeys type(String text) {
        entries.add(new Entry(text, List.of()));
        return this;
    }
}
