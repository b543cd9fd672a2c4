package mussel.core.measure;

/** What a price list writes before its decimals. */
public enum DecimalMark {
    /** 1,234.50. */
    POINT('.'),
    /** 1.234,50. */
    COMMA(',');

    private final char mark;

    DecimalMark(char mark) {
        this.mark = mark;
    }

    /** The mark itself. */
    public char mark() {
        return mark;
    }

    /** The other one, which groups thousands. */
    public DecimalMark other() {
        return this == POINT ? COMMA : POINT;
    }
}
