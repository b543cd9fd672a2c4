package mussel.core.measure;

import java.util.List;

/** What a number field made of the text in it. */
public sealed interface Typed {
    /** Nothing stands there: the thing was not measured. Never zero. */
    record Blank() implements Typed {}

    /**
     * A figure was read.
     *
     * @param value the figure in the canonical unit of the kind asked for
     * @param figure the figure as typed
     * @param unit the unit typed, or the yard's where none was typed
     */
    record Understood(double value, double figure, String unit) implements Typed {}

    /**
     * The text is no such quantity; the old value stays.
     *
     * @param sentence which value, what is wrong and what to do
     * @param ways where it can be read in two ways, the two; else empty
     */
    record Refused(String sentence, List<Understood> ways) implements Typed {
        /** Keeps its own copy. */
        public Refused {
            ways = List.copyOf(ways);
        }

        /** A text that can be read in no way. */
        public Refused(String sentence) {
            this(sentence, List.of());
        }
    }
}
