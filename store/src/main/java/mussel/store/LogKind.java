package mussel.store;

/** What kind of log a file is. The order is that of the marks in the file. */
public enum LogKind {
    /** A yard's own. */
    YARD,
    /** Demo data, which may be thrown away. */
    DEMO,
    /** Legs that are not there: it takes practice legs, and nothing else does. */
    PRACTICE;

    /** The kind of a mark; one that is not known is a yard's, which is never thrown away. */
    static LogKind of(int mark) {
        return mark > 0 && mark < values().length ? values()[mark] : YARD;
    }
}
