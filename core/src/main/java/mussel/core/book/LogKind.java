package mussel.core.book;

/** What kind of log it is. The order is that of the marks in a log. */
public enum LogKind {
    /** A shop's own. */
    YARD,
    /** Demo data, which may be thrown away. */
    DEMO,
    /** Legs that are not there: it takes practice legs, and nothing else does. */
    PRACTICE;

    /** The kind of a mark; one that is not known is a shop's, which is never thrown away. */
    public static LogKind of(int mark) {
        return mark > 0 && mark < values().length ? values()[mark] : YARD;
    }
}
