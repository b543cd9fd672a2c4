package mussel.core.measure;

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
     */
    record Refused(String sentence) implements Typed {}
}
